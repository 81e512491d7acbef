package app.velvetcrock.core.pan;

import app.velvetcrock.core.making.Cooling;
import app.velvetcrock.core.making.Felt;
import app.velvetcrock.core.making.Pouring;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.pan.MakingCourse.At;
import app.velvetcrock.core.pan.MakingCourse.Step;
import app.velvetcrock.core.pan.MakingLine.Did;
import app.velvetcrock.core.pan.MakingLine.OffHeat;
import app.velvetcrock.core.pan.MakingLine.Skipped;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;

/** The steps of a making, in order: which are done, which is now, and when each may be done by the curve it cools along. */
final class MakingSteps {

    /** The kind that is dipped, not poured: it is counted when it is firm. */
    private static final String PADS = "compress-pads";

    /** Containers above this set for two hours, up to it for one [E] (craft: making, setting). */
    private static final double SMALL_MILLILITRES = 60;

    private MakingSteps() {}

    /** How it cools once it is off the heat. */
    record Heat(Optional<Instant> off, Optional<Cooling> cooling, Optional<Pouring> pouring) {

        Optional<Instant> when(Temperature cool) {
            return off.flatMap(at -> cooling.flatMap(curve -> curve.until(cool)).map(at::plus));
        }
    }

    static List<Step> of(MakingPlan plan, List<At> lines, Heat heat) {
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
        Step pour = step(MakingStep.POUR, lines);
        // A whipped butter is spooned, cold: no curve says when.
        steps.add(plan.made().whipped() ? pour : timed(pour, heat.pouring(), heat));
        if (melts && !pads) {
            steps.add(setting(lines));
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
    static List<Step.State> additions(MakingPlan plan, List<At> lines) {
        List<MakingLine.Added> added =
                new ArrayList<>(MakingCourse.all(lines, MakingLine.Added.class).toList());
        List<Addition> left = new ArrayList<>(MakingCourse.all(lines, Skipped.class)
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

    private static Step stirred(Addition addition, Step.State state, Heat heat) {
        Step step = new Step(MakingStep.STIR_IN, Optional.of(addition), state, Optional.empty(), Optional.empty());
        return switch (addition.when()) {
            case WITH_THE_WAX -> step;
            case BELOW_70 -> new Step(
                    step.step(),
                    step.addition(),
                    step.state(),
                    heat.when(Pouring.VITAMIN_E),
                    heat.pouring().flatMap(at -> heat.when(at.tooLate())));
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

    private static Step setting(List<At> lines) {
        Step step = step(MakingStep.SET, lines);
        boolean large = MakingCourse.last(lines, MakingLine.Poured.class)
                .map(at -> ((MakingLine.Poured) at.line())
                        .filled().stream()
                                .anyMatch(one -> one.container().mould()
                                        || one.container().brim().millilitres() > SMALL_MILLILITRES))
                .orElse(false);
        return large
                ? new Step(
                        step.step(),
                        step.addition(),
                        step.state(),
                        step.from().map(at -> at.plus(Duration.ofHours(1))),
                        step.until())
                : step;
    }
}
