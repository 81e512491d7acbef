package app.velvetcrock.core.label;

import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Unit;

/** The net weight on a label: metric and US, each rounded down, so that no buyer gets less than it says (craft: making). */
public final class NetWeight {

    /** Under so many grams, or ounces, a place more is said. */
    private static final double FEW = 10;

    private static final double SLACK = 1e-9;

    private NetWeight() {}

    /** Both in words: "51 g (1.79 oz)", of little "4.6 g (0.16 oz)". */
    public static String of(Mass net) {
        double ounces = net.grams() / Unit.OUNCE.factor();
        return "%s g (%s oz)"
                .formatted(down(net.grams(), net.grams() < FEW ? 1 : 0), down(ounces, ounces < FEW ? 2 : 1));
    }

    private static String down(double value, int places) {
        double step = Math.pow(10, places);
        return Decimals.upTo(Math.floor(value * step + SLACK) / step, places);
    }
}
