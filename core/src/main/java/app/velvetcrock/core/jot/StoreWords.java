package app.velvetcrock.core.jot;

import app.velvetcrock.core.drying.Snap;
import app.velvetcrock.core.jot.Lexicon.Says;
import app.velvetcrock.core.jot.Lexicon.Verb;
import app.velvetcrock.core.jot.said.AtThePan;
import app.velvetcrock.core.jot.said.AtTheStores;
import app.velvetcrock.core.making.Cooling;
import app.velvetcrock.core.making.Felt;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.pan.MakingStep;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/** What people scribble at the rack, the stores, the pan, and of skin. */
final class StoreWords {

    private static final Map<String, Felt> FELT = felt();

    private StoreWords() {}

    static void into(Map<String, Says> all) {
        Lexicon.wants(
                all,
                Verb.WEIGH,
                "weighs|weighed|weigh|weighs now|now weighs|weighed in at|weighs in at|down to|weight");
        Lexicon.each(all, new Says.Snapped(Snap.SNAPS), "snaps|snap|snaps well|stems snap|breaks");
        Lexicon.each(all, new Says.Snapped(Snap.BENDS), "bends|still bends|it still bends|bendy|does not snap");
        Lexicon.whole(
                all,
                new AtTheStores.TakenDown(Moisture.DRIED),
                "taken down|took down|take down|down|down from the rack|off the rack|taken off the rack|taken down dry|"
                        + "taken down dried|taken down from the rack");
        Lexicon.whole(all, new AtTheStores.TakenDown(Moisture.WILTED), "taken down wilted|down wilted");
        Lexicon.each(all, new Says.Nothing(), "on the rack|drying|dried|first bottle of");
        Lexicon.each(all, new Says.Opened(), "opened|open");
        Lexicon.wants(all, Verb.LEFT, "left|is left|are left|remain|remains|still there");
        Lexicon.each(all, new Says.Settles(), "settled|has settled|cleared");
        Lexicon.each(all, new Says.Dry(), "no water|no water under it|no water under");
        Lexicon.wants(all, Verb.BOTTLE, "bottled|bottled up|filled into");
        Lexicon.each(all, new Says.ClearGlass(), "clear glass|in clear glass|of clear glass|in clear bottles");
        Lexicon.each(all, new Says.Nothing(), "dark glass|in dark glass|of dark glass|brown glass|in brown glass");
        Lexicon.wants(all, Verb.STIR_IN, "stirred in|stirred|stirred into it");
        Lexicon.each(
                all,
                new Says.Spoon(),
                "spoon|spoon test|cold spoon|cold spoon test|tested|test|on the spoon|on a cold spoon|tested on a spoon");
        step(all, MakingStep.MELT, "melted|melted clear|is melted|all melted|clear");
        step(all, MakingStep.CHILL, "chilled");
        step(all, MakingStep.WHIP, "whipped");
        step(all, MakingStep.CHILL_AGAIN, "chilled again|chilled once more");
        step(all, MakingStep.PEAKS, "whipped to peaks|peaks");
        step(all, MakingStep.DIP, "dipped|pads dipped");
        step(all, MakingStep.FIRM, "pads firm|stacked|pads firm and stacked");
        step(all, MakingStep.SET, "set|has set|lids on|set and lids on");
        Lexicon.whole(
                all,
                new AtThePan.OffHeat(Cooling.Where.IN_ITS_BATH),
                "off the heat in its bath|left in its bath|off in its bath");
        Lexicon.whole(
                all,
                new AtThePan.OffHeat(Cooling.Where.FREEZER),
                "off the heat into the freezer|off the heat in the freezer|into the freezer|in the freezer");
        Lexicon.whole(
                all, new AtThePan.Haze(), "haze|first haze|haze at the rim|first haze at the rim|hazy|hazy at the rim");
        Lexicon.each(
                all,
                new Says.Reacts(false),
                "reacted to|reacted|reacts to|reacts|reaction|reaction to|reaction of|a reaction to|got a rash from|a rash from|"
                        + "rash from|rash|itches from|itches|itched from|got a reaction from");
        Lexicon.each(
                all,
                new Says.Reacts(true),
                "no reaction|no reaction to|did not react to|did not react|does not react to|no rash|no rash from");
    }

    private static void step(Map<String, Says> all, MakingStep step, String words) {
        Lexicon.whole(all, new AtThePan.Stepped(step), words);
    }

    /** How a drop of it felt. */
    static Optional<Felt> felt(String word) {
        return Optional.ofNullable(FELT.get(word));
    }

    private static Map<String, Felt> felt() {
        Map<String, Felt> all = new HashMap<>();
        Lexicon.each(all, Felt.RUNNY, "runny|liquid|very soft");
        Lexicon.each(all, Felt.SOFT, "soft|too soft|a bit soft");
        Lexicon.each(all, Felt.RIGHT, "right|good|fine|ok|well|perfect|just right");
        Lexicon.each(all, Felt.FIRM, "firm|too firm|a bit firm");
        Lexicon.each(all, Felt.HARD, "hard|too hard|very hard");
        return Map.copyOf(all);
    }
}
