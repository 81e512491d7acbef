package app.velvetcrock.core.jot;

import app.velvetcrock.core.jot.said.Thing;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.StringTokenizer;

/** By what things are called: their names and the words these begin with, one or many, and what their vessels are called. */
final class Names {

    static final int LONGEST = 6;

    static final int NEAR = 2;
    private static final int LEAST_LETTERS = 4;
    private static final int OFFERED = 3;

    private final List<Thing> things;
    private final Map<String, List<Thing>> named = new HashMap<>();
    private final Map<String, Thing.Part> parts = new HashMap<>();

    Names(List<Thing> things) {
        this.things = List.copyOf(things);
        for (Thing thing : things) {
            String name = thing.name().toLowerCase(Locale.ROOT);
            add(name, thing);
            add(name + "s", thing);
            add(name + "'s", thing);
            add(name.replace("-", " "), thing);
            add(name.replace("-", ""), thing);
            String first = new StringTokenizer(name + " x").nextToken();
            // Half the bags hold what is "dried".
            if (first.length() >= LEAST_LETTERS && thing.kind() != Thing.Kind.HERB) {
                add(first, thing);
                add(first + "s", thing);
            }
            thing.alsoCalled().forEach(also -> {
                add(also.toLowerCase(Locale.ROOT), thing);
                add(also.toLowerCase(Locale.ROOT) + "s", thing);
                add(also.toLowerCase(Locale.ROOT) + "'s", thing);
            });
            for (Thing.Part part : thing.takes()) {
                parts.putIfAbsent(part.name().toLowerCase(Locale.ROOT), part);
                part.alsoCalled().forEach(also -> parts.putIfAbsent(also.toLowerCase(Locale.ROOT), part));
            }
        }
    }

    private void add(String name, Thing thing) {
        List<Thing> all = named.computeIfAbsent(name, first -> new ArrayList<>());
        if (!all.contains(thing)) {
            all.add(thing);
        }
    }

    List<Thing> named(String words) {
        return named.getOrDefault(words.startsWith("the ") ? words.substring("the ".length()) : words, List.of());
    }

    /** What goes into a melt by that name. */
    Optional<Thing.Part> part(String words) {
        return Optional.ofNullable(parts.get(words));
    }

    Optional<Thing> numbered(int number) {
        List<Thing> all = things.stream()
                .filter(thing -> number > 0 && thing.number() == number)
                .toList();
        return all.size() == 1 ? Optional.of(all.get(0)) : Optional.empty();
    }

    List<Thing> all() {
        return things;
    }

    /** Names a word may have been meant for. */
    List<String> like(String word) {
        return word.length() < LEAST_LETTERS
                ? List.of()
                : things.stream()
                        .map(thing -> thing.name().toLowerCase(Locale.ROOT))
                        .distinct()
                        .filter(name -> apart(word, name) <= NEAR)
                        .limit(OFFERED)
                        .toList();
    }

    /** How many letters must be changed, put in or taken out to make one of the other; bounded by the lengths of names. */
    static int apart(String one, String other) {
        if (Math.abs(one.length() - other.length()) > NEAR) {
            return NEAR + 1;
        }
        int[] row = new int[other.length() + 1];
        for (int at = 0; at <= other.length(); at++) {
            row[at] = at;
        }
        for (int i = 1; i <= one.length(); i++) {
            int diagonal = row[0];
            row[0] = i;
            for (int j = 1; j <= other.length(); j++) {
                int above = row[j];
                row[j] = Math.min(
                        Math.min(row[j] + 1, row[j - 1] + 1),
                        diagonal + (one.charAt(i - 1) == other.charAt(j - 1) ? 0 : 1));
                diagonal = above;
            }
        }
        return row[other.length()];
    }
}
