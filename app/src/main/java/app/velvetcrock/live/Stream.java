package app.velvetcrock.live;

import jakarta.servlet.AsyncContext;
import jakarta.servlet.AsyncEvent;
import jakarta.servlet.AsyncListener;
import jakarta.servlet.ServletOutputStream;
import jakarta.servlet.WriteListener;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;

/**
 * One browser that listens: the first change is told at once, then at most four times a second what gathered meanwhile.
 *
 * <p>Nobody waits until it has read what it was told: what it does not take lies here, and where that is too much it is let go; it
 * comes again by itself and asks what it missed.
 */
final class Stream implements WriteListener, AsyncListener {

    private static final long APART_NANOS = TimeUnit.MILLISECONDS.toNanos(250);

    /** All there is on the page; where it is not known what changed. */
    static final String ANYTHING = "*";

    /** So many characters may wait for it: some minutes of changes and beats. */
    private static final int MOST_WAITING = 4_096;

    final Streams.Who who;

    private final AsyncContext later;
    private final ServletOutputStream out;
    private final Runnable cut;
    private final Runnable gone;
    private final Set<String> gathered = new LinkedHashSet<>();
    private final StringBuilder unsent = new StringBuilder();
    private long revision;
    private long told = System.nanoTime() - APART_NANOS;
    private boolean waits;
    private boolean over;

    /**
     * Over an answer that is under way.
     *
     * @param cut cuts its connection
     * @param gone what is to be done once it has ended, from whichever side
     */
    Stream(Streams.Who who, AsyncContext later, ServletOutputStream out, Runnable cut, Runnable gone) {
        this.cut = cut;
        this.who = who;
        this.later = later;
        this.out = out;
        this.gone = gone;
    }

    /** Lets the browser know soon; what it knows already is not told again. */
    synchronized void changed(long newest, String what, ScheduledExecutorService soon) {
        if (newest <= revision && !waits) {
            return;
        }
        revision = Math.max(revision, newest);
        gathered.add(what);
        if (!waits) {
            waits = true;
            long wait = Math.max(0, told + APART_NANOS - System.nanoTime());
            soon.schedule(this::tell, wait, TimeUnit.NANOSECONDS);
        }
    }

    /** What it was told of before it came. */
    synchronized void knows(long known) {
        revision = Math.max(revision, known);
    }

    private synchronized void tell() {
        waits = false;
        told = System.nanoTime();
        say("id:%d\nevent:change\ndata:%s\n\n".formatted(revision, String.join(" ", gathered)));
        gathered.clear();
    }

    /** Says something as soon as the browser takes it. */
    synchronized void say(String event) {
        if (over) {
            return;
        }
        if (unsent.length() + event.length() > MOST_WAITING) {
            end();
            return;
        }
        unsent.append(event);
        write();
    }

    @Override
    public synchronized void onWritePossible() {
        write();
    }

    private void write() {
        try {
            while (!over && out.isReady()) {
                if (unsent.length() == 0) {
                    return;
                }
                byte[] event = unsent.toString().getBytes(StandardCharsets.UTF_8);
                unsent.setLength(0);
                out.write(event);
                if (out.isReady()) {
                    out.flush();
                }
            }
        } catch (IOException | IllegalStateException nobodyThere) {
            end();
        }
    }

    /** Ends it, and whoever listened comes again if they may. */
    synchronized void end() {
        if (over) {
            return;
        }
        over = true;
        gone.run();
        if (unsent.length() > 0) {
            cut.run();
        } else {
            complete();
        }
    }

    private void complete() {
        try {
            later.complete();
        } catch (IllegalStateException completed) {
            // It ended by itself at the same moment.
        }
    }

    @Override
    public void onError(Throwable broken) {
        end();
    }

    @Override
    public synchronized void onError(AsyncEvent broken) {
        over = true;
        gone.run();
        complete();
    }

    @Override
    public void onTimeout(AsyncEvent longEnough) {
        end();
    }

    @Override
    public synchronized void onComplete(AsyncEvent ended) {
        over = true;
        gone.run();
    }

    @Override
    public void onStartAsync(AsyncEvent again) {}
}
