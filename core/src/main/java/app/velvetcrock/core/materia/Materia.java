package app.velvetcrock.core.materia;

import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.text.Linear;
import java.util.Collection;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;

/** The shipped catalogue: herbs, carriers and the table of part and cut; loaded once, never changed. */
public final class Materia {

    private final Map<String, HerbKind> herbs;
    private final Map<String, CarrierKind> carriers;
    private final Map<String, SupplyKind> supplies;
    private final Map<Part, Map<Cut, Texture>> textures;

    private Materia(
            List<HerbKind> herbs, List<CarrierKind> carriers, List<SupplyKind> supplies, List<Texture> textures) {
        this.herbs = byKey(herbs, HerbKind::key);
        this.carriers = byKey(carriers, CarrierKind::key);
        this.supplies = byKey(supplies, SupplyKind::key);
        this.textures = byPartAndCut(textures);
    }

    /**
     * Reads the shipped files.
     *
     * @throws BadDataException when a line cannot be read or the table of part and cut has a gap
     */
    public static Materia shipped() {
        return new Materia(
                DataFile.read(Materia.class, "herbs.csv", Materia::herb),
                DataFile.read(Materia.class, "carriers.csv", Materia::carrier),
                Stream.concat(
                                DataFile.read(Materia.class, "supplies.csv", SupplyKind::supply).stream(),
                                DataFile.read(Materia.class, "essential-oils.csv", SupplyKind::essentialOil).stream())
                        .toList(),
                DataFile.read(Materia.class, "textures.csv", Materia::texture));
    }

    public Collection<HerbKind> herbs() {
        return herbs.values();
    }

    public Collection<CarrierKind> carriers() {
        return carriers.values();
    }

    public Optional<HerbKind> herb(String key) {
        return Optional.ofNullable(herbs.get(key));
    }

    public Optional<CarrierKind> carrier(String key) {
        return Optional.ofNullable(carriers.get(key));
    }

    /** Waxes, spirits, antioxidants, essential oils and other additions. */
    public Collection<SupplyKind> supplies() {
        return supplies.values();
    }

    public Optional<SupplyKind> supply(String key) {
        return Optional.ofNullable(supplies.get(key));
    }

    /** How a part lies at a cut; every pair has an answer. */
    public Texture texture(Part part, Cut cut) {
        return Objects.requireNonNull(
                Objects.requireNonNull(textures.get(part), part::name).get(cut), cut::name);
    }

    private static HerbKind herb(Row row) {
        return new HerbKind(
                row.text("key"),
                row.text("common"),
                row.text("botanical"),
                row.list("synonyms"),
                row.oneOf(Part.class, "part"),
                row.number("ratio"),
                tint(row),
                row.set("traits"));
    }

    private static CarrierKind carrier(Row row) {
        return new CarrierKind(
                row.text("key"),
                row.text("common"),
                Density.ofGramsPerMillilitre(row.number("density")),
                row.text("held").equals("E"),
                row.whole("months"),
                row.isBlank("melting") ? Optional.empty() : Optional.of(Temperature.ofCelsius(row.number("melting"))),
                tint(row),
                row.set("traits"));
    }

    private static Texture texture(Row row) {
        return new Texture(
                row.oneOf(Part.class, "part"),
                row.oneOf(Cut.class, "cut"),
                Density.ofGramsPerMillilitre(row.number("bulk")),
                Density.ofGramsPerMillilitre(row.number("fresh")),
                row.number("packing"),
                row.number("retention"),
                row.number("spread"));
    }

    private static String tint(Row row) {
        String tint = row.text("tint");
        if (!Linear.matches(tint, "[0-9a-f]{6}")) {
            throw new IllegalArgumentException("tint is “%s”, not six hex digits".formatted(tint));
        }
        return "#" + tint;
    }

    private static <T> Map<String, T> byKey(List<T> values, Function<T, String> key) {
        Map<String, T> map = new LinkedHashMap<>();
        for (T value : values) {
            if (map.put(key.apply(value), value) != null) {
                throw new BadDataException("catalogue", 0, key.apply(value), "the key stands twice", null);
            }
        }
        return java.util.Collections.unmodifiableMap(map);
    }

    private static Map<Part, Map<Cut, Texture>> byPartAndCut(List<Texture> textures) {
        Map<Part, Map<Cut, Texture>> table = new EnumMap<>(Part.class);
        textures.forEach(t -> table.computeIfAbsent(t.part(), part -> new EnumMap<>(Cut.class))
                .put(t.cut(), t));
        for (Part part : Part.values()) {
            for (Cut cut : Cut.values()) {
                if (!table.containsKey(part) || !table.get(part).containsKey(cut)) {
                    throw new BadDataException("textures.csv", 0, part + " " + cut, "this pair is missing", null);
                }
            }
        }
        return table;
    }
}
