package app.velvetcrock.core.situations;

import app.velvetcrock.core.caution.Cautions;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.charge.OilWish;
import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.course.Entry;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.course.Lines;
import app.velvetcrock.core.course.Log;
import app.velvetcrock.core.course.ProbeSpan;
import app.velvetcrock.core.course.Probed;
import app.velvetcrock.core.course.TaskKey;
import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.heat.HeatChange;
import app.velvetcrock.core.heat.HeatOutline;
import app.velvetcrock.core.heat.HeatReading;
import app.velvetcrock.core.heat.HeatSetting;
import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.look.Look;
import app.velvetcrock.core.look.Ruin;
import app.velvetcrock.core.look.Smell;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Means;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.planning.BatchPlan;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.planning.PlannedCarrier;
import app.velvetcrock.core.planning.PlannedHerb;
import app.velvetcrock.core.planning.Planner;
import app.velvetcrock.core.rounds.Foresight;
import app.velvetcrock.core.rounds.Task;
import app.velvetcrock.core.spirit.Strength;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.core.timetable.HomeHours;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/** A batch that is told of line by line, as a situation has it: "18:00 on", "18:30 read 45", "+1 09:00 look out". */
final class Standing {

    static final ZoneId ZONE = ZoneId.of("Europe/London");
    private static final LocalDate DAY = LocalDate.of(2026, 11, 24);
    private static final UUID PROBE = new UUID(3, 3);
    private static final UUID KIT = new UUID(4, 4);

    private final List<Entry> entries = new ArrayList<>();
    private final List<HeatReading> byProbe = new ArrayList<>();
    private BatchPlan plan;
    private HomeHours hours = HomeHours.usual(ZONE);

    /** Adds what a line of the situation says. */
    void tell(String line) {
        String[] words = line.split(" ");
        if (words[0].equals("plan")) {
            plan = plan(words);
        } else if (words[0].equals("alone")) {
            hours = new HomeHours(hours.people(), ZONE, true, hours.warmUp());
        } else {
            int at = words[0].startsWith("+") ? 1 : 0;
            Instant moment = moment(line);
            String[] said = java.util.Arrays.copyOfRange(words, at + 1, words.length);
            if (said[0].equals("felt")) {
                byProbe.add(new HeatReading(moment, celsius(said[1]), true));
            } else {
                entries.add(new Entry(UUID.randomUUID(), moment, line(said, moment)));
            }
        }
    }

    /** "+1 09:00 …" is nine in the morning of the next day. */
    static Instant moment(String line) {
        String[] words = line.split(" ");
        boolean later = words[0].startsWith("+");
        LocalDate day = later ? DAY.plusDays(Long.parseLong(words[0].substring(1))) : DAY;
        return LocalDateTime.of(day, LocalTime.parse(words[later ? 1 : 0]))
                .atZone(ZONE)
                .toInstant();
    }

    private Line line(String[] said, Instant at) {
        return switch (said[0]) {
            case "charged" -> Lines.charged(Volume.ofMillilitres(275));
            case "on" -> tended(TaskKind.HEAT_ON, at);
            case "off" -> tended(TaskKind.HEAT_OFF, at);
            case "next" -> new Line.Tended(new TaskKey(course(at).stage().key(), TaskKind.NEXT, 1));
            case "shake" -> tended(TaskKind.SHAKE, at);
            case "push" -> tended(TaskKind.PUSH_UNDER, at);
            case "water" -> tended(TaskKind.WATER, at);
            case "fridge-in" -> tended(TaskKind.FRIDGE_IN, at);
            case "fridge-out" -> tended(TaskKind.FRIDGE_OUT, at);
            case "spirit-gone" -> new Line.Tended(TaskKey.spiritGone());
            case "look" -> new Line.Looked(
                    key(TaskKind.LOOK, at), new Look(Smell.RIGHT, said[1].equals("out"), said[1].equals("mould")));
            case "read" -> new Line.Heat(key(TaskKind.READ, at), celsius(said[1]));
            case "set" -> new Line.Turned(
                    HeatChange.SETTING, Optional.of(HeatSetting.valueOf(said[1].toUpperCase(Locale.ROOT))));
            case "source" -> new Line.Turned(
                    HeatChange.MOVED, Optional.empty(), Optional.of(new Line.Turned.OnSource(KIT, said[1])));
            case "bath" -> new Line.Turned(HeatChange.BATH_TOPPED_UP, Optional.empty());
            case "lid" -> new Line.Turned(HeatChange.LID_OFF, Optional.empty());
            case "topup" -> new Line.ToppedUp(millilitres(said[1]), bottle(), Optional.empty());
            case "probe" -> new Line.Probe(PROBE, "the pot probe", said[1].equals("in"));
            case "strained" -> Lines.strained(Double.parseDouble(said[1]), said[2].equals("cloudy"));
            case "settled" -> Lines.settled(Double.parseDouble(said[1]), 6);
            case "sniffed" -> Lines.passed();
            case "noted" -> new Line.Noted(said[1]);
            case "discarded" -> Lines.discarded(Ruin.MOULD, "");
            case "back" -> new Line.TakenBack(
                    entries.get(entries.size() - Integer.parseInt(said[1])).id());
            default -> throw new IllegalArgumentException("nothing is told by " + said[0]);
        };
    }

