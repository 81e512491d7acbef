package app.velvetcrock.core.making;

import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Worded;
import java.time.Duration;
import java.util.List;
import java.util.Optional;

/**
 * How a melt cools, off the heat: by Newton's law towards the room (craft: making, cooling forecast).
 *
 * @param tau its time constant
 */
public record Cooling(Temperature from, Temperature room, Duration tau) {

    /** [E] Of 200 g in a glass beaker in still air, minutes. */
    private static final double MINUTES = 40;

    private static final double OF_GRAMS = 200;
    private static final double SECONDS_PER_MINUTE = 60;

    /** Where it stands to cool, and how many times as long that takes [E]. */
    public enum Where implements Worded {
        IN_AIR("on the table", 1),
        IN_ITS_BATH("left in its bath, off the heat", 2.5),
        FREEZER("in a freezer, once below 40 °C", 0.8);

        private final String word;
        private final double slower;

        Where(String word, double slower) {
            this.word = word;
            this.slower = slower;
        }

        @Override
        public String word() {
            return word;
        }
    }

    /** Foresees it by its mass: τ = 40 min · (mass/200 g)^⅓. */
    public static Cooling of(Mass mass, Temperature from, Temperature room, Where where) {
        double minutes = MINUTES * Math.cbrt(mass.grams() / OF_GRAMS) * where.slower;
        return new Cooling(from, room, Duration.ofMillis(Math.round(Math.max(1, minutes) * SECONDS_PER_MINUTE * 1000)));
    }

    private static final int LATEST = 5;
    private static final double LEAST = 0.3;
    private static final double MOST = 4;

    /** How many times as slowly a household's melts cool: the mean of the last five, the latest last; absent while none is known. */
    public static Optional<Double> own(List<Double> factors) {
        return factors.isEmpty()
                ? Optional.empty()
                : Optional.of(factors.subList(Math.max(0, factors.size() - LATEST), factors.size()).stream()
                        .mapToDouble(factor -> Math.max(LEAST, Math.min(MOST, factor)))
                        .average()
                        .orElseThrow());
    }

    /** The same, so many times as slowly. */
    public Cooling times(double slower) {
        return new Cooling(from, room, Duration.ofMillis(Math.round(tau.toMillis() * slower)));
    }

    /** The same with the time constant two readings show, where they show one between two minutes and ten hours. */
    public Optional<Cooling> through(Temperature later, Duration after) {
        double before = from.celsius() - room.celsius();
        double then = later.celsius() - room.celsius();
        if (then <= 0 || then >= before || after.isZero() || after.isNegative()) {
            return Optional.empty();
        }
        double seconds = after.toMillis() / 1000.0 / Math.log(before / then);
        return seconds < 120 || seconds > 36_000
                ? Optional.empty()
                : Optional.of(new Cooling(from, room, Duration.ofMillis(Math.round(seconds * 1000))));
    }

    public Temperature at(Duration after) {
        double away = from.celsius() - room.celsius();
        return Temperature.ofCelsius(room.celsius() + away * Math.exp(-(double) after.toMillis() / tau.toMillis()));
    }

    /** After how long it is as cool as that; nothing where it is already, absent where it never will be. */
    public Optional<Duration> until(Temperature cool) {
        if (cool.celsius() >= from.celsius()) {
            return Optional.of(Duration.ZERO);
        }
        if (cool.celsius() <= room.celsius()) {
            return Optional.empty();
        }
        double away = (from.celsius() - room.celsius()) / (cool.celsius() - room.celsius());
        return Optional.of(Duration.ofMillis(Math.round(tau.toMillis() * Math.log(away))));
    }
}
