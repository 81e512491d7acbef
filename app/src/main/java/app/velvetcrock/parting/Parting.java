package app.velvetcrock.parting;

import app.velvetcrock.batch.Deeds;
import app.velvetcrock.core.deed.Deed;
import app.velvetcrock.core.deed.May;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.look.Held;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stock.Cause;
import app.velvetcrock.stock.Goods;
import app.velvetcrock.stock.Oils;
import app.velvetcrock.web.Refused;
import java.time.Clock;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The one way anything leaves the house: an oil by the amount or the bottle, a made thing by the piece. What may not leave is refused by
 * the ledger and by what may be done to its batch; to whom and for how much stands beside the movement, and goes when that is taken back.
 */
@Service
public class Parting {

    private final Goods goods;
    private final Oils oils;
    private final Deeds deeds;
    private final Leavings leavings;
    private final Persons persons;
    private final Clock clock;

    Parting(Goods goods, Oils oils, Deeds deeds, Leavings leavings, Persons persons, Clock clock) {
        this.goods = goods;
        this.oils = oils;
        this.deeds = deeds;
        this.leavings = leavings;
        this.persons = persons;
        this.clock = clock;
    }

    /** To whom, and for how much of all of it. */
    public record Terms(Optional<UUID> person, Optional<Long> price, boolean card, Optional<UUID> stall) {

        public static final Terms NONE = new Terms(Optional.empty(), Optional.empty(), false, Optional.empty());

        public static Terms to(UUID person) {
            return new Terms(Optional.of(person), Optional.empty(), false, Optional.empty());
        }
    }

    /** When it left, once for a key. */
    public record Once(UUID key, Instant at, String typed) {}

    /** So many pieces, or milligrams of what stayed in a pan, of something made. */
    @Transactional
    public UUID good(UUID lot, long amount, Leaving.Kind kind, Terms terms, Once once) {
        Stock.OfGood good = goods.find(lot);
        UUID movement = goods.draw(lot, amount, cause(kind), once.at(), words(kind, terms));
        leavings.keep(leaving(
                movement, lot, kind, good.inPieces() ? Optional.of((int) amount) : Optional.empty(), terms, once));
        return movement;
    }

    /** So much of an oil; {@code bottles} where it is all that is in one. */
    @Transactional
    public UUID oil(UUID lot, Mass amount, Leaving.Kind kind, Terms terms, Once once) {
        Stock.OfOil oil = oils.find(lot);
        Held what = kind == Leaving.Kind.SOLD ? Held.SELL : kind == Leaving.Kind.GIVEN ? Held.GIVE : Held.DRAW;
        UUID movement = deeds.done(
                oil.batch(),
                Current.doing(
                        new Deed.Draw(lot, amount, what, words(kind, terms)), once.key(), once.at(), once.typed()));
        boolean whole =
                oil.bottle().isPresent() && amount.toMilligrams() >= oil.left().toMilligrams();
        leavings.keep(leaving(movement, lot, kind, whole ? Optional.of(1) : Optional.empty(), terms, once));
        return movement;
    }

    /** A piece of something made, or a whole bottle. */
    @Transactional
    public UUID pieces(UUID lot, int pieces, Leaving.Kind kind, Terms terms, Once once) {
        if (goods.isGood(lot)) {
            return good(lot, pieces, kind, terms, once);
        }
        if (pieces > 1) {
            throw new Refused("pieces", "That is one bottle, and %d are asked for.".formatted(pieces), "1");
        }
        return oil(lot, oils.find(lot).left(), kind, terms, once);
    }

    private static Cause cause(Leaving.Kind kind) {
        return switch (kind) {
            case GIVEN -> Cause.GIVEN;
            case SOLD -> Cause.SOLD;
            case OPENED -> Cause.DRAWN;
            case BROKEN -> Cause.DISCARDED;
        };
    }

    /** What the story says beside the movement: to whom, or that it was a tester. */
    private String words(Leaving.Kind kind, Terms terms) {
        return terms.person()
                .map(person -> "to " + persons.find(person).nickname())
                .orElse(
                        kind == Leaving.Kind.OPENED || kind == Leaving.Kind.BROKEN
                                ? kind.word()
                                : terms.stall().isPresent() ? "at the stall" : "");
    }

    private Leaving leaving(
            UUID movement, UUID lot, Leaving.Kind kind, Optional<Integer> pieces, Terms terms, Once once) {
        return new Leaving(
                movement,
                lot,
                kind,
                pieces,
                terms.person(),
                terms.price(),
                terms.card(),
                terms.stall(),
                0,
                May.atLatest(once.at(), clock.instant()));
    }

    /** It did not leave after all: back into its lot, once however often it is asked. */
    @Transactional
    public void takeBack(UUID lot, UUID movement) {
        if (goods.isGood(lot)) {
            goods.takeBackDrawing(lot, movement);
        } else {
            oils.takeBackDrawing(lot, movement);
        }
        leavings.takenBack(movement, clock.instant());
    }
}
