package app.velvetcrock.core.making;

import app.velvetcrock.core.measure.Temperature;
import java.time.Duration;
import java.util.Optional;

/**
 * At what temperatures things are done to a cooling melt (craft: making, order of heat).
 *
 * @param congeal where it begins to set
 * @param drops essential oils go in from here down, at most 65 °C
 * @param tooLate below this it sets in the pan: warm it again
 * @param honey honey goes in from here down, at most 50 °C
 */
public record Pouring(Temperature congeal, Temperature drops, Temperature tooLate, Temperature honey) {

    /** Vitamin E goes in below this. */
    public static final Temperature VITAMIN_E = Temperature.ofCelsius(70);

    /** [E] A tin takes so long to pour. */
    public static final Duration A_TIN = Duration.ofSeconds(12);

    private static final double BASE = 38;
    private static final double PER_PERCENT = 0.55;
    private static final double HIGHEST = 60;
    private static final double LEAST_WAX = 0.05;
    private static final double ABOVE = 8;
    private static final double MOST_FOR_DROPS = 65;
    private static final double LAST = 3;
    private static final double MOST_FOR_HONEY = 50;
    private static final double PERCENT = 100;

    /** By where it was seen to congeal, at the first haze. */
    public static Pouring at(Temperature congeal) {
        double haze = congeal.celsius();
        return new Pouring(
                congeal,
                // What sets hotter than drops can bear leaves no stretch for them.
                Temperature.ofCelsius(Math.max(haze + LAST, Math.min(MOST_FOR_DROPS, haze + ABOVE))),
                Temperature.ofCelsius(haze + LAST),
                Temperature.ofCelsius(Math.min(MOST_FOR_HONEY, haze + LAST)));
    }

    /** By its beeswax, congeal ≈ 38 + 0.55·(100 p), at most 60 °C [E]; absent under 5 % of wax and with another wax: then by eye. */
    public static Optional<Pouring> of(Formula formula) {
        double wax = formula.firmness().waxShare();
        return wax < LEAST_WAX || !formula.isBeeswaxAlone()
                ? Optional.empty()
                : Optional.of(at(Temperature.ofCelsius(Math.min(HIGHEST, BASE + PER_PERCENT * PERCENT * wax))));
    }

    /** The stretch in which drops go in and it is poured, from the moment it is off the heat. */
    public Optional<Window> window(Cooling cooling) {
        return cooling.until(drops).flatMap(from -> cooling.until(tooLate).map(until -> new Window(from, until)));
    }

    /** From when to when, after it is off the heat. */
    public record Window(Duration from, Duration until) {

        public Duration length() {
            return until.minus(from);
        }

        /** How many containers are poured within it before the rest must wait on the bath. */
        public int tins() {
            return (int) (length().toMillis() / A_TIN.toMillis());
        }
    }
}
