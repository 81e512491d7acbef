package app.velvetcrock.melt;

import app.velvetcrock.batch.Lineage;
import app.velvetcrock.batch.Makings;
import app.velvetcrock.batch.OwnRights;
import app.velvetcrock.condition.Conditions;
import app.velvetcrock.condition.Finding;
import app.velvetcrock.condition.Subject;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.deed.Deed;
import app.velvetcrock.core.deed.Doing;
import app.velvetcrock.core.deed.May;
import app.velvetcrock.core.deed.MayAtThePan;
import app.velvetcrock.core.deed.PanDeed;
import app.velvetcrock.core.deed.Refusal;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.look.Condition;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.pan.MakingLine;
import app.velvetcrock.core.pan.MakingPlan;
import app.velvetcrock.core.pan.MakingStep;
import app.velvetcrock.errands.Awaited;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Cause;
import app.velvetcrock.stock.Goods;
import app.velvetcrock.stock.Ledger;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Refused;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.BiConsumer;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The one way anything is done at the pan: each deed is one line of the making's log and what it moves, all of it or nothing, whether a
 * form, a line of shorthand or a waiting deed says it.
 */
@Service
public class PanDeeds {

    private final Makings makings;
    private final PanPours pours;
    private final Ledger ledger;
    private final Lineage lineage;
    private final Goods goods;
    private final Awaited awaited;
    private final OwnRights rights;
    private final PanLimits limits;
    private final Conditions conditions;
    private final Households households;
    private final Clock clock;

    PanDeeds(
            Makings makings,
            PanPours pours,
            Ledger ledger,
            Lineage lineage,
            Goods goods,
            Awaited awaited,
            OwnRights rights,
            PanLimits limits,
            Conditions conditions,
            Households households,
            Clock clock) {
        this.makings = makings;
        this.pours = pours;
        this.ledger = ledger;
        this.lineage = lineage;
        this.goods = goods;
        this.awaited = awaited;
        this.rights = rights;
        this.limits = limits;
        this.conditions = conditions;
        this.households = households;
        this.clock = clock;
    }

    /** Begins: the plan is frozen and all of the melt taken from its lots. */
    @Transactional
    public UUID begin(MakingPlan plan, Doing<?> doing) {
        return begin(plan, plan.weighed(), doing);
    }

    /** The same where some of it was weighed otherwise than planned. */
    @Transactional
    public UUID begin(MakingPlan plan, List<MakingPlan.Weighed> weighed, Doing<?> doing) {
        return begin(plan, weighed, doing, (id, why) -> {});
    }

    /** A making of just this that is in the pan: who goes back to the sentence and sends it anew seldom means two. */
    @Transactional(readOnly = true)
    public Optional<Makings.Sheet> alike(MakingPlan plan, UUID key) {
        return makings.said(key).isPresent()
                ? Optional.empty()
                : makings.inThePan().stream()
                        .filter(sheet ->
                                sheet.isBegun() && sheet.course().poured().isEmpty())
                        .filter(sheet -> isAlike(sheet.plan(), plan))
                        .findFirst();
    }

    private static boolean isAlike(MakingPlan one, MakingPlan other) {
        return one.made().equals(other.made())
                && one.use() == other.use()
                && one.formula().equals(other.formula())
                && one.additions().equals(other.additions());
    }

    /**
     * The same of something that is melted again; the same key begins the same making.
     *
     * @param source takes what is melted again, once
     */
    @Transactional
    public UUID begin(
            MakingPlan plan, List<MakingPlan.Weighed> weighed, Doing<?> doing, BiConsumer<UUID, Ledger.Why> source) {
        households.oneAtATime();
        Optional<Makings.Said> before = makings.said(doing.key());
        if (before.isPresent()) {
            return before.get().batch();
        }
        Doing<?> then = timely(doing);
        refuse(MayAtThePan.begin(times(doing)));
        UUID id = makings.begin(plan);
        awaited.begun(id, weighed.stream().flatMap(one -> one.lot().stream()).toList());
        UUID entry = makings.write(id, new Line.Panned(new MakingLine.Begun(weighed)), then);
        goods.addMelt(id, plan.made().name(), plan.keepsUntil());
        for (MakingPlan.Weighed one : weighed) {
            goesIn(id, entry, one.lot(), one.part().mass(), then);
        }
        // What is melted again holds already what was stirred into it before.
        plan.within().forEach(one -> goesIn(id, entry, Optional.empty(), one.mass(), then));
        source.accept(id, new Ledger.Why(Cause.USED, id, entry, then.at()));
        return id;
    }

    /**
     * Does a deed to a making, once for its key.
     *
     * @return the line it can be taken back by
     * @throws Refused with the field it hangs on, where it may not be done; nothing is changed
     */
    @Transactional
    public UUID done(UUID id, Doing<? extends PanDeed> doing) {
        Makings.Sheet sheet = makings.locked(id);
        Optional<Makings.Said> before = makings.said(doing.key());
        if (before.isPresent()) {
            return before.get().entry();
        }
        if (doing.deed() instanceof PanDeed.TakeBack back && sheet.isGone(back.entry())) {
            return back.entry();
        }
        refuse(MayAtThePan.be(doing.deed(), standing(sheet), times(doing)));
        UUID entry = doing.deed().accept(new Hand(sheet, timely(doing)));
        if (doing.deed() instanceof PanDeed.StirIn || doing.deed() instanceof PanDeed.TakeBack) {
            judge(id, doing);
        }
        return entry;
    }

    private MayAtThePan.Standing standing(Makings.Sheet sheet) {
        return new MayAtThePan.Standing(
                sheet.number(), sheet.course(), sheet.holding(), sheet.beginning(), pours.there(sheet));
    }

