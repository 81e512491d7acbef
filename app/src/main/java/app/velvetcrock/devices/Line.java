package app.velvetcrock.devices;

import app.velvetcrock.core.heat.HeatReading;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.readings.Weighings.Weighing;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;

/** One line of what a device said, as it is understood; what is impossible is refused in words. */
record Line(Instant at, double value, boolean steady) {

    /** A clock that is this much ahead is still believed (decided: readings). */
    private static final Duration AHEAD = Duration.ofMinutes(5);

    /** No device of ours spoke before this; a clock that never was set says 1970 or 2000. */
    private static final Instant FIRST = Instant.parse("2015-01-01T00:00:00Z");

    private static final double HEAVIEST_GRAMS = 100_000;

    /** Why a line cannot be taken in. */
    static final class Impossible extends Exception {
        private static final long serialVersionUID = 1L;

        Impossible(String why) {
            super(why, null, false, false);
        }

        String why() {
            return String.valueOf(getMessage());
        }
    }

    /** A line that can be: said of a moment there was, to the millisecond. */
    static Line of(Instant at, double value, boolean steady, Instant now) throws Impossible {
        if (at.isAfter(now.plus(AHEAD))) {
            throw new Impossible("its moment lies more than 5 minutes ahead");
        }
        if (at.isBefore(FIRST)) {
            throw new Impossible("its moment lies before 2015: has the device a clock?");
        }
        if (!Double.isFinite(value)) {
            throw new Impossible("its value is no number");
        }
        return new Line(at.truncatedTo(ChronoUnit.MILLIS), value, steady);
    }

    HeatReading reading() throws Impossible {
        if (value < Temperature.COLDEST || value > Temperature.HOTTEST) {
            throw new Impossible("no probe in a kitchen reads that: it is between -30 and 250 °C; is it plugged in?");
        }
        return new HeatReading(at, Temperature.ofCelsius(value), true);
    }

    Weighing weighing() throws Impossible {
        if (value < 0 || value > HEAVIEST_GRAMS) {
            throw new Impossible("no scale in a kitchen weighs that: it is between 0 and 100,000 g");
        }
        return new Weighing(at, Mass.ofGrams(value), steady);
    }
}
