package app.velvetcrock.core.label;

import app.velvetcrock.core.measure.Mass;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Ingredients in falling order of mass, each under its INCI name and its common one (craft: making, labels). */
public final class Ingredients {

    /** What must be named as it may be met with by somebody who may not touch it, by the trait it has in the catalogue. */
    private static final Map<String, String> ALLERGENS = new LinkedHashMap<>(Map.ofEntries(
            Map.entry("tree-nut", "nut"),
            Map.entry("sesame", "sesame"),
            Map.entry("soy", "soy"),
            Map.entry("peanut", "peanut"),
            Map.entry("gluten", "gluten (wheat germ)"),
            Map.entry("gluten-oat", "gluten (oat)"),
            Map.entry("lanolin", "wool fat"),
            Map.entry("beeswax", "bee products"),
            Map.entry("honey", "bee products"),
            Map.entry("propolis", "bee products"),
            Map.entry("coconut", "coconut")));

    private Ingredients() {}

    /**
     * A thing in it.
     *
     * @param herbs Latin names of what was infused in it; empty for all but an infused oil
     */
    public record One(String inci, String common, Mass mass, List<String> herbs, Set<String> traits) {
        public One {
            herbs = List.copyOf(herbs);
            traits = Set.copyOf(traits);
        }
    }

    /** As a line: an infused oil as its carrier and then its herb; what is named twice counts together. */
    public static String line(List<One> all) {
        Map<String, Double> grams = new LinkedHashMap<>();
        Map<String, String> shown = new LinkedHashMap<>();
        for (One one : all) {
            grams.merge(one.inci(), one.mass().grams(), Double::sum);
            shown.merge(
                    one.inci(),
                    one.inci().equalsIgnoreCase(one.common()) ? one.inci() : one.inci() + " (" + one.common() + ")",
                    (first, other) -> first);
        }
        List<String> order = new ArrayList<>(grams.keySet());
        order.sort(Comparator.comparing((String inci) -> -grams.getOrDefault(inci, 0.0)));
        Set<String> line = new LinkedHashSet<>();
        for (String inci : order) {
            line.add(shown.getOrDefault(inci, inci));
            all.stream()
                    .filter(one -> one.inci().equals(inci))
                    .flatMap(one -> one.herbs().stream())
                    .forEach(line::add);
        }
        return String.join(", ", line);
    }

    /** Allergens in it, each named once: "bee products, nut". */
    public static List<String> allergens(List<One> all) {
        return all.stream()
                .flatMap(one -> one.traits().stream())
                .filter(ALLERGENS::containsKey)
                .map(trait -> ALLERGENS.getOrDefault(trait, trait))
                .distinct()
                .sorted()
                .toList();
    }
}
