package app.velvetcrock.core.situations;

import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.course.Entry;
import app.velvetcrock.core.course.Facts;
import app.velvetcrock.core.course.HeatCourse;
import app.velvetcrock.core.course.LineWords;
import app.velvetcrock.core.course.Log;
import app.velvetcrock.core.course.TaskKey;
import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.deed.Deed;
import app.velvetcrock.core.deed.May;
import app.velvetcrock.core.deed.Refusal;
import app.velvetcrock.core.heat.HeatChange;
import app.velvetcrock.core.heat.HeatSetting;
import app.velvetcrock.core.heat.SourceCurve;
import app.velvetcrock.core.keeping.Antioxidant;
import app.velvetcrock.core.keeping.Glass;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.kitchen.HouseholdUnits;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.look.Clarity;
import app.velvetcrock.core.look.Condition;
import app.velvetcrock.core.look.Held;
import app.velvetcrock.core.look.Look;
import app.velvetcrock.core.look.Ruin;
import app.velvetcrock.core.look.Smell;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.rounds.Foresight;
import app.velvetcrock.core.rounds.Rounds;
import app.velvetcrock.core.rounds.Task;
import app.velvetcrock.core.strain.Pressing;
import java.time.Duration;
import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;

/** All that core says of a batch at a moment, each under the word a situation asks for it by. */
final class Seen {

    private static final UUID ANY = new UUID(9, 9);
    private static final Wording SAY = new Wording(HouseholdUnits.METRIC, Standing.ZONE);
    private static final DateTimeFormatter MOMENT =
            DateTimeFormatter.ofPattern("d MMM HH:mm", Locale.UK).withZone(Standing.ZONE);

    private Seen() {}

    static Map<String, String> of(Standing standing, Instant now) {
        Map<String, String> all = new LinkedHashMap<>();
        Course course = standing.course(now);
        Log log = standing.log();
        stands(course, log, standing, all);
        course.heat().ifPresent(heat -> heat(course, heat, now, all));
        all.put(
                "source",
                course.shown(log, Volume.ofMillilitres(275)).stream()
                        .map(Seen::curve)
                        .collect(Collectors.joining(", ")));
        asked(course, log, standing, now, all);
        all.put("may not", mayNot(course, log, now));
        all.put("log", log.entries().stream().map(Seen::words).collect(Collectors.joining(" / ")));
        all.replaceAll((what, words) -> words.strip());
        all.values().removeIf(String::isEmpty);
        return all;
    }

    private static void stands(Course course, Log log, Standing standing, Map<String, String> all) {
        all.put("state", course.state() + " " + course.stage().key() + " day " + course.day());
        all.put("since", at(course.stageSince()) + " till " + at(course.stageEnd(Standing.ZONE)));
        all.put("strain on", course.strainOn() + yes(course.strainedOn().isPresent(), ", strained"));
        all.put(
                "done",
                "%.2f%s%s"
                        .formatted(
                                course.progress(),
                                yes(course.isDue(), ", due"),
                                course.overdueDays() == 0 ? "" : ", over " + course.overdueDays()));
        all.put(
                "charge",
                "%.0f g in %.0f mL"
                        .formatted(
                                course.charge().herbs().mass().grams(),
                                course.charge().oil().millilitres()));
        all.put(
                "is",
                yes(course.standsOut(), "standing out ")
                        + yes(course.spirit(), "with spirit ")
                        + yes(course.moistFood(), "moist food ")
                        + yes(course.isOverheated(), "overheated ")
                        + yes(course.isScorched(), "scorched ")
                        + course.peak()
                                .map(peak -> "peak " + SAY.temperature(peak))
                                .orElse(""));
        Facts facts = Facts.of(standing.plan(), course, log, Standing.ZONE);
        all.put(
                "facts",
                "%s %s, %s to %s, keeps %s%s"
                        .formatted(
                                facts.herbs(),
                                facts.carriers(),
                                day(facts.began()),
                                day(facts.ended()),
                                day(facts.keepsUntil()),
                                yes(facts.settling(), ", settling")));
    }

    private static void heat(Course course, HeatCourse heat, Instant now, Map<String, String> all) {
        all.put(
                "heat",
                "%s, %d sessions%s"
                        .formatted(heat.on() ? "on" : "off", heat.sessions(), at(", since ", heat.onSince())));
        all.put(
                "latest",
                heat.latest()
                                .map(one -> SAY.temperature(one.temperature()) + " at " + at(one.at()))
                                .orElse("") + " of " + heat.readings().size());
        all.put("touched", at("", heat.touched()));
        all.put(
                "left",
                "%s of %.0f min%s".formatted(heat.left(), heat.wanted().minutes(), yes(heat.isEnough(), ", enough")));
        all.put("finish", at("", heat.finish()) + at(", runs until ", heat.runsUntil()));
        all.put(
                "ahead",
                heat.forecast()
                        .map(ahead -> ahead.at(now.plus(Duration.ofMinutes(20)))
                                .map(fan -> SAY.temperature(fan.middle()))
                                .orElse("somewhere"))
                        .orElse(""));
        all.put("danger", heat.danger(now, SAY, Optional::empty).orElse(""));
        all.put("word", heat.dangerWord().orElse(""));
        all.put(
                "probe",
                (at("speaks ", heat.probe().speaks())
                                + at(" doubted ", heat.probe().doubt())
                                + at(" silent ", heat.probe().silent()))
                        .strip());
        all.put(
                "bath",
                heat.water()
                        .map(water -> "look %d by %s%s%s"
                                .formatted(
                                        water.ordinal(),
                                        at(water.by()),
                                        at(", topped ", water.topped()),
                                        water.lasted()
                                                .map(lasted -> ", lasted " + lasted)
                                                .orElse("")))
                        .orElse(""));
        all.put("look by", at("", heat.nextLook(course.stage())));
    }

