package app.velvetcrock.core.kitchen;

import app.velvetcrock.core.measure.CupSystem;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Quantity;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.TemperatureScale;
import app.velvetcrock.core.measure.TimeSpan;
import app.velvetcrock.core.measure.Unit;
import app.velvetcrock.core.measure.UnitSystem;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.text.Linear;
import java.util.List;

/**
 * Writes quantities in one household's units.
 *
 * @param system metric or US weights and volumes
 * @param cups whose cups and spoons are meant
 * @param scale °C or °F
 */
public record HouseholdUnits(UnitSystem system, CupSystem cups, TemperatureScale scale) {

    public static final HouseholdUnits METRIC =
            new HouseholdUnits(UnitSystem.METRIC, CupSystem.METRIC, TemperatureScale.CELSIUS);

    /** Degrees as the core says them: one, or a range of them; said in both scales already, that is not said again. */
    private static final String CELSIUS = "(\\d+(?:\\.\\d+)?)(?:( to | and |-)(\\d+))? °C(?: \\(\\d+ °F\\))?";

    /** What a number without a unit may mean in a field: one unit, or several to ask about. */
    List<Unit> unitsOfBareNumber(Expect expect) {
        return switch (expect) {
            case SOLID -> List.of(Unit.GRAM, Unit.OUNCE);
            case LIQUID, CAPACITY -> List.of(Unit.MILLILITRE, Unit.ofVolume(cups.cup(), "cup", "cups"));
            case TEMPERATURE -> List.of(scale == TemperatureScale.CELSIUS ? Unit.CELSIUS : Unit.FAHRENHEIT);
            case LENGTH -> List.of(Unit.MILLIMETRE, Unit.INCH);
            case TIME -> List.of(Unit.DAY);
        };
    }

    /** Writes a weight: "60 g", "1.25 kg", or "2.1 oz". */
    public String mass(Mass mass) {
        return system == UnitSystem.METRIC ? metricMass(mass) : usMass(mass);
    }

    /** Writes a volume: "420 mL", "1.5 L", or "1¾ cups". */
    public String volume(Volume volume) {
        return system == UnitSystem.METRIC ? metricVolume(volume) : usVolume(volume);
    }

    /** Writes a volume that is an estimate: above 100 mL to the nearest 5. */
    public String aboutVolume(Volume volume) {
        return volume(
                volume.millilitres() > 100 ? Volume.ofMillilitres(Math.round(volume.millilitres() / 5) * 5.0) : volume);
    }

    /** Writes a weight that is an estimate: above 100 g to the nearest 5, above 10 to the nearest 1. */
    public String aboutMass(Mass mass) {
        double step = mass.grams() > 100 ? 5 : mass.grams() > 10 ? 1 : 0.1;
        return mass(Mass.ofGrams(Math.round(mass.grams() / step) * step));
    }

    /** The same at the next mark of this household's measures above it: what is poured by them is never less than it. */
    public Volume measuredUp(Volume volume) {
        return Volume.ofMillilitres(Math.ceil(volume.millilitres() / step(volume) - 1e-9) * step(volume));
    }

    /** Writes the two ends of an estimated range, rounded outward to 5 mL above 100 mL, else to 1. */
    public String outward(Volume low, Volume high) {
        return volume(Volume.ofMillilitres(Math.floor(low.millilitres() / step(low) + 1e-9) * step(low))) + " to "
                + volume(Volume.ofMillilitres(Math.ceil(high.millilitres() / step(high) - 1e-9) * step(high)));
    }

    public String temperature(Temperature temperature) {
        return scale == TemperatureScale.CELSIUS
                ? Decimals.upTo(temperature.celsius(), 1) + " °C"
                : Decimals.upTo(temperature.toFahrenheit(), 1) + " °F";
    }

    /** A sentence of the core, which holds degrees as °C, with its degrees as this household reads them. */
    public String degrees(String words) {
        return scale == TemperatureScale.CELSIUS
                ? words
                : Linear.each(
                        words,
                        CELSIUS,
                        found -> found.get(1) == null
                                ? fahrenheit(found.get(0)) + " °F"
                                : fahrenheit(found.get(0)) + found.get(1) + fahrenheit(found.get(2)) + " °F");
    }

