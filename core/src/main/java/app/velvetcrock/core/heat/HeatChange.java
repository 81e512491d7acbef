package app.velvetcrock.core.heat;

import app.velvetcrock.core.measure.Worded;

/** What is done to a heated oil that bends its curve; between two readings across one the line is not trusted (craft: heat). */
public enum HeatChange implements Worded {
    ON("heat on"),
    OFF("heat off"),
    SETTING("setting turned"),
    LID_OFF("lid off"),
    LID_ON("lid on"),
    BATH_TOPPED_UP("water topped up"),
    OIL_TOPPED_UP("oil topped up"),
    HERB_IN("herb put in"),
    MOVED("moved"),
    /** The answer to a fall too steep for oil. */
    PROBE_IN_OIL("probe is in the oil");

    private final String word;

    HeatChange(String word) {
        this.word = word;
    }

    @Override
    public String word() {
        return word;
    }

    /** Tells whether nothing at all is earned across it: the heat was begun or ended. */
    boolean isOfHeatItself() {
        return this == ON || this == OFF;
    }
}
