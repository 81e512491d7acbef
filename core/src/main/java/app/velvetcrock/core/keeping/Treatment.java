package app.velvetcrock.core.keeping;

import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.Temperature;

/**
 * What was done to the oil that shortens or lengthens its life.
 *
 * @param resinousBud true for balsam and other resinous buds, which hold water
 */
public record Treatment(
        Temperature hottest,
        boolean inLight,
        Moisture moisture,
        Cut cut,
        boolean resinousBud,
        boolean food,
        Aftermath after) {

    /** Below this a stage does not count as heat (craft: keeping). */
    private static final double WARM_CELSIUS = 30;
    /** From here heat costs an oil a quarter of its life (craft: keeping). */
    public static final Temperature HOT = Temperature.ofCelsius(70);

    double heatFactor() {
        if (hottest.celsius() < WARM_CELSIUS) {
            return 1.0;
        }
        return hottest.compareTo(HOT) < 0 ? 0.9 : 0.75;
    }

    double herbFactor() {
        return switch (moisture) {
            case DRIED -> resinousBud ? 0.7 : cut.isFine() && cut != Cut.GROUND ? 0.9 : 1.0;
            case WILTED -> 0.6;
            case FRESH, JUICY -> 0.5;
        };
    }

    String herbWord() {
        return moisture.isDried() && resinousBud
                ? "resinous bud"
                : moisture.isDried() && herbFactor() < 1 ? "powder" : moisture.word() + " herb";
    }
}
