package app.velvetcrock.core.course;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.velvetcrock.core.Cases;
import app.velvetcrock.core.heat.HeatChange;
import app.velvetcrock.core.heat.HeatOutline;
import app.velvetcrock.core.heat.HeatReading;
import app.velvetcrock.core.heat.HeatRecord;
import app.velvetcrock.core.heat.Heated;
import app.velvetcrock.core.keeping.Antioxidant;
import app.velvetcrock.core.keeping.Glass;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.kitchen.HouseholdUnits;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.look.Condition;
import app.velvetcrock.core.look.Ruin;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Pace;
import app.velvetcrock.core.method.Stage;
import app.velvetcrock.core.pan.MakingLine;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class LogTest {

    private static final Instant EVENING = Instant.parse("2026-10-01T18:00:00Z");
    private static final LineWords WORDS =
            new LineWords(new Wording(HouseholdUnits.METRIC, ZoneId.of("Europe/London")));

    private final List<Entry> said = new ArrayList<>();

    @Test
    void aCorrectionHoldsInTheOthersPlaceUntilItIsTakenBack() {
        UUID read = say(new Line.Heat(Optional.empty(), Temperature.ofCelsius(63)), 10);
        UUID corrected = say(new Line.Corrected(read, new Line.Heat(Optional.empty(), Temperature.ofCelsius(36))), 12);
        assertThat(Log.of(said).all(Line.Heat.class))
                .extracting(Line.Heat::temperature)
                .containsExactly(Temperature.ofCelsius(36));
        assertThat(Log.gone(said)).containsExactly(read);
        UUID again = say(new Line.Corrected(corrected, new Line.Heat(Optional.empty(), Temperature.ofCelsius(38))), 12);
        assertThat(Log.of(said).all(Line.Heat.class))
                .extracting(Line.Heat::temperature)
                .containsExactly(Temperature.ofCelsius(38));
        say(new Line.TakenBack(again), 15);
        assertThat(Log.of(said).all(Line.Heat.class))
                .extracting(Line.Heat::temperature)
                .containsExactly(Temperature.ofCelsius(36));
        say(new Line.TakenBack(corrected), 16);
        assertThat(Log.of(said).all(Line.Heat.class))
                .extracting(Line.Heat::temperature)
                .containsExactly(Temperature.ofCelsius(63));
    }

    @Test
    void aCorrectionDoesTheTaskOfWhatItSays() {
        TaskKey key = new TaskKey("heat", TaskKind.READ, 2);
        UUID read = say(new Line.Heat(Optional.of(key), Temperature.ofCelsius(63)), 10);
        say(new Line.Corrected(read, new Line.Heat(Optional.of(key), Temperature.ofCelsius(36))), 12);
        assertThat(Log.of(said).done(key)).isPresent();
        assertThat(Log.of(said).done(TaskKind.READ)).hasSize(1);
    }

    @Test
    void aCorrectionSaysWhatShouldStandThereAndNoCorrection() {
        Line back = new Line.TakenBack(UUID.randomUUID());
        assertThatThrownBy(() -> new Line.Corrected(UUID.randomUUID(), back))
                .isInstanceOf(IllegalArgumentException.class);
    }

    /** Entries of a database come in any order; what holds is the same, in the order it happened. */
    @Test
    void whatHoldsDoesNotHangOnTheOrderItIsReadIn() {
        Random random = new Random(13);
        for (int i = 0; i < Cases.of(60); i++) {
            UUID entry = say(new Line.Noted("note " + i), random.nextInt(500));
            if (random.nextInt(3) == 0) {
                UUID other = say(new Line.Corrected(entry, new Line.Noted("better " + i)), random.nextInt(500));
                if (random.nextInt(3) == 0) {
                    say(new Line.TakenBack(other), 501);
                }
            }
        }
        Log log = Log.of(said);
        assertThat(log.entries()).hasSize(60);
        List<Entry> shuffled = new ArrayList<>(said);
        Collections.shuffle(shuffled, random);
        assertThat(Log.of(shuffled).all(Line.Noted.class))
                .containsExactlyInAnyOrderElementsOf(log.all(Line.Noted.class));
        assertThat(Log.of(shuffled).entries())
                .isSortedAccordingTo((a, b) -> a.happenedAt().compareTo(b.happenedAt()));
    }

    @Test
    void theStartIsTakenBackLastAndTheStrainingAfterWhatRestsOnIt() {
        UUID charged = say(Lines.charged(), 0);
        assertThat(Log.of(said).canTakeBack(charged)).isTrue();
        UUID strained = say(Lines.strained(200, false), 100);
        assertThat(Log.of(said).canTakeBack(charged)).isFalse();
        assertThat(Log.of(said).canTakeBack(strained)).isTrue();
        UUID sniffed = say(Lines.passed(), 200);
        assertThat(Log.of(said).canTakeBack(strained)).isFalse();
        say(new Line.TakenBack(sniffed), 201);
        assertThat(Log.of(said).canTakeBack(strained)).isTrue();
        assertThat(Log.of(said).canTakeBack(sniffed)).isFalse();
    }

    @Test
    void everyLineHasItsWords() {
        assertThat(words(Lines.charged())).isEqualTo("Charged: 40 g of herb, 275 mL of oil");
        assertThat(words(Lines.strained(200, true)))
                .isEqualTo("Strained, pressed by hand in cloth: 200 mL came out; cloudy warm, smells right");
        assertThat(words(Lines.settled(190, 6))).isEqualTo("Settled and decanted: 190 mL left, 6 mL of water under it");
        assertThat(words(Lines.discarded(Ruin.MOULD, "the lid was wet")))
                .isEqualTo("Thrown out: mould. the lid was wet");
        assertThat(words(new Line.Answered(Condition.MOULD, false, "it was a petal", Optional.empty())))
                .isEqualTo("Answered: mould, it was not so. it was a petal");
        assertThat(words(new Line.Found(Condition.MOULD, "white fur", Optional.empty())))
                .isEqualTo("Found: mould. white fur");
        assertThat(words(new Line.PlanChanged(
                        "standing",
                        Pace.DAYS,
                        35,
                        Optional.of(28),
                        Optional.of(Instant.parse("2026-10-29T09:00:00Z")),
                        "it smells ready")))
                .isEqualTo(
                        "Plan changed: standing for 28 days instead of 35 days, not strained before 29 Oct 2026, 09:00, "
                                + "because it smells ready");
        assertThat(words(new Line.Lesson("cut it finer"))).isEqualTo("Next time: cut it finer");
        assertThat(words(new Line.Corrected(UUID.randomUUID(), new Line.Noted("it was two"))))
                .isEqualTo("it was two");
        assertThat(words(new Line.Bottled(
                        UUID.randomUUID(),
                        2,
                        app.velvetcrock.core.measure.Volume.ofMillilitres(100),
                        Optional.empty(),
                        Optional.of("Bottled two, as was written then"))))
                .isEqualTo("Bottled two, as was written then");
        UUID lot = UUID.randomUUID();
        assertThat(words(bottled(lot, Antioxidant.NONE)))
                .isEqualTo("Bottled 2 × 100 mL, dark glass, cool and dark; use by 1 Jun 2027");
        assertThat(words(bottled(lot, Antioxidant.ROSEMARY)))
                .startsWith("Bottled 2 × 100 mL with rosemary extract")
                .endsWith("use by 1 Jun 2027");
        assertThat(words(new Line.Bottled(lot, 3, Volume.ofMillilitres(50), Optional.empty(), Optional.empty())))
                .isEqualTo("Bottled 3 × 50 mL");
        assertThat(words(new Line.TakenBack(lot))).isEqualTo("Took a line back");
        assertThat(words(new Line.Panned(new MakingLine.Hazed())))
                .isEqualTo("The first haze at the rim: it congeals here");
        assertThat(new Line.Bottled.Into(
                                Glass.DARK, Storage.COOL_DARK, LocalDate.of(2027, 6, 1), List.of(lot), Optional.empty())
                        .antioxidant())
                .isEqualTo(Antioxidant.NONE);
    }

    private static Line bottled(UUID lot, Antioxidant with) {
        return new Line.Bottled(
                lot,
                2,
                Volume.ofMillilitres(100),
                Optional.of(new Line.Bottled.Into(
                        Glass.DARK, Storage.COOL_DARK, LocalDate.of(2027, 6, 1), List.of(lot), Optional.of(with))),
                Optional.empty());
    }

    /** The source that was named last heats it; a correction does the task of what it says now. */
    @Test
    void theSourceNamedLastHeatsIt() {
        assertThat(Log.of(said).source()).isEmpty();
        UUID cooker = UUID.randomUUID();
        UUID plate = UUID.randomUUID();
        say(moved(cooker, "cooker"), 1);
        say(moved(plate, "plate"), 2);
        say(new Line.Turned(HeatChange.LID_OFF, Optional.empty()), 3);
        assertThat(Log.of(said).source()).contains(plate);
        TaskKey shake = new TaskKey("stand", TaskKind.SHAKE, 1);
        assertThat(new Line.Corrected(cooker, new Line.Tended(shake)).task()).contains(shake);
        for (TaskKind kind : TaskKind.values()) {
            assertThat(kind.word()).isNotBlank();
        }
    }

    private static Line moved(UUID kit, String name) {
        return new Line.Turned(HeatChange.MOVED, Optional.empty(), Optional.of(new Line.Turned.OnSource(kit, name)));
    }

    /**
     * What is kept of a probe's course and what it read since is the whole course: at any checkpoint the same as from the first reading
     * on, with a reading by hand and a touch before and after it; drawn by its outline up to there, and finely since.
     */
    @Test
    void aCourseGoesOnFromWhatIsKept() {
        Stage stage = Method.SLOW_WARM.stages().get(0);
        Heated heated = new Heated(stage, false);
        say(new Line.Tended(new TaskKey("warm", TaskKind.HEAT_ON, 1)), 0);
        say(new Line.Heat(Optional.empty(), Temperature.ofCelsius(30)), 20);
        say(new Line.Turned(HeatChange.LID_OFF, Optional.empty()), 40);
        say(new Line.Heat(Optional.empty(), Temperature.ofCelsius(50)), 90);
        say(new Line.Turned(HeatChange.LID_ON, Optional.empty()), 100);
        say(new Line.Tended(new TaskKey("other", TaskKind.HEAT_ON, 1)), 101);
        HeatTold told = HeatTold.of(heated, 8, new HeatTold.Span(EVENING, Optional.empty()), Log.of(said));
        assertThat(told.on()).containsExactly(EVENING);
        List<HeatReading> read = new ArrayList<>();
        for (int minute = 0; minute < 150; minute++) {
            read.add(new HeatReading(
                    EVENING.plusSeconds(minute * 60L + 30), Temperature.ofCelsius(30 + minute * 0.15), true));
        }
        HeatRecord whole = told.record(Optional.empty(), read);
        HeatCourse all = course(told, new Probed(Optional.empty(), HeatOutline.EMPTY, read, Optional.of(EVENING)));
        assertThat(whole.checkpoints()).hasSizeGreaterThan(1);
        for (HeatRecord.Checkpoint kept : whole.checkpoints()) {
            List<HeatReading> since = read.stream()
                    .filter(reading -> reading.at().isAfter(kept.at()))
                    .toList();
            List<HeatReading> before = read.stream()
                    .filter(reading -> !reading.at().isAfter(kept.at()))
                    .toList();
            HeatRecord goesOn = told.record(Optional.of(kept), since);
            assertThat(goesOn.tally()).isEqualTo(whole.tally());
            Probed probed = new Probed(Optional.of(kept), HeatOutline.EMPTY.plus(before), since, Optional.of(EVENING));
            HeatCourse some = course(told, probed);
            assertThat(some.trace().credited()).isEqualTo(all.trace().credited());
            assertThat(some.readings()).hasSize(all.readings().size());
            assertThat(probed.isNothing()).isFalse();
            assertThat(probed.drawn()).hasSize(150);
            assertThat(new Probed(Optional.of(kept), HeatOutline.EMPTY.plus(before), List.of(), Optional.empty())
                            .drawn())
                    .hasSize(before.size());
        }
        assertThat(Probed.NOTHING.isNothing()).isTrue();
        assertThat(new Probed(Optional.empty(), HeatOutline.EMPTY, List.of(), Optional.of(EVENING)).isNothing())
                .isFalse();
        assertThat(new Probed(Optional.empty(), HeatOutline.EMPTY, read, Optional.empty()).isNothing())
                .isFalse();
    }

    private static HeatCourse course(HeatTold told, Probed probed) {
        return HeatCourse.of(told, probed, EVENING.plusSeconds(151 * 60L), Optional::empty);
    }

    /** A stage knows of what was done in it, and of nothing before or after. */
    @Test
    void aStageHasWhatWasDoneInIt() {
        Heated heated = new Heated(Method.SLOW_WARM.stages().get(0), false);
        say(new Line.Heat(Optional.empty(), Temperature.ofCelsius(20)), -1);
        say(new Line.Heat(Optional.empty(), Temperature.ofCelsius(30)), 0);
        say(new Line.Heat(Optional.empty(), Temperature.ofCelsius(40)), 10);
        say(new Line.Heat(Optional.empty(), Temperature.ofCelsius(50)), 11);
        HeatTold told =
                HeatTold.of(heated, 8, new HeatTold.Span(EVENING, Optional.of(EVENING.plusSeconds(600))), Log.of(said));
        assertThat(told.byHand())
                .extracting(HeatReading::temperature)
                .containsExactly(Temperature.ofCelsius(30), Temperature.ofCelsius(40));
        assertThat(told.start()).isEqualTo(EVENING);
    }

    private static String words(Line line) {
        return line.accept(WORDS);
    }

    private UUID say(Line line, int minutes) {
        UUID id = UUID.randomUUID();
        said.add(new Entry(id, EVENING.plusSeconds(minutes * 60L), line));
        return id;
    }
}
