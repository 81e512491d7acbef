package app.velvetcrock.core.look;

/** Why something was thrown out. */
public enum Ruin {
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

    public String word() {
        return word;
    }
}
