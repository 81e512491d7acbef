package app.velvetcrock.core.larder;

import app.velvetcrock.core.measure.Worded;

/** How something came into the house. */
public enum Origin implements Worded {
    BOUGHT("bought"),
    GATHERED("gathered wild"),
    GROWN("from the garden"),
    MADE("made here");

    private final String word;

    Origin(String word) {
        this.word = word;
    }

    @Override
    public String word() {
        return word;
    }

    /** Picked by the household itself, so that a look-alike may be among it. */
    public boolean isPicked() {
        return this == GATHERED || this == GROWN;
    }
}
