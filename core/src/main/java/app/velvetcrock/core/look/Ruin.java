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
}
