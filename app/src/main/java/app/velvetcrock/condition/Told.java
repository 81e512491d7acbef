package app.velvetcrock.condition;

import app.velvetcrock.core.look.Condition;
import app.velvetcrock.core.look.Held;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * A condition as pages tell it.
 *
 * @param by who found it
 * @param reach all it travelled to; nothing where it does not travel or is answered
 * @param alsoIn the names of what it travelled to and is still there
 * @param inIt whether it is told of something it travelled to, by the name of where it began
 * @param answer how it was answered; absent while it is open
 */
public record Told(
        UUID id,
        Condition kind,
        Subject subject,
        Instant foundAt,
        String by,
        String words,
        Reach reach,
        List<String> alsoIn,
        boolean inIt,
        Optional<Answered> answer) {

    private static final int NAMED = 4;

    public Told {
        alsoIn = List.copyOf(alsoIn);
    }

    /**
     * An answer in words, when and by whom.
     *
     * @param canTakeBack whether it was said by hand, and so can be taken back from here
     * @param line the line of a log that says it; absent where none does
     */
    public record Answered(String words, Instant at, String by, boolean canTakeBack, Optional<UUID> line) {}

    /** Its answer; null while it is open. */
    public @Nullable Answered answered() {
        return answer.orElse(null);
    }

    public boolean isOpen() {
        return answer.isEmpty();
    }

    public boolean holds(Held deed) {
        return isOpen() && kind.holds(deed);
    }

    /** Tells whether it is of this batch as a whole, and so of all that came of it, or travelled into it. */
    public boolean isOfBatch(UUID batch) {
        return isOwn(batch, null) || reach.batches().contains(batch);
    }

    /** Tells whether it is of this lot: by itself, as all of its batch, or because of what is in it. */
    public boolean isOfLot(@Nullable UUID batch, UUID lot) {
        return isOwn(batch, lot)
                || reach.lots().containsKey(lot)
                || (batch != null && reach.batches().contains(batch));
    }

    /** Tells whether it is of a batch or of anything that came of it. */
    public boolean touches(UUID batch) {
        return batch.equals(subject.batch()) || reach.touches(batch);
    }

    private boolean isOwn(@Nullable UUID batch, @Nullable UUID lot) {
        return (lot != null && lot.equals(subject.lot()))
                || (batch != null && subject.lot() == null && batch.equals(subject.batch()));
    }

    /** The same as it is told of a batch or a lot: by the name of where it began, where that is another. */
    public Told at(@Nullable UUID batch, @Nullable UUID lot) {
        boolean travelled = !isOwn(batch, lot);
        return travelled == inIt
                ? this
                : new Told(id, kind, subject, foundAt, by, words, reach, alsoIn, travelled, answer);
    }

    /** The same as a batch's own page tells it, which tells of what came of it too. */
    public Told atBatch(UUID batch) {
        return batch.equals(subject.batch()) ? this : at(batch, null);
    }

    /** Tells whether nothing that it is in is left, neither what it was found of nor what was made of it. */
    boolean isGone() {
        return reach.there().isEmpty() && alsoIn.isEmpty();
    }

    /** What is wrong, in words: "smells off", or of what it travelled to "in it: Yarrow oil, batch 4, smells off". */
    public String word() {
        return inIt ? "in it: %s, %s".formatted(subject.name(), kind.word()) : kind.word();
    }

    /** The same as short as a tag is: "in it: smells off". */
    public String tag() {
        return inIt ? "in it: " + kind.word() : kind.word();
    }

    /** What is wrong with a lot of the stores, of all that is open: "! smells off". */
    public static Stream<String> marks(List<Told> open, UUID lot) {
        return open.stream()
                .filter(told -> told.isOfLot(null, lot))
                .map(told -> "! " + told.at(null, lot).word());
    }

    /** Why a deed is held back, in words. */
    public String refusal(Held deed) {
        return "%s%s: %s, so it is not %s. %s"
                .formatted(inIt ? "In it is " : "", subject.name(), kind.word(), deed.word(), kind.advice());
    }

    /** What it is of and what is wrong: "Yarrow oil, batch 4: smells off". */
    public String head() {
        return "%s%s: %s".formatted(inIt ? "In it: " : "", subject.name(), kind.word());
    }

    /** Where else it is, in words, the first of many; empty where it is nowhere else. */
    public String also() {
        return alsoIn.size() <= NAMED + 1
                ? alsoEverywhere()
                : "also in %s and %d more"
                        .formatted(String.join(", ", alsoIn.subList(0, NAMED)), alsoIn.size() - NAMED);
    }

    /** Everywhere else it is, as its own page says it. */
    public String alsoEverywhere() {
        return alsoIn.isEmpty() ? "" : "also in " + String.join(", ", alsoIn);
    }
}
