package app.velvetcrock.stock;

import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.stillroom.House;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;

/** A lot's ledger as a running story. */
public record LotStory(
        UUID id, String name, LotKind kind, String typed, boolean inPieces, long balance, List<Line> lines) {

    /**
     * One movement.
     *
     * @param amount how much, in the lot's own unit, never below nothing
     * @param note the reason in words; empty for none
     * @param canTakeBack true when it can be taken back from the story
     */
    public record Line(
            UUID id,
            Instant happenedAt,
            boolean in,
            long amount,
            String why,
            String note,
            Optional<UUID> batch,
            Optional<UUID> deed,
            long leftAfter,
            boolean canTakeBack) {}

    static LotStory of(Lot lot, List<Movement> movements) {
        List<Line> lines = new ArrayList<>();
        Set<UUID> reversed =
                movements.stream().map(m -> m.reverses).filter(Objects::nonNull).collect(Collectors.toSet());
        long left = 0;
        for (Movement m : movements) {
            left += m.amount;
            boolean holds = !reversed.contains(m.id) && m.reverses == null;
            lines.add(new Line(
                    m.id,
                    m.happenedAt,
                    m.amount > 0,
                    Math.abs(m.amount),
                    m.cause.word(),
                    m.note == null ? "" : m.note,
                    Optional.ofNullable(m.batchId),
                    Optional.ofNullable(m.deed).filter(deed -> holds),
                    left,
                    Oils.DRAWINGS.contains(m.cause) && m.deed == null && holds));
        }
        return new LotStory(lot.id, lot.name, lot.kind, lot.typed, lot.unit == StockUnit.PIECE, lot.balance, lines);
    }

    public String left(House house) {
        return words(house, balance);
    }

    public Mass left() {
        return Mass.ofMilligrams(balance);
    }

    /** An amount as a weight, of lots that are weighed. */
    public Mass mass(long amount) {
        return Mass.ofMilligrams(amount);
    }

    /** An amount in the lot's own unit, as the household writes it. */
    public String words(House house, long amount) {
        return inPieces ? String.valueOf(amount) : house.mass(Mass.ofMilligrams(amount));
    }
}
