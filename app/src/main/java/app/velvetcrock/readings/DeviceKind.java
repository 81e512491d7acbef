package app.velvetcrock.readings;

import app.velvetcrock.core.measure.Worded;

/** What a device says. */
public enum DeviceKind implements Worded {
    PROBE("probe"),
    SCALE("scale");

    private final String word;

    DeviceKind(String word) {
        this.word = word;
    }

    @Override
    public String word() {
        return word;
    }
}
