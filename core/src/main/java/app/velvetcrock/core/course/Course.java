package app.velvetcrock.core.course;

import app.velvetcrock.core.charge.Charge;
import app.velvetcrock.core.heat.HeatTrace;
import app.velvetcrock.core.heat.Heated;
import app.velvetcrock.core.heat.SourceCurve;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Pace;
import app.velvetcrock.core.method.Stage;
import app.velvetcrock.core.planning.BatchPlan;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;

/**
 * Where a batch stands at a moment, derived from its plan and its log.
 *
 * @param method the way it is made, all its stages
 * @param stage the stage it is in
 * @param chargedAt when herb and oil came together
 * @param stageSince when this stage began; for the first one, the charging
 * @param day days since this stage began; the day it began is 0
 * @param length what the plan gives the stage, in the stage's pace
 * @param lengths what the plan gives every stage
 * @param charge what is really in the vessel: as weighed and poured, with every top-up
 * @param moistFood true for food of anything moist, which is not left to settle
 * @param heatBefore what its earlier heated stages were given, which it does not forget
 * @param spirit whether spirit may still be in it, whose vapour burns
 * @param standsOut true when the last look found herb above the oil and nothing was done about it since
 */
public record Course(
        State state,
        Method method,
        Stage stage,
        Instant chargedAt,
        Instant stageSince,
        Instant now,
        long day,
        int length,
        List<Integer> lengths,
        LocalDate strainOn,
        Optional<LocalDate> strainedOn,
        Charge charge,
        boolean standsOut,
        boolean moistFood,
        boolean spirit,
        Optional<HeatCourse> heat,
        List<HeatTrace> heatBefore) {

    public Course {
        heatBefore = List.copyOf(heatBefore);
    }

    /** What has become of a batch. */
    public enum State {
        STANDING,
        STRAINED,
        /** Of a making: it was poured. */
        POURED,
        /** Thrown out before it was strained. */
        DISCARDED,
        /** The start itself was taken back. */
        NEVER_STARTED
    }

    /**
     * What is known of a batch.
     *
     * @param entries in any order
     * @param probed what probes read, by the key of the heated stage
     * @param bathLasted how long the water of the household's last bath lasted; asked only where it stands in one
     */
    public record Known(
            BatchPlan plan,
            Collection<Entry> entries,
            Map<String, Probed> probed,
            Supplier<Optional<Duration>> bathLasted) {

        private HeatCourse heat(HeatTold told, Instant now) {
            return HeatCourse.of(
                    told, probed.getOrDefault(told.heated().stage().key(), Probed.NOTHING), now, bathLasted);
        }
    }

    /** Derives the course of a batch no probe was in. */
    public static Course of(BatchPlan plan, Collection<Entry> all, Instant now, ZoneId zone) {
        return of(new Known(plan, all, Map.of(), Optional::empty), now, zone);
    }

    /** Derives the course; a day is the household's own. */
    public static Course of(Known known, Instant now, ZoneId zone) {
        BatchPlan plan = known.plan();
        Log log = Log.of(known.entries());
        var how = plan.request().circumstances();
        Optional<Instant> started = log.firstAt(Line.Charged.class);
        Instant charged =
                started.orElseGet(() -> how.start().atTime(12, 0).atZone(zone).toInstant());
        int at = reached(how.method(), log);
        Stage stage = how.method().stages().get(at);
        int length = how.lengths().get(at);
        Instant since = at == 0
                ? charged
                : begun(how.method().stages().get(at - 1), log).orElse(charged);
        Optional<LocalDate> strained =
                log.firstAt(Line.Strained.class).map(when -> when.atZone(zone).toLocalDate());
        State state = started.isEmpty()
                ? State.NEVER_STARTED
                : strained.isPresent()
                        ? State.STRAINED
                        : log.last(Line.Discarded.class).isPresent() ? State.DISCARDED : State.STANDING;
        LocalDate until = strained.orElse(now.atZone(zone).toLocalDate());
        List<HeatCourse> heats =
                heats(plan, log).stream().map(told -> known.heat(told, now)).toList();
        int earlier = heats.size() - (stage.isHeated() ? 1 : 0);
        return new Course(
                state,
                how.method(),
                stage,
                charged,
                since,
                now,
                Math.max(0, ChronoUnit.DAYS.between(since.atZone(zone).toLocalDate(), until)),
                length,
                how.lengths(),
                end(how.method(), how.lengths(), at, since, zone).atZone(zone).toLocalDate(),
                strained,
                charge(plan.charge(), log),
                standsOut(log),
                plan.isMoistFood(),
                state == State.STANDING
                        && plan.moistening().isPresent()
                        && log.done(TaskKey.spiritGone()).isEmpty(),
                stage.isHeated() ? Optional.of(heats.get(earlier)) : Optional.empty(),
                heats.subList(0, earlier).stream().map(HeatCourse::trace).toList());
    }

    /** Which stage it is in: one further for each that was ended by hand. */
    private static int reached(Method method, Log log) {
        int at = 0;
        while (at + 1 < method.stages().size()
                && begun(method.stages().get(at), log).isPresent()) {
            at++;
        }
        return at;
    }

    /** What the log tells of every heated stage it has come to, the one it is in last. */
    public static List<HeatTold> heats(BatchPlan plan, Log log) {
        List<Stage> stages = plan.request().circumstances().method().stages();
        int at = reached(plan.request().circumstances().method(), log);
        List<HeatTold> heats = new ArrayList<>();
        Instant since = log.firstAt(Line.Charged.class).orElse(Instant.EPOCH);
        for (int i = 0; i <= at; i++) {
            Optional<Instant> until = i < at ? begun(stages.get(i), log) : Optional.empty();
            if (stages.get(i).isHeated()) {
                heats.add(HeatTold.of(
                        heated(plan, stages.get(i)),
                        plan.request().circumstances().lengths().get(i),
                        new HeatTold.Span(since, until),
                        log));
            }
            since = until.orElse(since);
        }
        return heats;
    }

    private static Heated heated(BatchPlan plan, Stage stage) {
        return new Heated(stage, !plan.request().wettest().isDried());
    }

    /** What all its heated stages were given, this one last. */
    public List<HeatTrace> traces() {
        return Stream.concat(heatBefore.stream(), heat.stream().map(HeatCourse::trace))
                .toList();
    }

    /** The hottest reading of all its stages. */
    public Optional<Temperature> peak() {
        return traces().stream().flatMap(trace -> trace.peak().stream()).max(Comparator.naturalOrder());
    }

    public boolean isOverheated() {
        return traces().stream().anyMatch(HeatTrace::isOverheated);
    }

    public boolean isScorched() {
        return traces().stream().anyMatch(HeatTrace::scorched);
    }

    /**
     * What its source of heat did in the stage it is in, by the readings of its log.
     *
     * @param load the oil, and the water it stands in
     */
    public List<SourceCurve> shown(Log log, Volume load) {
        return heat.map(one -> one.shown(log, stage, load)).orElse(List.of());
    }

    /** When a stage was ended, and so the next begun. */
    private static Optional<Instant> begun(Stage ended, Log log) {
        return log.done(new TaskKey(ended.key(), TaskKind.NEXT, 1)).map(Entry::happenedAt);
    }

    /** When the last stage ends, if every one from this on takes what the plan gives it. */
    private static Instant end(Method method, List<Integer> lengths, int from, Instant since, ZoneId zone) {
        Instant at = since;
        for (int i = from; i < lengths.size(); i++) {
            at = method.stages().get(i).pace().after(at, lengths.get(i), zone);
        }
        return at;
    }

    /** When the vessel's last stage ends by the plan. */
    public Instant end(ZoneId zone) {
        return end(method, lengths, method.stages().indexOf(stage), stageSince, zone);
    }

    /** When this stage ends by the plan. */
    public Instant stageEnd(ZoneId zone) {
        return stage.pace().after(stageSince, length, zone);
    }

    /** The stage after this one; absent for the last. */
    public Optional<Stage> next() {
        int at = method.stages().indexOf(stage) + 1;
        return at < method.stages().size() ? Optional.of(method.stages().get(at)) : Optional.empty();
    }

    /** Days past the day of straining; nothing while it still has time. */
    public long overdueDays() {
        return isDue() && stage.pace() == Pace.DAYS ? day - length : 0;
    }

    /** Tells whether the stage has had its time: its days, its hours, or its heat-hours. */
    public boolean isDue() {
        return state == State.STANDING && heat.map(HeatCourse::isEnough).orElseGet(() -> elapsed() >= length);
    }

    /** How much of the stage is done, 0 to 1. */
    public double progress() {
        double done = heat.map(h -> h.trace().credited().minutes() / h.wanted().minutes())
                .orElseGet(() -> elapsed() / length);
        return state == State.STRAINED ? 1 : Math.max(0, Math.min(1, done));
    }

    /** How far it stands, in its own pace: "day 9 of 35", "6 of 24 hours". */
    public String standWord() {
        return stage.pace() == Pace.DAYS
                ? "day %d of %d".formatted(day, length)
                : "%s of %s"
                        .formatted(
                                Decimals.upTo(progress() * length, 0),
                                stage.pace().words(length));
    }

    /** How much of an unheated stage has passed, in its pace: calendar days, or hours to the minute. */
    private double elapsed() {
        return stage.pace() == Pace.DAYS
                ? day
                : Duration.between(stageSince, now).toMinutes()
                        / (double) stage.pace().minutes();
    }

    private static Charge charge(Charge planned, Log log) {
        Charge really = log.last(Line.Charged.class)
                .map(said -> new Charge(
                        planned.herbs()
                                .times(said.herb().grams()
                                        / planned.herbs().mass().grams()),
                        said.oil(),
                        planned.vessel(),
                        planned.headspace()))
                .orElse(planned);
        Volume added =
                log.all(Line.ToppedUp.class).stream().map(Line.ToppedUp::oil).reduce(Volume.ZERO, Volume::plus);
        return really.withOil(really.oil().plus(added));
    }

    private static boolean standsOut(Log log) {
        boolean out = false;
        for (Entry entry : log.entries()) {
            if (entry.line() instanceof Line.Looked looked) {
                out = looked.look().standsOut();
            } else if (entry.line() instanceof Line.ToppedUp
                    || entry.line()
                            .task()
                            .filter(key -> key.kind() == TaskKind.PUSH_UNDER)
                            .isPresent()) {
                out = false;
            }
        }
        return out;
    }
}
