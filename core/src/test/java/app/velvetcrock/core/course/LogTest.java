package app.velvetcrock.core.course;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.velvetcrock.core.Cases;
import app.velvetcrock.core.kitchen.HouseholdUnits;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.look.Condition;
import app.velvetcrock.core.look.Ruin;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.method.Pace;
import java.time.Instant;
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
