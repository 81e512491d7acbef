package app.velvetcrock.stores;

import app.velvetcrock.core.measure.Mass;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;

/** A lot's ledger as a running story. */
public record LotStory(UUID id, String name, LotKind kind, String typed, Mass left, List<Line> lines) {

    /** One movement: out or in, how much, why, what was left after it, and whether it can be taken back from the story. */
    public record Line(UUID id, Instant happenedAt, boolean in, Mass amount, String why, Optional<UUID> batch, Mass leftAfter, boolean canTakeBack) {}

    static LotStory of(Lot lot, List<Movement> movements) {
        List<Line> lines = new ArrayList<>();
        Set<UUID> reversed = movements.stream().map(m -> m.reverses).filter(Objects::nonNull).collect(Collectors.toSet());
        long left = 0;
        for (Movement m : movements) {
            left += m.amount;
            lines.add(new Line(m.id, m.happenedAt, m.amount > 0, Mass.ofMilligrams(Math.abs(m.amount)), m.cause.word(),
                    Optional.ofNullable(m.batchId), Mass.ofMilligrams(left),
                    Oils.DRAWINGS.contains(m.cause) && !reversed.contains(m.id)));
        }
        return new LotStory(lot.id, lot.name, lot.kind, lot.typed, Mass.ofMilligrams(lot.balance), lines);
    }
}
