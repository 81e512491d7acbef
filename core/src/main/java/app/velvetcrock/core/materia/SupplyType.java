package app.velvetcrock.core.materia;

import app.velvetcrock.core.measure.Worded;

/** What a supply is, besides herbs and carriers. */
public enum SupplyType implements Worded {
    WAX("wax"),
    SPIRIT("spirit"),
    ANTIOXIDANT("antioxidant"),
    ESSENTIAL_OIL("essential oil"),
    ADDITION("addition");

    private final String word;

    SupplyType(String word) {
        this.word = word;
    }

    @Override
    public String word() {
        return word;
    }
}
