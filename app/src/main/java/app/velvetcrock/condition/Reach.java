package app.velvetcrock.condition;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * How far something travelled.
 *
 * @param lots every lot it is in, gone ones too
 * @param batches every batch it went into, or that came to an end with it
 */
public record Reach(Map<UUID, Reached> lots, Set<UUID> batches) {

    public static final Reach NOTHING = new Reach(Map.of(), Set.of());

    public Reach {
        lots = Map.copyOf(lots);
        batches = Set.copyOf(batches);
    }

    /**
     * A lot it is in.
     *
     * @param batch the batch the lot came from; null for what came of none
     * @param isThere whether any of it is left
     */
    public record Reached(UUID lot, String name, @Nullable UUID batch, boolean isThere) {}

    /** The lots that are not used up. */
    public List<Reached> there() {
        return lots.values().stream().filter(Reached::isThere).toList();
    }

    /** Tells whether it went into a batch as a whole, or is in a lot that came of it. */
    boolean touches(UUID batch) {
        return batches.contains(batch) || lots.values().stream().anyMatch(one -> batch.equals(one.batch()));
    }

    /** Batches of which nothing came yet: what still stands or is in the pan. */
    public Set<UUID> unfinished() {
        Set<UUID> finished = lots.values().stream()
                .map(Reached::batch)
                .filter(batch -> batch != null)
                .collect(Collectors.toSet());
        return batches.stream().filter(one -> !finished.contains(one)).collect(Collectors.toSet());
    }

    boolean isNamedIn(String address) {
        return isIn(lots.keySet(), address) || isIn(batches, address);
    }

    private static boolean isIn(Collection<UUID> ids, String address) {
        return ids.stream().anyMatch(id -> address.contains(id.toString()));
    }
}
