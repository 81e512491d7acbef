package app.velvetcrock.core.keeping;

import app.velvetcrock.core.measure.Worded;

/** What is stirred into an oil against going rancid; one of them, never both (craft: keeping). No preservative against germs. */
public enum Antioxidant implements Worded {
    NONE("nothing"),
    TOCOPHEROLS("vitamin E (mixed tocopherols), 0.1-0.5 %"),
    ROSEMARY("rosemary extract, 0.02-0.1 %");

    private final String word;

    Antioxidant(String word) {
        this.word = word;
    }

    @Override
    public String word() {
        return word;
    }
}
