package app.velvetcrock.condition;

import app.velvetcrock.core.larder.Withheld;
import app.velvetcrock.core.look.Held;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** What may not be done to some lots, and why. */
public record HeldBack(List<Told> told) {

    /** What open conditions hold back from a deed. */
    public static HeldBack from(Held deed, List<Told> open) {
        return new HeldBack(open.stream().filter(one -> one.holds(deed)).toList());
    }

    /** Whether nothing holds back a lot, by itself or as all of its batch. */
    public boolean isFree(@Nullable UUID batch, UUID lot) {
        return of(batch, lot).isEmpty();
    }

    /** The same as core asks it. */
    public Withheld withheld() {
        return (batch, lot) -> of(batch.orElse(null), lot).map(told -> told.word());
    }

    /** What holds back a lot; absent where nothing does. */
    public Optional<Told> of(@Nullable UUID batch, UUID lot) {
        return told.stream().filter(one -> one.isOfLot(batch, lot)).findFirst().map(one -> one.at(batch, lot));
    }
}
