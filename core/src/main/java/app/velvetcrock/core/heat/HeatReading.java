package app.velvetcrock.core.heat;

import app.velvetcrock.core.measure.Temperature;
import java.time.Instant;

/** A temperature read by hand at a moment. */
public record HeatReading(Instant at, Temperature temperature) {}
