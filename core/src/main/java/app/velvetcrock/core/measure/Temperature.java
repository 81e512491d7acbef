package app.velvetcrock.core.measure;

/** A temperature reading in °C, −30 to 250; two of them cannot be added, see {@link TemperatureDifference}. */
public record Temperature(double celsius) implements Quantity, Comparable<Temperature> {

    /** Nothing in a kitchen is colder, °C. */
    public static final double COLDEST = -30;

    /** Nothing on a stove is hotter, °C. */
    public static final double HOTTEST = 250;

    private static final double FAHRENHEIT_AT_ZERO = 32;
    private static final double FAHRENHEIT_PER_CELSIUS = 1.8;

    public Temperature {
        Check.range("temperature", celsius, COLDEST, HOTTEST, "°C");
    }

    public static Temperature ofCelsius(double celsius) {
        return new Temperature(celsius);
    }

    public static Temperature ofFahrenheit(double fahrenheit) {
        return new Temperature((fahrenheit - FAHRENHEIT_AT_ZERO) / FAHRENHEIT_PER_CELSIUS);
    }

    public double toFahrenheit() {
        return celsius * FAHRENHEIT_PER_CELSIUS + FAHRENHEIT_AT_ZERO;
    }

    public Temperature plus(TemperatureDifference difference) {
        return new Temperature(celsius + difference.celsiusDegrees());
    }

    public TemperatureDifference minus(Temperature other) {
        return new TemperatureDifference(celsius - other.celsius);
    }

    @Override
    public int compareTo(Temperature other) {
        return Double.compare(celsius, other.celsius);
    }
}
