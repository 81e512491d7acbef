package app.velvetcrock.core.book;

/** How often chance alone brings so many or more, so few or fewer, of some that are each as likely. */
public final class Tail {

    /** [E] Rarer than this is not put down to chance (craft: learning). */
    public static final double RARE = 0.05;

    /** Fewer than these on a side are too few to say anything (craft: learning). */
    public static final int ENOUGH = 5;

    private Tail() {}

    /**
     * The chance of at most so many.
     *
     * @param of how many there were, 0 or more
     * @param chance of each, 0 to 1
     */
    public static double atMost(int count, int of, double chance) {
        double sum = 0;
        for (int k = 0; k <= Math.min(count, of); k++) {
            sum += Math.exp(logChoose(of, k) + power(chance, k) + power(1 - chance, of - k));
        }
        return Math.min(1, sum);
    }

    /** The chance of at least so many. */
    public static double atLeast(int count, int of, double chance) {
        return atMost(of - count, of, 1 - chance);
    }

    private static double power(double base, int times) {
        return times == 0 ? 0 : times * Math.log(base);
    }

    private static double logChoose(int n, int k) {
        double log = 0;
        for (int i = 1; i <= k; i++) {
            log += Math.log((n - k + i) / (double) i);
        }
        return log;
    }
}
