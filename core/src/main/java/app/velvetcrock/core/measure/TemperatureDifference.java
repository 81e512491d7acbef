package app.velvetcrock.core.measure;

/** A difference between two temperatures in Celsius degrees, −280 to 280; not a reading. */
public record TemperatureDifference(double celsiusDegrees) {

    public TemperatureDifference {
        Check.range("temperature difference", celsiusDegrees, -280, 280, "Celsius degrees");
    }
}
