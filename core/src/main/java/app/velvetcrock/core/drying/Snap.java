package app.velvetcrock.core.drying;

/** What the hand says of a stem or petal; it outweighs the sum. */
public enum Snap {
    NOT_TRIED("not tried"),
    BENDS("still bends"),
    SNAPS("snaps");

    private final String word;

    Snap(String word) {
        this.word = word;
    }

    public String word() {
        return word;
    }
}
