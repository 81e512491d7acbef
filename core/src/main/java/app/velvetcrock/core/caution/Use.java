package app.velvetcrock.core.caution;

import app.velvetcrock.core.measure.Worded;

/** What or whom an oil is for. */
public enum Use implements Worded {
    ADULT_SKIN("grown-up skin", "SK"),
    HANDS("hands", "SK"),
    FACE("face", "FA"),
    LIPS("lips", "LI"),
    HAIR("hair and scalp", "SK"),
    MASSAGE("massage", "SK"),
    CHILD_6_14("a child of 6 to 14", "C6"),
    CHILD_2_5("a child of 2 to 5", "C2"),
    BABY("a baby", "B2"),
    NEWBORN("a baby under three months", "B0"),
    PREGNANCY("somebody pregnant", "PR"),
    NURSING("somebody nursing", "NU"),
    NURSLING("what a nursling's mouth meets", "NI"),
    ELDERLY("somebody elderly", "EL"),
    WITH_LATEX("use with latex", "LX"),
    INTIMATE("intimate use", "IN"),
    FOOD("food", "FO"),
    ANIMALS("animals", "AN");

    private final String word;
    private final String column;

    Use(String word, String column) {
        this.word = word;
        this.column = column;
    }

    /** Its column in the table of who it is for. */
    String column() {
        return column;
    }

    /** Tells whether it is somebody's skin, of whatever age, and nothing that wants none of any essential oil by itself. */
    public boolean isSkin() {
        return switch (this) {
            case FOOD, ANIMALS, WITH_LATEX, INTIMATE, NURSLING, NEWBORN -> false;
            default -> true;
        };
    }

    /** Tells whether what is refused, or over a ceiling, is not weighed in at all: nobody else answers for them (craft: making). */
    public boolean isTender() {
        return switch (this) {
            case CHILD_6_14, CHILD_2_5, BABY, NEWBORN, PREGNANCY, NURSING, NURSLING -> true;
            case ADULT_SKIN, HANDS, FACE, LIPS, HAIR, MASSAGE, ELDERLY, WITH_LATEX, INTIMATE, FOOD, ANIMALS -> false;
        };
    }

    /** The word as it follows "for": "hands". */
    @Override
    public String word() {
        return word;
    }
}
