package app.velvetcrock.core.recipe;

import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Part;
import app.velvetcrock.core.text.Linear;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Finds what is meant by a name as people write it: "organic olive oil", "dried nettle leaves, chopped". */
public final class Things {

    private static final Set<String> DECORATION = Set.of(
            "of",
            "the",
            "a",
            "an",
            "organic",
            "pure",
            "raw",
            "good",
            "quality",
            "extra",
            "virgin",
            "cold-pressed",
            "pressed",
            "unrefined",
            "refined",
            "infused",
            "oil",
            "oils",
            "carrier",
            "liquid",
            "melted",
            "grated",
            "shaved",
            "pellets",
            "pastilles",
            "beads",
            "local",
            "home",
            "homemade",
            "loosely",
            "packed",
            "your",
            "favourite",
            "dried",
            "dry",
            "fresh",
            "wilted",
            "chopped",
            "crushed",
            "ground",
            "powder",
            "powdered",
            "whole",
            "cut",
            "sifted",
            "leaf",
            "leaves",
            "flower",
            "flowers",
            "petals",
            "tops",
            "root",
            "roots",
            "buds",
            "bud",
            "needles",
            "tips",
            "berries",
            "essential",
            "eo",
            "and",
            "butter",
            "wax",
            "finely",
            "roughly",
            "cold",
            "juice",
            "head",
            "heads",
            "blossom",
            "blossoms",
            "sprigs",
            "seeds",
            "seed",
            "about",
            "some",
            "grade",
            "food",
            "cosmetic",
            "optional",
            "strained",
            "sieved");
    private static final int LEAST_FOR_A_START = 4;

    private final Materia materia;
    private final List<Thing> things;
    private final List<Known> known;

    private Things(Materia materia, List<Thing> things) {
        this.materia = materia;
        this.things = things;
        Map<String, Long> genera = things.stream()
                .flatMap(thing -> genus(thing).stream())
                .collect(Collectors.groupingBy(genus -> genus, Collectors.counting()));
        this.known = things.stream()
                .flatMap(thing -> Stream.concat(
                                thing.names().stream(),
                                // "Hypericum" alone is the one of the catalogue; of several nobody knows which is
                                // meant.
                                genus(thing).filter(genus -> Long.valueOf(1).equals(genera.get(genus))).stream())
                        .map(name -> new Known(thing, name, bare(name))))
                .toList();
    }

    /** A name of a thing, stripped once of what does not tell it apart. */
    private record Known(Thing thing, String name, String bare) {

        /** How much of a text the name accounts for; of the same length a name that stands there whole goes first, then a thing's own. */
        Match in(String bareText, String text) {
            int found = bare.isEmpty()
                    ? text.equals(name) ? name.length() : 0
                    : bareText.contains(" " + bare + " ") ? bare.length() : 0;
            boolean whole = (" " + text + " ").contains(" " + plain(name) + " ");
            return new Match(
                    thing,
                    found == 0
                            ? 0
                            : 4 * found
                                    + (whole ? 2 : 0)
                                    + (name.equals(thing.names().get(0)) ? 1 : 0));
        }
    }

    private static Optional<String> genus(Thing thing) {
        return thing.herb()
                .map(herb -> Linear.first(herb.botanical().toLowerCase(Locale.ROOT), " .*", ""))
                .filter(genus -> !genus.isEmpty());
    }

    /** All there is to speak of: a household's herbs and carriers, and every supply. */
    public static Things of(Materia materia, Collection<HerbKind> herbs, Collection<CarrierKind> carriers) {
        List<Thing> things = new ArrayList<>();
        carriers.forEach(carrier -> things.add(Thing.of(carrier)));
        herbs.forEach(herb -> things.add(Thing.of(herb, materia)));
        materia.supplies().forEach(supply -> things.add(Thing.of(supply)));
        return new Things(materia, things);
    }

    public List<Thing> all() {
        return List.copyOf(things);
    }

    public Optional<Thing> byKey(String key) {
        return things.stream().filter(thing -> thing.key().equals(key)).findFirst();
    }

    /** What a name means; the longest name found in it wins, and words of state then say what a cup of a herb weighs. */
    public Optional<Thing> find(String written) {
        String plain = plain(written);
        // "Wax" alone is what nearly everybody means by it; a recipe line says which was taken.
        String text = Linear.matches(plain, "(?:the )?wax") ? "beeswax" : plain;
        if (text.isEmpty()) {
            return Optional.empty();
        }
        boolean essential = Linear.matches(text, ".*\\b(essential|eo)\\b.*");
        boolean poured = Linear.matches(text, ".*\\b(oil|oils|butter)\\b.*") && !essential;
        String bareText = " " + bare(text) + " ";
        return known.stream()
                .map(name -> name.in(bareText, text))
                .filter(match -> match.length > 0)
                .max(Comparator.comparingInt((Match match) -> match.length)
                        .thenComparingInt(match -> fits(match.thing, essential, poured)))
                .map(match -> inState(match.thing, text));
    }

