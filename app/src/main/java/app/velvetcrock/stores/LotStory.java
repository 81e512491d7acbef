package app.velvetcrock.stores;

import app.velvetcrock.core.measure.Mass;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/** A lot's ledger as a running story. */
public record LotStory(UUID id, String name, LotKind kind, String typed, Mass left, List<Line> lines) {

    /** One movement: out or in, how much, why, and what was left after it. */
    public record Line(Instant happenedAt, boolean in, Mass amount, String why, Optional<UUID> batch, Mass leftAfter) {}

    static LotStory of(Lot lot, List<Movement> movements) {
        List<Line> lines = new ArrayList<>();
        long left = 0;
        for (Movement m : movements) {
            left += m.amount;
            lines.add(new Line(m.happenedAt, m.amount > 0, Mass.ofMilligrams(Math.abs(m.amount)), m.cause.word(),
                    Optional.ofNullable(m.batchId), Mass.ofMilligrams(left)));
        }
        return new LotStory(lot.id, lot.name, lot.kind, lot.typed, Mass.ofMilligrams(lot.balance), lines);
    }
}
