package app.velvetcrock.core.strain;

/** How the marc is pressed; each way keeps and learns apart. */
public enum Pressing {
    DRIP("left to drip"),
    HAND("pressed by hand in cloth"),
    SCREW("in a screw press or ricer");

    private final String word;

    Pressing(String word) {
        this.word = word;
    }

    public String word() {
        return word;
    }
}
