package app.velvetcrock.core.heat;

import static app.velvetcrock.core.Kept.number;

import app.velvetcrock.core.Kept;
import app.velvetcrock.core.heat.HeatForecast.Surroundings;
import app.velvetcrock.core.kitchen.HouseholdUnits;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Stage;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** The sums of heat on a grid, with both sides of every limit. */
class HeatSumsTest {

    private static final Instant NINE = Instant.parse("2026-11-24T09:00:00Z");
    private static final Wording SAY = new Wording(HouseholdUnits.METRIC, ZoneId.of("Europe/London"));
    private static final Stage WARM = Method.SLOW_WARM.stages().get(0);
    private static final Stage BATH = Method.WATER_BATH.stages().get(0);
    private static final Stage OVEN = Method.OVEN.stages().get(0);
    private static final Heated DRY = new Heated(WARM, false);
    private static final Heated WET = new Heated(WARM, true);

    private final Kept kept = new Kept();

    @Test
    void heatIsReckonedAsKept() {
        rates();
        forecasts();
        traces();
        records();
        outlines();
        scales();
        sources();
        waters();
        kept.isAsKept("heat-sums.txt");
    }

    private static Instant at(double minutes) {
        return NINE.plusMillis(Math.round(minutes * 60_000));
    }

    private static Temperature celsius(double celsius) {
        return Temperature.ofCelsius(celsius);
    }

    private static List<HeatReading> readings(double... minutesAndCelsius) {
        List<HeatReading> all = new ArrayList<>();
        for (int i = 0; i < minutesAndCelsius.length; i += 2) {
            all.add(new HeatReading(at(minutesAndCelsius[i]), celsius(minutesAndCelsius[i + 1])));
        }
        return all;
    }

