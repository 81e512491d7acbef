package app.velvetcrock.core.materia;

import app.velvetcrock.core.kitchen.KnownDensity;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.text.Linear;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A wax, spirit, antioxidant, essential oil or other addition as the catalogue knows it.
 *
 * @param botanical of essential oils; else empty
 * @param bulk as scooped; absent for what is poured
 * @param melting lower and upper end; absent where it does not matter
 * @param monthsOpened absent where nothing is held
 * @param watery true where it brings water, in which things grow
 * @param dermalMost percent at most on skin, of essential oils; absent where no figure is held
 */
public record SupplyKind(
        String key,
        SupplyType type,
        String common,
        String botanical,
        List<String> synonyms,
        Density density,
        boolean densityIsEstimate,
        Optional<Density> bulk,
        Optional<Melting> melting,
        Optional<Integer> monthsOpened,
        boolean watery,
        Optional<Double> dermalMost,
        Set<String> traits) {

    /** A lot of its own, with a strength, as a spirit has (craft: making). */
    public static final String TINCTURE = "tincture";

    /** An essential oil of which no maximum of its own is held: only the ceiling of the sum applies. */
    public static final String SUM_ONLY = "sum-only";

    /** From soft to wholly melted. */
    public record Melting(Temperature low, Temperature high) {}

    public SupplyKind {
        synonyms = List.copyOf(synonyms);
        traits = Set.copyOf(traits);
    }

    /** The same with another ceiling on skin, percent, as a household holds it. */
    public SupplyKind withDermalMost(double percent) {
        Set<String> others =
                traits.stream().filter(trait -> !trait.equals(SUM_ONLY)).collect(Collectors.toSet());
        return new SupplyKind(
                key,
                type,
                common,
                botanical,
                synonyms,
                density,
                densityIsEstimate,
                bulk,
                melting,
                monthsOpened,
                watery,
                Optional.of(percent),
                others);
    }

    /** Whether it has a strength in percent by volume: a spirit, or what was drawn with one. */
    public boolean hasStrength() {
        return type == SupplyType.SPIRIT || key.equals(TINCTURE);
    }

    /** What a weight and a volume of it must agree with: pellets by their bulk, all else as a liquid. */
    public KnownDensity known() {
        return bulk.map(KnownDensity::ofPellets).orElseGet(() -> KnownDensity.ofLiquid(density));
    }

    static SupplyKind supply(Row row) {
        return new SupplyKind(
                row.text("key"),
                row.oneOf(SupplyType.class, "type"),
                row.text("common"),
                "",
                row.list("synonyms"),
                Density.ofGramsPerMillilitre(row.number("density")),
                row.text("held").equals("E"),
                row.optional("bulk").map(text -> Density.ofGramsPerMillilitre(row.number("bulk"))),
                row.optional("melting").map(SupplyKind::melting),
                row.optional("months").map(text -> row.whole("months")),
                row.text("watery").equals("yes"),
                Optional.empty(),
                row.set("traits"));
    }

    static SupplyKind essentialOil(Row row) {
        return new SupplyKind(
                row.text("key"),
                SupplyType.ESSENTIAL_OIL,
                row.text("common"),
                row.text("botanical"),
                row.list("synonyms"),
                Density.ofGramsPerMillilitre(row.number("density")),
                true,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                false,
                row.optional("dermal").map(text -> row.number("dermal")),
                row.set("traits"));
    }

    private static Melting melting(String range) {
        String[] ends = Linear.split(range, "-");
        return new Melting(
                Temperature.ofCelsius(Double.parseDouble(ends[0])), Temperature.ofCelsius(Double.parseDouble(ends[1])));
    }
}
