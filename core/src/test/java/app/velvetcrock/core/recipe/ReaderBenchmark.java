package app.velvetcrock.core.recipe;

import app.velvetcrock.core.kitchen.AmountReader;
import app.velvetcrock.core.kitchen.Expect;
import app.velvetcrock.core.kitchen.HouseholdUnits;
import app.velvetcrock.core.kitchen.WhenReader;
import app.velvetcrock.core.label.Claims;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.text.Linear;
import app.velvetcrock.core.timetable.HoursReader;
import java.time.DateTimeException;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * What the longest text a reader takes costs beside half of it, filled with what once sent it back and forth: near to twice as much.
 * Run by {@code ./crock bench readers}, never by the tests.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 4, time = 1)
@Measurement(iterations = 4, time = 1)
@Fork(1)
public class ReaderBenchmark {

    private static final int AMOUNT = 60;
    private static final int MOMENT = 120;
    private static final int HOURS = 80;
    private static final int LINE = 200;
    private static final int NOTE = 2_000;

    @Param({"1", "2"})
    public int halves;

    @Param({" ", "1", "-", "1 ", "a "})
    public String sign;

    private final Materia materia = Materia.shipped();
    private final AmountReader amounts = new AmountReader(HouseholdUnits.METRIC);
    private final RecipeReader recipes =
            new RecipeReader(amounts, Things.of(materia, materia.herbs(), materia.carriers()));
    private final WhenReader past = WhenReader.ofThePast(LocalDateTime.parse("2026-11-24T09:00:00"));
    private final Claims claims = Claims.shipped();

    private String text(int longest) {
        String filled = "1" + sign.repeat(longest);
        return filled.substring(0, longest * halves / 2 - 1) + "x";
    }

    @Benchmark
    public Object amount() {
        return amounts.read(text(AMOUNT), Expect.LIQUID);
    }

    @Benchmark
    public Object moment() {
        return past.moment(text(MOMENT));
    }

    @Benchmark
    public Object hours() {
        try {
            return HoursReader.parse(text(HOURS));
        } catch (IllegalArgumentException | DateTimeException unreadable) {
            return unreadable;
        }
    }

    @Benchmark
    public List<RecipeLine> recipeLine() {
        return recipes.read(text(LINE));
    }

    @Benchmark
    public Object words() {
        return claims.in(text(NOTE), Set.of());
    }

    /** A line of a trial with water, the cubic one of old. */
    @Benchmark
    public boolean trial() {
        return Linear.matches(
                text(NOTE), "(\\d{1,4})\\s*(?:min)?\\s*[:;,]?\\s+(\\d{1,3}(?:[.,]\\d{1,2})?)\\s*°?\\s*([CcFf])?");
    }

    /** A cell of a logger's file. */
    @Benchmark
    public String cell() {
        return Linear.first(text(NOTE), "\\s*(°\\s*)?[CFcf]?$", "");
    }
}
