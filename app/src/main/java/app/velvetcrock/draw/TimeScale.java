package app.velvetcrock.draw;

import java.time.Duration;
import java.time.Instant;

/** Time to pixels; what lies outside stands at the edge. */
public record TimeScale(Instant start, Instant end, Frame frame) {

    /** Pixels between which a time is drawn. */
    public record Frame(double left, double right) {}

    public double x(Instant at) {
        double share = Duration.between(start, at).toMillis()
                / (double) Math.max(1, Duration.between(start, end).toMillis());
        return frame.left() + (frame.right() - frame.left()) * Math.max(0, Math.min(1, share));
    }
}
