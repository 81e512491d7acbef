package app.velvetcrock.core.strain;

import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Texture;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.working.Figure;
import app.velvetcrock.core.working.Working;
import java.util.List;

/**
 * What the marc keeps: mL of oil per g of herb as weighed.
 *
 * @param mean expected, 0 to 4
 * @param spread standard deviation, batch scatter included
 * @param batches measured batches it rests on; 0 for the shipped estimate alone
 */
public record Retention(double mean, double spread, int batches) {

    /** [E] Oil left in a herb that only dripped, beyond what pressing leaves (craft: strain). */
    private static final double DRIP_DRY = 0.9;

    /** [E] The same of a fresh or wilted herb (craft: strain). */
    private static final double DRIP_WET = 0.3;

    /** [E] A screw press leaves six tenths. */
    private static final double SCREW = 0.6;

    /** [E] Scatter from batch to batch (craft: strain). */
    private static final double SCATTER_DRY = 0.25;

    /** [E] The same of a wet one. */
    private static final double SCATTER_WET = 0.05;
    /** [E] More than this many mL to the gram no pressing leaves: it was spilled or misread, and teaches nothing. */
    private static final double MOST_BELIEVED = 4;

    /** The shipped estimate for a herb that nobody has measured yet. */
    public static Retention shipped(Texture texture, Moisture moisture, Pressing pressing) {
        Retention byHand =
                switch (moisture) {
                    case DRIED -> new Retention(texture.retention(), texture.retentionSpread(), 0);
                    case WILTED -> new Retention(0.5, 0.2, 0);
                    case FRESH -> new Retention(0.15, 0.08, 0);
                    case JUICY -> new Retention(0.25, 0.10, 0);
                };
        return switch (pressing) {
            case HAND -> byHand;
            case DRIP -> new Retention(byHand.mean + (moisture.isDried() ? DRIP_DRY : DRIP_WET), byHand.spread, 0);
            case SCREW -> new Retention(byHand.mean * SCREW, byHand.spread * SCREW, 0);
        };
    }

    /**
     * Takes in what was measured, by the normal rule: the prior and each batch weigh by one over their variance. The spread is
     * that of the next batch, so the scatter is in it; it never grows beyond the prior's.
     */
    public Retention learning(List<Double> measured, Moisture moisture) {
        if (measured.isEmpty()) {
            return this;
        }
        double scatter = moisture.isDried() ? SCATTER_DRY : SCATTER_WET;
        double prior = 1 / (spread * spread);
        double each = 1 / (scatter * scatter);
        double weight = prior + measured.size() * each;
        double sum = measured.stream().mapToDouble(Double::doubleValue).sum();
        double learned = (mean * prior + sum * each) / weight;
        return new Retention(learned, Math.min(spread, Math.sqrt(1 / weight + scatter * scatter)), measured.size());
    }

    /** How much more oil comes back of some herb than another estimate says, in mL; below nothing where less does. */
    public double moreThan(Retention other, Mass herb) {
        return (other.mean - mean) * herb.grams();
    }

    /** What one strained batch shows: (poured − out at 20 °C − film) ÷ herb; may be outside what is believed. */
    public static double measured(Volume poured, Volume out, Mass herb) {
        return (poured.millilitres() - out.millilitres() - YieldForecast.FILM.millilitres()) / herb.grams();
    }

    /** The sum of {@link #measured}, and what the next forecast of the same herb then takes. */
    public static Working working(Volume poured, Volume out, Mass herb, Retention next) {
        return Working.of(
                        "a gram keeps = (oil poured − oil that came out at 20 °C − what stays on cloth and vessel) ÷ herb")
                .given("oil poured, topping up included", Figure.of(poured))
                .given("came out, at 20 °C", Figure.of(out))
                .estimate("cloth and vessel keep", Figure.of(YieldForecast.FILM))
                .given("herb", Figure.of(herb))
                .result("a gram kept", Figure.ofMillilitresPerGram(measured(poured, out, herb)))
                .result(
                        "the next is forecast with, %d measured".formatted(next.batches),
                        Figure.ofMillilitresPerGram(next.mean))
                .build();
    }

    /** Tells whether a measured figure can be learned without asking: 0 to 4 mL per g. */
    public static boolean isBelievable(double measured) {
        return measured >= 0 && measured <= MOST_BELIEVED;
    }
}
