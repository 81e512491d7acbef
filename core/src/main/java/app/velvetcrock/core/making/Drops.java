package app.velvetcrock.core.making;

import app.velvetcrock.core.materia.SupplyKind;
import app.velvetcrock.core.measure.Check;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

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

    private static final double MOST = 10_000;
    private static final Pattern COUNTED = Pattern.compile("(\\d{1,4})\\s*(drops?|gtt)?");

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

    /**
     * How many drops are said: "37 drops", "a drop" is not; absent where it is no count of drops.
     *
     * @param bare whether a number alone is a count of them
     */
    public static Optional<Integer> counted(String typed, boolean bare) {
        Matcher said = COUNTED.matcher(typed.strip().toLowerCase(Locale.ROOT));
        return said.matches() && (bare || said.group(2) != null)
                ? Optional.of(Integer.parseInt(said.group(1)))
                : Optional.empty();
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
