package app.velvetcrock.parting;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.parting.Recipient;
import app.velvetcrock.core.text.Linear;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.StringTokenizer;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

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
        who.reacts().forEach(one -> words.add("reacts to " + one.name()));
        return String.join(", ", words);
    }

    static String stored(Set<?> keys) {
        return keys.stream().map(String::valueOf).sorted().collect(Collectors.joining(" "));
    }

    /** What she is known to react to, as a query brings it along: one line each. */
    static final String REACTS =
            "(select string_agg(k.kind_key || chr(9) || k.name || chr(9) || k.family, chr(10) order by k.since, k.kind_key) "
                    + "from known_reaction k where k.stillroom_id = r.stillroom_id and k.recipient_id = r.id)";

    static Recipient read(String uses, String avoids, @Nullable String reacts) {
        Recipient who = read(uses, avoids);
        List<Recipient.Reacts> known = new ArrayList<>();
        for (String line : Linear.split(reacts == null ? "" : reacts, "\n")) {
            String[] parts = Linear.split(line, "\t");
            if (parts.length >= 2) {
                Set<String> family = new TreeSet<>();
                StringTokenizer words = new StringTokenizer(parts.length > 2 ? parts[2] : "");
                while (words.hasMoreTokens()) {
                    family.add(words.nextToken());
                }
                known.add(new Recipient.Reacts(parts[0], parts[1], family));
            }
        }
        return new Recipient(who.uses(), who.avoids(), known);
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
