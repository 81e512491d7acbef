package app.velvetcrock.core.jot;

import app.velvetcrock.core.book.Suspects.Strength;
import app.velvetcrock.core.jot.said.AtTheCupboard;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** What is said of somebody's skin, while it is read: who, how strong, where. */
final class Skin {

    private static final Map<String, Strength> STRENGTHS = Map.ofEntries(
            Map.entry("none", Strength.NONE),
            Map.entry("nothing", Strength.NONE),
            Map.entry("slight", Strength.SLIGHT),
            Map.entry("slightly", Strength.SLIGHT),
            Map.entry("mild", Strength.SLIGHT),
            Map.entry("mildly", Strength.SLIGHT),
            Map.entry("little", Strength.SLIGHT),
            Map.entry("weak", Strength.SLIGHT),
            Map.entry("clear", Strength.CLEAR),
            Map.entry("clearly", Strength.CLEAR),
            Map.entry("strong", Strength.STRONG),
            Map.entry("strongly", Strength.STRONG),
            Map.entry("badly", Strength.STRONG),
            Map.entry("bad", Strength.STRONG),
            Map.entry("severe", Strength.STRONG));

    private static final Set<String> PLACES = Set.of(
            "arm",
            "arms",
            "hand",
            "hands",
            "wrist",
            "wrists",
            "elbow",
            "elbows",
            "finger",
            "fingers",
            "neck",
            "chest",
            "back",
            "belly",
            "leg",
            "legs",
            "knee",
            "knees",
            "foot",
            "feet",
            "scalp",
            "shoulder",
            "shoulders");

    /** Where a reaction is never taken lightly. */
    private static final Set<String> FACE = Set.of(
            "face",
            "lip",
            "lips",
            "eye",
            "eyes",
            "eyelid",
            "eyelids",
            "cheek",
            "cheeks",
            "chin",
            "mouth",
            "nose",
            "forehead",
            "ear",
            "ears");

    private static final Set<String> SPREADING =
            Set.of("spreading", "spread", "spreads", "breathing", "breath", "swollen");

    private static final Set<String> FILLERS =
            Set.of("on", "her", "his", "their", "used", "both", "bit", "left", "right");

    private String who = "";
    private String place = "";
    private boolean spreading;

    @Nullable
    private Strength strength;

    @Nullable
    private Word first;

    @Nullable
    private Word last;

    /** The words that say that skin reacted, or that it did not. */
    void says(boolean none, Word from, Word to) {
        first = first == null ? from : first;
        last = to;
        strength = none ? Strength.NONE : strength;
    }

    /** Whose skin it is, where nobody was named yet. */
    boolean takesWho(String name) {
        boolean takes = who.isEmpty() && Character.isUpperCase(name.codePointAt(0));
        who = takes ? name : who;
        return takes;
    }

    /** Tells whether a word says how strong, where, or nothing, and takes it. */
    boolean takes(String word) {
        Strength said = STRENGTHS.get(word);
        boolean face = FACE.contains(word);
        if (said != null && strength == null) {
            strength = said;
        } else if (face || PLACES.contains(word)) {
            place = place.isEmpty() ? word : place + " and " + word;
        }
        spreading |= SPREADING.contains(word) || face && !Set.of("lip", "lips").contains(word);
        return said != null || face || PLACES.contains(word) || SPREADING.contains(word) || FILLERS.contains(word);
    }

    void settle(Closing closing, Sentence sentence) {
        Word from = first;
        Word to = last;
        if (from == null || to == null) {
            return;
        }
        if (who.isEmpty()) {
            closing.doubt(from, to, "who? Her name begins with a capital", List.of());
        } else if (strength == null) {
            closing.doubt(
                    from,
                    to,
                    "how strongly?",
                    List.of("slight reaction to", "clear reaction to", "strong reaction to", "no reaction to"));
        } else {
            sentence.add(new AtTheCupboard.Reacted(who, strength, place, spreading), from, to);
        }
    }
}