    private May.Times times(Doing<?> doing) {
        return new May.Times(doing.at(), clock.instant(), households.current().wording());
    }

    private <D> Doing<D> timely(Doing<D> doing) {
        Instant at = May.atLatest(doing.at(), clock.instant());
        return new Doing<>(doing.key(), at, doing.by(), doing.typed(), doing.deed());
    }

    private static void refuse(Optional<Refusal> refusal) {
        refusal.ifPresent(one -> {
            throw one.already() ? new Refused.AlreadyDone(one.wrong()) : new Refused(one);
        });
    }

    /** What goes into the pan: out of its lot, where it is of the stores, and into the melt. */
    private void goesIn(UUID id, UUID entry, Optional<UUID> lot, Mass mass, Doing<?> doing) {
        lot.ifPresent(from -> {
            ledger.take(from, mass, new Ledger.Why(Cause.USED, id, entry, doing.at()));
            lineage.into(id, from);
        });
        goods.meltOf(id)
                .ifPresent(melt -> ledger.put(melt.lot(), mass, new Ledger.Why(Cause.MERGED, id, entry, doing.at())));
    }

    /** What was made is judged anew by every line that says what is in it; what was poured of it bears the judgement. */
    private void judge(UUID id, Doing<?> doing) {
        Makings.Sheet sheet = makings.sheet(id);
        if (sheet.course().poured().isPresent()) {
            goods.judged(id, limits.over(sheet.course(), households.current().dayOf(doing.at())));
        }
    }

    /** Does each kind of deed to a making that is locked. */
    private final class Hand implements PanDeed.Visitor<UUID> {

        private final Makings.Sheet sheet;
        private final Doing<?> doing;

        Hand(Makings.Sheet sheet, Doing<?> doing) {
            this.sheet = sheet;
            this.doing = doing;
        }

        private UUID write(MakingLine line) {
            return makings.write(sheet.id(), new Line.Panned(line), doing);
        }

        @Override
        public UUID did(PanDeed.Did deed) {
            return write(new MakingLine.Did(deed.step()));
        }

        @Override
        public UUID skip(PanDeed.Skip deed) {
            return write(new MakingLine.Skipped(
                    deed.step(),
                    deed.step() == MakingStep.STIR_IN
                            ? Optional.of(planned(deed.which()).addition())
                            : Optional.empty(),
                    deed.why()));
        }

        private MakingPlan.Stirred planned(String which) {
            return sheet.plan()
                    .placeOf(which)
                    .map(sheet.plan().additions()::get)
                    .orElseThrow(() -> new NotHere("that addition"));
        }

        @Override
        public UUID test(PanDeed.Test deed) {
            return write(
                    new MakingLine.Tested(sheet.course().formula().firmness().value(), deed.felt()));
        }

        @Override
        public UUID correct(PanDeed.Correct deed) {
            double then = sheet.course().formula().with(deed.more()).firmness().value();
            UUID entry = write(new MakingLine.Corrected(deed.more(), deed.lot(), then));
            goesIn(sheet.id(), entry, deed.lot(), deed.more().mass(), doing);
            return entry;
        }

        @Override
        public UUID offHeat(PanDeed.OffHeat deed) {
            return write(new MakingLine.OffHeat(deed.at(), deed.where(), rights.cooling(deed.where())));
        }

        @Override
        public UUID read(PanDeed.Read deed) {
            return write(new MakingLine.Read(deed.at(), deed.touch()));
        }

        @Override
        public UUID haze(PanDeed.Haze deed) {
            return write(new MakingLine.Hazed());
        }

        @Override
        public UUID stirIn(PanDeed.StirIn deed) {
            MakingPlan.Stirred one = planned(deed.which());
            UUID entry = write(new MakingLine.Added(one.addition(), one.lot()));
            goesIn(sheet.id(), entry, one.lot(), one.addition().mass(), doing);
            if (sheet.course().poured().isPresent()) {
                pours.wasInIt(sheet, entry, one.addition().mass(), doing);
            }
            return entry;
        }

        @Override
        public UUID pour(PanDeed.Pour deed) {
            return pours.pour(sheet, deed, doing);
        }

        @Override
        public UUID turnOut(PanDeed.TurnOut deed) {
            return write(new MakingLine.TurnedOut(deed.felt(), deed.faults(), deed.words()));
        }

        @Override
        public UUID note(PanDeed.Note deed) {
            return write(new MakingLine.Noted(deed.words()));
        }

        /** What smells off is held back until that is answered. */
        @Override
        public UUID smell(PanDeed.Smell deed) {
            Stock.OfGood good = goods.find(deed.lot());
            if (!sheet.id().equals(good.batch())) {
                throw new NotHere("that jar of this making");
            }
            UUID entry = write(new MakingLine.Smelled(good.id(), deed.good()));
            if (!deed.good()) {
                conditions.found(
                        List.of(Condition.OFF),
                        new Subject(sheet.id(), good.id(), "%s, batch %d".formatted(good.name(), sheet.number())),
                        Finding.by(entry, doing.at()));
            }
            return entry;
        }

        @Override
        public UUID answer(PanDeed.Answer deed) {
            Deed.Answer said = deed.said();
            UUID entry = makings.write(
                    sheet.id(), new Line.Answered(said.what(), said.dealtWith(), said.words(), said.lot()), doing);
            conditions.answer(said.condition(), said.dealtWith(), new Finding(doing.at(), entry, said.words()));
            return entry;
        }

        @Override
        public UUID takeBack(PanDeed.TakeBack deed) {
            if (!sheet.has(deed.entry())) {
                throw new NotHere("that line");
            }
            makings.takeBack(sheet.id(), deed.entry(), doing);
            return deed.entry();
        }
    }
}
