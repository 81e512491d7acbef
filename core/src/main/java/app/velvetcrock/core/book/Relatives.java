package app.velvetcrock.core.book;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/** Which kinds somebody who reacts to one may react to as well, by the traits that cautions hang on (craft: learning, relatives). */
public final class Relatives {

    private static final Map<String, Set<String>> FAMILIES = Map.of(
            "the daisy family", Set.of("daisy", "arnica", "elecampane"),
            "propolis, balsam buds and beeswax", Set.of("propolis", "beeswax", "balsam-bud"),
            "conifers", Set.of("conifer"),
            "salicylates", Set.of("salicylate"));

    /** Balsam buds bear what propolis is made of; they are known by their kind, since other buds are resinous too. */
    private static final Set<String> BALSAM = Set.of("balsam-bud", "poplar-bud");

    private Relatives() {}

    /** The traits that relatives of a kind are known by; empty where it has none. */
    public static Set<String> family(String key, Collection<String> traits) {
        Set<String> own = new TreeSet<>(traits);
        if (BALSAM.contains(key)) {
            own.add("balsam-bud");
        }
        Set<String> all = new TreeSet<>();
        FAMILIES.values().stream()
                .filter(family -> family.stream().anyMatch(own::contains))
                .forEach(family -> {
                    all.addAll(family);
                    if (family.contains("balsam-bud")) {
                        BALSAM.forEach(bud -> all.add("kind:" + bud));
                    }
                });
        return all;
    }

    /** What the families of a kind are called: "the daisy family". */
    public static List<String> names(String key, Collection<String> traits) {
        Set<String> family = family(key, traits);
        return FAMILIES.entrySet().stream()
                .filter(one -> one.getValue().stream().anyMatch(family::contains))
                .map(Map.Entry::getKey)
                .sorted()
                .toList();
    }
}
