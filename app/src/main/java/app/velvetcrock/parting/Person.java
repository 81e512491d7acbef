package app.velvetcrock.parting;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.parting.Recipient;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.StringTokenizer;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;

/** Somebody who gets things: her nickname, for whom she uses them, what she must not have. */
public record Person(UUID id, String nickname, Recipient who, String note) {

    /** What is to be minded of her, in words; empty for nothing. */
    public String minded() {
        return minded(who);
    }

    public static String minded(Recipient who) {
        List<String> words = new ArrayList<>();
        who.uses().stream().sorted().map(Use::word).forEach(words::add);
        new TreeSet<>(who.avoids()).forEach(key -> words.add("no " + Recipient.word(key)));
        return String.join(", ", words);
    }

    static String stored(Set<?> keys) {
        return keys.stream().map(String::valueOf).sorted().collect(Collectors.joining(" "));
    }

    static Recipient read(String uses, String avoids) {
        Set<Use> all = EnumSet.noneOf(Use.class);
        StringTokenizer words = new StringTokenizer(uses);
        while (words.hasMoreTokens()) {
            all.add(Use.valueOf(words.nextToken()));
        }
        Set<String> not = new TreeSet<>();
        StringTokenizer keys = new StringTokenizer(avoids);
        while (keys.hasMoreTokens()) {
            String key = keys.nextToken();
            if (Recipient.AVOIDABLE.containsKey(key)) {
                not.add(key);
            }
        }
        return new Recipient(all, not);
    }
}
