package app.velvetcrock.core.parting;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.kitchen.KitchenNumber;
import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * Gifts asked for in one sentence: "seventeen people, a tin each; three without nuts, one pregnant".
 *
 * @param groups so many of a kind, of which nobody is named
 * @param each how many pieces each gets
 */
public record GiftsAsked(List<Group> groups, int each) {

    /** So many with the same to be minded; {@code words} what that is, empty for nothing. */
    public record Group(int count, Recipient who, String words) {}

    /** Nobody gives to more at once by hand. */
    public static final int MOST = 200;

    private static final int LONGEST = 300;
    private static final Pattern PARTS = Pattern.compile("[^;,.:]+");
    private static final Pattern WORDS = Pattern.compile("[\\p{L}-]+");
    private static final Pattern EACH = Pattern.compile("\\b(?:each|apiece)\\b");
    private static final Map<String, Use> USES = uses();

    private static Map<String, Use> uses() {
        Map<String, Use> uses = new LinkedHashMap<>();
        uses.put("pregnant", Use.PREGNANCY);
        uses.put("expecting", Use.PREGNANCY);
        uses.put("nursing", Use.NURSING);
        uses.put("breastfeeding", Use.NURSING);
        uses.put("newborn", Use.NEWBORN);
        uses.put("newborns", Use.NEWBORN);
        uses.put("baby", Use.BABY);
        uses.put("babies", Use.BABY);
        uses.put("toddler", Use.CHILD_2_5);
        uses.put("toddlers", Use.CHILD_2_5);
        uses.put("child", Use.CHILD_6_14);
        uses.put("children", Use.CHILD_6_14);
        uses.put("elderly", Use.ELDERLY);
        uses.put("old", Use.ELDERLY);
        uses.put("cat", Use.ANIMALS);
        uses.put("cats", Use.ANIMALS);
        uses.put("dog", Use.ANIMALS);
        uses.put("dogs", Use.ANIMALS);
        return uses;
    }

    /** What a sentence came to: {@code asked}, or what of it was not understood. */
    public record Read(Optional<GiftsAsked> asked, String wrong) {

        static Read wrong(String why) {
            return new Read(Optional.empty(), why);
        }
    }

    /** Reads it; what is not understood is told, and nothing of it is dropped in silence. */
    public static Read read(String typed) {
        String plain = KitchenNumber.plain(typed.length() > LONGEST ? typed.substring(0, LONGEST) : typed)
                .toLowerCase(Locale.ROOT);
        Matcher parts = PARTS.matcher(plain);
        Optional<Integer> people = Optional.empty();
        int each = 1;
        List<Group> groups = new ArrayList<>();
        while (parts.find()) {
            String part = parts.group().strip();
            if (part.startsWith("and ")) {
                part = part.substring(4).strip();
            }
            if (part.isEmpty()) {
                continue;
            }
            Optional<Integer> count = count(part);
            Recipient who = who(part);
            boolean minded = !who.equals(Recipient.ANYBODY);
            if (EACH.matcher(part).find() && !minded) {
                each = count.orElse(1);
            } else if (minded) {
                if (part.contains(" without ") && unknown(part.substring(part.indexOf(" without ") + 9))) {
                    return Read.wrong("“%s” is not understood: without what?".formatted(part));
                }
                groups.add(new Group(count.orElse(1), who, part));
            } else if (count.isPresent() && people.isEmpty()) {
                people = count;
            } else {
                return Read.wrong("“%s” is not understood.".formatted(part));
            }
        }
        return whole(people, groups, each);
    }

    private static boolean unknown(String what) {
        return who(what).avoids().isEmpty();
    }

    private static Read whole(Optional<Integer> people, List<Group> groups, int each) {
        int minded = groups.stream().mapToInt(Group::count).sum();
        int all = people.orElse(minded);
        if (all < 1 || all > MOST || each < 1 || each > MOST) {
            return Read.wrong("It is not said how many people: 1 to %d.".formatted(MOST));
        }
        if (minded > all) {
            return Read.wrong("%d are to be minded, of %d people.".formatted(minded, all));
        }
        List<Group> whole = new ArrayList<>();
        if (all > minded) {
            whole.add(new Group(all - minded, Recipient.ANYBODY, ""));
        }
        whole.addAll(groups);
        return new Read(Optional.of(new GiftsAsked(whole, each)), "");
    }

    /** "three without nuts" is three; "17 people" is seventeen, "two dozen people" two dozen. */
    private static Optional<Integer> count(String part) {
        return KitchenNumber.startOf(part)
                .map(number -> number.values().get(number.values().size() - 1)
                        * (part.substring(number.length()).strip().startsWith("dozen") ? 12 : 1))
                .filter(value -> value == Math.rint(value) && value >= 0 && value <= 100_000)
                .map(Double::intValue);
    }

    private static Recipient who(String part) {
        Set<Use> uses = EnumSet.noneOf(Use.class);
        Set<String> avoids = new TreeSet<>();
        Matcher words = WORDS.matcher(part);
        while (words.find()) {
            String word = words.group();
            Optional.ofNullable(USES.get(word)).ifPresent(uses::add);
            Recipient.AVOIDABLE.forEach((key, one) -> {
                if (one.said().contains(word)) {
                    avoids.add(key);
                }
            });
        }
        return new Recipient(uses, avoids);
    }

    public int people() {
        return groups.stream().mapToInt(Group::count).sum();
    }
}
