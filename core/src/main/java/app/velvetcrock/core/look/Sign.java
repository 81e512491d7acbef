package app.velvetcrock.core.look;

import app.velvetcrock.core.measure.Worded;
import java.util.Optional;

/** Something seen, what it likely is and what to do (craft: what you see). */
public enum Sign implements Worded {
    MOULD("mould", "Discard all of it, herb too; scald the jar; write down the cause.", true),
    FERMENTED("fermenting", "Discard it.", true),
    RANCID("rancid", "Discard it: not on skin.", true),
    STANDS_OUT("herb above the oil", "Push it under, top up to cover, turn the jar daily.", false),
    SCORCHED("scorched", "Keep it apart and judge it by smell; it keeps less long.", false),
    WATER(
            "water at the bottom",
            "Settle it cool for 24 hours and decant; never shake it in; its life is short.",
            false),
    CLOUDY("water or powder in it", "Settle, decant, filter.", false),
    CONDENSATION("drops inside the lid", "Wipe it, vent under cloth until dry.", false),
    WEAK("weak", "Longer, finer, or a second charge of herb in the same oil.", false);

    private final String word;
    private final String advice;
    private final boolean discard;

    Sign(String word, String advice, boolean discard) {
        this.word = word;
        this.advice = advice;
        this.discard = discard;
    }

    @Override
    public String word() {
        return word;
    }

    public String advice() {
        return advice;
    }

    /** What stays open until somebody answers it; nothing for a sign that asks for no more than its advice. */
    public Optional<Condition> condition() {
        return switch (this) {
            case MOULD -> Optional.of(Condition.MOULD);
            case FERMENTED -> Optional.of(Condition.FERMENT);
            case RANCID -> Optional.of(Condition.OFF);
            case SCORCHED -> Optional.of(Condition.SCORCHED);
            case WATER -> Optional.of(Condition.WATER);
            case STANDS_OUT, CLOUDY, CONDENSATION, WEAK -> Optional.empty();
        };
    }

    /** Tells whether nothing but throwing it out is right. */
    public boolean isEnd() {
        return discard;
    }
}
