package app.velvetcrock.label;

import app.velvetcrock.web.Refused;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.annotation.PreDestroy;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Duration;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.Semaphore;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import org.springframework.stereotype.Component;

/** Where sheets are drawn: one at a time on a node, so that a thousand labels take nobody's memory. */
@Component
class PressRoom {

    private static final long PATIENCE = 20;
    private static final int KEPT = 6;

    /** What was drawn is fetched soon, or drawn anew. */
    private final Cache<Key, byte[]> done = Caffeine.newBuilder()
            .maximumSize(KEPT)
            .expireAfterWrite(Duration.ofMinutes(10))
            .build();

    private final ConcurrentHashMap<Key, Integer> drawing = new ConcurrentHashMap<>();
    private final Semaphore press = new Semaphore(1);
    private final ExecutorService hands = new ThreadPoolExecutor(
            0, 1, 5, TimeUnit.SECONDS, new ArrayBlockingQueue<>(10), new ThreadPoolExecutor.AbortPolicy());

    /** A stack of a printing. */
    record Key(UUID job, int stack) {}

    /** How many labels of it stand, while it is drawn; absent where it is not. */
    Optional<Integer> drawn(Key key) {
        return Optional.ofNullable(drawing.get(key));
    }

    boolean isDone(Key key) {
        return done.getIfPresent(key) != null;
    }

    /** Begins to draw it by itself, unless it is drawn, or being drawn, already. */
    void begin(Key key, Printing.Stack stack, String title, Optional<byte[]> picture) {
        if (!isDone(key) && drawing.putIfAbsent(key, 0) == null) {
            try {
                hands.execute(() -> drawn(key, stack, title, picture));
            } catch (RejectedExecutionException full) {
                // Whoever asks again begins it then.
                drawing.remove(key);
            }
        }
    }

    private void drawn(Key key, Printing.Stack stack, String title, Optional<byte[]> picture) {
        try {
            sheets(key, stack, title, picture);
        } finally {
            drawing.remove(key);
        }
    }

    @PreDestroy
    void close() {
        hands.shutdownNow();
    }

    /** Draws it, or hands out what was drawn; waits for another that is being drawn, but not for ever. */
    byte[] sheets(Key key, Printing.Stack stack, String title, Optional<byte[]> picture) {
        byte[] there = done.getIfPresent(key);
        if (there != null) {
            return there;
        }
        try {
            if (!press.tryAcquire(PATIENCE, TimeUnit.SECONDS)) {
                throw new Refused("Other labels are being drawn just now: try again in a moment.");
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new Refused("Drawing was stopped: try again.");
        }
        try {
            byte[] meanwhile = done.getIfPresent(key);
            if (meanwhile != null) {
                return meanwhile;
            }
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            PdfSheets.write(stack, title, picture, at -> drawing.put(key, at), out);
            byte[] drawn = out.toByteArray();
            done.put(key, drawn);
            return drawn;
        } catch (IOException cannot) {
            throw new UncheckedIOException(cannot);
        } finally {
            drawing.remove(key);
            press.release();
        }
    }
}