    /** By Newton's law, with a thermometer's tenths. */
    private static List<HeatReading> curve(
            double from, double end, double tau, double every, int count, boolean probe) {
        List<HeatReading> all = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            double there = end + (from - end) * Math.exp(-i * every / tau);
            double wobble = ((i * 7) % 5 - 2) * 0.1;
            all.add(new HeatReading(at(i * every), celsius(Math.round((there + wobble) * 10) / 10.0), probe));
        }
        return all;
    }

    private void rates() {
        kept.rule(
                "What a minute counts: full in the band up to the ceiling, halved every 10 degrees below, wet herb nothing under 40");
        HeatRate dry = new HeatRate(WARM.band(), WARM.ceiling().orElseThrow());
        HeatRate wet = new HeatRate(WARM.band(), WARM.ceiling().orElseThrow(), true);
        HeatRate oven = new HeatRate(OVEN.band(), OVEN.ceiling().orElseThrow(), true);
        for (double c : new double[] {20, 24.99, 25, 30, 35, 39.99, 40, 45, 52, 60, 60.01, 74.9, 75, 90, 110, 111}) {
            kept.add("%s: dry %s, wet %s, oven %s", c, number(dry.at(c)), number(wet.at(c)), number(oven.at(c)));
        }
        double[][] runs = {
            {20, 20}, {40, 40}, {60, 60}, {61, 61}, {20, 25}, {25, 40}, {20, 50}, {50, 70}, {70, 50}, {30, 38},
            {38, 41}, {60, 62}, {10, 90}
        };
        for (double[] run : runs) {
            kept.add(
                    "60 min from %s to %s: dry %s, wet %s; in 40 to 52 %s; above 60 %s, by %s",
                    run[0],
                    run[1],
                    number(dry.credit(run[0], run[1], 60)),
                    number(wet.credit(run[0], run[1], 60)),
                    number(HeatRate.within(run[0], run[1], 60, 40, 52)),
                    number(HeatRate.above(run[0], run[1], 60, 60)),
                    number(HeatRate.degreesAbove(run[0], run[1], 60, 60)));
        }
    }

    private static Map<String, List<HeatReading>> courses() {
        Map<String, List<HeatReading>> all = new LinkedHashMap<>();
        all.put("one reading", readings(0, 40));
        all.put("two of one moment", readings(0, 40, 0, 41));
        all.put("two, rising", readings(0, 40, 10, 45));
        all.put("two, falling", readings(0, 55, 10, 50));
        all.put("two, as warm", readings(0, 45, 10, 45));
        all.put("three in 19 minutes", readings(0, 40, 10, 44, 19, 46));
        all.put("three in 20 minutes", readings(0, 40, 10, 44, 20, 46));
        all.put("to 48 in 30", curve(20, 48, 30, 10, 7, false));
        all.put("to 75 in 40", curve(20, 75, 40, 10, 5, false));
        all.put("to 58 in 60", curve(30, 58, 60, 15, 6, false));
        all.put("to 140 in 90", curve(20, 140, 90, 10, 5, false));
        all.put("down to 20 in 60", curve(55, 20, 60, 10, 6, false));
        all.put("down to 12 in 60", curve(55, 12, 60, 10, 6, false));
        all.put("steady at 46", curve(46, 46, 30, 15, 6, false));
        all.put("straight up", readings(0, 30, 10, 33, 20, 36, 30, 39));
        all.put("bent upwards", readings(0, 30, 10, 31, 20, 34, 30, 40));
        all.put("three hours and then a rise", readings(0, 45, 60, 45, 120, 45, 180, 45, 190, 48, 200, 50));
        all.put("an hour between", readings(0, 45, 90, 46));
        all.put("a probe each 20 s for an hour and a half", curve(20, 52, 35, 1 / 3.0, 270, true));
        all.put("a probe each 20 s for 43 min, 130 of them", curve(20, 52, 35, 1 / 3.0, 130, true));
        all.put("a probe each 20 s for 43 min, 131 of them", curve(20, 52, 35, 1 / 3.0, 131, true));
        return all;
    }

    private void forecasts() {
        kept.rule(
                "Where readings lead: Newton's law through an hour of them, or a line for 20 minutes; in a pot and in a bath");
        courses().forEach((name, readings) -> {
            forecast(name, HeatForecast.of(readings, Surroundings.of(false)));
            forecast(name + ", bath", HeatForecast.of(readings, Surroundings.of(true)));
            forecast(name + ", off", HeatForecast.cooling(readings, celsius(20)));
            for (double interval : new double[] {15, 60}) {
                Optional<HeatAlarm> alarm = HeatAlarm.of(
                        DRY, readings, some -> HeatForecast.of(some, Surroundings.of(false)), Duration.ofMinutes((long)
                                interval));
                alarm.ifPresent(one -> kept.add(
                        "%s, looked at each %s: %s / %s %s",
                        name,
                        interval,
                        one.words(true, readings.get(readings.size() - 1).at().plusSeconds(60), SAY),
                        one.isOver(),
                        one.close()));
            }
        });
        kept.rule("What is over, or close under its ceiling and rising, from reading to reading");
        double[][] near = {
            {0, 50, 60, 60},
            {0, 50, 60, 60.01},
            {0, 56.9, 4, 57},
            {0, 56.6, 4, 57},
            {0, 56.7, 4, 57.1},
            {0, 56.6, 3, 57.1},
            {0, 56.5, 4, 56.9},
            {0, 58, 10, 59, 20, 58.5},
            {0, 58, 10, 59, 20, 58.5, 30, 58},
            {0, 50, 10, 62, 15, 59},
            {0, 50, 20, 56, 40, 59, 60, 59.2}
        };
        for (double[] one : near) {
            List<HeatReading> readings = readings(one);
            Optional<HeatAlarm> alarm = HeatAlarm.of(
                    DRY, readings, some -> HeatForecast.of(some, Surroundings.of(false)), Duration.ofMinutes(60));
            Instant now = readings.get(readings.size() - 1).at();
            for (int after : new int[] {1, 4, 5, 6, 30}) {
                kept.add(
                        "%s after %d: %s",
                        java.util.Arrays.toString(one),
                        after,
                        alarm.map(is -> is.words(after != 4, now.plusSeconds(after * 60), SAY) + " " + is.lookAgain())
                                .orElse("nothing"));
            }
            kept.add(
                    "nobody: %s / %s",
                    NobodyLooked.of(
                            NINE,
                            Optional.of(readings.get(readings.size() - 1)),
                            WARM.ceiling(),
                            Duration.ofMinutes(60),
                            now.plusSeconds(1800)),
                    NobodyLooked.of(
                            NINE,
                            Optional.of(readings.get(readings.size() - 1)),
                            WARM.ceiling(),
                            Duration.ofMinutes(10),
                            now.plusSeconds(1201)));
        }
        for (int minutes : new int[] {59, 60, 89, 90, 150}) {
            kept.add("gone for %d: %s", minutes, new NobodyLooked(NINE, minutes % 2 == 0).words(at(minutes), SAY));
        }
    }

    private void forecast(String name, Optional<HeatForecast> ahead) {
        if (ahead.isEmpty()) {
            kept.add("%s: cannot be told", name);
            return;
        }
        HeatForecast one = ahead.get();
        StringBuilder fans = new StringBuilder();
        for (int minutes : new int[] {-1, 0, 10, 20, 21, 60}) {
            fans.append(one.at(one.newest().at().plusSeconds(minutes * 60L))
                    .map(fan -> " " + minutes + ": " + number(fan.low().celsius()) + "/"
                            + number(fan.middle().celsius()) + "/"
                            + number(fan.high().celsius()))
                    .orElse(" " + minutes + ": -"));
        }
        kept.add(
                "%s: rises %s, to %s in %s, spread %s, trusted %s;%s",
                name,
                one.rises(),
                one.end().map(end -> number(end.celsius())).orElse("-"),
                one.tau().map(Duration::toString).orElse("-"),
                number(one.spreadOfEnd().orElse(-1)),
                one.trusted().map(Duration::toString).orElse("-"),
                fans);
        StringBuilder passes = new StringBuilder();
        for (double mark : new double[] {20, 45, 46, 50, 52, 60, 100}) {
            one.passes(celsius(mark))
                    .ifPresent(in -> passes.append(" %s: %s %s-%s %s"
                            .formatted(mark, in.in(), in.earliest(), in.latest(), in.isTooEarlyToSay())));
        }
        kept.add(
                "%s: passes%s; earns an hour in %s, eight in %s, wet %s",
                name,
                passes,
                one.earns(DRY, 60).map(Duration::toString).orElse("-"),
                one.earns(DRY, 480).map(Duration::toString).orElse("-"),
                one.earns(WET, 60).map(Duration::toString).orElse("-"));
    }

    private static List<HeatEvent> events(Object... minutesAndChange) {
        List<HeatEvent> all = new ArrayList<>();
        for (int i = 0; i < minutesAndChange.length; i += 2) {
            all.add(new HeatEvent(
                    at(((Number) minutesAndChange[i]).doubleValue()), (HeatChange) minutesAndChange[i + 1]));
        }
        return all;
    }

    private void traces() {
        kept.rule(
                "What a course was given: in the band, credited, unwatched, above, lukewarm; what scorches and overheats");
        trace("read each hour", readings(0, 45, 60, 46, 120, 44), events());
        trace("a gap too long", readings(0, 45, 60, 46, 400, 46), events());
        trace(
                "off and on again between",
                readings(0, 45, 60, 46, 120, 46),
                events(70, HeatChange.OFF, 90, HeatChange.ON));
        trace("lid off between", readings(0, 45, 60, 46, 120, 40), events(90, HeatChange.LID_OFF));
        trace("lid and heat off", readings(0, 45, 60, 46, 120, 40), events(80, HeatChange.LID_OFF, 90, HeatChange.OFF));
        trace("ten minutes above", readings(0, 55, 10, 61, 20, 61, 30, 55), events());
        trace("just ten minutes above", readings(0, 60, 0.1, 60.5, 10, 60.5), events());
        trace("nine minutes above", readings(0, 60, 9, 60.5), events());
        trace("80 for ten minutes", readings(0, 81, 10, 81), events());
        trace("109.9 once", readings(0, 109.9), events());
        trace("110 once", readings(0, 110), events());
        trace("warming up from cold", readings(0, 5, 30, 20, 60, 45), events());
        trace("a probe and a hand", mixed(), events(20, HeatChange.SETTING));
        trace("a probe out", plunged(7.9), events());
        trace("a probe out, too far", plunged(8.1), events());
        trace("a probe out and in", plunged(8.1), events(12, HeatChange.PROBE_IN_OIL));
    }

    private static List<HeatReading> mixed() {
        List<HeatReading> all = new ArrayList<>(curve(30, 55, 30, 1, 40, true));
        all.addAll(readings(5.5, 33, 12.5, 40));
        all.sort(java.util.Comparator.comparing(HeatReading::at));
        return all;
    }

    private static List<HeatReading> plunged(double by) {
        List<HeatReading> all = new ArrayList<>(curve(45, 45, 30, 1, 10, true));
        all.add(new HeatReading(at(9.5), celsius(45), true));
        all.add(new HeatReading(at(10.5), celsius(45 - by), true));
        all.add(new HeatReading(at(11), celsius(45 - by), true));
        all.add(new HeatReading(at(15), celsius(45), true));
        all.add(new HeatReading(at(25), celsius(46), true));
        return all;
    }

    private void trace(String name, List<HeatReading> readings, List<HeatEvent> events) {
        for (Heated heated : List.of(DRY, WET, new Heated(OVEN, false), new Heated(BATH, false))) {
            HeatTrace trace = HeatTrace.told(heated, NINE, readings, events);
            kept.add(
                    "%s, %s%s: in %s, credited %s, unwatched %s, above %s, lukewarm %s, peak %s%s%s, runs %s",
                    name,
                    heated.stage().key(),
                    heated.wet() ? " wet" : "",
                    number(trace.inBand().minutes()),
                    number(trace.credited().minutes()),
                    number(trace.unwatched().minutes()),
                    number(trace.aboveCeiling().minutes()),
                    trace.lukewarm().map(span -> number(span.minutes())).orElse("-"),
                    trace.peak().map(peak -> number(peak.celsius())).orElse("-"),
                    trace.scorched() ? ", scorched" : "",
                    trace.isOverheated() ? ", overheated" : "",
                    trace.runs().stream()
                            .map(run -> (run.unwatched() ? "u" : "")
                                    + (run.split() ? "s" : "")
                                    + number(run.creditedMinutes()))
                            .limit(6)
                            .toList());
        }
    }

    private void records() {
        kept.rule(
                "A record in any order comes to the same, keeps a checkpoint each 60 readings, and a hand's word before a probe's");
        List<HeatReading> all = curve(20, 50, 30, 1, 130, true);
        HeatRecord inOrder = new HeatRecord(DRY, NINE);
        all.forEach(inOrder::add);
        HeatRecord late = new HeatRecord(DRY, NINE);
        for (int i = 0; i < all.size(); i += 2) {
            late.add(all.get(i));
        }
        for (int i = 1; i < all.size(); i += 2) {
            late.add(all.get(i)).add(all.get(i));
        }
        for (HeatRecord one : List.of(inOrder, late)) {
            told(one, "130 of a probe");
        }
        HeatRecord goesOn = new HeatRecord(DRY, NINE, inOrder.checkpoints().get(0));
        all.stream()
                .filter(reading ->
                        reading.at().isAfter(inOrder.checkpoints().get(0).at()))
                .forEach(goesOn::add);
        told(goesOn, "from the first checkpoint on");
        inOrder.add(new HeatReading(at(20), celsius(70))).add(new HeatReading(at(20), celsius(20), true));
        told(inOrder, "70 by hand at 20 min");
        inOrder.add(new HeatReading(at(20), celsius(48)));
        told(inOrder, "a second hand at the same moment changes nothing");
        inOrder.add(new HeatEvent(at(90), HeatChange.OFF))
                .add(new HeatEvent(at(90), HeatChange.OFF))
                .add(new HeatEvent(at(90), HeatChange.LID_OFF));
        told(inOrder, "off at 90 min");
        HeatOutline outline = HeatOutline.EMPTY.plus(all.subList(0, 70));
        kept.add("outlined: %s", outlined(HeatTrace.outlined(DRY, inOrder.tally(), outline.points())));
    }

    private static String outlined(HeatTrace trace) {
        return trace.runs().size() + " runs, "
                + trace.runs().stream().filter(HeatTrace.Run::unwatched).count() + " unwatched, credited "
                + number(trace.credited().minutes());
    }

    private void told(HeatRecord record, String name) {
        HeatTally tally = record.tally();
        kept.add(
                "%s: %d readings, %d checkpoints %s; in %s, credited %s, unwatched %s, above %s (%s), scorching %s, lukewarm %s",
                name,
                record.size(),
                record.checkpoints().size(),
                record.checkpoints().stream()
                        .map(one -> one.at() + " " + number(one.tally().credited()))
                        .toList(),
                number(tally.inBand()),
                number(tally.credited()),
                number(tally.unwatched()),
                number(tally.above()),
                number(tally.degreeMinutes()),
                number(tally.scorching()),
                number(tally.lukewarm()));
    }

    private void outlines() {
        kept.rule("An outline keeps first, coldest, hottest and last of each span, 240 spans at most");
        for (int count : new int[] {3, 239, 240, 241, 481, 700}) {
            HeatOutline outline = HeatOutline.EMPTY.plus(curve(20, 50, 90, 1, count, true));
            HeatOutline again = outline.plus(curve(20, 50, 90, 1, count, true)).plus(List.of());
            kept.add(
                    "%d minutes: spans of %d min, %d of them, %d points, again %d; last %s",
                    count,
                    outline.minutes(),
                    outline.spans().size(),
                    outline.points().size(),
                    again.points().size(),
                    outline.spans().get(outline.spans().size() - 1));
        }
    }

    private void scales() {
        kept.rule(
                "A bare number of the other scale is asked about where as typed it fits no oil on this heat, and in the other it does");
        double[] typed = {
            9.9, 10, 11, 24, 25, 45, 75, 76.9, 77, 78, 99, 100, 100.1, 101, 113, 115, 124, 125, 140, 149, 150, 151, 167,
            168, 200, 212, 230, 248
        };
        for (Stage stage : List.of(WARM, BATH, OVEN, Method.JUICY_PAN.stages().get(0))) {
            for (double one : typed) {
                String c = OtherScale.meant(celsius(one), true, stage)
                        .map(is -> number(is.celsius()))
                        .orElse("-");
                String f = OtherScale.meant(celsius((one - 32) / 1.8), false, stage)
                        .map(is -> number(is.celsius()))
                        .orElse("-");
                if (!(c + f).equals("--")) {
                    kept.add("%s, %s: in Celsius %s, in Fahrenheit %s", stage.key(), one, c, f);
                }
            }
        }
        kept.add(
                "a stage of no heat: %s",
                OtherScale.meant(
                        celsius(115), true, Method.COLD_AND_DARK.stages().get(0)));
    }

    private static SourceCurve source(HeatSetting setting, double millilitres, double end, long minutes, Double began) {
        return new SourceCurve(
                Optional.ofNullable(setting),
                Volume.ofMillilitres(millilitres),
                celsius(end),
                Duration.ofMinutes(minutes),
                Optional.ofNullable(began).map(Temperature::ofCelsius));
    }

    private void sources() {
        kept.rule("What a source does: learned of loads alike within 30 %, judged by the hours it stays in the band");
        for (double end : new double[] {39, 40, 41, 45, 52, 59.9, 60, 60.1, 75, 120}) {
            for (long tau : new long[] {10, 60, 150, 400}) {
                SourceLearned one = new SourceLearned(source(HeatSetting.LOW, 300, end, tau, 20.0), 1);
                kept.add(
                        "to %s in %d: %s, %s in the band; bath %s %s; 45 from 20 in %s, after an hour %s",
                        end,
                        tau,
                        one.suits(WARM),
                        one.inBand(WARM),
                        one.suits(BATH),
                        one.inBand(BATH),
                        one.curve().warmUp(celsius(20), celsius(45)),
                        number(one.curve()
                                .after(Duration.ofHours(1), celsius(20))
                                .celsius()));
            }
        }
        kept.add(
                "from where it is: %s %s %s",
                source(null, 300, 50, 60, 20.0).warmUp(celsius(50), celsius(50)),
                source(null, 300, 50, 60, 20.0).warmUp(celsius(45), celsius(45)),
                source(null, 300, 50, 60, 20.0).warmUp(celsius(48), celsius(45)));
        List<SourceCurve> many = List.of(
                source(HeatSetting.LOW, 300, 44, 40, 20.0),
                source(HeatSetting.LOW, 390, 50, 60, 22.0),
                source(HeatSetting.LOW, 391, 70, 60, 22.0),
                source(HeatSetting.HIGH, 300, 90, 30, 20.0),
                source(HeatSetting.WARM, 300, 47, 50, 41.0),
                source(null, 300, 62, 30, null));
        for (Double load : new Double[] {null, 200.0, 210.0, 300.0, 400.0, 900.0}) {
            Optional<Volume> asked = Optional.ofNullable(load).map(Volume::ofMillilitres);
            List<SourceLearned> learned = SourceLearned.of(many, asked);
            kept.add(
                    "%s mL: %s; best %s",
                    load,
                    learned.stream()
                            .map(one -> one.words(SAY)
                                    + one.curve().tau()
                                    + one.curve().began().map(Temperature::celsius))
                            .toList(),
                    SourceLearned.best(learned, WARM).map(one -> one.words(SAY)));
            asked.ifPresent(volume -> {
                kept.add(
                        "%s mL: %s / warms up in %s",
                        load,
                        SourceLearned.advice("The cooker", many, volume, WARM, SAY)
                                .orElse("-"),
                        SourceLearned.warmUp(many, volume, WARM));
                for (HeatSetting setting : HeatSetting.values()) {
                    kept.add(
                            "%s mL on %s: %s / %s",
                            load,
                            setting,
                            SourceLearned.warning(
                                            "The cooker",
                                            many,
                                            volume,
                                            Optional.of(setting),
                                            WARM,
                                            Optional.empty(),
                                            SAY)
                                    .orElse("-"),
                            SourceLearned.warning(
                                            "The cooker",
                                            many,
                                            volume,
                                            Optional.of(setting),
                                            WARM,
                                            Optional.of(celsius(59.5)),
                                            SAY)
                                    .orElse("-"));
                }
            });
        }
        kept.add(
                "too hot alone: %s",
                SourceLearned.advice("The cooker", List.of(many.get(3)), Volume.ofMillilitres(300), WARM, SAY)
                        .orElse("-"));
        kept.add(
                "nothing learned: %s",
                SourceLearned.advice("The cooker", List.of(), Volume.ofMillilitres(300), WARM, SAY));
        courses()
                .forEach((name, readings) -> kept.add(
                        "shown by %s: %s",
                        name,
                        SourceCurve.shown(
                                        readings,
                                        Optional.of(HeatSetting.LOW),
                                        Volume.ofMillilitres(300),
                                        Surroundings.of(false))
                                .map(one -> number(one.end().celsius()) + " " + one.tau() + " " + one.began())
                                .orElse("nothing")));
    }

    private void waters() {
        kept.rule(
                "A bath is looked at after four fifths of what it lasted, 45 minutes at first, 10 at least; a warm-up ends at the band");
        List<Instant> once = List.of(at(40));
        for (List<Instant> topped : List.of(
                List.<Instant>of(),
                once,
                List.of(at(40), at(52.5)),
                List.of(at(40), at(52)),
                List.of(at(40), at(100)))) {
            kept.add(
                    "%d times: look %s, with the last bath %s, seen at 60 %s; lasted %s",
                    topped.size(),
                    BathWater.nextLook(NINE, topped, Optional.empty(), Optional.empty()),
                    BathWater.nextLook(NINE, topped, Optional.empty(), Optional.of(Duration.ofMinutes(100))),
                    BathWater.nextLook(NINE, topped, Optional.of(at(60)), Optional.empty()),
                    BathWater.lasted(NINE, topped));
        }
        double[][] ups = {
            {10, 30, 40, 45},
            {10, 40, 40, 45},
            {10, 39.9, 40, 40},
            {10, 30, 40, 39.9},
            {10, 30, 250, 45},
            {10, 30, 500, 41},
            {-30, 30, -20, 45}
        };
        for (double[] up : ups) {
            kept.add(
                    "%s: %s",
                    java.util.Arrays.toString(up),
                    WarmUp.endedBy(
                            NINE,
                            readings(up[0], up[1]),
                            readings(up[2], up[3]).get(0),
                            WARM.band().low()));
        }
        kept.add(
                "no colder one: %s",
                WarmUp.endedBy(
                        NINE, List.of(), readings(5, 45).get(0), WARM.band().low()));
        for (long minutes : new long[] {1, 7, 8, 52, 53}) {
            kept.add(
                    "learned of %d and 60: %s, alone %s",
                    minutes,
                    WarmUp.learned(List.of(Duration.ofMinutes(minutes), Duration.ofMinutes(60))),
                    WarmUp.learned(List.of(Duration.ofMinutes(minutes))));
        }
    }
}
