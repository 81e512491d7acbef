package app.velvetcrock.core.materia;

import app.velvetcrock.core.measure.Worded;

/** The moisture state of a herb as it is used. */
public enum Moisture implements Worded {
    DRIED("dried"),
    WILTED("wilted"),
    FRESH("fresh"),
    JUICY("juicy");

    private final String word;

    Moisture(String word) {
        this.word = word;
    }

    @Override
    public String word() {
        return word;
    }

    public boolean isDried() {
        return this == DRIED;
    }
}
