package app.velvetcrock.batch;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.LogShape;
import app.velvetcrock.batch.BatchEntry.Kind;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.course.Seen;
import app.velvetcrock.core.course.TaskKey;
import app.velvetcrock.core.heat.HeatChange;
import app.velvetcrock.core.heat.HeatSetting;
import app.velvetcrock.core.keeping.Antioxidant;
import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.keeping.Glass;
import app.velvetcrock.core.keeping.KeepUntil;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.look.Clarity;
import app.velvetcrock.core.look.Condition;
import app.velvetcrock.core.look.Look;
import app.velvetcrock.core.look.Ruin;
import app.velvetcrock.core.look.Smell;
import app.velvetcrock.core.making.Container;
import app.velvetcrock.core.making.Cooling;
import app.velvetcrock.core.making.Felt;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Pace;
import app.velvetcrock.core.pan.Addition;
import app.velvetcrock.core.pan.Fault;
import app.velvetcrock.core.pan.MakingLine;
import app.velvetcrock.core.pan.MakingPlan;
import app.velvetcrock.core.pan.MakingStep;
import app.velvetcrock.core.pan.Touch;
import app.velvetcrock.core.planning.Take;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.core.working.Figure;
import app.velvetcrock.core.working.Working;
import app.velvetcrock.plans.Json;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;
import org.junit.jupiter.params.provider.CsvSource;

class LineCodecTest {

    private static final UUID LOT = UUID.fromString("01890a5d-ac96-774b-bcce-b302099a8057");
    private static final LocalDate DAY = LocalDate.of(2027, 6, 1);
    private static final Instant AT = Instant.parse("2026-10-01T18:00:00Z");

    private static final Formula.Part WAX =
            new Formula.Stuff("beeswax", "Beeswax", Formula.Role.WAX, 1).of(Mass.ofGrams(10.5));
    private static final Addition DROPS = new Addition(
            "eo-lavender", "Lavender", Mass.ofGrams(0.45), Optional.of(10.0), Addition.When.WITH_THE_DROPS);

    private final LineCodec codec = new LineCodec(new Json());

