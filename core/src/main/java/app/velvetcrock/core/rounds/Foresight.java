package app.velvetcrock.core.rounds;

import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.course.Log;
import app.velvetcrock.core.course.TaskKey;
import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.method.Stage;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.planning.PlanSteps;
import app.velvetcrock.core.timetable.HomeHours;
import app.velvetcrock.core.timetable.Placed;
import app.velvetcrock.core.timetable.Scheduler;
import app.velvetcrock.core.timetable.Span;
import app.velvetcrock.core.timetable.Step;
import app.velvetcrock.core.timetable.Timetable;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What is still to come of a batch, placed once in the hours somebody is home (craft: one foresight). Every page, row, label and
 * calendar only words what stands here: each task has one moment. What was to be done before now keeps that moment, and what follows it
 * is placed as if it were done now.
 */
public final class Foresight {

    private static final Foresight NOTHING = new Foresight(List.of(), List.of(), Optional.empty(), Optional.empty());

    private final List<Task> open;
    private final List<Placed> placed;
    private final Optional<HeatAhead> heat;

    /** Works out what comes after the open tasks, which few pages ask for; absent where nothing does. */
    private final Optional<Later> then;

    private Foresight(List<Task> open, List<Placed> placed, Optional<HeatAhead> heat, Optional<Later> then) {
        this.open = List.copyOf(open);
        this.placed = List.copyOf(placed);
        this.heat = heat;
        this.then = then;
    }

    /** How it was placed: what ends its stage, and the steps after. */
    private record Later(Placing how, Optional<HeatAhead> heat, Task end, List<Placed> rest) {

        Task straining() {
            return end.key().kind() == TaskKind.STRAIN
                    ? end
                    : how.straining(rest).orElse(end);
        }
    }

    /**
     * A step still to come.
     *
     * @param warmUp what of each session that is still to be begun brings it to heat and earns nothing; absent where no such is to come
     */
    public record Part(String name, List<Stretch> stretches, Optional<Duration> warmUp) {

        public Part {
            stretches = List.copyOf(stretches);
        }
    }

    /** From when till when something goes on, and which tasks begin and end it; what runs, or is late, begins with no task. */
    public record Stretch(Span span, Optional<TaskKey> begins, Optional<TaskKey> ends) {}

    /**
     * Places what is still to come.
     *
     * @param notBefore moments before which a step, by its key, is not to begin
     */
    public static Foresight of(
            Course course, Log log, PlanRequest request, HomeHours hours, Map<String, Instant> notBefore) {
        if (course.state() == Course.State.STRAINED) {
            List<Task> open = AfterStraining.decant(course, log).stream()
                    .map(task -> Task.open(task.key(), hours.hands(task.due(), Step.A_HAND)))
                    .toList();
            return new Foresight(open, List.of(), Optional.empty(), Optional.empty());
        }
        return course.state() == Course.State.STANDING
                ? new Placing(course, log, hours, notBefore).placed(PlanSteps.of(request, hours))
                : NOTHING;
    }

    /** Its open tasks, at most one of a kind, however far ahead it falls due. */
    public List<Task> open() {
        return open;
    }

    /** What comes after those, each done in its time; no key twice. */
    public List<Task> later() {
        Set<TaskKey> asked = open.stream().map(Task::key).collect(Collectors.toCollection(HashSet::new));
        return then.map(how -> how.how().later(how.heat(), how.end(), open, how.rest())).orElse(List.of()).stream()
                .filter(task -> asked.add(task.key()))
                .toList();
    }

    /** Every task from now to {@code until}, as it will be asked if each is done in its time. */
    public List<Task> until(Instant until) {
        return Stream.concat(open.stream(), later().stream())
                .filter(task -> !task.due().isAfter(until))
                .sorted(Comparator.comparing(Task::due))
                .toList();
    }

    /** The first task of a kind. */
    public Optional<Task> first(TaskKind kind) {
        return Stream.concat(open.stream(), later().stream())
                .filter(task -> task.key().kind() == kind)
                .findFirst();
    }

    /** Its steps from now on; of the stage it is in only heat. */
    public List<Part> parts() {
        return then.map(how -> how.how()
                        .parts(
                                placed,
                                Stream.concat(open.stream(), later().stream()).toList()))
                .orElse(List.of());
    }

