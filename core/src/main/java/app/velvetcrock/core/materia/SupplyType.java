package app.velvetcrock.core.materia;

/** What a supply is, besides herbs and carriers. */
public enum SupplyType {
    WAX("wax"),
    SPIRIT("spirit"),
    ANTIOXIDANT("antioxidant"),
    ESSENTIAL_OIL("essential oil"),
    ADDITION("addition");

    private final String word;

    SupplyType(String word) {
        this.word = word;
    }

    public String word() {
        return word;
    }
}
