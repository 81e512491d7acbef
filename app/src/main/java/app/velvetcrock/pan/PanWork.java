package app.velvetcrock.pan;

import app.velvetcrock.batch.Lineage;
import app.velvetcrock.batch.Makings;
import app.velvetcrock.batch.OwnRights;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.deed.Doing;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.making.Container;
import app.velvetcrock.core.making.Cooling;
import app.velvetcrock.core.making.Felt;
import app.velvetcrock.core.making.Filling;
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
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Does what is done at the pan: each deed is one line of the making's log and what it moves, all of it or nothing. */
@Service
public class PanWork {

    /** What stays in a pan below this is wiped out with paper, and is no lot; grams [E]. */
    private static final double NOTHING = 1;

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

    private Makings.Sheet begun(UUID id, Doing<?> doing) {
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

    /** Stirs in a planned addition, taken from its lot. */
    @Transactional
    public UUID added(UUID id, String which, Doing<?> doing) {
        Makings.Sheet sheet = begun(id, doing);
        MakingPlan.Stirred one = open(sheet, which);
        UUID entry = makings.write(id, new Line.Panned(new MakingLine.Added(one.addition(), one.lot())), doing);
        one.lot().ifPresent(lot -> take(id, entry, lot, one.addition().mass(), doing));
        return entry;
    }

    /** What such a container takes of a making, its hollow topped. */
    @Transactional(readOnly = true)
    public Mass fills(UUID id, Container container) {
        Makings.Sheet sheet = makings.sheet(id);
        return Filling.wanted(
                1,
                container,
                Filling.shrinkage(sheet.course().formula()),
                sheet.plan().made().whipped());
    }

    /** So many containers of one kind to fill, each with so much. */
    public record Fill(MakingPlan.Into into, Mass each) {}

    /** Pours what was made, or what stayed in the pan: containers are taken, what they become comes into stock. */
    @Transactional
    public UUID poured(UUID id, List<Fill> fills, Doing<?> doing) {
        Makings.Sheet sheet = begun(id, doing);
        MakingCourse course = sheet.course();
        Optional<MakingLine.Poured> before = course.poured();
        Mass there = before.map(MakingLine.Poured::left).orElseGet(() -> course.toPour(sheet.holding()));
        double filled = fills.stream()
                .mapToDouble(fill -> fill.into().count() * fill.each().grams())
                .sum();
        if (filled > there.grams() * 1.005 + NOTHING) {
            throw new Refused(
                    "count",
                    "That would be %d g, and only %d g is in the pan."
                            .formatted(Math.round(filled), Math.round(there.grams())),
                    "fewer, or less in each");
        }
        Mass left = Mass.ofGrams(Math.max(0, there.grams() - filled));
        double whole = Math.max(NOTHING, course.toPour(sheet.holding()).grams());
        List<Goods.NewGood> made = new ArrayList<>();
        List<UUID> lots = new ArrayList<>();
        List<MakingLine.Poured.Filled> lines = new ArrayList<>();
        for (Fill fill : fills) {
            Goods.NewGood good = good(sheet, fill, whole, doing.at());
            made.add(good);
            lots.add(goods.add(good));
            lines.add(new MakingLine.Poured.Filled(
                    fill.into().container(), fill.into().count(), fill.each(), lots.get(lots.size() - 1)));
        }
        Optional<UUID> again = before.flatMap(MakingLine.Poured::leftLot);
        Optional<Goods.NewGood> rest = left.grams() < NOTHING || again.isPresent()
                ? Optional.empty()
                : Optional.of(rest(sheet, left, left.grams() / whole, doing.at()));
        Optional<UUID> restLot = rest.map(goods::add);
        UUID entry = makings.write(
                id,
                new Line.Panned(new MakingLine.Poured(
                        lines, left, left.grams() < NOTHING ? Optional.empty() : restLot.or(() -> again))),
                doing);
        Ledger.Why used = new Ledger.Why(Cause.USED, id, entry, doing.at());
        Ledger.Why poured = new Ledger.Why(Cause.POURED, id, entry, doing.at());
        again.ifPresent(lot -> ledger.take(
                lot,
                Mass.ofMilligrams(goods.find(lot).left() - (left.grams() < NOTHING ? 0 : left.toMilligrams())),
                used));
        fills.stream().filter(fill -> !fill.into().container().mould()).forEach(fill -> fill.into()
                .lot()
                .ifPresent(from -> ledger.takePieces(from, fill.into().count(), used)));
        for (int i = 0; i < made.size(); i++) {
            goods.fill(lots.get(i), made.get(i), poured);
            lineage.outOf(id, lots.get(i));
        }
        rest.ifPresent(good -> {
            goods.fill(restLot.orElseThrow(), good, poured);
            lineage.outOf(id, restLot.orElseThrow());
        });
        return entry;
    }

    private Goods.NewGood good(Makings.Sheet sheet, Fill fill, double whole, Instant at) {
        return new Goods.NewGood(
                sheet.id(),
                sheet.name(),
                sheet.plan().made().kind(),
                Optional.of(fill.into().container().brim()),
                fill.into().count(),
                fill.each(),
                fill.into().count() * fill.each().grams() / whole,
                sheet.course().keeps().date(),
                Storage.COOL_DARK,
                limits.over(sheet.course(), households.current().dayOf(at)));
    }

    /** What stays in the pan is a lot too; poured from again, it falls by what was filled. */
    private Goods.NewGood rest(Makings.Sheet sheet, Mass left, double share, Instant at) {
        return new Goods.NewGood(
                sheet.id(),
                sheet.name() + ", left in the pan",
                Goods.LEFT,
                Optional.empty(),
                1,
                left,
                share,
                sheet.course().keeps().date(),
                Storage.COOL_DARK,
                limits.over(sheet.course(), households.current().dayOf(at)));
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
    }
}
