package app.velvetcrock.core.planning;

import app.velvetcrock.core.measure.Mass;
import java.util.UUID;

/** So much out of a lot. */
public record Take(UUID lot, Mass mass) {}