    private static String fahrenheit(String celsius) {
        return Decimals.upTo(Temperature.ofCelsius(Double.parseDouble(celsius)).toFahrenheit(), 0);
    }

    public String length(Length length) {
        return system == UnitSystem.METRIC
                ? Decimals.upTo(length.millimetres(), 0) + " mm"
                : Decimals.upTo(length.millimetres() / Unit.INCH.factor(), 1) + " in";
    }

    String echo(Amount amount) {
        String typed = typed(amount);
        String echo = typed.equals(inCanonical(amount)) ? typed : typed + " → " + inCanonical(amount);
        return amount.isRange() ? echo + ", the middle of the range" : echo;
    }

    /** Writes an amount so that reading it again is clear: the unit always stands, thousands are not grouped. */
    String typed(Amount amount) {
        String number = clear(amount.low());
        if (amount.isRange()) {
            number += "-" + clear(amount.high());
        }
        return number + " " + amount.unit().word(amount.high());
    }

    /** A point before just three digits would be asked about again; a nought behind them settles it. */
    private static String clear(double value) {
        String number = Decimals.kitchen(value);
        return Linear.matches(number, "[1-9]\\d{0,2}\\.\\d{3}") ? number + "0" : number;
    }

    private static String inCanonical(Amount amount) {
        Quantity middle = amount.middle();
        if (middle instanceof Mass mass) {
            return metricMass(mass);
        } else if (middle instanceof Volume volume) {
            return metricVolume(volume);
        } else if (middle instanceof Temperature temperature) {
            return Decimals.upTo(temperature.celsius(), 1) + " °C";
        } else if (middle instanceof Length length) {
            return Decimals.upTo(length.millimetres(), 1) + " mm";
        }
        TimeSpan time = (TimeSpan) middle;
        return time.toDays() >= 1
                ? Decimals.upTo(time.toDays(), 1) + (time.toDays() == 1 ? " day" : " days")
                : Decimals.upTo(time.minutes(), 0) + " min";
    }

    private static String metricMass(Mass mass) {
        if (mass.grams() >= 1000) {
            return Decimals.upTo(mass.grams() / 1000, 2) + " kg";
        }
        return Decimals.upTo(mass.grams(), mass.grams() < 100 ? 1 : 0) + " g";
    }

    private static String metricVolume(Volume volume) {
        if (volume.millilitres() >= 1000) {
            return Decimals.upTo(volume.millilitres() / 1000, 2) + " L";
        }
        int places = volume.millilitres() < 1 ? 2 : volume.millilitres() < 10 ? 1 : 0;
        return Decimals.upTo(volume.millilitres(), places) + " mL";
    }

    private static String usMass(Mass mass) {
        double ounces = mass.grams() / Unit.OUNCE.factor();
        return ounces >= 16
                ? Decimals.upTo(mass.grams() / Unit.POUND.factor(), 2) + " lb"
                : Decimals.upTo(ounces, ounces < 10 ? 2 : 1) + " oz";
    }

    private String usVolume(Volume volume) {
        double cupsOfIt = volume.millilitres() / cups.cup().millilitres();
        if (cupsOfIt >= 0.25) {
            String eighths = Decimals.kitchen(Math.round(cupsOfIt * 8) / 8.0);
            return eighths + (cupsOfIt > 1 + 1 / 16.0 ? " cups" : " cup");
        }
        return Decimals.upTo(volume.millilitres() / cups.fluidOunce().millilitres(), 2) + " fl oz";
    }

    /** What a volume of this size is written to here, mL: a range ends on it, so that neither end is rounded inward. */
    private double step(Volume volume) {
        if (system == UnitSystem.US) {
            boolean inCups = volume.millilitres() / cups.cup().millilitres() >= 0.25;
            return inCups ? cups.cup().millilitres() / 8 : cups.fluidOunce().millilitres() / 20;
        }
        return volume.millilitres() >= 1000 ? 10 : volume.millilitres() > 100 ? 5 : 1;
    }
}
