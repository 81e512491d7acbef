package app.velvetcrock.stock;

import app.velvetcrock.condition.Conditions;
import app.velvetcrock.condition.Kinship;
import app.velvetcrock.condition.Told;
import app.velvetcrock.core.deed.May;
import app.velvetcrock.core.larder.LotKind;
import app.velvetcrock.core.look.Held;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Refused;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * The only way stock changes: the lot's row is locked, a movement written and the cached balance checked in one transaction,
 * so a balance is always the sum of its movements and never below nothing.
 */
@Service
public class Ledger {

    /** What is opened by pouring from it. */
    private static final Set<LotKind> POURS = EnumSet.of(LotKind.CARRIER, LotKind.SPIRIT);

    private final LotRepository lots;
    private final MovementRepository movements;
    private final Conditions conditions;
    private final Households households;
    private final Clock clock;

    Ledger(
            LotRepository lots,
            MovementRepository movements,
            Conditions conditions,
            Households households,
            Clock clock) {
        this.households = households;
        this.lots = lots;
        this.movements = movements;
        this.conditions = conditions;
        this.clock = clock;
    }

    /**
     * Why and when something moved.
     *
     * @param batch what it went into or came from; null for neither
     * @param entry the line of that batch's log, by which it can be moved back; null for none
     * @param deed what it belongs to at the stores, by which it can be moved back; null for none
     * @param note the reason in words; empty for none
     */
    public record Why(
            Cause cause, @Nullable UUID batch, @Nullable UUID entry, Instant at, @Nullable UUID deed, String note) {

        public Why(Cause cause, @Nullable UUID batch, @Nullable UUID entry, Instant at) {
            this(cause, batch, entry, at, null, "");
        }

        static Why ofDeed(Cause cause, UUID deed, Instant at, String note) {
            return new Why(cause, null, null, at, deed, note);
        }
    }

    /** Takes some of a lot; refused with what is left when there is not enough. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void take(UUID lot, Mass amount, Why why) {
        move(locked(lot), -amount.toMilligrams(), why);
    }

    /** Takes some pieces of a lot that is counted. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void takePieces(UUID lot, int pieces, Why why) {
        move(locked(lot), -pieces, why);
    }

    /** Puts some into a lot. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void put(UUID lot, Mass amount, Why why) {
        move(locked(lot), amount.toMilligrams(), why);
    }

    /** Puts some pieces into a lot that is counted. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void putPieces(UUID lot, int pieces, Why why) {
        move(locked(lot), pieces, why);
    }

    /** Moves a lot counted in its own unit by so much, in or out. */
    @Transactional(propagation = Propagation.MANDATORY)
    void change(UUID lot, long by, Why why) {
        move(locked(lot), by, why);
    }

    /** Moves back all that a deed moved, once however often it is asked; refused when some of it was used since. */
    @Transactional(propagation = Propagation.MANDATORY)
    void takeBackDeed(UUID deed) {
        if (!movements.isDeed(deed)) {
            throw new NotHere("that deed");
        }
        movements.ofDeed(deed).forEach(this::reverse);
        conditions.takenBack(deed);
    }

    /** Moves back all that a line of a log moved; refused, with the later use named, when it is no longer there. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void takeBack(UUID entry) {
        for (Movement movement : movements.holding(entry)) {
            reverse(movement);
        }
        conditions.takenBack(entry);
    }

    void reverse(Movement movement) {
        Lot lot = locked(movement.lotId);
        refuseIfUsedSince(lot, movement);
        Movement back = movement(lot, -movement.amount, Cause.UNDONE, movement.happenedAt);
        back.batchId = movement.batchId;
        back.entryId = movement.entryId;
        back.deed = movement.deed;
        back.reverses = movement.id;
        change(lot, back);
        if (POURS.contains(lot.kind)
                && !lot.openedSaid
                && movement.amount < 0
                && households.current().dayOf(movement.happenedAt).equals(lot.openedOn)) {
            // What opened it holds no more: the next to be poured did, or it is sealed as before.
            lot.openedOn = firstPoured(lot).orElse(null);
        }
        conditions.takenBack(movement.id);
    }

    /** The first day something was poured from it, of what holds. */
    private Optional<LocalDate> firstPoured(Lot lot) {
        return movements.ofLot(lot.id).stream()
                .filter(one -> one.amount < 0
                        && one.cause != Cause.UNDONE
                        && one.cause != Cause.DISCARDED
                        && !movements.isReversed(one.id))
                .map(one -> households.current().dayOf(one.happenedAt))
                .min(Comparator.naturalOrder());
    }

    private void refuseIfUsedSince(Lot lot, Movement movement) {
        if (lot.balance - movement.amount >= 0) {
            return;
        }
        List<Movement> story = movements.ofLot(lot.id);
        String later = story.stream()
                .filter(m -> m.amount < 0 && !m.recordedAt.isBefore(movement.recordedAt))
                .reduce((first, last) -> last)
                .map(m -> m.cause.word())
                .orElse("used");
        throw new Refused("Some of “%s” was %s since. Take that back first.".formatted(lot.name, later));
    }

