package app.velvetcrock.core.larder;

import app.velvetcrock.core.materia.SupplyType;

/** What a lot is. */
public enum LotKind {
    HERB("herb"),
    CARRIER("carrier"),
    WAX("wax"),
    SPIRIT("spirit"),
    ANTIOXIDANT("antioxidant"),
    ESSENTIAL_OIL("essential oil"),
    ADDITION("addition"),
    INFUSED_OIL("infused oil"),
    MADE("made thing"),
    CONTAINER("container");

    private final String word;

    LotKind(String word) {
        this.word = word;
    }

    public String word() {
        return word;
    }

    /** What a supply is kept as. */
    public static LotKind of(SupplyType type) {
        return valueOf(type.name());
    }
}
