package app.velvetcrock.stores;

import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Refused;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
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

    private final LotRepository lots;
    private final MovementRepository movements;
    private final Clock clock;

    Ledger(LotRepository lots, MovementRepository movements, Clock clock) {
        this.lots = lots;
        this.movements = movements;
        this.clock = clock;
    }

    /** Takes some of a lot for a batch; refused with what is left when there is not enough. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void use(UUID lot, Mass amount, UUID batch, Instant happenedAt) {
        move(locked(lot), -amount.toMilligrams(), Cause.USED, batch, happenedAt);
    }

    /** Takes back all that a batch moved for one cause; refused, with the later use named, when it is no longer there. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void takeBack(UUID batch, Cause cause) {
        for (Movement movement : movements.holding(batch, cause)) {
            reverse(movement);
        }
    }

    void bringIn(Lot lot, Mass amount, Cause cause, Instant happenedAt) {
        move(locked(lot.id), amount.toMilligrams(), cause, null, happenedAt);
    }

    void strained(Lot lot, Mass amount, UUID batch, Instant happenedAt) {
        move(locked(lot.id), amount.toMilligrams(), Cause.STRAINED, batch, happenedAt);
    }

    void reverse(Movement movement) {
        Lot lot = locked(movement.lotId);
        refuseIfUsedSince(lot, movement);
        Movement back = movement(lot, -movement.amount, Cause.UNDONE, movement.happenedAt);
        back.batchId = movement.batchId;
        back.reverses = movement.id;
        change(lot, back);
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

    private void move(Lot lot, long amount, Cause cause, @Nullable UUID batch, Instant happenedAt) {
        if (lot.balance + amount < 0) {
            throw new Refused("There is only %s g of “%s” left, and this needs %s g. Nothing was taken.".formatted(
                    Decimals.upTo(lot.balance / 1000.0, 1), lot.name,
                    Decimals.upTo(-amount / 1000.0, 1)));
        }
        Movement movement = movement(lot, amount, cause, happenedAt);
        movement.batchId = batch;
        change(lot, movement);
    }

    private void change(Lot lot, Movement movement) {
        lot.balance += movement.amount;
        movements.save(movement);
    }

    private Movement movement(Lot lot, long amount, Cause cause, Instant happenedAt) {
        return new Movement(lot.id, amount, cause, Current.person().account(), happenedAt, clock.instant());
    }

    private Lot locked(UUID id) {
        return lots.lock(id).orElseThrow(() -> new NotHere("that stock"));
    }
}
