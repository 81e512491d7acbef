package app.velvetcrock.core.kitchen;

import app.velvetcrock.core.measure.CupSystem;
import app.velvetcrock.core.measure.Dimension;
import app.velvetcrock.core.measure.Unit;
import app.velvetcrock.core.measure.Volume;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** The words for units, and what each may mean for a field and a household. */
final class UnitWords {

    private static final Map<String, Unit> FIXED = Map.ofEntries(
            word(Unit.GRAM, "g"),
            word(Unit.GRAM, "gr"),
            word(Unit.GRAM, "gm"),
            word(Unit.GRAM, "gms"),
            word(Unit.GRAM, "gram"),
            word(Unit.GRAM, "grams"),
            word(Unit.GRAM, "gramme"),
            word(Unit.GRAM, "grammes"),
            word(Unit.KILOGRAM, "kgs"),
            word(Unit.KILOGRAM, "kg"),
            word(Unit.KILOGRAM, "kilo"),
            word(Unit.KILOGRAM, "kilos"),
            word(Unit.KILOGRAM, "kilogram"),
            word(Unit.KILOGRAM, "kilograms"),
            word(Unit.MILLIGRAM, "mg"),
            word(Unit.OUNCE, "oz wt"),
            word(Unit.OUNCE, "oz weight"),
            word(Unit.OUNCE, "oz by weight"),
            word(Unit.OUNCE, "ounces by weight"),
            word(Unit.POUND, "lb"),
            word(Unit.POUND, "lbs"),
            word(Unit.POUND, "pound"),
            word(Unit.POUND, "pounds"),
            word(Unit.MILLILITRE, "mls"),
            word(Unit.MILLILITRE, "ml"),
            word(Unit.MILLILITRE, "millilitre"),
            word(Unit.MILLILITRE, "millilitres"),
            word(Unit.MILLILITRE, "milliliter"),
            word(Unit.MILLILITRE, "milliliters"),
            word(Unit.MILLILITRE, "cc"),
            word(Unit.CENTILITRE, "cl"),
            word(Unit.DECILITRE, "dl"),
            word(Unit.LITRE, "l"),
            word(Unit.LITRE, "litre"),
            word(Unit.LITRE, "litres"),
            word(Unit.LITRE, "liter"),
            word(Unit.LITRE, "liters"),
            word(Unit.DROP, "drop"),
            word(Unit.DROP, "drops"),
            word(Unit.CELSIUS, "°c"),
            word(Unit.CELSIUS, "deg c"),
            word(Unit.CELSIUS, "degrees c"),
            word(Unit.CELSIUS, "celsius"),
            word(Unit.CELSIUS, "degrees celsius"),
            word(Unit.CELSIUS, "deg celsius"),
            word(Unit.CELSIUS, "centigrade"),
            word(Unit.FAHRENHEIT, "°f"),
            word(Unit.FAHRENHEIT, "f"),
            word(Unit.FAHRENHEIT, "deg f"),
            word(Unit.FAHRENHEIT, "degrees f"),
            word(Unit.FAHRENHEIT, "fahrenheit"),
            word(Unit.FAHRENHEIT, "degrees fahrenheit"),
            word(Unit.FAHRENHEIT, "deg fahrenheit"),
            word(Unit.MILLIMETRE, "mm"),
            word(Unit.MILLIMETRE, "millimetre"),
            word(Unit.MILLIMETRE, "millimetres"),
            word(Unit.MILLIMETRE, "millimeters"),
            word(Unit.CENTIMETRE, "cm"),
            word(Unit.CENTIMETRE, "centimetre"),
            word(Unit.CENTIMETRE, "centimetres"),
            word(Unit.CENTIMETRE, "centimeters"),
            word(Unit.INCH, "inch"),
            word(Unit.INCH, "inches"),
            word(Unit.INCH, "in"),
            word(Unit.INCH, "\""),
            word(Unit.MINUTE, "min"),
            word(Unit.MINUTE, "mins"),
            word(Unit.MINUTE, "minute"),
            word(Unit.MINUTE, "minutes"),
            word(Unit.HOUR, "h"),
            word(Unit.HOUR, "hr"),
            word(Unit.HOUR, "hrs"),
            word(Unit.HOUR, "hour"),
            word(Unit.HOUR, "hours"),
            word(Unit.DAY, "d"),
            word(Unit.DAY, "day"),
            word(Unit.DAY, "days"),
            word(Unit.WEEK, "wks"),
            word(Unit.WEEK, "w"),
            word(Unit.WEEK, "wk"),
            word(Unit.WEEK, "week"),
            word(Unit.WEEK, "weeks"),
            word(Unit.FORTNIGHT, "fortnight"),
            word(Unit.FORTNIGHT, "fortnights"),
            word(Unit.MONTH, "mths"),
            word(Unit.MONTH, "mth"),
            word(Unit.MONTH, "month"),
            word(Unit.MONTH, "months"));