    /** The same, as what takes up hands and sources of heat. */
    public Optional<Timetable> timetable() {
        return placed.isEmpty() ? Optional.empty() : Optional.of(new Timetable(placed));
    }

    /** When it is taken off the heat for the last time in this stage: the task that does it. */
    public Optional<Task> heatDone() {
        return heat.flatMap(one -> one.done()
                .map(end -> Task.open(
                        new TaskKey(
                                one.step().key(),
                                TaskKind.HEAT_OFF,
                                one.first() + one.spans().size() - 1),
                        end)));
    }

    /** When it is to be strained; absent where it does not stand. */
    public Optional<Task> straining() {
        return then.map(Later::straining).filter(task -> task.key().kind() == TaskKind.STRAIN);
    }

    /** How it is placed: the heat of its stage, what ends that, and the steps after. */
    private record Placing(Course course, Log log, HomeHours hours, Map<String, Instant> notBefore) {

        Foresight placed(List<Step> steps) {
            Stage stage = course.stage();
            Optional<HeatAhead> heat = course.heat()
                    .map(one -> HeatAhead.of(course, one, log, hours, Optional.ofNullable(notBefore.get(stage.key()))));
            Instant ready = heat.map(one -> one.ready(course.now())).orElseGet(() -> course.stageEnd(hours.zone()));
            List<Step> after = steps.stream()
                    .dropWhile(step -> !step.key().equals(stage.key()))
                    .skip(1)
                    .toList();
            List<Placed> rest = placed(after, ready);
            Task end = end(ready, rest);
            if (end.due().isBefore(course.now())) {
                rest = placed(
                        after.stream()
                                .filter(step -> !step.key().equals(PlanSteps.COOL))
                                .toList(),
                        course.now());
            }
            List<Task> open = open(heat, end, ready);
            List<Placed> all = Stream.concat(heat.flatMap(HeatAhead::placed).stream(), rest.stream())
                    .toList();
            return new Foresight(open, all, heat, Optional.of(new Later(this, heat, end, rest)));
        }

        private List<Placed> placed(List<Step> steps, Instant from) {
            return Scheduler.forward(steps, from, hours, notBefore)
                    .map(Timetable::placed)
                    .orElse(List.of());
        }

        /** What ends the stage: the next one, or the straining, once it is cool. */
        private Task end(Instant ready, List<Placed> rest) {
            TaskKind kind = course.next().isPresent() ? TaskKind.NEXT : TaskKind.STRAIN;
            TaskKey key = new TaskKey(course.stage().key(), kind, 1);
            return course.next()
                    .map(next -> Task.open(key, begins(next, ready)))
                    .orElseGet(() -> Task.open(
                            key, of(rest, PlanSteps.STRAIN).map(Placed::start).orElse(held(PlanSteps.STRAIN, ready))));
        }

        private Instant begins(Stage stage, Instant ready) {
            return hours.hands(held(stage.key(), ready), Step.A_HAND);
        }

        private Instant held(String step, Instant due) {
            Instant hold = notBefore.getOrDefault(step, due);
            return hold.isAfter(due) ? hold : due;
        }

        private List<Task> open(Optional<HeatAhead> heat, Task end, Instant ready) {
            List<Task> tasks = new ArrayList<>();
            Rounds.tendings(course, log, hours.zone()).forEach(task -> tasks.add(inHours(task)));
            if (heat.filter(one -> one.on() || !one.step().heat().isZero()).isPresent()) {
                heat.get().open(course, course.heat().orElseThrow(), log).forEach(task -> tasks.add(inHours(task)));
            } else {
                tasks.add(end);
            }
            if (course.spirit() && course.next().isEmpty()) {
                tasks.add(spiritGone(ready));
            }
            return tasks;
        }

        /** Asked at the end of the last stage: the vapour burns until then. */
        private Task spiritGone(Instant over) {
            return Task.open(TaskKey.spiritGone(), hours.hands(over, Step.A_HAND));
        }

        private Task inHours(Task task) {
            return isBesideIt(task) ? task : Task.open(task.key(), hours.hands(task.due(), Step.A_HAND));
        }

