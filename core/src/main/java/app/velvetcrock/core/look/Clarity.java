package app.velvetcrock.core.look;

import app.velvetcrock.core.measure.Worded;
import java.util.Optional;

/** How clear an oil is. */
public enum Clarity implements Worded {
    CLEAR("clear"),
    CLOUDY_COLD("cloudy only when cold"),
    CLOUDY("cloudy warm"),
    NOT_SEEN("not looked at");

    private final String word;

    Clarity(String word) {
        this.word = word;
    }

    @Override
    public String word() {
        return word;
    }

    /** Cloudy only when cold is fats setting, which is harmless. */
    public Optional<Sign> sign() {
        return this == CLOUDY ? Optional.of(Sign.CLOUDY) : Optional.empty();
    }
}
