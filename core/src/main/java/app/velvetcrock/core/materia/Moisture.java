package app.velvetcrock.core.materia;

/** The moisture state of a herb as it is used. */
public enum Moisture {
    DRIED("dried"),
    WILTED("wilted"),
    FRESH("fresh"),
    JUICY("juicy");

    private final String word;

    Moisture(String word) {
        this.word = word;
    }

    public String word() {
        return word;
    }

    public boolean isDried() {
        return this == DRIED;
    }
}
