package app.velvetcrock.book;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.core.book.Calibration;
import app.velvetcrock.core.book.Calibration.Measured;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.strain.YieldForecast;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** How far forecasts held: what came back beside what was foretold, herb by herb, on one scale. */
@Controller
class ForecastController {

    /** The latest so many say how it is now. */
    private static final int LATEST = 60;

    private static final double WIDTH = 420;
    private static final double HALF = 210;

    /** So many widths of the range are drawn to either side. */
    private static final double SHOWN = 2.5;

    private final Batches batches;

    ForecastController(Batches batches) {
        this.batches = batches;
    }

    /** A batch on the scale: in the middle what was foretold, the band the middle 80 %. */
    record Dot(double x, String href, String words, String mark) {}

    /** A herb's. */
    record Row(String name, List<Dot> dots, String words, String bias) {}

    @GetMapping("/book/forecasts")
    @Transactional(readOnly = true)
    public String forecasts(Model model) {
        List<BatchSheet> strained =
                batches.measured(new Batches.Ended(null, null, null, "STRAINED", null), LATEST).stream()
                        .filter(sheet ->
                                sheet.strained().isPresent() && !sheet.log().isByHand())
                        .toList();
        Map<String, List<BatchSheet>> by = new LinkedHashMap<>();
        strained.forEach(sheet -> by.computeIfAbsent(sheet.plan().request().herbNames(), key -> new ArrayList<>())
                .add(sheet));
        model.addAttribute("all", row("all herbs", strained));
        model.addAttribute(
                "rows",
                by.entrySet().stream()
                        .map(one -> row(one.getKey(), one.getValue()))
                        .toList());
        model.addAttribute("band", HALF / SHOWN);
        model.addAttribute("width", WIDTH);
        return "book/forecasts";
    }

    private static Measured measured(BatchSheet sheet) {
        YieldForecast forecast = sheet.forecast();
        return new Measured(
                sheet.log().oilOut().orElseThrow().millilitres(),
                forecast.expected().millilitres(),
                forecast.low().millilitres(),
                forecast.high().millilitres());
    }

    private static Row row(String name, List<BatchSheet> sheets) {
        Calibration held =
                Calibration.of(sheets.stream().map(ForecastController::measured).toList());
        return new Row(
                name,
                sheets.stream().map(ForecastController::dot).toList(),
                held.words(),
                held.of() == 0 ? "" : "%s on average".formatted(signed(Math.round(held.bias()))));
    }

    private static String signed(long millilitres) {
        return "%s%d mL".formatted(millilitres < 0 ? "−" : millilitres > 0 ? "+" : "", Math.abs(millilitres));
    }

    private static Dot dot(BatchSheet sheet) {
        Measured one = measured(sheet);
        double half = one.out() < one.expected() ? one.expected() - one.low() : one.high() - one.expected();
        double off = half < 0.5 ? 0 : (one.out() - one.expected()) / half;
        return new Dot(
                HALF + Math.max(-SHOWN, Math.min(SHOWN, off)) * HALF / SHOWN,
                "/press/" + sheet.id(),
                "batch %d: %s mL, foretold %s to %s"
                        .formatted(
                                sheet.number(),
                                Decimals.upTo(one.out(), 0),
                                Decimals.upTo(one.low(), 0),
                                Decimals.upTo(one.high(), 0)),
                one.isInside() ? "" : "off");
    }
}
