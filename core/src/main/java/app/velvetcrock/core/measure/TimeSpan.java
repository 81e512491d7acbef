package app.velvetcrock.core.measure;

/** A stretch of time in minutes, 0 to 5,256,000 (ten years). */
public record TimeSpan(double minutes) implements Quantity {

    private static final double MINUTES_PER_DAY = 1440;

    public TimeSpan {
        Check.range("time", minutes, 0, 5_256_000, "min");
    }

    public static TimeSpan ofMinutes(double minutes) {
        return new TimeSpan(minutes);
    }

    public double toDays() {
        return minutes / MINUTES_PER_DAY;
    }
}
