package app.velvetcrock.core.jot;

import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.drying.Snap;
import app.velvetcrock.core.heat.HeatChange;
import app.velvetcrock.core.heat.HeatSetting;
import app.velvetcrock.core.jot.said.Fact;
import app.velvetcrock.core.look.Condition;
import app.velvetcrock.core.look.Held;
import app.velvetcrock.core.look.Ruin;
import app.velvetcrock.core.look.Smell;
import app.velvetcrock.core.strain.Pressing;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.StringTokenizer;

/** What people scribble for what they did; each phrase of several words is looked for before a shorter one. */
final class Lexicon {

    /** What a phrase says: a whole fact, or one that still wants something. */
    sealed interface Says {

        record Whole(Fact fact) implements Says {}

        /** A verb that wants an amount. */
        record Wants(Verb verb) implements Says {}

        /** How it was pressed, said beside what came out. */
        record Pressed(Pressing how) implements Says {}

        /** Something smells: what of stands behind. */
        record Smells() implements Says {}

        /** Something may be meant by it, but several are. */
        record Unclear(List<String> instead) implements Says {}

        /** How a stem bent, said beside what the herb weighs. */
        record Snapped(Snap how) implements Says {}

        /** A drop was felt on a spoon: how stands behind. */
        record Spoon() implements Says {}

        record Settles() implements Says {}

        /** There was no water. */
        record Dry() implements Says {}

        record Opened() implements Says {}

        /** What was bottled stands in clear glass. */
        record ClearGlass() implements Says {}

        /** Somebody's skin reacted, or did not. */
        record Reacts(boolean none) implements Says {}

        /** Nothing by itself. */
        record Nothing() implements Says {}

        /** All behind it are the writer's own words. */
        record Note() implements Says {}
    }

    enum Verb {
        TOP_UP,
        STRAIN,
        THROW_OUT,
        DRAW,
        GIVE,
        SELL,
        WEIGH,
        LEFT,
        BOTTLE,
        STIR_IN;

        boolean takesAmount() {
            return this != THROW_OUT && this != STIR_IN;
        }

        boolean isTaking() {
            return this == DRAW || this == GIVE || this == SELL;
        }

        Held how() {
            return this == GIVE ? Held.GIVE : this == SELL ? Held.SELL : Held.DRAW;
        }
    }

    static final int LONGEST = 6;

    private static final int LEAST_LETTERS = 4;
    private static final int LONG = 6;
    private static final int OFFERED = 3;

    private static final Map<String, Says> PHRASES = phrases();
    private static final List<String> COUNTS =
            List.of("one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten", "eleven", "twelve");

    private static final Map<String, Smell> SMELLS = smells();
    private static final Map<String, Ruin> CAUSES = causes();

    private Lexicon() {}

    static Optional<Says> says(String phrase) {
        return Optional.ofNullable(PHRASES.get(phrase));
    }

    /** What else a word may have been meant for, among those that say something by themselves. */
    static List<String> like(String word) {
        return word.length() < LEAST_LETTERS
                ? List.of()
                : PHRASES.keySet().stream()
                        .filter(phrase -> phrase.length() >= LEAST_LETTERS
                                && phrase.indexOf(' ') < 0
                                && Names.apart(word, phrase) <= (word.length() < LONG ? 1 : Names.NEAR))
                        .sorted()
                        .limit(OFFERED)
                        .toList();
    }

    static Optional<Smell> smell(String word) {
        return Optional.ofNullable(SMELLS.get(word));
    }

    /** For what it was thrown out, where what was found says it. */
    static Optional<Ruin> ruin(Condition found) {
        return switch (found) {
            case MOULD -> Optional.of(Ruin.MOULD);
            case FERMENT -> Optional.of(Ruin.FERMENTED);
            case WATER -> Optional.of(Ruin.WATER);
            default -> Optional.empty();
        };
    }

    /** How many, in words: "a", "one", "three". */
    static Optional<Integer> count(String word) {
        int at = COUNTS.indexOf(word.equals("a") || word.equals("an") ? "one" : word);
        return at < 0 ? Optional.empty() : Optional.of(at + 1);
    }

