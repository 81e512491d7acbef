package app.velvetcrock.core.book;

import app.velvetcrock.core.book.Fact.Part;
import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.course.Entry;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.course.Log;
import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.heat.HeatTrace;
import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.planning.BatchPlan;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.planning.PlannedHerb;
import app.velvetcrock.core.strain.Retention;
import app.velvetcrock.core.strain.YieldForecast;
import java.time.Duration;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * What there is to say of an infusion where it is laid beside another: what was planned, what was done, what came of it.
 *
 * @param forecast for what was really in it
 * @param keepUntil till when its oil keeps, where it was strained
 */
public record AsMade(
        BatchPlan plan,
        Course course,
        Log log,
        YieldForecast forecast,
        Optional<LocalDate> keepUntil,
        Wording wording) {

    private static final double MINUTES = 60;

    /** All of it, in the order it is read. */
    public List<Fact> facts() {
        List<Fact> facts = new ArrayList<>();
        inputs(facts);
        course(facts);
        outcomes(facts);
        facts.removeIf(fact -> fact.done().isEmpty() && fact.planned().isEmpty());
        return facts;
    }

    private void inputs(List<Fact> facts) {
        PlanRequest request = plan.request();
        facts.add(Fact.of(Part.INPUT, "herb", herbs(herb -> herb.kind().common())));
        facts.add(Fact.of(
                Part.INPUT, "part of it", herbs(herb -> herb.texture().part().word())));
        facts.add(Fact.of(Part.INPUT, "cut", herbs(herb -> herb.cut().word())));
        facts.add(Fact.of(Part.INPUT, "how dry", herbs(herb -> herb.moisture().word())));
        Mass herb = course.charge().herbs().mass();
        facts.add(Fact.planned(
                Part.INPUT,
                "how much herb",
                wording.mass(plan.charge().herbs().mass()),
                log.isByHand() ? "by the handful" : wording.mass(herb)));
        facts.add(Fact.of(Part.INPUT, "oil", request.carriers().words()));
        Volume oil = course.charge().oil();
        facts.add(Fact.planned(
                Part.INPUT, "how much oil", wording.volume(plan.charge().oil()), wording.volume(oil)));
        facts.add(Fact.of(Part.INPUT, "oil to herb", ratio(oil, herb)));
        facts.add(Fact.of(Part.INPUT, "oil's bottle", bottle(request.carrier().bottle())));
        facts.add(Fact.of(Part.INPUT, "jar", wording.volume(request.vessel().capacity())));
    }

    private String herbs(Function<PlannedHerb, String> of) {
        return plan.request().herbs().stream().map(of).distinct().collect(Collectors.joining(", "));
    }

    private static String ratio(Volume oil, Mass herb) {
        return herb.grams() == 0 ? "" : "1 : " + Decimals.upTo(oil.millilitres() / herb.grams(), 1);
    }

    /** How old the oil was when it was poured. */
    private String bottle(Bottle bottle) {
        LocalDate poured = charged();
        return bottle.opened()
                .map(opened -> "opened %s before".formatted(days(ChronoUnit.DAYS.between(opened, poured))))
                .orElse("freshly opened");
    }

    private LocalDate charged() {
        return wording.dayOf(course.chargedAt());
    }

    private void course(List<Fact> facts) {
        var how = plan.request().circumstances();
        facts.add(Fact.of(Part.COURSE, "way", how.method().name()));
        String toStand = days(ChronoUnit.DAYS.between(how.start(), plan.strainOn()));
        facts.add(new Fact(
                Part.COURSE,
                "stood",
                toStand,
                stood(),
                course.state() != Course.State.STANDING && !stood().equals(toStand)));
        facts.add(Fact.of(Part.COURSE, "shaken", tended(TaskKind.SHAKE)));
        facts.add(Fact.of(Part.COURSE, "looked at", tended(TaskKind.LOOK)));
        facts.add(Fact.of(Part.COURSE, "light", how.method().isInLight() ? "in the light" : "dark"));
        heat(facts);
        Volume more =
                log.all(Line.ToppedUp.class).stream().map(Line.ToppedUp::oil).reduce(Volume.ZERO, Volume::plus);
        facts.add(Fact.of(Part.COURSE, "topped up", more.millilitres() > 0 ? wording.volume(more) : ""));
        facts.add(Fact.of(
                Part.COURSE,
                "plan changed",
                log.all(Line.PlanChanged.class).stream()
                        .map(Line.PlanChanged::reason)
                        .distinct()
                        .collect(Collectors.joining("; "))));
        Optional<Line.Strained> strained = log.last(Line.Strained.class);
        facts.add(
                strained.isEmpty()
                        ? Fact.of(Part.COURSE, "pressed", "")
                        : Fact.planned(
                                Part.COURSE,
                                "pressed",
                                how.pressing().word(),
                                strained.orElseThrow().pressing().word()));
    }

    private String stood() {
        return course.state() == Course.State.STANDING
                ? course.standWord() + " so far"
                : ended().map(day -> days(ChronoUnit.DAYS.between(charged(), day)))
                        .orElse("");
    }

    private Optional<LocalDate> ended() {
        return course.strainedOn().or(() -> log.firstAt(Line.Discarded.class).map(wording::dayOf));
    }

    /** On how many days, and how many there were. */
    private String tended(TaskKind kind) {
        long done = log.done(kind).stream()
                .map(Entry::happenedAt)
                .map(wording::dayOf)
                .distinct()
                .count();
        LocalDate until = ended().orElseGet(() -> wording.dayOf(course.now()));
        long of = ChronoUnit.DAYS.between(charged(), until);
        return done == 0 ? "" : "on %d of %s".formatted(done, days(Math.max(done, of)));
    }

    private void heat(List<Fact> facts) {
        List<HeatTrace> traces = course.traces();
        if (traces.isEmpty()) {
            return;
        }
        facts.add(Fact.of(
                Part.COURSE,
                "hours in its band",
                hours(traces.stream()
                        .mapToDouble(trace -> trace.inBand().minutes())
                        .sum())));
        facts.add(Fact.of(
                Part.COURSE, "hottest", course.peak().map(wording::temperature).orElse("not read")));
        facts.add(Fact.of(
                Part.COURSE,
                "nobody watched",
                hours(traces.stream()
                        .mapToDouble(trace -> trace.unwatched().minutes())
                        .sum())));
        facts.add(Fact.of(Part.COURSE, "scorched", course.isScorched() ? "yes" : ""));
    }

    private static String hours(double minutes) {
        return Decimals.upTo(minutes / MINUTES, 1) + " h";
    }

    private void outcomes(List<Fact> facts) {
        log.last(Line.Discarded.class)
                .filter(gone -> gone.lot().isEmpty())
                .ifPresent(gone -> facts.add(
                        Fact.of(Part.OUTCOME, "thrown out", gone.ruin().word())));
        Optional<Line.Strained> strained = log.last(Line.Strained.class);
        strained.ifPresent(gave -> {
            Volume out = log.oilOut().orElse(gave.out());
            facts.add(new Fact(
                    Part.OUTCOME,
                    "came back",
                    "%s to %s".formatted(wording.volume(forecast.low()), wording.volume(forecast.high())),
                    wording.volume(out),
                    !forecast.holds(out)));
            if (!log.isByHand()) {
                facts.add(Fact.of(
                        Part.OUTCOME,
                        "a gram kept",
                        Decimals.upTo(
                                        Retention.measured(
                                                course.charge().oil(),
                                                out,
                                                course.charge().herbs().mass()),
                                        1)
                                + " mL"));
            }
            facts.add(Fact.of(Part.OUTCOME, "colour", gave.seen().colour()));
            facts.add(Fact.of(Part.OUTCOME, "smell", gave.seen().smell().word()));
            facts.add(Fact.of(Part.OUTCOME, "clarity", gave.seen().clarity().word()));
            facts.add(Fact.of(
                    Part.OUTCOME,
                    "water under it",
                    gave.seen().water().millilitres() > 0
                            ? wording.volume(gave.seen().water())
                            : ""));
        });
        course.strainedOn()
                .flatMap(from -> keepUntil.map(to -> ChronoUnit.DAYS.between(from, to)))
                .ifPresent(days -> facts.add(Fact.of(Part.OUTCOME, "keeps", keeps(days))));
        facts.add(Fact.of(
                Part.OUTCOME,
                "found wrong",
                log.all(Line.Found.class).stream()
                        .map(found -> found.what().word())
                        .distinct()
                        .collect(Collectors.joining(", "))));
        facts.add(Fact.of(Part.OUTCOME, "lesson", lessons()));
    }

    private String lessons() {
        List<String> all = new ArrayList<>();
        log.all(Line.Lesson.class).forEach(line -> all.add(line.words()));
        log.all(Line.Discarded.class).forEach(line -> all.add(line.lesson()));
        return all.stream().filter(words -> !words.isBlank()).distinct().collect(Collectors.joining("; "));
    }

    /** Days as they are said of keeping: to the month from two months on. */
    public static String keeps(long days) {
        final double month = Duration.ofDays(365).toDays() / 12.0;
        return days < 2 * month ? days(days) : Decimals.upTo(days / month, 0) + " months";
    }

    private static String days(long days) {
        return days == 1 ? "1 day" : days + " days";
    }
}