    @Test
    void everyKindOfLineReadsBackAsItWasWritten() throws IOException {
        Optional<TaskKey> task = Optional.of(TaskKey.parse("stand.look.2"));
        Take take = new Take(LOT, Mass.ofGrams(40));
        Volume oil = Volume.ofMillilitres(275);
        List<Line> lines = List.of(
                new Line.Charged(Mass.ofGrams(40), oil, List.of(take)),
                new Line.Charged(Mass.ofGrams(40), oil, List.of(take), true),
                new Line.ToppedUp(
                        oil, new Bottle("Rapeseed", 9, Optional.of(DAY), Optional.empty()), Optional.of(take)),
                new Line.Tended(TaskKey.parse("stand.push-under.1")),
                new Line.Looked(task, new Look(Smell.SOUR, true, false)),
                new Line.Heat(Optional.empty(), Temperature.ofCelsius(46.5)),
                new Line.Turned(HeatChange.SETTING, Optional.of(HeatSetting.LOW)),
                new Line.Probe(LOT, "probe by the stove", true),
                new Line.Turned(
                        HeatChange.MOVED,
                        Optional.empty(),
                        Optional.of(new Line.Turned.OnSource(LOT, "The old cooker"))),
                new Line.Turned(HeatChange.LID_OFF, Optional.empty()),
                new Line.Strained(
                        oil,
                        Mass.ofGrams(250),
                        Pressing.SCREW,
                        new KeepUntil(
                                DAY,
                                KeepUntil.LimitedBy.CAP,
                                Working.of("a sum")
                                        .given("herb", Figure.of(Mass.ofGrams(3)))
                                        .build()),
                        LOT,
                        false,
                        new Seen(Clarity.CLOUDY, Smell.FAINT, Volume.ofMillilitres(3), "green")),
                new Line.Settled(oil, Mass.ofGrams(250), Volume.ofMillilitres(6), LOT, DAY, DAY.minusDays(30)),
                new Line.Bottled(
                        LOT,
                        3,
                        Volume.ofMillilitres(100),
                        Optional.of(new Line.Bottled.Into(
                                Glass.DARK,
                                Storage.REFRIGERATOR,
                                DAY,
                                List.of(LOT),
                                Optional.of(Antioxidant.ROSEMARY))),
                        Optional.empty()),
                new Line.Sniffed(LOT, true, DAY, DAY.plusDays(60), "it smells right"),
                new Line.Discarded(Ruin.MOULD, "the lid was wet", Optional.of(LOT)),
                new Line.Found(Condition.MOULD, "white fur", Optional.empty()),
                new Line.Answered(Condition.WATER, true, "decanted", Optional.of(LOT)),
                new Line.PlanChanged("standing", Pace.DAYS, 35, Optional.of(28), Optional.of(AT), "ready"),
                new Line.Panned(new MakingLine.Begun(List.of(new MakingPlan.Weighed(WAX, Optional.of(LOT))))),
                new Line.Panned(new MakingLine.Did(MakingStep.CHILL)),
                new Line.Panned(new MakingLine.Skipped(MakingStep.TEST, Optional.empty(), "no freezer")),
                new Line.Panned(new MakingLine.Skipped(MakingStep.STIR_IN, Optional.of(DROPS), "")),
                new Line.Panned(new MakingLine.Tested(12.2, Felt.SOFT)),
                new Line.Panned(new MakingLine.Corrected(WAX, Optional.empty(), 16)),
                new Line.Panned(new MakingLine.OffHeat(
                        Temperature.ofCelsius(75), Cooling.Where.IN_ITS_BATH, Optional.of(1.25))),
                new Line.Panned(new MakingLine.Read(Temperature.ofCelsius(55), Optional.of(Touch.TOO_HOT))),
                new Line.Panned(new MakingLine.Hazed()),
                new Line.Panned(new MakingLine.Smelled(LOT, false)),
                new Line.Panned(new MakingLine.Added(DROPS, Optional.of(LOT))),
                new Line.Panned(new MakingLine.Poured(
                        List.of(new MakingLine.Poured.Filled(
                                new Container("tin", oil, false), 12, Mass.ofGrams(51), LOT)),
                        Mass.ofGrams(5),
                        Optional.of(LOT))),
                new Line.Panned(new MakingLine.TurnedOut(Felt.RIGHT, List.of(Fault.GRAINY), "in summer")),
                new Line.Panned(new MakingLine.Noted("smells of honey")),
                new Line.Noted("Next time: is an ordinary note"),
                new Line.Lesson("cut it finer"),
                new Line.Corrected(LOT, new Line.Looked(task, Look.ALL_WELL)),
                new Line.Corrected(LOT, new Line.Noted("it was two")),
                new Line.TakenBack(LOT));
        Set<Kind> kinds = EnumSet.noneOf(Kind.class);
        StringBuilder kept = new StringBuilder();
        for (Line line : lines) {
            BatchEntry stored =
                    new BatchEntry(UUID.randomUUID(), AT, codec.write(line), new BatchEntry.Said(LOT, "as typed"));
            kinds.add(Kind.valueOf(stored.kind));
            assertThat(LogShape.faults(stored.kind, stored.value))
                    .as(stored.value)
                    .isEmpty();
            kept.append(kept(stored)).append(line).append("\n");
            assertThat(codec.read(stored)).isEqualTo(line);
        }
        assertThat(kinds).isEqualTo(EnumSet.allOf(Kind.class));
        Files.writeString(Path.of("target/lines.tsv"), kept);
    }

    private static String kept(BatchEntry stored) {
        return String.join(
                "\t",
                stored.kind,
                Objects.requireNonNullElse(stored.task, ""),
                stored.correctsId == null ? "" : stored.correctsId.toString(),
                stored.typed,
                stored.value,
                "");
    }

    /** Lines of every kind and every step of a making as releases stored them, before they had a version and since: read as ever. */
    @ParameterizedTest
    @CsvFileSource(resources = "/dumps/2026-11-lines.tsv", delimiter = '\t', quoteCharacter = '\0', numLinesToSkip = 0)
    void whatWasStoredIsReadForGood(
            String kind,
            @Nullable String task,
            @Nullable UUID corrects,
            @Nullable String typed,
            String value,
            String line) {
        BatchEntry stored = new BatchEntry(
                LOT,
                AT,
                new LineCodec.Stored(Kind.valueOf(kind), task, corrects, typed, value),
                new BatchEntry.Said(LOT, ""));
        assertThat(codec.read(stored)).hasToString(line);
        assertThat(LogShape.faults(kind, value)).isEmpty();
    }

    /** A kind, a step, a word or a version that a newer release brought: that it wrote something, and no more. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            POLISHED  | {}
            PAN       | {"step":{"what":"frozen"}}
            TURNED    | {"change":"STEAMED","setting":null,"source":null}
            NOTED     | {"version":2}
            CORRECTED | {"kind":"POLISHED","task":null,"words":null,"value":"{}"}
            """)
    void whatANewerReleaseWroteIsToldApart(String kind, String value) {
        BatchEntry stored = new BatchEntry(
                LOT, AT, new LineCodec.Stored(Kind.NOTED, null, LOT, "words", value), new BatchEntry.Said(LOT, ""));
        stored.kind = kind;
        assertThat(codec.read(stored)).isEqualTo(new Line.Newer());
    }
}
