package app.velvetcrock.core.planning;

import app.velvetcrock.core.charge.OilShares;
import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * What the herb is infused in: one oil, or a mix of up to four, each from its own lot.
 *
 * @param parts in the order they were named; their shares of the volume come to 1
 */
public record Carriers(List<Part> parts) {

    /** More than these make no better oil and no shorter label. */
    public static final int MOST = OilShares.MOST;

    private static final double PERCENT = 100;
    private static final int LONGEST_KEY = 60;
    private static final double ROUNDING = 1e-6;

    /**
     * One oil of it.
     *
     * @param share of the volume at 20 °C, above 0 and at most 1
     */
    public record Part(PlannedCarrier carrier, double share) {}

    public Carriers {
        parts = List.copyOf(parts);
        double all = parts.stream().mapToDouble(Part::share).sum();
        if (parts.isEmpty() || parts.size() > MOST || Math.abs(all - 1) > ROUNDING) {
            throw new IllegalArgumentException(
                    "%d oils whose shares come to %s; one to %d oils come to 1".formatted(parts.size(), all, MOST));
        }
    }

    public static Carriers of(PlannedCarrier only) {
        return new Carriers(List.of(new Part(only, 1)));
    }

    public boolean isMix() {
        return parts.size() > 1;
    }

    /** All of it as one oil: its own density, the first end of its bottles, the cautions of all, what any of them had in it. */
    public PlannedCarrier together(LocalDate poured) {
        return isMix()
                ? new PlannedCarrier(kind(), first(poured).carrier().bottle(), first())
                : parts.get(0).carrier();
    }

    /** Tells whether the oil that ends first is one that was infused before. */
    boolean endsByInfused(LocalDate poured) {
        return first(poured).carrier().first().isPresent();
    }

    private Part first(LocalDate poured) {
        return parts.stream()
                .min(Comparator.comparing(part -> part.carrier().bottle().end(poured)))
                .orElseThrow();
    }

    /** Its oils as found, those with moist herb in them before marked as such. */
    public CarrierKind asFound(LocalDate poured) {
        return together(poured).asFound();
    }

    /** How much of each oil is in so much of the whole, in their order. */
    public List<Mass> masses(Mass whole) {
        double all = kind().density().gramsPerMillilitre();
        return parts.stream()
                .map(part -> isMix() ? whole.times(part.share() * density(part).gramsPerMillilitre() / all) : whole)
                .toList();
    }

    /** Its oils by their falling share: "Olive oil 60 %, coconut oil 40 %"; one oil by its name alone. */
    public String words() {
        if (!isMix()) {
            return parts.get(0).carrier().kind().common();
        }
        Map<String, Double> shares = new LinkedHashMap<>();
        falling()
                .forEach(part -> shares.merge(
                        part.carrier().kind().common().toLowerCase(Locale.ROOT), part.share(), Double::sum));
        String words = shares.entrySet().stream()
                .map(oil -> shares.size() == 1
                        ? oil.getKey()
                        : "%s %s %%".formatted(oil.getKey(), Decimals.upTo(oil.getValue() * PERCENT, 0)))
                .collect(Collectors.joining(", "));
        return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }

    private List<Part> falling() {
        return parts.stream()
                .sorted(Comparator.comparing(part -> -part.share()))
                .toList();
    }

    private CarrierKind kind() {
        if (parts.stream().map(part -> part.carrier().kind()).distinct().count() == 1) {
            return parts.get(0).carrier().kind();
        }
        List<CarrierKind> kinds =
                falling().stream().map(part -> part.carrier().kind()).distinct().toList();
        String names = kinds.stream()
                .map(kind -> kind.common().toLowerCase(Locale.ROOT))
                .collect(Collectors.joining(", "));
        int last = names.lastIndexOf(", ");
        String joined = last < 0 ? names : names.substring(0, last) + " and " + names.substring(last + 2);
        String key = kinds.stream().map(CarrierKind::key).sorted().collect(Collectors.joining("-and-"));
        return mixed(
                key.substring(0, Math.min(LONGEST_KEY, key.length())),
                joined.substring(0, 1).toUpperCase(Locale.ROOT) + joined.substring(1),
                parts.stream()
                        .map(part -> new Mixed(part.carrier().kind(), density(part), part.share()))
                        .toList());
    }

    private static Density density(Part part) {
        return part.carrier().kind().density();
    }

    /**
     * An oil in a mix.
     *
     * @param share of the volume
     */
    public record Mixed(CarrierKind kind, Density density, double share) {}

    /**
     * The kind a mix is: density by volume, the shortest class of keeping, the traits of all. It is wholly melted where its hardest
     * part is; what the others do to that is not held.
     *
     * @param oils whose shares come to 1
     */
    public static CarrierKind mixed(String key, String name, List<Mixed> oils) {
        Set<String> traits = new TreeSet<>();
        oils.forEach(oil -> traits.addAll(oil.kind().traits()));
        Optional<Temperature> melting =
                oils.stream().flatMap(oil -> oil.kind().melting().stream()).max(Comparator.naturalOrder());
        return new CarrierKind(
                key,
                name,
                Density.ofGramsPerMillilitre(oils.stream()
                        .mapToDouble(oil -> oil.share() * oil.density().gramsPerMillilitre())
                        .sum()),
                oils.stream().anyMatch(oil -> oil.kind().densityIsEstimate()),
                oils.stream().mapToInt(oil -> oil.kind().monthsOpened()).min().orElseThrow(),
                melting,
                oils.stream()
                        .max(Comparator.comparing(Mixed::share))
                        .orElseThrow()
                        .kind()
                        .tint(),
                traits);
    }

    /** What it carries of herbs infused in any part of it, thinned by the rest; absent where all are plain. */
    private Optional<FirstInfusion> first() {
        List<Part> infused = parts.stream()
                .filter(part -> part.carrier().first().isPresent())
                .toList();
        if (infused.isEmpty()) {
            return Optional.empty();
        }
        List<FirstInfusion> firsts = infused.stream()
                .flatMap(part -> part.carrier().first().stream())
                .toList();
        Set<String> traits = new TreeSet<>();
        firsts.forEach(first -> traits.addAll(first.traits()));
        return Optional.of(new FirstInfusion(
                firsts.stream().map(FirstInfusion::name).collect(Collectors.joining("; ")),
                infused.stream()
                        .mapToDouble(part -> part.share()
                                * part.carrier().first().orElseThrow().gramsPerMillilitre())
                        .sum(),
                firsts.stream()
                        .map(FirstInfusion::moisture)
                        .max(Moisture::compareTo)
                        .orElseThrow(),
                firsts.stream().anyMatch(FirstInfusion::hot),
                traits));
    }
}
