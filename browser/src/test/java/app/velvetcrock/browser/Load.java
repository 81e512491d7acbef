package app.velvetcrock.browser;

import java.util.ArrayList;
import java.util.List;
import java.util.Queue;
import java.util.UUID;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ThreadLocalRandom;
import java.util.concurrent.atomic.AtomicInteger;

/** Households that write without a break, and what was acknowledged to them. */
final class Load {

    private final String front;
    private final List<Node> nodes;
    private final Queue<Deed> acknowledged = new ConcurrentLinkedQueue<>();
    private final AtomicInteger repeated = new AtomicInteger();
    private final Queue<Long> answered = new ConcurrentLinkedQueue<>();
    private final List<Thread> writers = new ArrayList<>();
    private volatile boolean ending;
    private Writer someone = new Writer(this, 0);

    /** A load on the nodes themselves, or on what stands before them. */
    Load(List<Node> nodes, String front) {
        this.nodes = nodes;
        this.front = front;
    }

    /** What was acknowledged: by its key, with what it must have left behind. */
    record Deed(String kind, UUID household, String mark) {}

    void begin(int households) throws Exception {
        for (int i = 0; i < households; i++) {
            Writer writer = new Writer(this, i);
            writer.begin();
            someone = writer;
            writers.add(new Thread(writer, "writer-" + i));
        }
        writers.forEach(Thread::start);
    }

    /** A session of one of the households, as a header says it. */
    String cookie() {
        return someone.cookie();
    }

    void end() throws InterruptedException {
        ending = true;
        for (Thread writer : writers) {
            writer.join();
        }
    }

    boolean isEnding() {
        return ending;
    }

    void acknowledged(Deed deed, boolean again) {
        acknowledged.add(deed);
        answered.add(System.nanoTime());
        repeated.addAndGet(again ? 1 : 0);
    }

    Queue<Deed> acknowledged() {
        return acknowledged;
    }

    int repeated() {
        return repeated.get();
    }

    String base() {
        return front.isEmpty()
                ? nodes.get(ThreadLocalRandom.current().nextInt(nodes.size())).base()
                : front;
    }

    /** Seconds from a moment to the first deed that was acknowledged after it. */
    double untilAnswered(long moment) throws InterruptedException {
        for (int i = 0; i < 1200; i++) {
            for (long one : answered) {
                if (one > moment + 50_000_000) {
                    return (one - moment) / 1e9;
                }
            }
            answered.removeIf(one -> one <= moment);
            Thread.sleep(50);
        }
        return Double.POSITIVE_INFINITY;
    }
}
