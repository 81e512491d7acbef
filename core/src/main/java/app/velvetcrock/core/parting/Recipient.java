package app.velvetcrock.core.parting;

import app.velvetcrock.core.caution.Caution;
import app.velvetcrock.core.caution.Cautions;
import app.velvetcrock.core.caution.Level;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.planning.Planner;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * Who gets something: for whom she uses things, and what she must not have.
 *
 * @param uses whom it is judged for; nobody named is grown-up skin
 * @param avoids what she must not have, by key of {@link #AVOIDABLE}
 * @param reacts what she is known to react to
 */
public record Recipient(Set<Use> uses, Set<String> avoids, List<Reacts> reacts) {

    public static final Recipient ANYBODY = new Recipient(Set.of(), Set.of());

    /** What somebody may have to keep away from, as it is said, and the traits that bear it (craft: cautions; labels: allergens). */
    public static final Map<String, Avoided> AVOIDABLE = avoidable();

    private static final String BEFORE = "She reacted to it before.";
    private static final String ASK_FIRST = "She reacted to that before: ask her first.";

    public Recipient {
        uses = uses.isEmpty() ? Set.of() : Set.copyOf(EnumSet.copyOf(uses));
        avoids = Set.copyOf(avoids);
        reacts = List.copyOf(reacts);
    }

    /** Of whom no reaction is known. */
    public Recipient(Set<Use> uses, Set<String> avoids) {
        this(uses, avoids, List.of());
    }

    /**
     * A kind of thing she is known to react to.
     *
     * @param family the traits its relatives are known by; empty where it has none
     */
    public record Reacts(String key, String name, Set<String> family) {
        public Reacts {
            family = Set.copyOf(family);
        }

        /** How gravely it stands against what bears this: refused where it is in it, warned of where a relative is; else absent. */
        public Optional<Level> in(Set<String> borne) {
            return borne.contains(trait(key))
                    ? Optional.of(Level.REFUSE)
                    : family.stream().anyMatch(borne::contains) ? Optional.of(Level.WARN) : Optional.empty();
        }
    }

    /** What is borne by things of these kinds and with these traits. */
    public static Set<String> borne(Collection<String> kindKeys, Collection<String> traits) {
        Set<String> borne = new TreeSet<>(traits);
        kindKeys.forEach(key -> borne.add(trait(key)));
        return borne;
    }

    /** What is borne by an oil made as it was asked for. */
    public static Set<String> borne(PlanRequest request) {
        return borne(request.kindKeys(), Planner.borne(request));
    }

    /** By which what holds a kind of thing is told from what only holds its relatives. */
    public static String trait(String kindKey) {
        return "kind:" + kindKey;
    }

    /** What is avoided: in words, by which traits it is known, and by which words of a sentence. */
    public record Avoided(String word, Set<String> traits, Set<String> said) {}

    private static Map<String, Avoided> avoidable() {
        Map<String, Avoided> all = new LinkedHashMap<>();
        all.put("nuts", new Avoided("tree nuts", Set.of("tree-nut"), Set.of("nut", "nuts", "almond", "almonds")));
        all.put("peanut", new Avoided("peanut", Set.of("peanut"), Set.of("peanut", "peanuts")));
        all.put("sesame", new Avoided("sesame", Set.of("sesame"), Set.of("sesame")));
        all.put("soy", new Avoided("soy", Set.of("soy"), Set.of("soy", "soya")));
        all.put(
                "gluten",
                new Avoided("gluten", Set.of("gluten", "gluten-oat"), Set.of("gluten", "wheat", "oat", "oats")));
        all.put(
                "bees",
                new Avoided(
                        "bee products",
                        Set.of("beeswax", "honey", "propolis"),
                        Set.of("bee", "bees", "beeswax", "wax", "honey", "propolis", "vegan")));
        all.put("wool", new Avoided("wool fat", Set.of("lanolin"), Set.of("lanolin", "wool")));
        all.put("coconut", new Avoided("coconut", Set.of("coconut"), Set.of("coconut", "coconuts")));
        all.put(
                "daisy",
                new Avoided(
                        "the daisy family",
                        Set.of("daisy", "arnica", "elecampane"),
                        Set.of("daisy", "daisies", "ragweed")));
        all.put(
                "salicylate",
                new Avoided("salicylates", Set.of("salicylate"), Set.of("salicylate", "salicylates", "aspirin")));
        all.put("resin", new Avoided("resin of conifers", Set.of("conifer"), Set.of("resin", "conifer", "conifers")));
        all.put(
                "medicines",
                new Avoided(
                        "what acts on medicines",
                        Set.of("medicines"),
                        Set.of("medicine", "medicines", "medication", "thinners")));
        return all;
    }

    /** What is avoided by a key, in words; the key itself where a newer release wrote it. */
    public static String word(String key) {
        Avoided one = AVOIDABLE.get(key);
        return one == null ? key : one.word();
    }

    /**
     * What speaks against giving it to her, the gravest first; the same once.
     *
     * @param borne what it bears of the table of who it is for
     */
    public List<Caution> against(Set<String> borne, Cautions cautions) {
        List<Caution> all = new ArrayList<>();
        for (String key : new TreeSet<>(avoids)) {
            Avoided one = AVOIDABLE.get(key);
            if (one != null && one.traits().stream().anyMatch(borne::contains)) {
                all.add(new Caution(Level.REFUSE, "has " + one.word(), "Not for whoever must not have it.", true));
            }
        }
        for (Reacts one : reacts) {
            one.in(borne)
                    .map(level -> level == Level.REFUSE
                            ? new Caution(level, "has " + one.name(), BEFORE, true)
                            : new Caution(level, "has a relative of " + one.name(), ASK_FIRST, true))
                    .ifPresent(all::add);
        }
        Collection<Use> judged = uses.isEmpty() ? List.of(Use.ADULT_SKIN) : uses;
        judged.stream()
                .flatMap(use -> cautions.ofTraits(borne, use).stream()
                        .filter(caution -> caution.level() == Level.REFUSE
                                || caution.level() == Level.WARN && !uses.isEmpty() && use != Use.ADULT_SKIN))
                .distinct()
                .forEach(all::add);
        return all.stream().sorted(Comparator.comparing(Caution::level)).toList();
    }
}
