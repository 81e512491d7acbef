package app.velvetcrock.live;

import java.time.Duration;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import org.springframework.context.SmartLifecycle;
import org.springframework.context.event.EventListener;
import org.springframework.security.authentication.event.LogoutSuccessEvent;
import org.springframework.session.Session;
import org.springframework.session.SessionRepository;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** The browsers that listen to this node; ended with their session, and before the node stops. */
@Component
class Streams implements SmartLifecycle {

    private static final int THREADS = 4;
    private static final long BEAT_SECONDS = 15;

    /** The browser comes again by itself, with whatever session it has then. */
    private static final Duration LONGEST = Duration.ofMinutes(30);

    /** [E] Tabs of one person without a common leader; the oldest goes first. */
    private static final int MOST_OF_ONE = 30;

    private final List<Stream> open = new CopyOnWriteArrayList<>();

    private ScheduledExecutorService later = threads();
    private final SessionRepository<? extends Session> sessions;
    private volatile boolean running;

    Streams(SessionRepository<? extends Session> sessions) {
        this.sessions = sessions;
    }

    /**
     * Opens a stream.
     *
     * @param known the revision the page was made at
     * @param newest the revision now
     */
    SseEmitter open(Who who, long known, long newest) {
        SseEmitter emitter = new SseEmitter(LONGEST.toMillis());
        Stream stream = new Stream(who.stillroom(), who.account(), who.session(), emitter);
        emitter.onCompletion(() -> open.remove(stream));
        emitter.onTimeout(emitter::complete);
        emitter.onError(gone -> open.remove(stream));
        stream.knows(known);
        if (!running) {
            emitter.complete();
            return emitter;
        }
        List<Stream> mine =
                open.stream().filter(one -> one.account.equals(who.account())).toList();
        if (mine.size() >= MOST_OF_ONE) {
            mine.get(0).emitter.complete();
        }
        open.add(stream);
        stream.send(SseEmitter.event().comment("here").reconnectTime(TimeUnit.SECONDS.toMillis(2)));
        stream.changed(newest, Stream.ANYTHING, later);
        return emitter;
    }

    private static ScheduledExecutorService threads() {
        return new ScheduledThreadPoolExecutor(THREADS, task -> {
            Thread thread = new Thread(task, "live");
            thread.setDaemon(true);
            return thread;
        });
    }

    /** Whose a stream is. */
    record Who(UUID stillroom, UUID account, String session) {}

    /** Before the account whose streams end. */
    static final String ENDED = "ended:";

    void changed(UUID stillroom, long revision, String what) {
        if (what.startsWith(ENDED)) {
            UUID account = UUID.fromString(what.substring(ENDED.length()));
            open.stream()
                    .filter(stream -> stream.stillroom.equals(stillroom) && stream.account.equals(account))
                    .forEach(stream -> stream.emitter.complete());
            return;
        }
        open.stream()
                .filter(stream -> stream.stillroom.equals(stillroom))
                .forEach(stream -> stream.changed(revision, what, later));
    }

    /** The stillrooms somebody listens for. */
    Collection<UUID> listenedFor() {
        return open.stream().map(stream -> stream.stillroom).distinct().toList();
    }

    int size() {
        return open.size();
    }

    private void endIfOver(Stream stream) {
        Session session = sessions.findById(stream.session);
        if (session == null || session.isExpired()) {
            stream.emitter.complete();
        }
    }

    @EventListener
    void signedOut(LogoutSuccessEvent event) {
        later.execute(() -> open.forEach(this::endIfOver));
    }

    private void beat() {
        for (Stream stream : open) {
            try {
                endIfOver(stream);
                stream.send(SseEmitter.event().comment("beat"));
            } catch (RuntimeException databaseAway) {
                // Said where somebody asks for something; the stream stays and is looked at again.
                stream.send(SseEmitter.event().comment("beat"));
            }
        }
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
        open.forEach(stream -> stream.emitter.complete());
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
