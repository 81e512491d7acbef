package app.velvetcrock.core.look;

import app.velvetcrock.core.measure.Worded;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/** Something wrong with a batch or a lot that stays open until it is answered, and what is held back meanwhile (craft: what you see). */
public enum Condition implements Worded {
    MOULD("mould", Sign.MOULD.advice(), EnumSet.allOf(Held.class), Ruin.MOULD),
    FERMENT("fermenting", Sign.FERMENTED.advice(), EnumSet.allOf(Held.class), Ruin.FERMENTED),
    OFF("smells off", Sign.RANCID.advice(), EnumSet.allOf(Held.class), Ruin.RANCID),
    WATER("water under it", Sign.WATER.advice(), EnumSet.of(Held.SHAKE, Held.BOTTLE, Held.GIVE, Held.SELL), Ruin.WATER),
    OVERHEATED(
            "overheated",
            "It was above its ceiling for ten minutes or more. Look and sniff: scent is lost, and it keeps less long if it smells fried.",
            EnumSet.noneOf(Held.class),
            Ruin.SCORCHED),
    SCORCHED("scorched?", Sign.SCORCHED.advice(), EnumSet.of(Held.BOTTLE, Held.GIVE, Held.SELL), Ruin.SCORCHED),
    ON_HOLD(
            "on hold",
            "Keep it back until the question is answered.",
            EnumSet.of(Held.USE, Held.BOTTLE, Held.GIVE, Held.SELL),
            Ruin.DOUBT),
    IN_DOUBT(
            "in doubt",
            "What is in it was thrown out. Was it made before that turned, and does it smell well today? Else throw it out too.",
            EnumSet.of(Held.USE, Held.BOTTLE, Held.GIVE, Held.SELL),
            Ruin.DOUBT);

    private final String word;
    private final String advice;
    private final Set<Held> holds;
    private final Ruin ruin;

    Condition(String word, String advice, Set<Held> holds, Ruin ruin) {
        this.word = word;
        this.advice = advice;
        this.holds = holds;
        this.ruin = ruin;
    }

    @Override
    public String word() {
        return word;
    }

    /**
     * Tells whether it stands on everything ever made of what it was found of, before the finding or after (craft: what is wrong
     * travels). Water, herb standing out and what may be scorched end with the straining and settling.
     *
     * @param food whether what it was found of is for food
     */
    public boolean travels(boolean food) {
        return switch (this) {
            case MOULD, FERMENT, OFF, ON_HOLD, IN_DOUBT -> true;
            case OVERHEATED -> food;
            case WATER, SCORCHED -> false;
        };
    }

    /** Tells whether the bottle it was poured from, and what else was poured of that, is to be smelled once. */
    public boolean asksUpwards() {
        return this == MOULD || this == FERMENT || this == OFF;
    }

    /** Tells whether whoever has any of it is to be told; what was thrown out has been told of already. */
    public boolean asksWhoHasIt() {
        return this != IN_DOUBT;
    }

    /** Those that somebody can see; the others come of what was read. */
    public static List<Condition> seen() {
        return Stream.of(values()).filter(Condition::isSeen).toList();
    }

    /** What it asks of whoever looks next. */
    public String asks() {
        return isEnd() ? "throw it out, or say that it was not so" : "look, and answer it";
    }

    /** How it can be answered other than by throwing out, in words. */
    public String answers() {
        return isEnd()
                ? "It was not so"
                : this == IN_DOUBT ? "It is well, or was not so" : "It is dealt with, or was not so";
    }

    /** The button that says it is answered though it was so. */
    public String dealtWith() {
        return this == IN_DOUBT ? "Made before that turned, and it smells well today" : "It is dealt with";
    }

    /** What to do about it. */
    public String advice() {
        return advice;
    }

    public boolean holds(Held deed) {
        return holds.contains(deed);
    }

    /** Tells whether nothing is right but throwing it out, or finding that it was never so. */
    public boolean isEnd() {
        return holds.contains(Held.STRAIN);
    }

    /** The cause written down when it is thrown out for this. */
    public Ruin ruin() {
        return ruin;
    }

    /** Tells whether somebody finds it with eyes and nose; heat is found by the readings. */
    public boolean isSeen() {
        return this != OVERHEATED && this != IN_DOUBT;
    }
}
