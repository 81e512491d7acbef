package app.velvetcrock.core.course;

import app.velvetcrock.core.measure.Worded;

/** What hands are needed for. */
public enum TaskKind implements Worded {
    SHAKE("Shake"),
    LOOK("Look"),
    PUSH_UNDER("Push under, top up"),
    HEAT_ON("Heat on"),
    READ("Read the heat"),
    WATER("See to the water"),
    HEAT_OFF("Off the heat"),
    /** Wet herb between two sessions of heat. */
    FRIDGE_IN("Into the refrigerator"),
    FRIDGE_OUT("Out of the refrigerator"),
    /** The spirit a charge was moistened with is gone, by weight and by smell. */
    SPIRIT_GONE("No spirit is left"),
    /** The stage is over; what comes next begins. */
    NEXT("Next"),
    STRAIN("Strain"),
    DECANT("Decant"),
    USE_FIRST("Use first"),
    /** A step of something made of an oil. */
    PAN("At the pan");

    private final String word;

    TaskKind(String word) {
        this.word = word;
    }

    @Override
    public String word() {
        return word;
    }
}
