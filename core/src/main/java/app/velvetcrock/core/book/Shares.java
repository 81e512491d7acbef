package app.velvetcrock.core.book;

import java.util.ArrayList;
import java.util.List;
import java.util.function.IntToDoubleFunction;

/**
 * How much each of several factors has to do with a difference: what changing it changes, averaged over all orders in which they can
 * be changed. The shares add up to the whole difference, whatever the sum is (craft: learning).
 */
public final class Shares {

    /** More than these are not averaged: every further one doubles the work. */
    public static final int MOST = 8;

    private Shares() {}

    /**
     * One factor's.
     *
     * @param amount in the outcome's own unit; below nothing where it works against the difference
     */
    public record Share(String factor, double amount) {}

    /**
     * Works them out.
     *
     * @param factors at most {@link #MOST}
     * @param outcome of a mixture: bit {@code i} set takes factor {@code i} from the second, else from the first
     * @throws IllegalArgumentException for more factors
     */
    public static List<Share> of(List<String> factors, IntToDoubleFunction outcome) {
        int n = factors.size();
        if (n > MOST) {
            throw new IllegalArgumentException("%d factors; at most %d are averaged".formatted(n, MOST));
        }
        double[] outcomes = new double[1 << n];
        for (int mixture = 0; mixture < outcomes.length; mixture++) {
            outcomes[mixture] = outcome.applyAsDouble(mixture);
        }
        List<Share> shares = new ArrayList<>();
        for (int factor = 0; factor < n; factor++) {
            double share = 0;
            for (int before = 0; before < outcomes.length; before++) {
                if ((before & 1 << factor) == 0) {
                    share += weight(Integer.bitCount(before), n) * (outcomes[before | 1 << factor] - outcomes[before]);
                }
            }
            shares.add(new Share(factors.get(factor), share));
        }
        return shares;
    }

    /** The share of all orders in which just so many are changed before it. */
    private static double weight(int before, int n) {
        double orders = 1.0 / n;
        for (int i = 1; i <= before; i++) {
            orders *= i / (double) (n - i);
        }
        return orders;
    }
}
