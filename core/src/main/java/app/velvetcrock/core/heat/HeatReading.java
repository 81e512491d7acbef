package app.velvetcrock.core.heat;

import app.velvetcrock.core.measure.Temperature;
import java.time.Instant;

/**
 * A temperature read at a moment.
 *
 * @param byProbe true where a device read it, false where a person did
 */
public record HeatReading(Instant at, Temperature temperature, boolean byProbe) {

    /** A temperature read by hand. */
    public HeatReading(Instant at, Temperature temperature) {
        this(at, temperature, false);
    }
}