    private Line tended(TaskKind kind, Instant at) {
        return new Line.Tended(key(kind, at)
                .orElseGet(() -> new TaskKey(
                        course(at).stage().key(), kind, log().done(kind).size() + 1)));
    }

    private Optional<TaskKey> key(TaskKind kind, Instant at) {
        return Foresight.of(course(at), log(), plan.request(), hours, Map.of())
                .first(kind)
                .map(Task::key);
    }

    BatchPlan plan() {
        return plan;
    }

    HomeHours hours() {
        return hours;
    }

    Log log() {
        return Log.of(entries);
    }

    Course course(Instant now) {
        List<HeatReading> heard =
                byProbe.stream().filter(reading -> !reading.at().isAfter(now)).toList();
        Optional<Instant> in = ProbeSpan.of(log()).stream()
                .filter(span -> span.until().isEmpty())
                .map(ProbeSpan::from)
                .findFirst();
        Probed probed = heard.isEmpty() && in.isEmpty()
                ? Probed.NOTHING
                : new Probed(Optional.empty(), HeatOutline.EMPTY, heard, in);
        return Course.of(
                new Course.Known(
                        plan,
                        entries,
                        Map.of("warm", probed, "bath", probed, "low", probed, "open", probed),
                        () -> Optional.of(Duration.ofMinutes(90))),
                now,
                ZONE);
    }

    private static Temperature celsius(String typed) {
        return Temperature.ofCelsius(Double.parseDouble(typed));
    }

    private static Volume millilitres(String typed) {
        return Volume.ofMillilitres(Double.parseDouble(typed));
    }

    private static Bottle bottle() {
        return new Bottle("rapeseed", 10, Optional.of(LocalDate.of(2026, 9, 1)), Optional.empty());
    }

    /** "plan slow-warm 8 nettle dried hands": its way, how long the first stage is, of what and for whom. */
    private static BatchPlan plan(String[] words) {
        Materia materia = Materia.shipped();
        Method method = Method.shipped().stream()
                .filter(one -> one.key().equals(words[1]))
                .findFirst()
                .orElseThrow();
        List<Integer> lengths = new ArrayList<>(method.usualLengths());
        lengths.set(0, Integer.parseInt(words[2]));
        var herb = materia.herb(words[3]).orElseThrow();
        Vessel jar = new Vessel("half litre", Volume.ofMillilitres(500), Length.ofMillimetres(84));
        return new Planner(Cautions.shipped(), materia)
                .plan(new PlanRequest(
                        List.of(new PlannedHerb(
                                herb,
                                materia.texture(herb.part(), Cut.CUT_AND_SIFTED),
                                Moisture.valueOf(words[4].toUpperCase(Locale.ROOT)),
                                Optional.empty(),
                                Mass.ofGrams(40),
                                List.of())),
                        new PlannedCarrier(materia.carrier("rapeseed").orElseThrow(), bottle()),
                        new OilWish.ToCover(),
                        jar,
                        List.of(jar),
                        new PlanRequest.Circumstances(
                                method,
                                lengths,
                                DAY,
                                Use.valueOf(words[5].toUpperCase(Locale.ROOT)),
                                Pressing.HAND,
                                Storage.COOL_DARK,
                                Means.of(Temperature.ofCelsius(12), Optional.of(new Strength(90))))));
    }
}
