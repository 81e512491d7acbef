package app.velvetcrock.core.method;

import app.velvetcrock.core.measure.Temperature;

/** The temperatures a stage is meant to stay between; {@code low} is below {@code high}. */
public record Band(Temperature low, Temperature high) {

    public Band {
        if (low.compareTo(high) >= 0) {
            throw new IllegalArgumentException(
                    "band runs from %s to %s °C; the lower end comes first".formatted(low.celsius(), high.celsius()));
        }
    }

    static Band ofCelsius(double low, double high) {
        return new Band(Temperature.ofCelsius(low), Temperature.ofCelsius(high));
    }
}
