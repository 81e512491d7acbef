package app.velvetcrock.stock;

import app.velvetcrock.catalogue.Columns;
import app.velvetcrock.condition.Conditions;
import app.velvetcrock.condition.Finding;
import app.velvetcrock.condition.Subject;
import app.velvetcrock.core.look.Condition;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Refused;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** What is done to a lot at the stores; each deed moves what it moves together and can be taken back together. */
@Service
public class LotCare {

    /** A little more than went in is a reading error of the scale; far more is a slip. */
    private static final double MOST_SHARE_OUT = 1.02;

    private static final Set<Cause> TAKINGS = EnumSet.of(Cause.DRAWN, Cause.GIVEN, Cause.SOLD);

    private final LotRepository lots;
    private final Ledger ledger;
    private final LotEdges edges;
    private final Conditions conditions;
    private final Clock clock;

    LotCare(LotRepository lots, Ledger ledger, LotEdges edges, Conditions conditions, Clock clock) {
        this.lots = lots;
        this.ledger = ledger;
        this.edges = edges;
        this.conditions = conditions;
        this.clock = clock;
    }

    /** A deed at the stores, by which all it moves is moved back together, and when it was done. */
    public record Made(UUID deed, Instant at) {}

    /** Puts a part of a lot somewhere else, as a lot of its own. */
    @Transactional
    public UUID split(UUID id, Mass part, String keptAt, Made made) {
        Lot from = locked(id);
        if (part.toMilligrams() >= from.balance) {
            throw new Refused(
                    "That is all of “%s”; a part is less than %s.".formatted(from.name, from.unit.words(from.balance)));
        }
        Lot to = from.sibling(from.typed, clock.instant());
        to.keptAt = keptAt.isEmpty() ? from.keptAt : keptAt;
        return becomes(from, part.toMilligrams(), to, part.toMilligrams(), new Change(Cause.SPLIT, made, ""));
    }

    /** Strips, crushes or grinds some of a herb: a new cut, lighter by what was lost. A weighed cup of the old cut no longer holds. */
    @Transactional
    public UUID process(UUID id, Cut cut, Mass in, Mass out, Made made) {
        Lot from = locked(id);
        if (from.kind != LotKind.HERB) {
            throw new Refused("Only a herb is cut.");
        }
        if (cut.compareTo(from.cut) < 0) {
            throw new Refused("“%s” is stored %s; it cannot be made coarser."
                    .formatted(from.name, Objects.requireNonNull(from.cut).word()));
        }
        if (out.grams() > in.grams() * MOST_SHARE_OUT) {
            throw new Refused(
                    "%s g came of %s g: more than went in. Weigh it again.".formatted(out.grams(), in.grams()));
        }
        Lot to = from.sibling(from.typed, clock.instant());
        to.cut = cut;
        to.bulkDensity = cut == from.cut ? from.bulkDensity : null;
        return becomes(from, in.toMilligrams(), to, out.toMilligrams(), new Change(Cause.PROCESSED, made, cut.word()));
    }

    /** Puts two lots of one herb in one state together; the older date holds for both. */
    @Transactional
    public UUID merge(UUID id, UUID other, Made made) {
        // In one order, so that two who merge the same two wait for each other.
        Lot first = locked(id.compareTo(other) < 0 ? id : other);
        Lot second = locked(id.compareTo(other) < 0 ? other : id);
        if (id.equals(other) || !first.isAlike(second)) {
            throw new Refused("Only lots of one thing in one state are put together.");
        }
        if (first.balance == 0 || second.balance == 0) {
            throw new Refused("Nothing of “%s” is left to put together. Somebody may have done it already."
                    .formatted(first.balance == 0 ? first.name : second.name));
        }
        Lot both = first.sibling(first.typed + " and " + second.typed, clock.instant());
        both.bulkDensity = null;
        both.acquiredOn = earlier(first.acquiredOn, second.acquiredOn);
        both.openedOn = earlier(first.openedOn, second.openedOn);
        both.bestBefore = earlier(first.bestBefore, second.bestBefore);
        long sum = first.balance + second.balance;
        boolean priced = first.priceMinor != null && second.priceMinor != null;
        both.bear(
                priced
                        ? Optional.of(first.costOf(first.balance).orElseThrow()
                                + second.costOf(second.balance).orElseThrow())
                        : Optional.empty(),
                sum);
        lots.saveAndFlush(both);
        Ledger.Why why = Ledger.Why.ofDeed(Cause.MERGED, made.deed(), made.at(), "");
        ledger.change(first.id, -first.balance, why);
        ledger.change(second.id, -second.balance, why);
        ledger.change(both.id, sum, why);
        edges.add(first.id, both.id, made.deed());
        edges.add(second.id, both.id, made.deed());
        return both.id;
    }

