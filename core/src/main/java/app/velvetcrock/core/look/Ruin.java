package app.velvetcrock.core.look;

import app.velvetcrock.core.measure.Worded;

/** Why something was thrown out. */
public enum Ruin implements Worded {
    MOULD("mould"),
    FERMENTED("fermented"),
    RANCID("rancid"),
    WATER("water in it"),
    SCORCHED("scorched"),
    PAST_DATE("past its date"),
    SPILLED("spilled or broken"),
    DOUBT("in doubt");

    private final String word;

    Ruin(String word) {
        this.word = word;
    }

    @Override
    public String word() {
        return word;
    }

    /**
     * Tells whether what was made of it before is asked about, one by one, once it was thrown out for this.
     * Source: craft, what is wrong travels.
     */
    public boolean asksOfWhatWasMade(boolean food) {
        return switch (this) {
            case MOULD, FERMENTED, RANCID -> true;
            case PAST_DATE, DOUBT -> food;
            case WATER, SCORCHED, SPILLED -> false;
        };
    }
}
