package app.velvetcrock.toolshelf;

import app.velvetcrock.core.heat.HeatForecast.Surroundings;
import app.velvetcrock.core.heat.HeatReading;
import app.velvetcrock.core.heat.HeatSetting;
import app.velvetcrock.core.heat.SourceCurve;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Source;
import app.velvetcrock.kit.KitShelf;
import app.velvetcrock.kit.SourceCurves;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** A trial with plain water: what a source of heat does on a setting, learned before any herb is put at risk. */
@Controller
class TrialController {

    private static final String PAGE = "/stores/kit/trial";
    private static final int LONGEST = 4_000;

    /** "20 31.4", "20 min: 31,4 °C", "20; 88 F". */
    private static final Pattern LINE =
            Pattern.compile("(\\d{1,4})\\s*(?:min)?\\s*[:;,]?\\s+(\\d{1,3}(?:[.,]\\d{1,2})?)\\s*°?\\s*([CcFf])?");

    private final KitShelf kit;
    private final SourceCurves curves;
    private final Households households;
    private final Clock clock;

    TrialController(KitShelf kit, SourceCurves curves, Households households, Clock clock) {
        this.kit = kit;
        this.curves = curves;
        this.households = households;
        this.clock = clock;
    }

    /** A trial as typed; {@code read} holds minutes and temperatures, a pair a line. */
    record TrialForm(
            @Nullable UUID key,
            @Nullable String piece,
            @Nullable String water,
            @Nullable String setting,
            @Nullable String read) {}

    @GetMapping(PAGE)
    String page(Model model) {
        return show(
                model,
                new TrialForm(null, "", "", "", ""),
                new Fields(households.current().reader()));
    }

    private List<KitShelf.OfKit> sources() {
        return kit.able(EnumSet.allOf(Source.class));
    }

    private String show(Model model, TrialForm form, Fields fields) {
        model.addAttribute(
                "pieces",
                sources().stream()
                        .map(piece -> new Fields.Option(
                                piece.id().toString(), piece.kit().name()))
                        .toList());
        List<Fields.Option> settings = new ArrayList<>();
        settings.add(new Fields.Option("", "it has none"));
        for (HeatSetting setting : HeatSetting.values()) {
            settings.add(new Fields.Option(setting.name(), setting.word()));
        }
        model.addAttribute("settings", settings);
        model.addAttribute("form", form);
        model.addAttribute("fields", fields);
        return "stores/trial";
    }

    @PostMapping(PAGE)
    String keep(TrialForm form, Reply reply) {
        House house = households.current();
        Fields fields = new Fields(house.reader());
        Optional<KitShelf.OfKit> piece = sources().stream()
                .filter(one -> one.id().toString().equals(form.piece()))
                .findFirst();
        if (piece.isEmpty()) {
            fields.trouble("piece", "No source of heat is chosen.", "one from the list");
        }
        Optional<Volume> water = fields.capacity("water", form.water(), 50, 20_000);
        Optional<HeatSetting> setting = form.setting() == null || form.setting().isEmpty()
                ? Optional.empty()
                : fields.oneOf("setting", HeatSetting.class, form.setting());
        Optional<SourceCurve> curve = water.flatMap(load -> curve(form, fields, setting, load));
        return reply.answer(new FormSent("", form.key(), fields, PAGE), () -> show(reply.model(), form, fields), () -> {
            UUID id = curves.keepTrial(piece.orElseThrow().id(), curve.orElseThrow());
            return new Done(
                    "/stores/kit",
                    "%s ends at about %s."
                            .formatted(
                                    piece.get().kit().name(),
                                    house.temperature(Temperature.ofCelsius(
                                            Math.round(curve.get().end().celsius())))),
                    "/stores/kit/trial/%s/undo".formatted(id));
        });
    }

    private Optional<SourceCurve> curve(TrialForm form, Fields fields, Optional<HeatSetting> setting, Volume load) {
        String text = Objects.requireNonNullElse(form.read(), "");
        if (fields.isTooLong("read", text, LONGEST)) {
            return Optional.empty();
        }
        Instant begin = clock.instant();
        List<HeatReading> readings = new ArrayList<>();
        for (String line :
                text.lines().map(String::strip).filter(one -> !one.isEmpty()).toList()) {
            Matcher read = LINE.matcher(line);
            if (!read.matches()) {
                fields.trouble("read", "“%s” is no minute and temperature.".formatted(line), "lines such as 20 31.4");
                return Optional.empty();
            }
            double degrees = Double.parseDouble(read.group(2).replace(',', '.'));
            boolean fahrenheit = "F".equals(String.valueOf(read.group(3)).toUpperCase(Locale.ROOT));
            readings.add(new HeatReading(
                    begin.plusSeconds(60L * Integer.parseInt(read.group(1))),
                    fahrenheit ? Temperature.ofFahrenheit(degrees) : Temperature.ofCelsius(degrees)));
        }
        readings.sort(Comparator.comparing(HeatReading::at));
        Optional<SourceCurve> curve = SourceCurve.shown(readings, setting, load, Surroundings.of(false));
        if (curve.isEmpty()) {
            fields.trouble(
                    "read",
                    "These do not show yet where it ends.",
                    "more of them: from when it was put on until it hardly rises any more, every 20 minutes or so");
        }
        return curve;
    }

    @PostMapping("/stores/kit/trial/{id}/undo")
    String takeBack(@PathVariable UUID id, Reply reply) {
        return reply.tap("/stores/kit", () -> {
            curves.takeTrialBack(id);
            return new Done("/stores/kit", "That trial is forgotten.");
        });
    }
}
