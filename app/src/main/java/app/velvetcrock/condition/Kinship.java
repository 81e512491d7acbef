package app.velvetcrock.condition;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * What was made of what, as the ledger knows it: lot → batch → lot, and lot → lot. A draw that was taken back is no edge. The one walk
 * for all that travels: conditions, recall, whoever looks for a culprit.
 */
public interface Kinship {

    /** Where a walk begins; {@code lot} null for a batch and all that came of it. */
    record Origin(UUID id, @Nullable UUID batch, @Nullable UUID lot) {}

    /** Everything ever made of each, however many steps down, itself included; led by the stillroom, in one query. */
    Map<UUID, Reach> madeOf(Collection<Origin> origins);

    /** A bottle something was poured from, and in words what else was poured of it and is still there; empty for nothing. */
    record Source(UUID lot, String name, String others) {}

    /** The bottles something was poured from, one step up: those with oil left, or of which something else is still there. */
    List<Source> pouredFrom(Subject subject);

    /** What left the house of some lots: given or sold, and not taken back. */
    record Gone(UUID movement, UUID lot, String words, Instant at) {}

    List<Gone> goneOf(Collection<UUID> lots);
}
