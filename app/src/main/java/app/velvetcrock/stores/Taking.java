package app.velvetcrock.stores;

import app.velvetcrock.core.look.Held;

/** Why somebody takes some out. */
public enum Taking {
    DRAWN("to use", Cause.DRAWN),
    GIVEN("given away", Cause.GIVEN),
    SOLD("sold", Cause.SOLD);

    private final String word;
    private final Cause cause;

    Taking(String word, Cause cause) {
        this.word = word;
        this.cause = cause;
    }

    public String word() {
        return word;
    }

    public Cause cause() {
        return cause;
    }

    /** What an open condition may hold back of it. */
    public Held held() {
        return cause.held().orElseThrow();
    }
}
