package app.velvetcrock.core.pan;

import app.velvetcrock.core.making.Cooling;
import app.velvetcrock.core.making.Felt;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.making.OwnRight;
import app.velvetcrock.core.making.Pouring;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.pan.MakingLine.OffHeat;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Where a making stands: what is in the pan, how firm it sets, how it cools, what is to be done next.
 *
 * @param formula what is melted together, with what was added since
 * @param stirred what is in it or is yet to be stirred in: what was planned but for what was left out
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
    public static final Temperature CLEAR = Temperature.ofCelsius(75);

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

        /** Tells whether it is too late for it at a moment. */
        public boolean isLate(Instant now) {
            return until.filter(now::isAfter).isPresent();
        }
    }

    /** Derives it from the lines that hold, in order. */
    public static MakingCourse of(MakingPlan plan, List<At> lines) {
        Formula formula = weighed(plan, lines);
        Optional<At> heatOff = last(lines, OffHeat.class);
        Optional<Cooling> cooling = heatOff.map(at -> cooling(plan, whole(plan, formula, lines), lines, at));
        Optional<Pouring> pouring = pouring(formula, lines, heatOff, cooling);
        Optional<MakingLine.Poured> poured =
                last(lines, MakingLine.Poured.class).map(at -> (MakingLine.Poured) at.line());
        List<Step.State> additions = MakingSteps.additions(plan, lines);
        return new MakingCourse(
                plan,
                formula,
                Stream.concat(
                                plan.within().stream().map(one -> new MakingPlan.Stirred(one, Optional.empty())),
                                IntStream.range(0, additions.size())
                                        .filter(at -> additions.get(at) != Step.State.SKIPPED)
                                        .mapToObj(plan.additions()::get))
                        .toList(),
                all(lines, MakingLine.Tested.class)
                        .map(tested -> new OwnRight.Test(tested.firmness(), tested.felt()))
                        .toList(),
                heatOff.map(At::at),
                cooling,
                pouring,
                MakingSteps.of(plan, lines, new MakingSteps.Heat(heatOff.map(At::at), cooling, pouring)),
                poured);
    }

    static <L extends MakingLine> Stream<L> all(List<At> lines, Class<L> kind) {
        return lines.stream().map(At::line).filter(kind::isInstance).map(kind::cast);
    }

    static Optional<At> last(List<At> lines, Class<? extends MakingLine> kind) {
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

    private static Mass whole(MakingPlan plan, Formula formula, List<At> lines) {
        return Stream.concat(
                        plan.within().stream(),
                        all(lines, MakingLine.Added.class).map(MakingLine.Added::addition))
                .map(Addition::mass)
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
            Mass whole = whole(plan, weighed(plan, lines), lines);
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
        return whole(plan, formula, lines);
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

    /** Whether a planned addition is in, left out, or yet to come. */
    public Step.State stateOf(int place) {
        return steps.stream()
                .filter(step -> step.step() == MakingStep.STIR_IN)
                .skip(place)
                .findFirst()
                .map(Step::state)
                .orElse(Step.State.LATER);
    }

    /** From when on a planned addition bears the heat, where at a moment it is too hot for it by its curve; absent where it is not. */
    public Optional<Instant> tooHotTill(int place, Instant at) {
        return steps.stream()
                .filter(step -> step.step() == MakingStep.STIR_IN)
                .skip(place)
                .findFirst()
                .flatMap(Step::from)
                .filter(at::isBefore);
    }

    /** Tells whether something that was planned was left out. */
    public boolean isLeftOut() {
        return stirred.size() < plan.within().size() + plan.additions().size();
    }

    /** How long it keeps, by the shortest of what is really in it. */
    public MadeKeeping.Limit keeps() {
        MadeKeeping.Limit planned = new MadeKeeping.Limit(plan.keepsUntil(), plan.limitedBy(), Optional.empty(), false);
        return isLeftOut()
                ? plan.limits().stream().filter(this::holds).findFirst().orElse(planned)
                : planned;
    }

    /** Tells whether something that keeps for days only is in it. */
    public boolean isWatery() {
        return plan.limits().stream().filter(this::holds).anyMatch(MadeKeeping.Limit::watery);
    }

    private boolean holds(MadeKeeping.Limit limit) {
        return limit.addition()
                        .filter(place -> stateOf(place) == Step.State.SKIPPED)
                        .isEmpty()
                && limit.unless()
                        .filter(place -> stateOf(place) != Step.State.SKIPPED)
                        .isEmpty();
    }

    /** What a step is called of this making: a whipped butter is spooned, a bar is turned out and has no lid. */
    public String word(MakingStep step) {
        return switch (step) {
            case POUR -> plan.made().whipped() ? "spoon it into the jars" : step.word();
            case SET -> isMoulded() ? "let them set, then turn them out cold" : step.word();
            default -> step.word();
        };
    }

    /** What is to be watched at a step of this making. */
    public String how(MakingStep step) {
        return switch (step) {
            case POUR -> plan.made().whipped()
                    ? "Never warmed, never put back on a bath. Tap out the air."
                    : step.how();
            case SET -> isMoulded() ? "In the cold faster, but it may crack and go dull." : step.how();
            default -> step.how();
        };
    }

    private boolean isMoulded() {
        return poured.map(MakingLine.Poured::filled)
                .filter(filled -> !filled.isEmpty())
                .map(filled -> filled.stream().allMatch(one -> one.container().mould()))
                .orElseGet(() ->
                        plan.into().filter(into -> into.container().mould()).isPresent());
    }

    /** What is wrong with what was poured, and the way back, step by step. */
    public record Remedy(String seen, List<String> steps) {}

    /** The remedies of how it turned out last; none where it is right, or nothing is to be done. */
    public static List<Remedy> remedies(List<At> lines) {
        Optional<MakingLine.TurnedOut> last =
                last(lines, MakingLine.TurnedOut.class).map(at -> (MakingLine.TurnedOut) at.line());
        List<Remedy> remedies = last.stream()
                .flatMap(out -> out.faults().stream())
                .filter(fault -> !fault.steps().isEmpty())
                .map(fault -> new Remedy(fault.word(), fault.steps()))
                .toList();
        return !remedies.isEmpty()
                ? remedies
                : last
                        .filter(out -> out.felt() == Felt.SOFT || out.felt() == Felt.RUNNY)
                        .map(out -> new Remedy(out.felt().word(), Fault.TOO_SOFT))
                        .stream()
                        .toList();
    }

    /** What heat spoils and has been in it before it is warmed again, by name. */
    public List<String> spoiltTwice() {
        return steps.stream()
                .filter(step -> step.state() == Step.State.DONE)
                .flatMap(step -> step.addition().stream())
                .filter(one -> one.when() != Addition.When.WITH_THE_WAX && one.when() != Addition.When.AT_POURING)
                .map(Addition::spoken)
                .toList();
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