    /** Takes some out, counted in the lot's own unit. */
    @Transactional
    public void draw(UUID id, long amount, Cause cause, String note, Made made) {
        if (!TAKINGS.contains(cause)) {
            throw new IllegalArgumentException("drawn for " + cause + "; it is one of " + TAKINGS);
        }
        locked(id);
        ledger.change(id, -amount, Ledger.Why.ofDeed(cause, made.deed(), made.at(), note));
    }

    /** Throws out all that is left, with the reason. */
    @Transactional
    public void discard(UUID id, String reason, Made made) {
        Lot lot = locked(id);
        if (lot.balance == 0) {
            throw new Refused("Nothing of “%s” is left, so there is nothing to throw out.".formatted(lot.name));
        }
        ledger.change(id, -lot.balance, Ledger.Why.ofDeed(Cause.DISCARDED, made.deed(), made.at(), reason));
    }

    /** Writes down that something is wrong with it, which holds it back until that is answered. */
    @Transactional
    public void wrong(UUID id, Condition what, String words, Instant at) {
        Lot lot = locked(id);
        conditions.found(List.of(what), new Subject(null, id, lot.name), new Finding(at, null, words));
    }

    /** Sets the stock right to what was counted or weighed, with the reason; the only way it may change without being moved. */
    @Transactional
    public void correct(UUID id, long counted, String reason, Made made) {
        Lot lot = locked(id);
        ledger.change(id, counted - lot.balance, Ledger.Why.ofDeed(Cause.CORRECTED, made.deed(), made.at(), reason));
    }

    /** Keeps what a loosely filled measure of this lot weighed. */
    @Transactional
    public void weighCup(UUID id, Density bulk) {
        Lot lot = locked(id);
        if (lot.kind != LotKind.HERB) {
            throw new Refused("Only a herb is weighed by the cup.");
        }
        lot.bulkDensity = Columns.decimal(bulk);
    }

    /** Opens a sealed bottle. */
    @Transactional
    public void open(UUID id, @Nullable LocalDate on) {
        locked(id).openedOn = on;
    }

    /** Takes a deed back, once however often it is asked. */
    @Transactional
    public void takeBack(UUID deed) {
        ledger.takeBackDeed(deed);
    }

    /** A wet lot that can be laid out to dry; its row is locked. */
    @Transactional(propagation = Propagation.MANDATORY)
    public Stock.OfLot wet(UUID id) {
        Lot lot = locked(id);
        if (lot.kind != LotKind.HERB || lot.moisture == Moisture.DRIED) {
            throw new Refused("“%s” is dried already.".formatted(lot.name));
        }
        if (lot.balance == 0) {
            throw new Refused("Nothing of “%s” is left to lay out.".formatted(lot.name));
        }
        return Stores.of(lot);
    }

    /** Makes all of a wet lot into a dried one that weighs so much; a weighed cup of it no longer holds. */
    @Transactional(propagation = Propagation.MANDATORY)
    public UUID dry(UUID id, Mass weighs, LocalDate today, Made made) {
        Lot wet = locked(id);
        Lot dried = wet.sibling(wet.typed, clock.instant());
        dried.moisture = Moisture.DRIED;
        dried.bulkDensity = null;
        dried.acquiredOn = wet.acquiredOn == null ? today : wet.acquiredOn;
        return becomes(wet, wet.balance, dried, weighs.toMilligrams(), new Change(Cause.DRIED, made, ""));
    }

    /** Why something becomes something else. */
    private record Change(Cause cause, Made made, String note) {}

    /** Makes a new lot from some of another; its cost goes with it, however much was lost on the way. */
    private UUID becomes(Lot from, long taken, Lot to, long put, Change change) {
        to.bear(from.costOf(taken), Math.max(1, put));
        lots.saveAndFlush(to);
        Ledger.Why why = Ledger.Why.ofDeed(
                change.cause(), change.made().deed(), change.made().at(), change.note());
        ledger.change(from.id, -taken, why);
        ledger.change(to.id, put, why);
        edges.add(from.id, to.id, change.made().deed());
        return to.id;
    }

    private Lot locked(UUID id) {
        Lot lot = lots.lock(id).orElseThrow(() -> new NotHere("that stock"));
        if (lot.kind == LotKind.INFUSED_OIL) {
            throw new Refused("An oil from a batch is seen to in the Cupboard.");
        }
        return lot;
    }

    static Density bulk(Mass weighed, Volume filled) {
        return Density.between(weighed, filled);
    }

    private static @Nullable LocalDate earlier(@Nullable LocalDate one, @Nullable LocalDate other) {
        return one == null ? other : other == null || one.isBefore(other) ? one : other;
    }
}