    private void move(Lot lot, long amount, Why why) {
        if (lot.balance + amount < 0) {
            throw new Refused("There is only %s of “%s” left, and this needs %s. Nothing was taken."
                    .formatted(lot.unit.words(lot.balance), lot.name, lot.unit.words(-amount)));
        }
        if (amount == 0) {
            return;
        }
        if (amount < 0) {
            refuseThatCannotBe(lot, why.at());
            open(lot, why);
        }
        Optional<Held> held = amount < 0 ? why.cause().held() : Optional.empty();
        Optional<Told> wrong = held.flatMap(deed -> conditions.holding(lot.batchId(), lot.id, deed));
        Optional<String> back = held.filter(deed -> deed == Held.GIVE || deed == Held.SELL)
                .flatMap(deed -> Optional.ofNullable(lot.keptBack)
                        .or(() -> isPast(lot, why.at()) ? Optional.of("it is past its date") : Optional.empty())
                        .or(() -> deed == Held.SELL ? conditions.neverSold(lot.batchId(), lot.id) : Optional.empty())
                        .map(kept -> "%s is not %s: %s".formatted(lot.name, deed.word(), kept)));
        wrong.map(told -> told.refusal(held.orElseThrow()))
                .or(() -> back)
                .ifPresent(refusal -> conditions.refuseYetToHappen("when", refusal, why.at()));
        Movement movement = movement(lot, amount, why.cause(), why.at());
        movement.batchId = why.batch();
        movement.entryId = why.entry();
        movement.deed = why.deed();
        movement.note = why.note().isEmpty() ? null : why.note();
        change(lot, movement);
        if (why.cause() == Cause.GIVEN || why.cause() == Cause.SOLD) {
            if (wrong.isPresent() || back.isPresent()) {
                movements.flush();
                String words = gone(lot.name, lot.unit.words(-amount), why.cause(), movement.note);
                conditions.leftAnyway(wrong, back.orElse(""), new Kinship.Gone(movement.id, lot.id, words, why.at()));
            }
        }
    }

    /** Nothing is taken tomorrow, nor of what was not there yet: a herb gathered later, an oil or a salve that was poured later. */
    private void refuseThatCannotBe(Lot lot, Instant at) {
        House house = households.current();
        May.past(new May.Times(at, clock.instant(), house.wording())).ifPresent(refusal -> {
            throw new Refused(refusal);
        });
        if (lot.acquiredOn != null && house.dayOf(at).isBefore(lot.acquiredOn)) {
            throw new Refused(
                    "when",
                    "Understood %s; “%s” came in on %s, so nothing of it was taken before."
                            .formatted(house.moment(at), lot.name, house.date(lot.acquiredOn)),
                    "%s or later".formatted(house.date(lot.acquiredOn)));
        }
        if (lot.kind == LotKind.INFUSED_OIL || lot.kind == LotKind.MADE) {
            movements.ofLot(lot.id).stream()
                    .filter(movement -> movement.amount > 0 && movement.cause != Cause.UNDONE)
                    .map(movement -> movement.happenedAt)
                    .min(Comparator.naturalOrder())
                    .filter(at::isBefore)
                    .ifPresent(poured -> {
                        throw new Refused(
                                "when",
                                "Understood %s; “%s” was poured at %s, so nothing of it was taken before."
                                        .formatted(house.moment(at), lot.name, house.moment(poured)),
                                "a time after that");
                    });
        }
    }

    /**
     * A bottle that nobody said to be open is open from the day something was first poured from it: what is written down later and was
     * poured before opened it then. A day somebody said stays.
     */
    private void open(Lot lot, Why why) {
        if (!POURS.contains(lot.kind) || why.cause() == Cause.DISCARDED || lot.openedSaid) {
            return;
        }
        LocalDate day = households.current().dayOf(why.at());
        LocalDate opened = lot.openedOn;
        if (opened == null
                || day.isBefore(opened)
                        && firstPoured(lot).filter(opened::equals).isPresent()) {
            lot.openedOn = day;
        }
    }

    /** Tells whether something finished was past its day then, and so is not for anybody's skin. */
    private boolean isPast(Lot lot, Instant at) {
        return (lot.kind == LotKind.INFUSED_OIL || lot.kind == LotKind.MADE)
                && lot.bestBefore != null
                && lot.bestBefore.isBefore(households.current().dayOf(at));
    }

    /** What left the house, as it is told: "2 of Yarrow salve, given away". */
    public static String gone(String name, String amount, Cause cause, @Nullable String note) {
        return "%s of %s, %s%s"
                .formatted(amount, name, cause.word(), note == null || note.isEmpty() ? "" : " (%s)".formatted(note));
    }

    private void change(Lot lot, Movement movement) {
        lot.balance += movement.amount;
        UUID id = movements.save(movement).id;
        if (lot.balance == 0) {
            boolean elsewhere = lot.batchId() == null || lots.isLeftOf(lot.batchId(), lot.id);
            UUID source = movement.entryId != null ? movement.entryId : movement.deed != null ? movement.deed : id;
            conditions.nothingLeft(elsewhere ? null : lot.batchId(), lot.id, movement.cause == Cause.DISCARDED, source);
        }
    }

    private Movement movement(Lot lot, long amount, Cause cause, Instant happenedAt) {
        return new Movement(lot.id, amount, cause, Current.person().account(), happenedAt, clock.instant());
    }

    private Lot locked(UUID id) {
        return lots.lock(id).orElseThrow(() -> new NotHere("that stock"));
    }
}
