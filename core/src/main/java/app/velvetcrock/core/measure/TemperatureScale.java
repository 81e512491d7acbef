package app.velvetcrock.core.measure;

/** Which degrees a household reads. */
public enum TemperatureScale {
    CELSIUS,
    FAHRENHEIT
}
