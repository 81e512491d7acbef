package app.velvetcrock.core.pan;

import app.velvetcrock.core.making.Cooling;
import app.velvetcrock.core.making.Felt;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.making.OwnRight;
import app.velvetcrock.core.making.Pouring;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.pan.MakingLine.Did;
import app.velvetcrock.core.pan.MakingLine.OffHeat;
import app.velvetcrock.core.pan.MakingLine.Skipped;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Where a making stands: what is in the pan, how firm it sets, how it cools, what is to be done next.
 *
 * @param formula what is melted together, with what was added since
 * @param stirred what was stirred in or is yet to be: what was planned but for what was left out
 * @param tests on the spoon, in order
 * @param off when it was taken off the heat; absent while it is on
 * @param cooling from then on, by its latest reading
 * @param pouring absent where it is not known where it congeals: then by eye
 * @param steps all of them, in order
 * @param poured absent until it is
 */
public record MakingCourse(
        MakingPlan plan,
        Formula formula,
        List<MakingPlan.Stirred> stirred,
        List<OwnRight.Test> tests,
        Optional<Instant> off,
        Optional<Cooling> cooling,
        Optional<Pouring> pouring,
        List<Step> steps,
        Optional<MakingLine.Poured> poured) {

    /** [E] A melt is so hot when it is clear and nobody measured it. */
    private static final Temperature CLEAR = Temperature.ofCelsius(75);

    /** The kind that is dipped, not poured: it is counted when it is firm. */
    private static final String PADS = "compress-pads";

    /** Containers above this set for two hours, up to it for one [E] (craft: making, setting). */
    private static final double SMALL_MILLILITRES = 60;

    public MakingCourse {
        stirred = List.copyOf(stirred);
        tests = List.copyOf(tests);
        steps = List.copyOf(steps);
    }

    /** A line of the log that holds, and when it happened. */
    public record At(Instant at, MakingLine line) {}

    /**
     * A step of this making.
     *
     * @param addition what is stirred in, of that step
     * @param from when it may be done, where that is known
     * @param until when it is too late, where it can be
     */
    public record Step(
            MakingStep step,
            Optional<Addition> addition,
            State state,
            Optional<Instant> from,
            Optional<Instant> until) {

        /** Whether it was done. */
        public enum State {
            DONE,
            SKIPPED,
            NOW,
            LATER
        }

        public boolean isOpen() {
            return state == State.NOW || state == State.LATER;
        }
    }

    /** Derives it from the lines that hold, in order. */
    public static MakingCourse of(MakingPlan plan, List<At> lines) {
        Formula formula = weighed(plan, lines);
        Optional<At> heatOff = last(lines, OffHeat.class);
        Optional<Cooling> cooling = heatOff.map(at -> cooling(plan, whole(formula, lines), lines, at));
        Optional<Pouring> pouring = pouring(formula, lines, heatOff, cooling);
        Optional<MakingLine.Poured> poured =
                last(lines, MakingLine.Poured.class).map(at -> (MakingLine.Poured) at.line());
        List<Step.State> additions = additions(plan, lines);
        return new MakingCourse(
                plan,
                formula,
                IntStream.range(0, additions.size())
                        .filter(at -> additions.get(at) != Step.State.SKIPPED)
                        .mapToObj(plan.additions()::get)
                        .toList(),
                all(lines, MakingLine.Tested.class)
                        .map(tested -> new OwnRight.Test(tested.firmness(), tested.felt()))
                        .toList(),
                heatOff.map(At::at),
                cooling,
                pouring,
                steps(plan, lines, new Heat(heatOff.map(At::at), cooling, pouring)),
                poured);
    }

    private record Heat(Optional<Instant> off, Optional<Cooling> cooling, Optional<Pouring> pouring) {

        Optional<Instant> when(Temperature cool) {
            return off.flatMap(at -> cooling.flatMap(curve -> curve.until(cool)).map(at::plus));
        }
    }

    private static <L extends MakingLine> Stream<L> all(List<At> lines, Class<L> kind) {
        return lines.stream().map(At::line).filter(kind::isInstance).map(kind::cast);
    }

    private static Optional<At> last(List<At> lines, Class<? extends MakingLine> kind) {
        return lines.stream().filter(at -> kind.isInstance(at.line())).reduce((first, then) -> then);
    }

    private static Formula weighed(MakingPlan plan, List<At> lines) {
        Formula formula = all(lines, MakingLine.Begun.class)
                .findFirst()
                .map(begun -> begun.parts().stream()
                        .reduce(new Formula(List.of()), (all, one) -> all.with(one.part()), (a, b) -> a))
                .orElseGet(plan::formula);
        for (MakingLine.Corrected more : all(lines, MakingLine.Corrected.class).toList()) {
            formula = formula.with(more.more());
        }
        return formula;
    }

    private static Mass whole(Formula formula, List<At> lines) {
        return all(lines, MakingLine.Added.class)
                .map(added -> added.addition().mass())
                .reduce(formula.total(), Mass::plus);
    }

    /**
     * How a melt cooled, against what was foreseen of its mass.
     *
     * @param factor times as slowly
     */
    public record Cooled(Cooling.Where where, double factor) {}

    /** What its readings show of how it cools; absent while it was never read. */
    public static Optional<Cooled> cooled(MakingPlan plan, List<At> lines) {
        return last(lines, OffHeat.class).flatMap(off -> {
            Mass whole = whole(weighed(plan, lines), lines);
            OffHeat line = (OffHeat) off.line();
            Cooling foreseen = Cooling.of(whole, CLEAR, plan.room(), line.where());
            Cooling shown = cooling(plan, whole, lines, off);
            boolean read = lines.stream()
                    .anyMatch(at ->
                            at.line() instanceof MakingLine.Read && at.at().isAfter(off.at()));
            return read
                    ? Optional.of(new Cooled(
                            line.where(),
                            (double) shown.tau().toMillis() / foreseen.tau().toMillis()))
                    : Optional.empty();
        });
    }

    /** All there is to pour: the melt, and what was stirred in. */
    public Mass toPour(List<At> lines) {
        return whole(formula, lines);
    }

    private static Cooling cooling(MakingPlan plan, Mass whole, List<At> lines, At heatOff) {
        OffHeat off = (OffHeat) heatOff.line();
        Temperature from = off.temperature();
        Temperature start = from.celsius() > plan.room().celsius() ? from : CLEAR;
        Cooling foreseen = Cooling.of(whole, start, plan.room(), off.where())
                .times(off.own().orElse(1.0));
        return lines.stream()
                .filter(at -> at.line() instanceof MakingLine.Read && at.at().isAfter(heatOff.at()))
                .max(Comparator.comparing(At::at))
                .flatMap(at -> foreseen.through(
                        ((MakingLine.Read) at.line()).temperature(), Duration.between(heatOff.at(), at.at())))
                .orElse(foreseen);
    }

    private static Optional<Pouring> pouring(
            Formula formula, List<At> lines, Optional<At> heatOff, Optional<Cooling> cooling) {
        Optional<Pouring> seen = last(lines, MakingLine.Hazed.class)
                .filter(haze ->
                        heatOff.filter(off -> haze.at().isAfter(off.at())).isPresent())
                .flatMap(haze -> cooling.map(curve -> Pouring.at(
                        curve.at(Duration.between(heatOff.orElseThrow().at(), haze.at())))));
        return seen.or(() -> Pouring.of(formula));
    }

    private static List<Step> steps(MakingPlan plan, List<At> lines, Heat heat) {
        List<Step> steps = new ArrayList<>();
        boolean melts = plan.made().wax() || plan.made().whipped() || plan.firmness() > 0;
        if (melts) {
            steps.add(step(MakingStep.MELT, lines));
        }
        if (plan.made().wax()) {
            steps.add(step(MakingStep.TEST, lines));
        }
        if (melts) {
            steps.add(step(MakingStep.OFF_HEAT, lines));
        }
        if (plan.made().whipped()) {
            Stream.of(MakingStep.CHILL, MakingStep.WHIP, MakingStep.CHILL_AGAIN, MakingStep.PEAKS)
                    .forEach(one -> steps.add(step(one, lines)));
        }
        List<Step.State> additions = additions(plan, lines);
        for (int i = 0; i < additions.size(); i++) {
            steps.add(stirred(plan.additions().get(i).addition(), additions.get(i), heat));
        }
        boolean pads = plan.made().kind().equals(PADS);
        if (pads) {
            steps.add(step(MakingStep.DIP, lines));
            steps.add(step(MakingStep.FIRM, lines));
        }
        steps.add(timed(step(MakingStep.POUR, lines), heat.pouring(), heat));
        if (melts && !pads) {
            steps.add(setting(plan, lines));
        }
        return inTurn(steps);
    }

    /** Waiting steps are due so long after the step before them was done. */
    private static List<Step> inTurn(List<Step> steps) {
        List<Step> turned = new ArrayList<>();
        boolean now = false;
        for (Step step : steps) {
            boolean next = !now && step.isOpen();
            now |= next;
            turned.add(next ? new Step(step.step(), step.addition(), Step.State.NOW, step.from(), step.until()) : step);
        }
        return turned;
    }

    private static Step step(MakingStep step, List<At> lines) {
        Optional<At> done = lines.stream().filter(at -> does(at.line(), step)).reduce((first, then) -> then);
        boolean skipped = lines.stream().anyMatch(at -> at.line() instanceof Skipped left && left.step() == step);
        Step.State state = done.isPresent() ? Step.State.DONE : skipped ? Step.State.SKIPPED : Step.State.LATER;
        Optional<Instant> ready = step.waits().flatMap(waits -> before(step)
                .flatMap(first ->
                        lines.stream().filter(at -> does(at.line(), first)).reduce((one, then) -> then))
                .map(at -> at.at().plus(waits)));
        return new Step(step, Optional.empty(), state, ready, Optional.empty());
    }

    private static Optional<MakingStep> before(MakingStep step) {
        return switch (step) {
            case CHILL -> Optional.of(MakingStep.OFF_HEAT);
            case CHILL_AGAIN -> Optional.of(MakingStep.WHIP);
            case FIRM -> Optional.of(MakingStep.DIP);
            case SET -> Optional.of(MakingStep.POUR);
            default -> Optional.empty();
        };
    }

    private static boolean does(MakingLine line, MakingStep step) {
        Predicate<MakingLine> special =
                switch (step) {
                    case OFF_HEAT -> OffHeat.class::isInstance;
                    case POUR -> MakingLine.Poured.class::isInstance;
                    case TEST -> one -> one instanceof MakingLine.Tested tested && tested.felt() == Felt.RIGHT;
                    default -> one -> one instanceof Did did && did.step() == step;
                };
        return special.test(line);
    }

    /** What became of each planned addition, in their order; of two of one kind each line tells of one. */
    private static List<Step.State> additions(MakingPlan plan, List<At> lines) {
        List<MakingLine.Added> added =
                new ArrayList<>(all(lines, MakingLine.Added.class).toList());
        List<Addition> left = new ArrayList<>(all(lines, Skipped.class)
                .flatMap(one -> one.addition().stream())
                .toList());
        return plan.additions().stream()
                .map(one -> took(
                                added,
                                line -> line.addition()
                                                .key()
                                                .equals(one.addition().key())
                                        && line.lot().equals(one.lot()))
                        ? Step.State.DONE
                        : left.remove(one.addition()) ? Step.State.SKIPPED : Step.State.LATER)
                .toList();
    }

    /** Takes the first that passes out of what there is; tells whether there was one. */
    private static <T> boolean took(List<T> from, Predicate<T> test) {
        return from.stream().filter(test).findFirst().filter(from::remove).isPresent();
    }

    /** Whether a planned addition is in, left out, or yet to come. */
    public Step.State stateOf(int place) {
        return steps.stream()
                .filter(step -> step.step() == MakingStep.STIR_IN)
                .skip(place)
                .findFirst()
                .map(Step::state)
                .orElse(Step.State.LATER);
    }

    private static Step stirred(Addition addition, Step.State state, Heat heat) {
        Step step = new Step(MakingStep.STIR_IN, Optional.of(addition), state, Optional.empty(), Optional.empty());
        return switch (addition.when()) {
            case WITH_THE_WAX -> step;
            case BELOW_70 -> new Step(
                    step.step(), step.addition(), step.state(), heat.when(Pouring.VITAMIN_E), Optional.empty());
            case HONEY -> new Step(
                    step.step(),
                    step.addition(),
                    step.state(),
                    heat.pouring().flatMap(at -> heat.when(at.honey())),
                    Optional.empty());
            case WITH_THE_DROPS, AT_POURING -> timed(step, heat.pouring(), heat);
        };
    }

    private static Step timed(Step step, Optional<Pouring> pouring, Heat heat) {
        return new Step(
                step.step(),
                step.addition(),
                step.state(),
                pouring.flatMap(at -> heat.when(at.drops())),
                pouring.flatMap(at -> heat.when(at.tooLate())));
    }

    private static Step setting(MakingPlan plan, List<At> lines) {
        Step step = step(MakingStep.SET, lines);
        boolean large = last(lines, MakingLine.Poured.class)
                .map(at -> ((MakingLine.Poured) at.line())
                        .filled().stream()
                                .anyMatch(one -> one.container().mould()
                                        || one.container().brim().millilitres() > SMALL_MILLILITRES))
                .orElseGet(() -> plan.into()
                        .filter(into -> into.container().mould()
                                || into.container().brim().millilitres() > SMALL_MILLILITRES)
                        .isPresent());
        return large
                ? new Step(
                        step.step(),
                        step.addition(),
                        step.state(),
                        step.from().map(at -> at.plus(Duration.ofHours(1))),
                        step.until())
                : step;
    }

    /** What is to be done now; absent when all is done. */
    public Optional<Step> next() {
        return steps.stream().filter(step -> step.state() == Step.State.NOW).findFirst();
    }

    /** How warm it should be at a moment, by its curve; absent while it is on the heat. */
    public Optional<Temperature> at(Instant moment) {
        return off.filter(since -> !moment.isBefore(since))
                .flatMap(since -> cooling.map(curve -> curve.at(Duration.between(since, moment))));
    }

    /** What it was made to when it was last felt, with how that felt. */
    public Optional<OwnRight.Test> lastTest() {
        return tests.isEmpty() ? Optional.empty() : Optional.of(tests.get(tests.size() - 1));
    }
}
