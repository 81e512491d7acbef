package app.velvetcrock.stock;

import app.velvetcrock.core.larder.LotKind;
import app.velvetcrock.core.larder.Stock;
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
import org.jspecify.annotations.Nullable;

/** A lot's ledger as a running story. */
public record LotStory(
        UUID id, String name, LotKind kind, String typed, boolean inPieces, long balance, List<Line> lines) {

    /**
     * One movement.
     *
     * @param amount how much, in the lot's own unit, never below nothing
     * @param note the reason in words; empty for none
     * @param canTakeBack true when it can be taken back from the story
     * @param lost true of what was thrown out
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
            boolean canTakeBack,
            boolean lost) {}

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
                    isByHand(lot, m) && m.deed == null && holds,
                    m.cause == Cause.DISCARDED));
        }
        return new LotStory(lot.id, lot.name, lot.kind, lot.typed, lot.unit == Stock.Unit.PIECE, lot.balance, lines);
    }

    /** A made thing that was thrown out was so by hand, as one that was given away; of all else the batch's log tells it. */
    private static boolean isByHand(Lot lot, Movement m) {
        return Oils.DRAWINGS.contains(m.cause) || lot.kind == LotKind.MADE && m.cause == Cause.DISCARDED;
    }

    /** A long story is told in parts of so many lines, the latest first. */
    private static final int ON_A_PAGE = 60;

    /**
     * The lines of one part, in their order.
     *
     * @param before the line the part ends before; null, or one that is not there, for the latest
     */
    public List<Line> part(@Nullable String before) {
        int end = end(before);
        return lines.subList(Math.max(0, end - ON_A_PAGE), end);
    }

    /** The line that what is earlier than a part ends before; null where nothing is. */
    public @Nullable UUID earlier(@Nullable String before) {
        int begin = end(before) - ON_A_PAGE;
        return begin > 0 ? lines.get(begin).id() : null;
    }

    private int end(@Nullable String before) {
        for (int i = 1; i < lines.size() && before != null; i++) {
            if (lines.get(i).id().toString().equals(before)) {
                return i;
            }
        }
        return lines.size();
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
