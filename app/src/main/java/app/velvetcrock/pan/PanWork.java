package app.velvetcrock.pan;

import app.velvetcrock.batch.Lineage;
import app.velvetcrock.batch.Makings;
import app.velvetcrock.batch.OwnRights;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.deed.Doing;
import app.velvetcrock.core.making.Cooling;
import app.velvetcrock.core.making.Felt;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.pan.Fault;
import app.velvetcrock.core.pan.MakingCourse;
import app.velvetcrock.core.pan.MakingLine;
import app.velvetcrock.core.pan.MakingPlan;
import app.velvetcrock.core.pan.MakingStep;
import app.velvetcrock.core.pan.Touch;
import app.velvetcrock.errands.Awaited;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Cause;
import app.velvetcrock.stock.Goods;
import app.velvetcrock.stock.Ledger;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Refused;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Does what is done at the pan: each deed is one line of the making's log and what it moves, all of it or nothing. */
@Service
public class PanWork {

    private final Makings makings;
    private final Ledger ledger;
    private final Lineage lineage;
    private final Goods goods;
    private final Awaited awaited;
    private final OwnRights rights;
    private final PanLimits limits;
    private final Households households;

    PanWork(
            Makings makings,
            Ledger ledger,
            Lineage lineage,
            Goods goods,
            Awaited awaited,
            OwnRights rights,
            PanLimits limits,
            Households households) {
        this.limits = limits;
        this.rights = rights;
        this.awaited = awaited;
        this.households = households;
        this.makings = makings;
        this.ledger = ledger;
        this.lineage = lineage;
        this.goods = goods;
    }

    /** Begins: the plan is frozen and all of the melt taken from its lots. */
    @Transactional
    public UUID begin(MakingPlan plan, Doing<?> doing) {
        return begin(plan, plan.weighed(), doing);
    }

    /** The same where some of it was weighed otherwise than planned. */
    @Transactional
    public UUID begin(MakingPlan plan, List<MakingPlan.Weighed> weighed, Doing<?> doing) {
        UUID id = makings.begin(plan);
        awaited.begun(id, weighed.stream().flatMap(one -> one.lot().stream()).toList());
        UUID entry = makings.write(id, new Line.Panned(new MakingLine.Begun(weighed)), doing);
        for (MakingPlan.Weighed one : weighed) {
            one.lot().ifPresent(lot -> take(id, entry, lot, one.part().mass(), doing));
        }
        return id;
    }

    private void take(UUID id, UUID entry, UUID lot, Mass mass, Doing<?> doing) {
        ledger.take(lot, mass, new Ledger.Why(Cause.USED, id, entry, doing.at()));
        lineage.into(id, lot);
    }

    /** Writes a line that moves nothing. */
    private UUID line(UUID id, Doing<?> doing, Function<Makings.Sheet, MakingLine> line) {
        Makings.Sheet sheet = begun(id, doing);
        return makings.write(id, new Line.Panned(line.apply(sheet)), doing);
    }

    Makings.Sheet begun(UUID id, Doing<?> doing) {
        Makings.Sheet sheet = makings.locked(id);
        if (!sheet.isBegun()) {
            throw new Refused("Batch %d was never begun: its weighing in was taken back.".formatted(sheet.number()));
        }
        Instant since = sheet.holding().get(0).at();
        if (doing.at().isBefore(since)) {
            House house = households.current();
            throw new Refused(
                    "when",
                    "At %s nothing was in the pan yet: it was weighed in at %s."
                            .formatted(house.moment(doing.at()), house.moment(since)),
                    "a later time, or take the weighing in back");
        }
        return sheet;
    }

    @Transactional
    public UUID did(UUID id, MakingStep step, Doing<?> doing) {
        return line(id, doing, sheet -> {
            undone(sheet, step);
            return new MakingLine.Did(step);
        });
    }

    /** Two at one pan both say it was done: once is enough. */
    private static void undone(Makings.Sheet sheet, MakingStep step) {
        boolean done = sheet.course().steps().stream()
                .anyMatch(one -> one.step() == step && one.state() == MakingCourse.Step.State.DONE);
        if (done) {
            throw new Refused.AlreadyDone("“%s” is done already.".formatted(step.word()));
        }
    }

    @Transactional
    public UUID skipped(UUID id, MakingStep step, String which, Doing<?> doing) {
        return line(id, doing, sheet -> {
            if (step != MakingStep.STIR_IN) {
                undone(sheet, step);
                return new MakingLine.Skipped(step, Optional.empty(), doing.typed());
            }
            return new MakingLine.Skipped(step, Optional.of(open(sheet, which).addition()), doing.typed());
        });
    }

