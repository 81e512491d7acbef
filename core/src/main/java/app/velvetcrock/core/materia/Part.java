package app.velvetcrock.core.materia;

import app.velvetcrock.core.measure.Worded;

/** The part of a plant that is used. */
public enum Part implements Worded {
    PETALS("petals", Form.FLOWER),
    FLOWER("flowers", Form.FLOWER),
    TOPS("tops", Form.FLOWER),
    LEAF("leaf", Form.LEAF),
    NEEDLES("needles and tips", Form.LEAF),
    BERRY("berries", Form.BUD),
    BUD("buds", Form.BUD),
    SEED("seed", Form.BUD),
    CONE("cones", Form.BUD),
    BARK("bark", Form.ROOT),
    ROOT("root", Form.ROOT),
    RESIN("resin", Form.ROOT);

    private final String word;
    private final Form form;

    Part(String word, Form form) {
        this.word = word;
        this.form = form;
    }

    /** The word as it follows a plant's name: "yarrow tops". */
    @Override
    public String word() {
        return word;
    }

    public Form form() {
        return form;
    }
}