    private final CupSystem cups;

    UnitWords(CupSystem cups) {
        this.cups = cups;
    }

    /** The units a word may mean in a field: none, one, or several to ask about. */
    List<Unit> meanings(String word, Expect expect) {
        if (word.equals("T")) {
            return List.of(tablespoon());
        }
        String key = word.toLowerCase(Locale.ROOT).replace(".", "");
        if (key.equals("c") && expect == Expect.TEMPERATURE || word.equals("C") && expect == Expect.TEMPERATURE) {
            return List.of(Unit.CELSIUS);
        }
        Unit fixed = FIXED.get(key);
        return fixed != null ? List.of(fixed) : spoonsAndOunces(key, expect);
    }

    private List<Unit> spoonsAndOunces(String key, Expect expect) {
        return switch (key) {
            case "c", "cup", "cups" -> List.of(Unit.ofVolume(cups.cup(), "cup", "cups"));
            case "tbsp", "tbsps", "tbs", "tablespoon", "tablespoons" -> List.of(tablespoon());
            case "t", "tsp", "tsps", "teaspoon", "teaspoons" -> List.of(Unit.ofVolume(cups.teaspoon(), "tsp", "tsp"));
            case "fl oz", "floz", "fluid oz", "fluid ounce", "fluid ounces" -> List.of(fluidOunce());
            case "oz", "ozs", "ounce", "ounces" -> ounces(expect);
            case "pt", "pint", "pints" -> sized(cups.pint(), CupSystem.US.pint(), CupSystem.IMPERIAL.pint(), "pint");
            case "qt", "quart", "quarts" -> sized(
                    cups.quart(), CupSystem.US.quart(), CupSystem.IMPERIAL.quart(), "quart");
            case "gallon", "gallons" -> sized(
                    fourOf(cups.quart()), fourOf(CupSystem.US.quart()), fourOf(CupSystem.IMPERIAL.quart()), "gallon");
            case "us pint", "us pints" -> List.of(named(CupSystem.US.pint(), "US pint"));
            case "imperial pint", "imperial pints" -> List.of(named(CupSystem.IMPERIAL.pint(), "imperial pint"));
            case "us quart", "us quarts" -> List.of(named(CupSystem.US.quart(), "US quart"));
            case "imperial quart", "imperial quarts" -> List.of(named(CupSystem.IMPERIAL.quart(), "imperial quart"));
            default -> List.of();
        };
    }

    private List<Unit> ounces(Expect expect) {
        return switch (expect) {
            case LIQUID -> List.of(
                    fluidOunce(), new Unit(Dimension.MASS, Unit.OUNCE.factor(), 0, "oz by weight", "oz by weight"));
            case CAPACITY -> List.of(fluidOunce());
            default -> List.of(Unit.OUNCE);
        };
    }

    private Unit fluidOunce() {
        return Unit.ofVolume(cups.fluidOunce(), "fl oz", "fl oz");
    }

    private Unit tablespoon() {
        return Unit.ofVolume(cups.tablespoon(), "tbsp", "tbsp");
    }

    private static List<Unit> sized(
            Optional<Volume> household, Optional<Volume> us, Optional<Volume> imperial, String word) {
        return household
                .map(size -> List.of(Unit.ofVolume(size, word, word + "s")))
                .orElseGet(() -> List.of(named(us, "US " + word), named(imperial, "imperial " + word)));
    }

    /** Four quarts are a gallon, of whichever kind. */
    private static Optional<Volume> fourOf(Optional<Volume> quart) {
        return quart.map(size -> Volume.ofMillilitres(4 * size.millilitres()));
    }

    private static Unit named(Optional<Volume> size, String word) {
        return Unit.ofVolume(size.orElseThrow(), word, word + "s");
    }

    private static Map.Entry<String, Unit> word(Unit unit, String word) {
        return Map.entry(word, unit);
    }
}