    /** A planned addition that is neither in nor left out. */
    private static MakingPlan.Stirred open(Makings.Sheet sheet, String which) {
        int place = sheet.plan().placeOf(which).orElseThrow(() -> new NotHere("that addition"));
        MakingPlan.Stirred one = sheet.plan().additions().get(place);
        switch (sheet.course().stateOf(place)) {
            case DONE -> throw new Refused.AlreadyDone("That is in already; nothing was taken twice.");
            case SKIPPED -> throw new Refused.AlreadyDone(
                    "That was left out: take it back below, if it is in after all.");
            default -> {
                return one;
            }
        }
    }

    @Transactional
    public UUID tested(UUID id, Felt felt, Doing<?> doing) {
        return line(
                id,
                doing,
                sheet -> new MakingLine.Tested(
                        sheet.course().formula().firmness().value(), felt));
    }

    /** Adds more of a wax or an oil, taken from its lot at once. */
    @Transactional
    public UUID corrected(UUID id, Formula.Part more, Optional<UUID> lot, Doing<?> doing) {
        Makings.Sheet sheet = begun(id, doing);
        if (sheet.course().poured().isPresent()) {
            throw new Refused("It is poured already: remelt it to make it firmer or softer.");
        }
        double then = sheet.course().formula().with(more).firmness().value();
        UUID entry = makings.write(id, new Line.Panned(new MakingLine.Corrected(more, lot, then)), doing);
        lot.ifPresent(from -> take(id, entry, from, more.mass(), doing));
        return entry;
    }

    @Transactional
    public UUID offHeat(UUID id, Temperature at, Cooling.Where where, Doing<?> doing) {
        return line(id, doing, sheet -> new MakingLine.OffHeat(at, where, rights.cooling(where)));
    }

    @Transactional
    public UUID read(UUID id, Temperature at, Optional<Touch> touch, Doing<?> doing) {
        return line(id, doing, sheet -> {
            if (sheet.course().off().isEmpty()) {
                throw new Refused("temperature", "It is on the heat still: say first that it is off.", "");
            }
            return new MakingLine.Read(at, touch);
        });
    }

    @Transactional
    public UUID hazed(UUID id, Doing<?> doing) {
        return line(id, doing, sheet -> new MakingLine.Hazed());
    }

    @Transactional
    public UUID turnedOut(UUID id, Felt felt, List<Fault> faults, String words, Doing<?> doing) {
        return line(id, doing, sheet -> new MakingLine.TurnedOut(felt, faults, words));
    }

    @Transactional
    public UUID noted(UUID id, String words, Doing<?> doing) {
        return line(id, doing, sheet -> new MakingLine.Noted(words));
    }

    /**
     * Stirs in a planned addition, taken from its lot; what the heat would spoil is asked about.
     *
     * @param anyway whether it was said to have gone in though it was too hot
     */
    @Transactional
    public UUID added(UUID id, String which, boolean anyway, Doing<?> doing) {
        Makings.Sheet sheet = begun(id, doing);
        MakingPlan.Stirred one = open(sheet, which);
        MakingCourse course = sheet.course();
        sheet.plan()
                .placeOf(which)
                .flatMap(place -> course.tooHotTill(place, doing.at()))
                .filter(till -> !anyway)
                .ifPresent(till -> {
                    throw tooHot(one, course.at(doing.at()), till);
                });
        UUID entry = makings.write(id, new Line.Panned(new MakingLine.Added(one.addition(), one.lot())), doing);
        one.lot().ifPresent(lot -> take(id, entry, lot, one.addition().mass(), doing));
        judge(id, doing);
        return entry;
    }

    /** What was made is judged anew by every line that says what is in it; what was poured of it bears the judgement. */
    private void judge(UUID id, Doing<?> doing) {
        Makings.Sheet sheet = makings.sheet(id);
        if (sheet.course().poured().isPresent()) {
            goods.judged(id, limits.over(sheet.course(), households.current().dayOf(doing.at())));
        }
    }

    private Refused tooHot(MakingPlan.Stirred one, Optional<Temperature> there, Instant till) {
        House house = households.current();
        return new Refused(
                "anyway",
                "By its curve it is about %s then, too hot for %s, which the heat spoils: it bears it from %s on."
                        .formatted(
                                there.map(at -> house.temperature(Temperature.ofCelsius(Math.round(at.celsius()))))
                                        .orElse("as warm as on the heat"),
                                one.addition().spoken(),
                                house.time(till)),
                "");
    }

    /** Takes a line back with all it moved, once however often it is asked; the weighing in only when nothing came after it. */
    @Transactional
    public void takeBack(UUID id, UUID entry, Doing<?> doing) {
        Makings.Sheet sheet = makings.locked(id);
        Makings.Written line = sheet.lines().stream()
                .filter(one -> one.id().equals(entry))
                .findFirst()
                .orElseThrow(() -> new NotHere("that line"));
        if (line.gone()) {
            return;
        }
        boolean first = line.line() instanceof Line.Panned panned && panned.step() instanceof MakingLine.Begun;
        if (first && sheet.holding().size() > 1) {
            throw new Refused("Take back what was done since first, the newest line before the older ones.");
        }
        makings.takeBack(id, entry, doing);
        judge(id, doing);
    }
}
