package app.velvetcrock.core.making;

import app.velvetcrock.core.materia.SupplyKind;
import app.velvetcrock.core.measure.Check;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;

/**
 * So much of one essential oil, counted in drops.
 *
 * @param perMillilitre 20 by convention; a calibrated bottle gives 10 to 50. Ceilings are checked at 20 or fewer unless calibrated
 */
public record Drops(SupplyKind oil, double count, double perMillilitre) {

    /** By convention (craft: measures, drops). */
    public static final double USUAL = 20;

    /** What a bottle's dropper can give to the millilitre; calibrated ones give 10 to 50 (craft: measures, drops). */
    public static final double FEWEST = 5;

    public static final double SMALLEST = 60;

    /** More than any pan's weight of anything comes to. */
    private static final double MOST = 10_000_000;

    public Drops {
        Check.range("drops", count, 0, MOST, "drops");
        Check.range("drops to the millilitre", perMillilitre, FEWEST, SMALLEST, "drops");
    }

    public static Drops of(SupplyKind oil, double count) {
        return new Drops(oil, count, USUAL);
    }

    /** So many drops of a dropper as weigh so much. */
    public static Drops from(SupplyKind oil, Mass mass, double perMillilitre) {
        return new Drops(oil, oil.density().volumeOf(mass).millilitres() * perMillilitre, perMillilitre);
    }

    public Volume volume() {
        return Volume.ofMillilitres(count / perMillilitre);
    }

    public Mass mass() {
        return oil.density().massOf(volume());
    }

    Drops times(double factor) {
        return new Drops(oil, Math.floor(count * factor + 1e-9), perMillilitre);
    }
}
