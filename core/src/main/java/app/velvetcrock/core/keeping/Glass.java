package app.velvetcrock.core.keeping;

/** The glass a bottle is made of; light reaches an oil through clear glass. */
public enum Glass {
    DARK("dark glass"),
    CLEAR("clear glass");

    private final String word;

    Glass(String word) {
        this.word = word;
    }

    public String word() {
        return word;
    }
}
