package app.velvetcrock.core.drying;

import app.velvetcrock.core.measure.Mass;
import java.time.Instant;

/** One weighing of a drying lot, and what the hand said. */
public record WeighIn(Instant at, Mass mass, Snap snap) {}
