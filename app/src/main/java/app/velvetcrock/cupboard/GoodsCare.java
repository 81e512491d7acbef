package app.velvetcrock.cupboard;

import app.velvetcrock.batch.Makings;
import app.velvetcrock.condition.Conditions;
import app.velvetcrock.condition.Finding;
import app.velvetcrock.condition.Subject;
import app.velvetcrock.condition.Told;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.deed.Doing;
import app.velvetcrock.core.deed.May;
import app.velvetcrock.core.deed.MayAtThePan;
import app.velvetcrock.core.look.Condition;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.pan.MakingLine;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Stock;
import app.velvetcrock.web.Refused;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is found of a made thing as it stands in the Cupboard. */
@Service
class GoodsCare {

    private final Makings makings;
    private final Conditions conditions;
    private final Households households;
    private final Clock clock;

    GoodsCare(Makings makings, Conditions conditions, Households households, Clock clock) {
        this.makings = makings;
        this.conditions = conditions;
        this.households = households;
        this.clock = clock;
    }

    /** Writes how it smelled into its making's log; what smells off is held back until that is answered. */
    @Transactional
    public UUID smelled(Stock.OfGood good, boolean passed, Doing<?> doing) {
        Makings.Sheet sheet = makings.locked(good.batch());
        Optional<Makings.Said> before = makings.said(doing.key());
        if (before.isPresent()) {
            return before.get().entry();
        }
        MayAtThePan.smell(
                        new MayAtThePan.Standing(
                                sheet.number(), sheet.course(), sheet.holding(), sheet.beginning(), Mass.ZERO),
                        new May.Times(
                                doing.at(),
                                clock.instant(),
                                households.current().wording()))
                .ifPresent(refusal -> {
                    throw new Refused(refusal);
                });
        UUID entry = makings.write(good.batch(), new Line.Panned(new MakingLine.Smelled(good.id(), passed)), doing);
        if (!passed) {
            conditions.found(
                    List.of(Condition.OFF),
                    new Subject(good.batch(), good.id(), "%s, batch %d".formatted(good.name(), sheet.number())),
                    Finding.by(entry, doing.at()));
        }
        return entry;
    }

    /** All that is wrong in the household and not answered. */
    @Transactional(readOnly = true)
    public List<Told> open() {
        return conditions.open();
    }

    /** What was found of it, answered or not. */
    @Transactional(readOnly = true)
    public List<Told> conditions(Stock.OfGood good) {
        return conditions.ofBatch(good.batch()).stream()
                .filter(told -> told.isOfLot(good.batch(), good.id()))
                .map(told -> told.at(good.batch(), good.id()))
                .toList();
    }
}