    static Optional<Ruin> cause(String word) {
        return Optional.ofNullable(CAUSES.get(word));
    }

    private static Map<String, Says> phrases() {
        Map<String, Says> all = new HashMap<>();
        did(
                all,
                TaskKind.SHAKE,
                "shaken|shook|shake|turned|turned over|rolled|shaken and turned|turned and shaken|a shake|a good shake|a quick shake");
        did(
                all,
                TaskKind.PUSH_UNDER,
                "pushed under|pushed it under|push under|herb pushed under|pressed under|under again|pushed down|pushed|under|"
                        + "poked under|poked down");
        did(all, TaskKind.HEAT_ON, "heat on|heat on under|on the heat|put on heat|on");
        did(all, TaskKind.HEAT_OFF, "heat off|heat off under|off the heat|taken off|taken off the heat|off");
        did(
                all,
                TaskKind.FRIDGE_IN,
                "to the fridge|in the fridge|into the fridge|into the refrigerator|in the refrigerator|to the refrigerator|"
                        + "back in the fridge|"
                        + "back to the fridge|back into the fridge|fridge");
        did(
                all,
                TaskKind.FRIDGE_OUT,
                "out of the fridge|out of the refrigerator|taken out of the fridge|took out of the fridge");
        whole(
                all,
                new Fact.Looked(Smell.RIGHT, Optional.of(false), "looked, all well"),
                "ok|fine|good|well|all well|all ok|all good|all fine|all right|alright|nothing wrong");
        whole(
                all,
                Fact.LOOKS_WELL,
                "looked|looked ok|looks ok|looks good|looks fine|looks well|looked fine|looked good|looked at|no mould|no mold|no mould on|"
                        + "no mold on|checked|checked on|had a look at");
        whole(
                all,
                new Fact.Looked(Smell.NOT_SMELLED, Optional.of(true), "herb stands out"),
                "stands out|standing out|sticking out|sticking out of the oil|out of the oil|standing out of the oil|"
                        + "stands out of the oil|above the oil|herb above the oil|floats|floating|floats above the oil|"
                        + "floating above the oil");
        whole(
                all,
                new Fact.Looked(Smell.FAINT, Optional.empty(), "no smell"),
                "no smell|no scent|doesn't smell|does not smell");
        whole(
                all,
                new Fact.Looked(Smell.FAINT, Optional.empty(), "hardly smells"),
                "hardly smells|hardly any smell|smells faint");
        whole(
                all,
                new Fact.Found(Condition.MOULD),
                "mould|mold|mouldy|moldy|mould on top|mold on top|mould on|fluff|fluffy|fluff on top|fuzz|fuzzy|spots|"
                        + "some mould|some mould on|spot of mould|spot of mould on|spots of mould|spots of mould on|"
                        + "white fluff|white fluff on|fluff on");
        whole(
                all,
                new Fact.Found(Condition.WATER),
                "water under it|water under|water at the bottom|water layer|water below|layer of water|water in it");
        whole(all, new Fact.Found(Condition.FERMENT), "fizzing|fizz|fizzes|hissing|hisses|hiss|fermenting|ferments");
        all.put("bubbles", new Says.Unclear(List.of("fermenting", "“bubbles of the first day”")));
        all.put("bubbling", new Says.Unclear(List.of("fermenting", "“bubbles of the first day”")));
        whole(
                all,
                new Fact.Noted("drops in the lid"),
                "drops in the lid|drops in lid|drops inside the lid|drops under the lid|condensation|wet lid|lid wet|lid is wet");
        turned(all, HeatChange.LID_ON, Optional.empty(), "lid on|covered");
        turned(all, HeatChange.LID_OFF, Optional.empty(), "lid off|uncovered");
        turned(
                all,
                HeatChange.BATH_TOPPED_UP,
                Optional.empty(),
                "water|water topped up|topped up water|topped up the water|topped up the bath|bath topped up|topped up bath|"
                        + "topped up water bath|water in the bath topped up|water bath");
        for (HeatSetting to : HeatSetting.values()) {
            turned(
                    all,
                    HeatChange.SETTING,
                    Optional.of(to),
                    ("to %1$s|turned to %1$s|turned %1$s|on %1$s|%1$s|set to %1$s|turned down to %1$s|turned up to %1$s|"
                                    + "down to %1$s|up to %1$s")
                            .formatted(to.word()));
        }
        wants(all, Verb.TOP_UP, "topped up|topped up with|topped it up|top up|topped|added|filled up|filled");
        wants(all, Verb.STRAIN, "strained|strained out|squeezed out|pressed out|filtered|got");
        wants(
                all,
                Verb.THROW_OUT,
                "threw out|thrown out|threw it out|threw away|thrown away|threw|thrown|binned|discarded|composted");
        wants(all, Verb.DRAW, "drew|used|took|drawn|taken|took out|poured|poured out|poured off");
        wants(all, Verb.GIVE, "gave|gave away|given|given away");
        wants(all, Verb.SELL, "sold");
        each(all, new Says.Pressed(Pressing.HAND), "pressed|pressed by hand|squeezed|wrung");
        each(all, new Says.Pressed(Pressing.DRIP), "dripped|left to drip|drip");
        each(all, new Says.Pressed(Pressing.SCREW), "in the press|screw press|ricer");
        each(all, new Says.Smells(), "smells|smell|smelled|smelt|smells of|smells like|smells a bit|smells very");
        each(all, new Says.Note(), "note|noted");
        StoreWords.into(all);
        return Map.copyOf(all);
    }

