package app.velvetcrock.press;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Retentions;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.look.Held;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.planning.PlannedHerb;
import app.velvetcrock.core.rounds.Coming;
import app.velvetcrock.core.strain.Retention;
import app.velvetcrock.core.strain.YieldForecast;
import app.velvetcrock.core.working.Working;
import app.velvetcrock.draw.JarDrawing;
import app.velvetcrock.stillroom.House;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** The pages of the Press, worded before they are drawn. */
final class PressPage {

    private static final double SPAN = 240;

    private PressPage() {}

    /**
     * A batch still to be strained.
     *
     * @param deed what can be done now, and {@code leadsTo} where
     */
    public record Standing(
            UUID id,
            String name,
            String state,
            String stateMark,
            @Nullable Coming day,
            String back,
            Back level,
            String deed,
            String leadsTo,
            String label) {}

    /** What is expected back of what went in, along 134 px: {@code came} the middle of it, in the oil's own colour. */
    public record Back(double low, double width, double came, String tint, String words) {

        private static final double WHOLE = 134;

        static Back of(BatchSheet sheet, House house) {
            YieldForecast forecast = sheet.forecast();
            double scale = WHOLE / sheet.oilIn().millilitres();
            return new Back(
                    forecast.low().millilitres() * scale,
                    (forecast.high().millilitres() - forecast.low().millilitres()) * scale,
                    forecast.expected().millilitres() * scale,
                    JarDrawing.Look.of(sheet.plan(), 1).oil(),
                    "%s of %s expected back"
                            .formatted(house.range(forecast.low(), forecast.high()), house.volume(sheet.oilIn())));
        }
    }

    /**
     * One that is done.
     *
     * @param span what was expected and what came, drawn; null for one thrown out
     */
    public record Finished(
            UUID id, String name, @Nullable Span span, String came, String of, String like, boolean canSettle) {}

    /** What was expected back, of what went in, and what came, along 240 px. */
    public record Span(double low, double width, double came, String words) {}

    /** The measuring glass in words. */
    public record Glass(String label, String in, @Nullable String out, String expected, String range) {}

    static Standing standing(BatchSheet sheet, House house) {
        boolean held = sheet.holding(Held.STRAIN).isPresent();
        return new Standing(
                sheet.id(),
                "%d: %s".formatted(sheet.number(), sheet.name()),
                sheet.tagWord(),
                sheet.condition().isPresent() ? "bad-word" : "",
                sheet.strains(at -> house.day(house.dayOf(at))).orElse(null),
                house.about(sheet.forecast().expected()),
                Back.of(sheet, house),
                held ? "Answer it" : sheet.course().isDue() ? "Strain it" : "Strain it early",
                (held ? "/batch/" : "/press/") + sheet.id(),
                (held ? "Answer what is wrong with %s, jar %d" : "Strain %s, jar %d")
                        .formatted(sheet.name(), sheet.number()));
    }

    static Finished finished(BatchSheet sheet, House house) {
        String name = "%d: %s".formatted(sheet.number(), sheet.name());
        return sheet.strained()
                .map(gave -> new Finished(
                        sheet.id(),
                        name,
                        span(sheet, gave, house),
                        house.volume(gave.out()),
                        "of %s, %s".formatted(house.volume(sheet.oilIn()), compared(sheet, gave)),
                        gave.seen().clarity().word()
                                + (gave.seen().colour().isEmpty()
                                        ? ""
                                        : ", " + gave.seen().colour()),
                        !sheet.open().isEmpty()))
                .orElseGet(() -> new Finished(sheet.id(), name, null, "", "", sheet.lesson(), false));
    }

    private static Span span(BatchSheet sheet, Line.Strained gave, House house) {
        YieldForecast forecast = sheet.forecast();
        double in = sheet.oilIn().millilitres();
        return new Span(
                SPAN * forecast.low().millilitres() / in,
                SPAN * (forecast.high().millilitres() - forecast.low().millilitres()) / in,
                SPAN * gave.out().millilitres() / in,
                "expected %s, came back %s"
                        .formatted(house.range(forecast.low(), forecast.high()), house.volume(gave.out())));
    }

    /** How what came compares with what was expected. */
    static String compared(BatchSheet sheet, Line.Strained gave) {
        YieldForecast forecast = sheet.forecast();
        if (forecast.holds(gave.out())) {
            return new HeatHad(sheet.course()).isNone()
                    ? "as much as expected, of its heat nothing was seen"
                    : "as expected";
        }
        return gave.out().compareTo(forecast.low()) < 0 ? "less than expected" : "more than expected";
    }

    /** What a straining showed, and whether the next plan learns from it. */
    static String taught(BatchSheet sheet, Line.Strained gave) {
        String compared = compared(sheet, gave);
        return "%s%s: a gram of herb kept %s mL.%s"
                .formatted(
                        compared.substring(0, 1).toUpperCase(java.util.Locale.ROOT),
                        compared.substring(1),
                        Decimals.upTo(sheet.kept(clean(sheet, gave)), 2),
                        teaches(sheet, gave)
                                ? " The next plan learns from it."
                                : gave.learned()
                                        ? " Of several herbs that cannot be told apart, so it teaches the forecast nothing."
                                        : " Left out of the forecast.");
    }

    private static Volume clean(BatchSheet sheet, Line.Strained gave) {
        return sheet.log().oilOut().orElse(gave.out());
    }

    /** What a blend keeps cannot be told apart by herb. */
    private static boolean teaches(BatchSheet sheet, Line.Strained gave) {
        return gave.learned() && sheet.plan().request().herbs().size() == 1;
    }

    /** How the figure comes about and what the next forecast makes of it; null where it teaches nothing. */
    static @Nullable Working learned(BatchSheet sheet, Line.Strained gave, Retentions retentions) {
        PlannedHerb herb = sheet.plan().request().herb();
        return teaches(sheet, gave)
                ? Retention.working(
                        sheet.oilIn(),
                        clean(sheet, gave),
                        sheet.course().charge().herbs().mass(),
                        Retention.shipped(herb.texture(), herb.moisture(), gave.pressing())
                                .learning(
                                        retentions.of(
                                                herb.kind().key(), herb.texture(), herb.moisture(), gave.pressing()),
                                        herb.moisture()))
                : null;
    }

    /** The line of a straining, to be corrected. */
    static UUID line(BatchSheet sheet, Line.Strained gave) {
        return sheet.lines().stream()
                .filter(written -> written.entry().line().equals(gave))
                .findFirst()
                .orElseThrow()
                .id();
    }

    static Glass glass(BatchSheet sheet, House house) {
        YieldForecast forecast = sheet.forecast();
        String out = sheet.strained().map(Line.Strained::out).map(house::volume).orElse(null);
        String expected = house.about(forecast.expected());
        return new Glass(
                "%s went in, %s expected back%s"
                        .formatted(
                                house.volume(sheet.oilIn()),
                                expected,
                                out == null ? "" : ", %s came out".formatted(out)),
                house.volume(sheet.oilIn()),
                out,
                expected,
                house.range(forecast.low(), forecast.high()));
    }

    /** What the forecast of a batch not yet strained rests on. */
    static String rests(YieldForecast forecast) {
        return forecast.batches() == 0
                ? "From our estimate; what you measure now teaches the next one."
                : "%s of this.".formatted("F" + forecast.basis().substring(1));
    }

    static String wentIn(BatchSheet sheet, House house) {
        Volume oil = sheet.oilIn();
        return "%s went in over %s of herb."
                .formatted(
                        house.volume(oil),
                        house.mass(sheet.course().charge().herbs().mass()));
    }
}
