package app.velvetcrock.core.heat;

import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.method.Stage;
import java.util.Optional;

/** Whether a bare number is of the other scale: as the household has it, it fits no oil on this heat (craft: heat). */
public final class OtherScale {

    /** [E] So far above its ceiling, °C, nothing on a stove gets unseen between two looks. */
    private static final double FAR_ABOVE = 40;

    /** Water boils; nothing in a bath of it is hotter, °C. */
    private static final double BOILING = 100;

    /** [E] Nothing in a kitchen is colder, °C. */
    private static final double COLDEST = 10;

    /** Below the band by more than this nothing is earned, °C (craft: heat-hours). */
    private static final double BELOW_BAND = 15;

    /** [E] Above its ceiling by this an oil is found now and then, °C. */
    private static final double ABOVE = 15;

    private static final double FREEZING = 32;
    private static final double PER_DEGREE = 1.8;

    private OtherScale() {}

    /**
     * What was meant, if the number was of the other scale.
     *
     * @param read as the household's own scale has it
     * @param isCelsius whether that is Celsius
     */
    public static Optional<Temperature> meant(Temperature read, boolean isCelsius, Stage stage) {
        if (stage.ceiling().isEmpty()) {
            return Optional.empty();
        }
        double ceiling = stage.ceiling().get().celsius();
        double most = stage.isWaterBath() ? Math.min(BOILING, ceiling + FAR_ABOVE) : ceiling + FAR_ABOVE;
        boolean fits = read.celsius() >= COLDEST && read.celsius() <= most;
        double other = isCelsius ? (read.celsius() - FREEZING) / PER_DEGREE : read.toFahrenheit();
        boolean otherFits = other >= stage.band().low().celsius() - BELOW_BAND && other <= ceiling + ABOVE;
        return !fits && otherFits ? Optional.of(Temperature.ofCelsius(other)) : Optional.empty();
    }
}
