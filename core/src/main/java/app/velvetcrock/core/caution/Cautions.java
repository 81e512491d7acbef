package app.velvetcrock.core.caution;

import app.velvetcrock.core.materia.DataFile;
import app.velvetcrock.core.materia.Row;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The shipped cautions and refused plants. */
public final class Cautions {

    /** A herb that somebody may also eat, so that its oil might be taken for food. */
    public static final String EDIBLE = "edible";

    /** Traits of a whole plan: food of anything moist; something edible and moist that is not meant for food. */
    public static final String MOIST_FOOD = "moist-food";

    public static final String EDIBLE_MOIST = "edible-moist";

    /** Traits of a herb that is mistaken for a poisonous one begin so. */
    private static final String LOOKALIKE = "lookalike-";

    private static final Set<String> OF_THE_PLAN = Set.of(MOIST_FOOD, EDIBLE_MOIST);

    private final List<Rule> rules;
    private final List<RefusedPlant> refused;

    private Cautions(List<Rule> rules, List<RefusedPlant> refused) {
        this.rules = rules;
        this.refused = refused;
    }

    /** Reads the shipped files; a bad line stops with file, line and text. */
    public static Cautions shipped() {
        return new Cautions(
                DataFile.read(Cautions.class, "cautions.csv", Rule::from),
                DataFile.read(Cautions.class, "refused.csv", RefusedPlant::from));
    }

    /** The cautions for things with these traits put to this use, the gravest first. */
    public List<Caution> of(Set<String> traits, Use use) {
        return rules.stream()
                .filter(rule -> rule.trait().equals("any") || traits.contains(rule.trait()))
                .filter(rule -> rule.uses().contains(use))
                .map(Rule::caution)
                .sorted(Comparator.comparing(Caution::level))
                .toList();
    }

    /** The cautions that hang on these traits alone, without those for everything, the gravest first. */
    public List<Caution> ofTraits(Set<String> traits, Use use) {
        return rules.stream()
                .filter(rule -> traits.contains(rule.trait()) && rule.uses().contains(use))
                .map(Rule::caution)
                .sorted(Comparator.comparing(Caution::level))
                .toList();
    }

    /** Which poisonous plants something with these traits is mistaken for, when it is gathered; empty for none. */
    public List<Caution> lookAlikes(Set<String> traits) {
        return rules.stream()
                .filter(rule -> rule.trait().startsWith(LOOKALIKE) && traits.contains(rule.trait()))
                .map(Rule::caution)
                .toList();
    }

    /** What each trait is called where somebody ticks it: the head of its first rule. */
    public Map<String, String> heads() {
        Map<String, String> heads = new LinkedHashMap<>();
        heads.put(EDIBLE, "Eaten in the kitchen too");
        rules.stream()
                .filter(rule -> !rule.trait().equals("any") && !OF_THE_PLAN.contains(rule.trait()))
                .forEach(rule -> heads.putIfAbsent(rule.trait(), rule.caution().head()));
        return heads;
    }

    /** Every trait that some rule speaks of; a catalogue may use others only for method and drawing. */
    public Set<String> traits() {
        return rules.stream().map(Rule::trait).collect(java.util.stream.Collectors.toUnmodifiableSet());
    }

    /** The plants refused outright, by their common names. */
    public List<String> refused() {
        return refused.stream().map(RefusedPlant::common).toList();
    }

    /** The refused plant a typed name means, by common name, botanical name or synonym. */
    public Optional<String> refusal(String name) {
        String plain = name.strip().toLowerCase(Locale.ROOT);
        return refused.stream()
                .filter(plant -> plant.names().stream().anyMatch(plain::contains))
                .map(RefusedPlant::common)
                .findFirst();
    }

    private record Rule(String trait, Set<Use> uses, Caution caution) {

        static Rule from(Row row) {
            List<String> words = row.list("uses");
            EnumSet<Use> uses = words.equals(List.of("all")) ? EnumSet.allOf(Use.class) : EnumSet.noneOf(Use.class);
            if (uses.isEmpty()) {
                words.forEach(word ->
                        uses.add(Use.valueOf(word.toUpperCase(Locale.ROOT).replace('-', '_'))));
            }
            if (uses.isEmpty()) {
                throw new IllegalArgumentException("uses is blank");
            }
            return new Rule(
                    row.text("trait"),
                    uses,
                    new Caution(
                            row.oneOf(Level.class, "level"),
                            row.text("head"),
                            row.text("text"),
                            row.text("label").equals("yes")));
        }
    }

    private record RefusedPlant(String common, List<String> names) {

        static RefusedPlant from(Row row) {
            return new RefusedPlant(row.text("common"), row.list("names"));
        }
    }
}