    private static void did(Map<String, Says> all, TaskKind what, String phrases) {
        whole(all, new Fact.Did(what), phrases);
    }

    private static void turned(Map<String, Says> all, HeatChange change, Optional<HeatSetting> to, String phrases) {
        whole(all, new Fact.Turned(change, to), phrases);
    }

    static void wants(Map<String, Says> all, Verb verb, String phrases) {
        each(all, new Says.Wants(verb), phrases);
    }

    static void whole(Map<String, Says> all, Fact fact, String phrases) {
        each(all, new Says.Whole(fact), phrases);
    }

    private static Map<String, Smell> smells() {
        Map<String, Smell> all = new HashMap<>();
        each(
                all,
                Smell.RIGHT,
                "right|green|good|fine|ok|nice|grassy|herby|hay|sweet|fresh|strong|lovely|normal|well|flowery|resinous");
        each(all, Smell.SOUR, "sour|yeasty|yeast|vinegar|vinegary|fermented|beer|wine");
        each(all, Smell.RANCID, "rancid|off|sharp|waxy|crayons|crayon|putty|stale|nuts|paint");
        each(all, Smell.FRIED, "fried|burnt|burned|scorched|toasted|cooked");
        each(all, Smell.FAINT, "nothing|faint|weak|little");
        return Map.copyOf(all);
    }

    private static Map<String, Ruin> causes() {
        Map<String, Ruin> all = new HashMap<>();
        each(all, Ruin.MOULD, "mould|mold|mouldy|moldy|fluff");
        each(all, Ruin.FERMENTED, "sour|fermented|fermenting|fizzing|ferment");
        each(all, Ruin.RANCID, "rancid|off|stale");
        each(all, Ruin.WATER, "water|watery");
        each(all, Ruin.SCORCHED, "scorched|burnt|burned|fried");
        each(all, Ruin.PAST_DATE, "old|expired|past");
        each(all, Ruin.SPILLED, "spilled|spilt|broken|broke|fell|dropped|cracked");
        each(all, Ruin.DOUBT, "doubt|unsure");
        return Map.copyOf(all);
    }

    static <T> void each(Map<String, T> all, T what, String words) {
        StringTokenizer each = new StringTokenizer(words, "|");
        while (each.hasMoreTokens()) {
            all.put(each.nextToken(), what);
        }
    }
}
