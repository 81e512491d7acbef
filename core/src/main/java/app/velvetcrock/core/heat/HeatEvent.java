package app.velvetcrock.core.heat;

import java.time.Instant;

/** Something done to a heated oil at a moment. */
public record HeatEvent(Instant at, HeatChange change) {}
