package app.velvetcrock.core.measure;

/** A density in grams per millilitre, 0.01 to 25. */
public record Density(double gramsPerMillilitre) {

    /** [S] Water at 20 °C (craft: measures). */
    public static final Density WATER = new Density(0.998);

    /** [E] Warm oil loses 0.00067 g/mL for each °C above 20 (craft: measures). */
    private static final double OIL_LOSS_PER_DEGREE = 0.00067;

    private static final double REFERENCE_CELSIUS = 20;

    public Density {
        Check.range("density", gramsPerMillilitre, 0.01, 25, "g/mL");
    }

    public static Density ofGramsPerMillilitre(double gramsPerMillilitre) {
        return new Density(gramsPerMillilitre);
    }

    /**
     * Divides a mass by a volume.
     *
     * @throws IllegalArgumentException where the two imply nothing between 0.01 and 25 g/mL
     */
    public static Density between(Mass mass, Volume volume) {
        return new Density(mass.grams() / volume.millilitres());
    }

    public Mass massOf(Volume volume) {
        return Mass.ofGrams(volume.millilitres() * gramsPerMillilitre);
    }

    public Volume volumeOf(Mass mass) {
        return Volume.ofMillilitres(mass.grams() / gramsPerMillilitre);
    }

    public Density times(double factor) {
        return new Density(gramsPerMillilitre * factor);
    }

    /** Corrects an oil's density from 20 °C to the given temperature; below 20 °C it is left as it is. */
    public Density ofOilAt(Temperature temperature) {
        double above = Math.max(0, temperature.celsius() - REFERENCE_CELSIUS);
        return new Density(gramsPerMillilitre - OIL_LOSS_PER_DEGREE * above);
    }
}
