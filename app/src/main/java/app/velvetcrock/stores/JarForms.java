package app.velvetcrock.stores;

import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.kitchen.Amount;
import app.velvetcrock.core.kitchen.Reading.Understood;
import app.velvetcrock.core.larder.JarGlass;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Unit;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.web.Fields;
import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Reads the form of a jar that comes in. */
final class JarForms {

    /** Inside a jar, mm. */
    static final double NARROWEST = 20;

    static final double WIDEST = 800;
    private static final Pattern USUAL = Pattern.compile("(?i)(.*?),? ?(?:as )?usual");
    private static final double LEAST_CAPACITY = 10;
    private static final double MOST_CAPACITY = 50_000;

    private JarForms() {}

    /** @param water what the water weighs that fills it, where its size is not known */
    record JarForm(
            @Nullable UUID key,
            @Nullable String name,
            @Nullable String capacity,
            @Nullable String water,
            @Nullable String width,
            @Nullable String marks,
            @Nullable String pieces) {

        JarForm {
            water = water == null ? "" : water;
            marks = marks == null ? "" : marks;
        }

        static JarForm empty() {
            return new JarForm(null, "", "", "", "", "", "1");
        }
    }

    record NewJar(Vessel vessel, JarGlass glass, int pieces) {}

    /** Reads a jar that comes in; a width that nobody measured is offered, never taken by itself. */
    static Optional<NewJar> read(JarForm form, Fields fields) {
        boolean weighed = form.capacity() == null
                || form.capacity().isBlank()
                        && form.water() != null
                        && !form.water().isBlank();
        Optional<Volume> capacity = weighed
                ? byWater(fields, form.water())
                : fields.capacity("capacity", form.capacity(), LEAST_CAPACITY, MOST_CAPACITY);
        Matcher asUsual =
                USUAL.matcher(Objects.requireNonNullElse(form.width(), "").strip());
        boolean usual = asUsual.matches();
        String typed = usual ? asUsual.group(1) : Objects.requireNonNullElse(form.width(), "");
        Optional<Length> width = typed.isBlank() && capacity.isPresent()
                ? usual ? capacity.map(Vessel::usualWidth) : usual(fields, capacity.get())
                : fields.length("width", typed, NARROWEST, WIDEST);
        Optional<List<JarGlass.Mark>> marks = capacity.flatMap(holds -> JarMarks.read(fields, form.marks(), holds));
        Optional<Integer> pieces = fields.whole("pieces", form.pieces(), 1, 1000, "jars");
        Optional<String> named = fields.optionalWords("name", form.name(), 80);
        return fields.isClear()
                ? Optional.of(new NewJar(
                        new Vessel(
                                named.filter(n -> !n.isEmpty())
                                        .orElseGet(() -> (weighed
                                                        ? Math.round(capacity.orElseThrow()
                                                                        .millilitres()) + " mL"
                                                        : Objects.requireNonNull(form.capacity())
                                                                .strip())
                                                + " jar"),
                                capacity.orElseThrow(),
                                width.orElseThrow()),
                        new JarGlass(usual, marks.orElseThrow()),
                        pieces.orElseThrow()))
                : Optional.empty();
    }

    /** Nobody has a rule at hand by the jars: what is usual is offered, never taken by itself. */
    private static Optional<Length> usual(Fields fields, Volume capacity) {
        double width = Vessel.usualWidth(capacity).millimetres();
        Amount amount = new Amount(width, width, Unit.MILLIMETRE);
        String typed = "%.0f mm".formatted(width);
        fields.trouble(
                "width",
                new Fields.Trouble(
                        "Measure it once across the inside; the cover over the herb goes by it.",
                        "",
                        List.of(new Understood(typed + ", usual", amount, typed + ", usual for such a jar")),
                        List.of()));
        return Optional.empty();
    }

    /** A jar's size by the water that fills it to the brim. */
    private static Optional<Volume> byWater(Fields fields, @Nullable String typed) {
        return fields.mass(
                        "water",
                        typed,
                        LEAST_CAPACITY * Density.WATER.gramsPerMillilitre(),
                        MOST_CAPACITY * Density.WATER.gramsPerMillilitre())
                .map(Density.WATER::volumeOf);
    }
}
