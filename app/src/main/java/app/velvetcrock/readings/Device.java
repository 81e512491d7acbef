package app.velvetcrock.readings;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

/**
 * A probe or a scale of the household.
 *
 * @param seen when it last said something
 */
public record Device(UUID id, DeviceKind kind, String name, Instant made, Optional<Instant> seen) {}
