package app.velvetcrock.live;

import jakarta.servlet.AsyncContext;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.function.Predicate;
import org.springframework.context.SmartLifecycle;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;

/** The browsers that listen to this node; ended with their session, and before the node stops. */
@Component
class Streams implements SmartLifecycle {

    private static final int THREADS = 2;
    private static final long BEAT_SECONDS = 15;

    /** The browser comes again by itself, with whatever session it has then. */
    private static final Duration LONGEST = Duration.ofMinutes(30);

    /** [E] Tabs of one person without a common leader; the oldest goes first. */
    private static final int MOST_OF_ONE = 30;

    private static final String HERE = ":here\nretry:2000\n\n";
    private static final String BEAT = ":beat\n\n";

    /** Before the account whose streams end. */
    static final String ENDED = "ended:";

    /** Before the mark of a session that ended. */
    static final String SESSION_OVER = "session:";

    private final List<Stream> open = new CopyOnWriteArrayList<>();

    private ScheduledExecutorService later = threads();
    private volatile boolean running;

    /**
     * Whose a stream is.
     *
     * @param session a mark of the session it was opened in, that is no key to it
     */
    record Who(UUID stillroom, UUID account, UUID session) {

        /** The mark of a session, by which every node knows its streams. */
        static UUID session(String id) {
            return UUID.nameUUIDFromBytes(id.getBytes(StandardCharsets.UTF_8));
        }
    }

    /**
     * Opens a stream.
     *
     * @param known the revision the page was made at
     * @param newest the revision now
     */
    void open(Who who, HttpServletRequest request, HttpServletResponse response, long known, long newest)
            throws IOException {
        response.setContentType(MediaType.TEXT_EVENT_STREAM_VALUE);
        response.setCharacterEncoding("UTF-8");
        if (!running) {
            return;
        }
        List<Stream> mine = open.stream()
                .filter(one -> one.who.account().equals(who.account()))
                .toList();
        if (mine.size() >= MOST_OF_ONE) {
            mine.get(0).end();
        }
        AsyncContext answer = request.startAsync(request, response);
        answer.setTimeout(LONGEST.toMillis());
        Stream[] self = new Stream[1];
        Stream stream =
                new Stream(who, answer, response.getOutputStream(), Cutting.of(request), () -> open.remove(self[0]));
        self[0] = stream;
        answer.addListener(stream);
        stream.knows(known);
        open.add(stream);
        response.getOutputStream().setWriteListener(stream);
        stream.say(HERE);
        stream.changed(newest, Stream.ANYTHING, later);
    }

    private static ScheduledExecutorService threads() {
        return new ScheduledThreadPoolExecutor(THREADS, task -> {
            Thread thread = new Thread(task, "live");
            thread.setDaemon(true);
            return thread;
        });
    }

    void changed(UUID stillroom, long revision, String what) {
        if (what.startsWith(ENDED)) {
            UUID account = UUID.fromString(what.substring(ENDED.length()));
            end(who -> who.stillroom().equals(stillroom) && who.account().equals(account));
        } else if (what.startsWith(SESSION_OVER)) {
            UUID session = UUID.fromString(what.substring(SESSION_OVER.length()));
            end(who -> who.session().equals(session));
        } else {
            open.stream()
                    .filter(stream -> stream.who.stillroom().equals(stillroom))
                    .forEach(stream -> stream.changed(revision, what, later));
        }
    }

    private void end(Predicate<Who> whose) {
        open.stream().filter(stream -> whose.test(stream.who)).forEach(Stream::end);
    }

    /** The stillrooms somebody listens for. */
    Collection<UUID> listenedFor() {
        return open.stream().map(stream -> stream.who.stillroom()).distinct().toList();
    }

    int size() {
        return open.size();
    }

    private void beat() {
        tellAll(BEAT);
    }

    /** Says something to everybody who listens here. */
    void tellAll(String event) {
        open.forEach(stream -> stream.say(event));
    }

    @Override
    public void start() {
        if (later.isShutdown()) {
            later = threads();
        }
        running = true;
        later.scheduleAtFixedRate(this::beat, BEAT_SECONDS, BEAT_SECONDS, TimeUnit.SECONDS);
    }

    @Override
    public void stop() {
        running = false;
        open.forEach(Stream::end);
        later.shutdown();
    }

    @Override
    public boolean isRunning() {
        return running;
    }

    /** Stops before the web server waits for requests that are under way, as every stream is. */
    @Override
    public int getPhase() {
        return SmartLifecycle.DEFAULT_PHASE;
    }
}
