package app.velvetcrock.live;

import java.io.IOException;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** One browser that listens: the first change is told at once, then at most four times a second what gathered meanwhile. */
final class Stream {

    private static final long APART_NANOS = TimeUnit.MILLISECONDS.toNanos(250);

    /** All there is on the page; where it is not known what changed. */
    static final String ANYTHING = "*";

    final UUID stillroom;
    final UUID account;
    final String session;
    final SseEmitter emitter;

    private final Set<String> gathered = new LinkedHashSet<>();
    private long revision;
    private long told;
    private boolean waits;

    Stream(UUID stillroom, UUID account, String session, SseEmitter emitter) {
        this.stillroom = stillroom;
        this.account = account;
        this.session = session;
        this.emitter = emitter;
        this.told = System.nanoTime() - APART_NANOS;
    }

    /** Lets the browser know soon; what it knows already is not told again. */
    synchronized void changed(long newest, String what, ScheduledExecutorService later) {
        if (newest <= revision && !waits) {
            return;
        }
        revision = Math.max(revision, newest);
        gathered.add(what);
        if (!waits) {
            waits = true;
            long wait = Math.max(0, told + APART_NANOS - System.nanoTime());
            later.schedule(this::tell, wait, TimeUnit.NANOSECONDS);
        }
    }

    /** What it was told of before it came. */
    synchronized void knows(long known) {
        revision = Math.max(revision, known);
    }

    private void tell() {
        String what;
        long newest;
        synchronized (this) {
            waits = false;
            told = System.nanoTime();
            what = String.join(" ", gathered);
            newest = revision;
            gathered.clear();
        }
        send(SseEmitter.event().id(Long.toString(newest)).name("change").data(what));
    }

    /** Sends, and ends the stream where nobody is there any more. */
    void send(SseEmitter.SseEventBuilder event) {
        try {
            emitter.send(event);
        } catch (IOException | IllegalStateException gone) {
            emitter.complete();
        }
    }
}
