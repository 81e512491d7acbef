package app.velvetcrock.core.keeping;

import app.velvetcrock.core.measure.Worded;

/** The glass a bottle is made of; light reaches an oil through clear glass. */
public enum Glass implements Worded {
    DARK("dark glass"),
    CLEAR("clear glass");

    private final String word;

    Glass(String word) {
        this.word = word;
    }

    @Override
    public String word() {
        return word;
    }
}