        /** Heat that is not left alone has somebody beside it while it is on; heat that is left alone waits for them like all else. */
        private boolean isBesideIt(Task task) {
            boolean onHeat = task.key().kind() == TaskKind.READ
                    || task.key().kind() == TaskKind.WATER
                    || task.key().kind() == TaskKind.HEAT_OFF
                    // Whoever takes it off puts it cold then, and not when somebody is up again.
                    || task.key().kind() == TaskKind.FRIDGE_IN;
            return onHeat && !HeatAhead.isAlone(course.stage(), hours);
        }

        private List<Task> later(Optional<HeatAhead> heat, Task end, List<Task> open, List<Placed> rest) {
            List<Task> tasks = new ArrayList<>(Rounds.laterTendings(course, open, hours));
            heat.ifPresent(one -> tasks.addAll(one.later()));
            tasks.add(end);
            List<Stage> stages = course.method().stages();
            int now = stages.indexOf(course.stage());
            Instant over = course.now();
            for (int i = now + 1; i < stages.size(); i++) {
                Stage stage = stages.get(i);
                Optional<Placed> here = of(rest, stage.key());
                if (here.isPresent()) {
                    if (i > now + 1) {
                        tasks.add(
                                Task.open(new TaskKey(stages.get(i - 1).key(), TaskKind.NEXT, 1), begins(stage, over)));
                    }
                    tasks.addAll(
                            stage.isHeated()
                                    ? HeatAhead.of(here.get()).all()
                                    : Rounds.tendings(stage, here.get(), hours));
                    over = here.get().end();
                }
            }
            straining(rest).ifPresent(tasks::add);
            if (course.spirit() && course.next().isPresent() && !rest.isEmpty()) {
                tasks.add(spiritGone(over));
            }
            of(rest, PlanSteps.DECANT)
                    .ifPresent(decant ->
                            tasks.add(Task.open(new TaskKey(TaskKey.AFTER, TaskKind.DECANT, 1), decant.start())));
            return tasks;
        }

        private Optional<Task> straining(List<Placed> rest) {
            List<Stage> stages = course.method().stages();
            TaskKey key = new TaskKey(stages.get(stages.size() - 1).key(), TaskKind.STRAIN, 1);
            return of(rest, PlanSteps.STRAIN).map(strain -> Task.open(key, strain.start()));
        }

        private static Optional<Placed> of(List<Placed> rest, String key) {
            return rest.stream().filter(one -> one.step().key().equals(key)).findFirst();
        }

        /** The steps with the tasks that stand at their ends. */
        private List<Part> parts(List<Placed> all, List<Task> tasks) {
            return all.stream()
                    .map(placed -> new Part(
                            placed.step().name(),
                            placed.spans().stream()
                                    .map(span -> new Stretch(
                                            span,
                                            at(tasks, placed, span.startInclusive(), true),
                                            at(tasks, placed, span.endExclusive(), false)))
                                    .toList(),
                            placed.step() instanceof Step.Heat
                                            && placed.spans().stream().anyMatch(span -> !runs(placed, span))
                                    ? Optional.of(hours.warmUp())
                                    : Optional.empty()))
                    .toList();
        }

        private boolean runs(Placed placed, Span span) {
            return placed.step().key().equals(course.stage().key())
                    && course.heat().filter(one -> one.on()).isPresent()
                    && span.equals(placed.spans().get(0));
        }

        /** The task that begins or ends a stretch of a step: the one of its kinds that stands at that moment. */
        private static Optional<TaskKey> at(List<Task> tasks, Placed placed, Instant at, boolean begins) {
            return tasks.stream()
                    .filter(task -> task.due().equals(at))
                    .map(Task::key)
                    .filter(key -> is(key, placed.step(), begins))
                    .findFirst();
        }

        private static boolean is(TaskKey key, Step step, boolean begins) {
            return switch (key.kind()) {
                case HEAT_ON -> begins
                        && step instanceof Step.Heat
                        && key.stage().equals(step.key());
                case HEAT_OFF -> !begins
                        && step instanceof Step.Heat
                        && key.stage().equals(step.key());
                case NEXT -> begins && (step instanceof Step.Days || step instanceof Step.Wait wait && wait.byHand());
                case STRAIN -> begins && step.key().equals(PlanSteps.STRAIN);
                case DECANT -> begins && step.key().equals(PlanSteps.DECANT);
                default -> false;
            };
        }
    }
}
