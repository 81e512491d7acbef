package app.velvetcrock.stores;

import app.velvetcrock.core.caution.Cautions;
import app.velvetcrock.core.kitchen.Expect;
import app.velvetcrock.core.kitchen.KnownDensity;
import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Part;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.text.Linear;
import app.velvetcrock.web.Fields;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A herb or a carrier of the household's own, as typed.
 *
 * @param corrects key of the kind it corrects; empty for a new one
 * @param ratio "1:5", or the millilitres alone
 */
record CatalogueForm(
        @Nullable UUID key,
        String corrects,
        @Nullable String common,
        @Nullable String botanical,
        @Nullable String part,
        @Nullable String ratio,
        @Nullable String density,
        @Nullable String months,
        @Nullable String melting,
        @Nullable List<String> traits) {

    private static final double LEAST_RATIO = 1;
    private static final double MOST_RATIO = 40;

    private static final double MOST_MELTING = 70;
    private static final int MOST_MONTHS = 36;

    CatalogueForm {
        corrects = corrects == null ? "" : corrects;
    }

    static CatalogueForm of(HerbKind kind) {
        return new CatalogueForm(
                null,
                kind.key(),
                kind.common(),
                kind.botanical(),
                kind.part().name(),
                "1:" + Decimals.upTo(kind.usualRatio(), 1),
                "",
                "",
                "",
                List.copyOf(kind.traits()));
    }

    static CatalogueForm of(CarrierKind kind) {
        return new CatalogueForm(
                null,
                kind.key(),
                kind.common(),
                "",
                "",
                "",
                Decimals.upTo(kind.density().gramsPerMillilitre(), 3),
                String.valueOf(kind.monthsOpened()),
                kind.melting().map(t -> Decimals.upTo(t.celsius(), 0) + " C").orElse(""),
                List.copyOf(kind.traits()));
    }

    static CatalogueForm empty() {
        return named("");
    }

    /** A new one of which only the name is known. */
    static CatalogueForm named(String name) {
        return new CatalogueForm(null, "", name, "", "LEAF", "1:5", "", "10", "", List.of());
    }

    /** What the form is headed: that of a new one, or what it corrects. */
    public String heading(String fresh) {
        return corrects.isEmpty() ? fresh : "Correct " + (common == null ? "" : common);
    }

    public boolean has(String trait) {
        return traits != null && traits.contains(trait);
    }

    Optional<HerbKind> herb(Fields fields, Cautions cautions) {
        Optional<String> name = name(fields, cautions);
        Optional<String> latin = fields.optionalWords("botanical", botanical, SupplyForm.LONGEST_NAME)
                .filter(typed -> isSafe(fields, "botanical", typed, cautions));
        Optional<Part> used = fields.oneOf("part", Part.class, part);
        Optional<Double> usual = number(fields, "ratio", ratio == null ? "" : after("1:", ratio), "1:5 or 1:10")
                .filter(value -> within(fields, "ratio", value, LEAST_RATIO, MOST_RATIO, "mL to a gram"));
        return fields.isClear()
                ? Optional.of(new HerbKind(
                        corrects,
                        name.orElseThrow(),
                        latin.orElseThrow(),
                        List.of(),
                        used.orElseThrow(),
                        usual.orElseThrow(),
                        "#000000",
                        chosen()))
                : Optional.empty();
    }

    Optional<CarrierKind> carrier(Fields fields, Cautions cautions) {
        Optional<String> name = name(fields, cautions);
        Optional<Double> weight = number(fields, "density", density == null ? "" : before("g/mL", density), "0.917")
                .filter(value ->
                        within(fields, "density", value, KnownDensity.LIGHTEST_OIL, KnownDensity.HEAVIEST_OIL, "g/mL"));
        Optional<Integer> keeps = fields.whole("months", months, 1, MOST_MONTHS, "months");
        Optional<Temperature> melts = melting == null || melting.isBlank()
                ? Optional.empty()
                : fields.amount("melting", melting, Expect.TEMPERATURE)
                        .map(read -> (Temperature) read.amount().middle())
                        .filter(read -> within(fields, "melting", read.celsius(), 0, MOST_MELTING, "°C"));
        return fields.isClear()
                ? Optional.of(new CarrierKind(
                        corrects,
                        name.orElseThrow(),
                        Density.ofGramsPerMillilitre(weight.orElseThrow()),
                        false,
                        keeps.orElseThrow(),
                        melts,
                        "#000000",
                        chosen()))
                : Optional.empty();
    }

    private Set<String> chosen() {
        return traits == null ? Set.of() : new TreeSet<>(traits);
    }

    private Optional<String> name(Fields fields, Cautions cautions) {
        return fields.words("common", common, SupplyForm.LONGEST_NAME)
                .filter(typed -> isSafe(fields, "common", typed, cautions));
    }

    private static boolean isSafe(Fields fields, String field, String typed, Cautions cautions) {
        Optional<String> refusal = cautions.refusal(typed);
        refusal.ifPresent(plant -> fields.trouble(
                field,
                "This names %s, which is poisonous, also through the skin. It is not kept here.".formatted(plant),
                "another plant"));
        return refusal.isEmpty();
    }

    private static Optional<Double> number(Fields fields, String field, String typed, String example) {
        if (fields.isTooLong(field, typed, 40)) {
            return Optional.empty();
        }
        if (!Linear.matches(typed, "\\d{1,4}([.,]\\d{1,4})?")) {
            fields.trouble(
                    field,
                    typed.isEmpty() ? "Nothing is written here yet." : "“%s”: that is not a number.".formatted(typed),
                    example);
            return Optional.empty();
        }
        return Optional.of(Double.valueOf(typed.replace(',', '.')));
    }

    private static String after(String start, String typed) {
        String text = typed.strip().replace("1 :", "1:");
        return text.startsWith(start) ? text.substring(start.length()).strip() : text;
    }

    private static String before(String end, String typed) {
        String text = typed.strip();
        return text.endsWith(end)
                ? text.substring(0, text.length() - end.length()).strip()
                : text;
    }

    private static boolean within(Fields fields, String field, double value, double least, double most, String unit) {
        if (value < least || value > most) {
            fields.trouble(
                    field,
                    "Understood as %s %s; it must be between %s and %s."
                            .formatted(Decimals.upTo(value, 3), unit, Decimals.upTo(least, 2), Decimals.upTo(most, 2)),
                    "something in between");
            return false;
        }
        return true;
    }
}
