package app.velvetcrock.bench;

import app.velvetcrock.core.measure.UnitSystem;
import app.velvetcrock.stillroom.House;

/**
 * What a dragged mark writes into the sentence: its unit, how many millilitres or grams that is, and its step.
 */
record Marks(String oilUnit, double oilPer, double oilStep, String herbUnit, double herbPer, double herbStep) {

    private static final Marks METRIC = new Marks("mL", 1, 5, "g", 1, 1);
    private static final double QUARTER = 0.25;
    private static final double TWENTIETH = 0.05;

    /** [S] NIST SP 811. */
    private static final double GRAMS_PER_OUNCE = 28.3495;

    static Marks of(House house) {
        return house.settings().units().system() == UnitSystem.METRIC
                ? METRIC
                : new Marks(
                        "fl oz",
                        house.settings().units().cups().fluidOunce().millilitres(),
                        QUARTER,
                        "oz",
                        GRAMS_PER_OUNCE,
                        TWENTIETH);
    }
}
