package app.velvetcrock.core.timetable;

import java.time.Instant;
import java.util.List;
import java.util.Optional;

/** All steps of a plan in their places, one after the other. */
public record Timetable(List<Placed> placed) {

    public Timetable {
        placed = List.copyOf(placed);
        if (placed.isEmpty()) {
            throw new IllegalArgumentException("a timetable has no step; it needs at least one");
        }
    }

    /** When hands are first wanted. */
    public Instant start() {
        return placed.get(0).start();
    }

    /** When all is done. */
    public Instant end() {
        return placed.get(placed.size() - 1).end();
    }

    public Optional<Placed> of(String key) {
        return placed.stream().filter(one -> one.step().key().equals(key)).findFirst();
    }

    /** How many times heat is put on. */
    public int sessions() {
        return placed.stream()
                .filter(one -> one.step() instanceof Step.Heat)
                .mapToInt(one -> one.spans().size())
                .max()
                .orElse(0);
    }
}
