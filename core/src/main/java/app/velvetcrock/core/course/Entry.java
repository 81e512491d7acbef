package app.velvetcrock.core.course;

import java.time.Instant;
import java.util.UUID;

/**
 * A line of a batch's log, and when what it says happened.
 *
 * @param happenedAt when it was done, which may be earlier than when it was written down
 */
public record Entry(UUID id, Instant happenedAt, Line line) {}