    private static String curve(SourceCurve curve) {
        return "%s to %s from %s"
                .formatted(
                        curve.setting().map(HeatSetting::word).orElse("unset"),
                        SAY.temperature(curve.end()),
                        curve.began().map(SAY::temperature).orElse("-"));
    }

    private static void asked(Course course, Log log, Standing standing, Instant now, Map<String, String> all) {
        Foresight foresight = Foresight.of(course, log, standing.plan().request(), standing.hours(), Map.of());
        List<Task> open = foresight.open();
        all.put("open", tasks(open));
        List<Task> ahead = foresight.until(now.plus(Duration.ofDays(4)));
        all.put("ahead till", ahead.size() == open.size() ? "" : tasks(ahead));
        all.put("called off", Rounds.calledOff(course, log, standing.hours()).size() + "");
        all.put("done today", tasks(Rounds.doneBetween(log, now.minus(Duration.ofHours(3)), now)));
        all.put("strains", at("", foresight.straining().map(Task::due)));
        all.put("heat done", at("", foresight.heatDone().map(Task::due)));
        List<Task> later = foresight.later();
        all.put("later", tasks(later.size() > 14 ? later.subList(0, 14) : later));
    }

    private static String tasks(List<Task> tasks) {
        return tasks.stream().map(task -> task.key() + " " + at(task.due())).collect(Collectors.joining(", "));
    }

    private static String words(Entry entry) {
        return at(entry.happenedAt()) + " " + entry.line().accept(new LineWords(SAY));
    }

    private static String mayNot(Course course, Log log, Instant now) {
        app.velvetcrock.core.course.Seen seen =
                new app.velvetcrock.core.course.Seen(Clarity.CLEAR, Smell.RIGHT, Volume.ZERO, "");
        Map<String, Deed> deeds = new LinkedHashMap<>();
        deeds.put("shake", new Deed.Tend(new TaskKey("stand", TaskKind.SHAKE, 1)));
        deeds.put("decant", new Deed.Tend(new TaskKey(TaskKey.AFTER, TaskKind.DECANT, 1)));
        deeds.put("look", new Deed.LookAt(Optional.empty(), Look.ALL_WELL));
        deeds.put("read", new Deed.Read(Optional.empty(), Temperature.ofCelsius(45)));
        deeds.put("turn", new Deed.Turn(HeatChange.LID_OFF, Optional.empty()));
        deeds.put("probe in", new Deed.Probe(new UUID(3, 3), "the pot probe", true));
        deeds.put("probe out", new Deed.Probe(new UUID(3, 3), "the pot probe", false));
        deeds.put("other probe out", new Deed.Probe(ANY, "the other probe", false));
        deeds.put("top up", new Deed.TopUp(ANY, Volume.ofMillilitres(20)));
        deeds.put("note", new Deed.Note("so"));
        deeds.put("find", new Deed.Find(Condition.MOULD, "", Optional.empty()));
        deeds.put("dealt with", new Deed.Answer(ANY, Condition.MOULD, true, "", Optional.empty()));
        deeds.put("not so", new Deed.Answer(ANY, Condition.MOULD, false, "", Optional.empty()));
        deeds.put("change plan", new Deed.ChangePlan(Optional.of(20), Optional.empty(), "away"));
        deeds.put("strain", new Deed.Strain(Mass.ofGrams(200), Pressing.HAND, true, seen, ""));
        deeds.put("settle", new Deed.Settle(Mass.ofGrams(100), Volume.ZERO, Smell.RIGHT));
        deeds.put(
                "bottle",
                new Deed.Bottle(
                        ANY,
                        2,
                        Volume.ofMillilitres(50),
                        Glass.DARK,
                        Storage.COOL_DARK,
                        Antioxidant.NONE,
                        Optional.empty()));
        deeds.put("sniff", new Deed.Sniff(ANY, true));
        deeds.put("draw", new Deed.Draw(ANY, Mass.ofGrams(5), Held.DRAW));
        deeds.put("give", new Deed.Draw(ANY, Mass.ofGrams(5), Held.GIVE));
        deeds.put("throw out", new Deed.ThrowOut(Ruin.MOULD, "", Optional.empty()));
        deeds.put("throw a bottle out", new Deed.ThrowOut(Ruin.MOULD, "", Optional.of(ANY)));
        List<String> no = new ArrayList<>();
        deeds.forEach((name, deed) -> refused(deed, course, log, now).ifPresent(why -> no.add(name + ": " + why)));
        return String.join(" / ", no);
    }

    private static Optional<String> refused(Deed deed, Course course, Log log, Instant now) {
        return May.be(deed, new May.Standing(7, course, log), new May.Times(now, now, SAY))
                .map(Refusal::wrong);
    }

    private static String at(Instant moment) {
        return MOMENT.format(moment);
    }

    private static String at(String before, Optional<Instant> moment) {
        return moment.map(at -> before + at(at)).orElse("");
    }

    private static String day(Optional<java.time.LocalDate> day) {
        return day.map(Object::toString).orElse("-");
    }

    private static String yes(boolean is, String words) {
        return is ? words : "";
    }
}
