package app.velvetcrock.core.pan;

import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Worded;

/** How warm the vessel feels, where there is no thermometer: a reading by hand [E] (craft: making, cooling forecast). */
public enum Touch implements Worded {
    TOO_HOT("too hot to hold", 55),
    COMFORTABLE("comfortable to hold", 42.5),
    BATH_WATER("bath water", 40),
    JUST_WARM("just warm", 32.5);

    private final String word;
    private final double celsius;

    Touch(String word, double celsius) {
        this.word = word;
        this.celsius = celsius;
    }

    @Override
    public String word() {
        return word;
    }

    /** The middle of what feels so. */
    public Temperature about() {
        return Temperature.ofCelsius(celsius);
    }
}
