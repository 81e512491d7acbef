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
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The shipped cautions and refused plants. */
public final class Cautions {

    /** A herb that somebody may also eat, so that its oil might be taken for food. */
    public static final String EDIBLE = "edible";

    /** A trait of a whole plan: food of anything moist, of which the rule of food says all. */
    public static final String MOIST_FOOD = "moist-food";

    /** Traits of a herb that is mistaken for a poisonous one begin so. */
    private static final String LOOKALIKE = "lookalike-";

    /** What nobody ticks of a kind: it follows from the charge, or from who named it. */
    private static final Set<String> OF_THE_CHARGE = Set.of(
            MOIST_FOOD,
            EDIBLE,
            Bearing.ANY_HERB,
            Bearing.ANY_FAT,
            Bearing.NOT_EDIBLE,
            Bearing.OTHER_PART,
            Bearing.MOIST,
            Bearing.UNKNOWN_HERB,
            Bearing.UNKNOWN_CARRIER,
            "look-alike-not-ticked");

    private final List<Rule> rules;
    private final List<RefusedPlant> refused;
    private final ForWhom forWhom;

    private Cautions(List<Rule> rules, List<RefusedPlant> refused, ForWhom forWhom) {
        this.rules = rules;
        this.refused = refused;
        this.forWhom = forWhom;
    }

    /** Who it is for. */
    public ForWhom forWhom() {
        return forWhom;
    }

    /** Reads the shipped files; a bad line stops with file, line and text. */
    public static Cautions shipped() {
        return new Cautions(
                DataFile.read(Cautions.class, "cautions.csv", Rule::from),
                DataFile.read(Cautions.class, "refused.csv", RefusedPlant::from),
                ForWhom.shipped());
    }

    /** The cautions for things with these traits put to this use, the gravest first; the same words once. */
    public List<Caution> of(Set<String> traits, Use use) {
        return told(
                rules.stream().filter(rule -> rule.trait().equals("any") || traits.contains(rule.trait())),
                told(traits, use),
                use);
    }

    /** The cautions that hang on these traits alone, without those for everything, the gravest first. */
    public List<Caution> ofTraits(Set<String> traits, Use use) {
        return told(rules.stream().filter(rule -> traits.contains(rule.trait())), told(traits, use), use);
    }

    /** Food of anything moist has a rule of its own, which says more than the table's row. */
    private List<Caution> told(Set<String> traits, Use use) {
        Set<String> asked = new TreeSet<>(traits);
        if (asked.contains(MOIST_FOOD)) {
            asked.remove(Bearing.MOIST);
        }
        return forWhom.of(asked, use);
    }

    private static List<Caution> told(Stream<Rule> ruled, List<Caution> ofTheTable, Use use) {
        return Stream.concat(
                        ofTheTable.stream(),
                        ruled.filter(rule -> rule.uses().contains(use)).map(Rule::caution))
                .distinct()
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

    /** What each trait of a herb or an oil is called where somebody ticks it. */
    public Map<String, String> heads() {
        Map<String, String> heads = new LinkedHashMap<>();
        heads.put(EDIBLE, "Eaten in the kitchen too");
        heads.putAll(forWhom.heads("herb"));
        heads.putAll(forWhom.heads("carrier"));
        rules.stream()
                .filter(rule -> !rule.trait().equals("any"))
                .forEach(rule -> heads.putIfAbsent(rule.trait(), rule.caution().head()));
        OF_THE_CHARGE.stream().filter(trait -> !trait.equals(EDIBLE)).forEach(heads::remove);
        heads.put(EDIBLE, "Eaten in the kitchen too");
        return heads;
    }

    /** Every trait that some rule speaks of; a catalogue may use others only for method and drawing. */
    public Set<String> traits() {
        return Stream.concat(rules.stream().map(Rule::trait), forWhom.traits().stream())
                .collect(Collectors.toUnmodifiableSet());
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