    /** What a count of drops is of: the essential oil of a name rather than the dried herb, and never anything that does not drip. */
    Optional<Thing> dropped(String written) {
        return find(written + " essential oil").filter(thing -> switch (thing.role()) {
            case ESSENTIAL_OIL, SPIRIT, ADDITION, WATERY, OIL -> true;
            case HERB, WAX, BUTTER -> false;
        });
    }

    /** The words of a name that neither name the thing nor say how it is: they were not understood. */
    List<String> unread(String written, Thing thing) {
        Set<String> named = thing.names().stream()
                .flatMap(name -> Arrays.stream(Linear.split(plain(name), " ")))
                .map(word -> singular(unmarked(word)))
                .collect(Collectors.toSet());
        return Arrays.stream(Linear.split(plain(written), " "))
                .filter(word -> word.length() > 1
                        && !DECORATION.contains(word)
                        && !named.contains(singular(unmarked(word)))
                        && !Linear.matches(word, "or|for|to|in|with|from|optional|crumbled|rubbed"))
                .toList();
    }

    /** Names near what was written, for asking. */
    public List<String> near(String written) {
        String bare = bare(plain(written));
        String start = bare.substring(0, Math.min(LEAST_FOR_A_START, bare.length()));
        return start.length() < 2
                ? List.of()
                : things.stream()
                        .filter(thing -> thing.names().stream().anyMatch(name -> name.contains(start)))
                        .map(Thing::name)
                        .distinct()
                        .limit(4)
                        .toList();
    }

    private record Match(Thing thing, int length) {}

    /** Of two of one name, what the words around it say: an essential oil, a carrier, or else the herb. */
    private static int fits(Thing thing, boolean essential, boolean poured) {
        return switch (thing.role()) {
            case ESSENTIAL_OIL -> essential ? 3 : 0;
            case OIL, BUTTER -> poured ? 2 : 1;
            case HERB -> poured || essential ? 1 : 2;
            default -> 1;
        };
    }

    private Thing inState(Thing thing, String text) {
        if (thing.herb().isEmpty()) {
            return thing;
        }
        HerbKind herb = thing.herb().get();
        Moisture moisture = Linear.matches(text, ".*\\bfresh\\b.*")
                ? Moisture.FRESH
                : Linear.matches(text, ".*\\bwilted\\b.*") ? Moisture.WILTED : Moisture.DRIED;
        Cut cut = Linear.matches(text, ".*\\bpowder(ed)?\\b.*")
                ? Cut.POWDER
                : Linear.matches(text, ".*\\bground\\b.*")
                        ? Cut.GROUND
                        : Linear.matches(text, ".*\\bwhole\\b.*")
                                ? Cut.WHOLE
                                : Linear.matches(text, ".*\\b(crumbled|rubbed|crushed)\\b.*")
                                        ? Cut.CRUMBLED
                                        : Cut.CUT_AND_SIFTED;
        return Thing.herb(herb, part(text).orElse(herb.part()), cut, moisture, materia);
    }

    private static Optional<Part> part(String text) {
        if (Linear.matches(text, ".*\\blea(f|ves)\\b.*")) {
            return Optional.of(Part.LEAF);
        }
        if (Linear.matches(text, ".*\\b(heads?|blossoms?)\\b.*")) {
            return Optional.of(Part.FLOWER);
        }
        return Arrays.stream(Part.values())
                .filter(part -> Linear.matches(text, ".*\\b" + part.name().toLowerCase(Locale.ROOT) + "s?\\b.*"))
                .findFirst();
    }

    static String plain(String text) {
        return Linear.every(text.toLowerCase(Locale.ROOT).replace('’', '\''), "[^\\p{L}\\p{N}'-]+", " ")
                .strip();
    }

    /** "St Johns wort" is St John's wort: what stands over a name is often left out. */
    private static String unmarked(String plain) {
        return plain.replace("'", "");
    }

    private static String bare(String text) {
        return Arrays.stream(Linear.split(plain(text), " "))
                .filter(word -> !DECORATION.contains(word))
                .map(word -> singular(unmarked(word)))
                .collect(Collectors.joining(" "));
    }

    /** "nettles" as "nettle"; short words and those in -ss stay. */
    private static String singular(String word) {
        return word.length() > 3
                        && word.endsWith("s")
                        && !word.endsWith("ss")
                        && !word.endsWith("us")
                        && !word.endsWith("is")
                ? word.substring(0, word.length() - 1)
                : word;
    }
}
