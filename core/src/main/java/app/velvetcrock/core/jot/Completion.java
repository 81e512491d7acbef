package app.velvetcrock.core.jot;

import app.velvetcrock.core.jot.said.Thing;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/** How a line that is begun may go on: by what is here, and by what fits it. */
final class Completion {

    private static final int LEAST_LETTERS = 2;
    private static final int OFFERED = 6;

    private final Names names;

    Completion(Names names) {
        this.names = names;
    }

    /** @param from where the last part of the line begins */
    List<Jotted.Ahead> of(String line, int from) {
        List<Word> words = Word.of(line.substring(from));
        if (words.isEmpty()) {
            return List.of();
        }
        String kept = line.substring(0, from);
        String part = line.substring(from);
        List<Thing> only = names.named(Word.join(words, 0, words.size()));
        if (!only.isEmpty()) {
            return going(only, "")
                    .map(next -> new Jotted.Ahead(next, kept + part.stripTrailing() + " " + next))
                    .toList();
        }
        for (int at = 0; at < words.size(); at++) {
            String begun = Word.join(words, at, words.size() - at);
            String before = kept + part.substring(0, words.get(at).from());
            List<Jotted.Ahead> all = Stream.concat(
                            named(begun), at == 0 ? Stream.of() : going(names.named(Word.join(words, 0, at)), begun))
                    .map(next -> new Jotted.Ahead(next, before + next))
                    .toList();
            if (begun.length() >= LEAST_LETTERS && !part.endsWith(" ") && !all.isEmpty()) {
                return all;
            }
        }
        return List.of();
    }

    private Stream<String> named(String begun) {
        return names.all().stream()
                .filter(thing -> Stream.concat(Stream.of(thing.name()), thing.alsoCalled().stream())
                        .map(name -> name.toLowerCase(Locale.ROOT))
                        .anyMatch(name -> name.startsWith(begun) && name.length() > begun.length()))
                .map(Thing::exactly)
                .distinct()
                .limit(OFFERED);
    }

    private static Stream<String> going(List<Thing> things, String begun) {
        return things.stream()
                .map(Thing::kind)
                .distinct()
                .flatMap(kind -> fitting(kind).stream())
                .distinct()
                .filter(next -> next.startsWith(begun) && next.length() > begun.length())
                .limit(OFFERED);
    }

    /** What is commonly said; where something must be filled in it ends with room for that. */
    private static List<String> fitting(Thing.Kind kind) {
        return switch (kind) {
            case JAR -> List.of("shaken", "smells right", "pushed under", "stands out", "topped up ", "strained ");
            case HEATED -> List.of("water topped up", "smells right", "lid on", "lid off", "heat off", "strained ");
            case OIL -> List.of("drew ", "gave ", "sold ", "smells right", "bottled ", "settled ");
            case GOOD -> List.of("used 1", "gave 1 to ", "sold 1", "smells right");
            case RACK -> List.of("weighs ", "taken down");
            case HERB -> List.of("used ", "thrown out, ");
            case STORE -> List.of("opened", "used ", "thrown out, ");
            case MELT -> List.of("melted clear", "spoon soft", "spoon right", "off the heat", "haze", "poured ");
        };
    }
}
