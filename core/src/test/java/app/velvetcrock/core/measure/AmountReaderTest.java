package app.velvetcrock.core.measure;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.core.measure.Reading.NotUnderstood;
import app.velvetcrock.core.measure.Reading.Understood;
import app.velvetcrock.core.measure.Reading.Unsure;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class AmountReaderTest {

    private static final HouseholdUnits US = new HouseholdUnits(UnitSystem.US, CupSystem.US, TemperatureScale.FAHRENHEIT);
    private final AmountReader us = new AmountReader(US);
    private final AmountReader metric = new AmountReader(HouseholdUnits.METRIC);

    @ParameterizedTest(name = "{0} ({1})")
    @CsvSource(delimiter = '|', textBlock = """
            1 1/2 cups          | LIQUID      | 354.882 | 1½ cups → 355 mL
            1½ c                | LIQUID      | 354.882 | 1½ cups → 355 mL
            ⅔ cup               | LIQUID      | 157.725 | ⅔ cup → 158 mL
            2 Tbsp              | LIQUID      | 29.5736 | 2 tbsp → 30 mL
            3 T                 | LIQUID      | 44.3604 | 3 tbsp → 44 mL
            2 t                 | LIQUID      | 9.85784 | 2 tsp → 9.9 mL
            half a cup          | LIQUID      | 118.294 | ½ cup → 118 mL
            a cup and a half    | LIQUID      | 0       | REFUSED
            one and a half cups | LIQUID      | 354.882 | 1½ cups → 355 mL
            three quarters of a cup | LIQUID  | 177.441 | ¾ cup → 177 mL
            0,25 l              | LIQUID      | 250     | ¼ L → 250 mL
            1,5 l               | LIQUID      | 1500    | 1½ L → 1.5 L
            9 fl oz             | LIQUID      | 266.1615 | 9 fl oz → 266 mL
            9 oz by weight      | LIQUID      | 255.1455 | 9 oz → 255 g
            9 oz                | SOLID       | 255.1455 | 9 oz → 255 g
            16 oz               | CAPACITY    | 473.176 | 16 fl oz → 473 mL
            1 pint              | CAPACITY    | 473.176 | 1 pint → 473 mL
            2 lbs               | SOLID       | 907.184 | 2 lb → 907 g
            1,234.5 g           | SOLID       | 1234.5  | 1234½ g → 1.23 kg
            0.250 kg            | SOLID       | 250     | ¼ kg → 250 g
            110F                | TEMPERATURE | 43.3333 | 110 °F → 43.3 °C
            43.5 C              | TEMPERATURE | 43.5    | 43½ °C → 43.5 °C
            110                 | TEMPERATURE | 43.3333 | 110 °F → 43.3 °C
            4-6 weeks           | TIME        | 50400   | 4-6 weeks → 35 days, the middle of the range
            4 to 6 weeks        | TIME        | 50400   | 4-6 weeks → 35 days, the middle of the range
            3 in                | LENGTH      | 76.2    | 3 inches → 76.2 mm
            20 drops            | LIQUID      | 1       | 20 drops → 1 mL
            """)
    void readsKitchenLanguageAndSaysItBack(String text, Expect expect, double canonical, String echo) {
        Reading reading = us.read(text, expect);
        if (echo.equals("REFUSED")) {
            assertThat(reading).isInstanceOf(NotUnderstood.class);
            return;
        }
        Understood understood = (Understood) reading;
        assertThat(understood.echo()).isEqualTo(echo);
        assertThat(canonical(understood)).isCloseTo(canonical, org.assertj.core.data.Offset.offset(canonical * 1e-5));
        assertThat(understood.typed()).isEqualTo(text);
    }

    @ParameterizedTest(name = "{0} ({1})")
    @CsvSource(delimiter = '|', textBlock = """
            9 oz    | LIQUID   | 9 fl oz → 266 mL            | 9 oz by weight → 255 g
            1,500 g | SOLID    | 1½ g → 1.5 g                | 1500 g → 1.5 kg
            1.500 g | SOLID    | 1½ g → 1.5 g                | 1500 g → 1.5 kg
            60      | SOLID    | 60 g                        | 60 oz → 1.7 kg
            1 pint  | CAPACITY | 1 US pint → 473 mL          | 1 imperial pint → 568 mL
            """)
    void asksWhereTwoReadingsAreSensibleAndEachCanBeTypedInstead(String text, Expect expect, String first, String second) {
        Unsure unsure = (Unsure) metric.read(text, expect);
        assertThat(unsure.readings()).extracting(Understood::echo).containsExactly(first, second);
        for (Understood reading : unsure.readings()) {
            Reading again = metric.read(reading.typed(), expect);
            assertThat(again).isInstanceOf(Understood.class);
            assertThat(canonical((Understood) again)).isEqualTo(canonical(reading));
        }
    }

    @ParameterizedTest(name = "{0} ({1})")
    @CsvSource(delimiter = '|', nullValues = "null", textBlock = """
            ''              | SOLID       | nothing is written
            lots            | SOLID       | begin with a number
            -5 g            | SOLID       | below zero
            5 gallons       | LIQUID      | not a unit
            1/0 cup         | LIQUID      | begin with a number
            6-4 weeks       | TIME        | backwards
            4- weeks        | TIME        | no upper end
            99999999 kg     | SOLID       | outside
            20 °C           | SOLID       | measures a temperature
            400 mL of oil   | LIQUID      | not a unit
            900 °C          | TEMPERATURE | outside
            """)
    void refusesInWordsWithAnExample(String text, Expect expect, String wrong) {
        NotUnderstood refused = (NotUnderstood) metric.read(text, expect);
        assertThat(refused.wrong()).contains(wrong);
        assertThat(refused.instead()).isEqualTo(expect.examples());
        assertThat(refused.typed()).isEqualTo(text);
    }

    @Test
    void neverThrowsForAnythingTyped() {
        Random random = new Random(20261124);
        String alphabet = "0123456789 .,/-½⅔abcgCFToz°\"mlpints";
        for (int i = 0; i < 20_000; i++) {
            StringBuilder text = new StringBuilder();
            for (int n = random.nextInt(12); n >= 0; n--) {
                text.append(alphabet.charAt(random.nextInt(alphabet.length())));
            }
            Expect expect = Expect.values()[random.nextInt(Expect.values().length)];
            assertThat(us.read(text.toString(), expect).typed()).isEqualTo(text.toString());
        }
    }

    @Test
    void writesInTheHouseholdsUnits() {
        assertThat(US.volume(Volume.ofMillilitres(355))).isEqualTo("1½ cups");
        assertThat(US.mass(Mass.ofGrams(60))).isEqualTo("2.12 oz");
        assertThat(US.temperature(Temperature.ofCelsius(46))).isEqualTo("114.8 °F");
        // 254.1-305.9 outward to 5 mL (checked sum 3)
        assertThat(HouseholdUnits.METRIC.outward(Volume.ofMillilitres(254.1), Volume.ofMillilitres(305.9))).isEqualTo("250 mL to 310 mL");
    }

    private static double canonical(Understood reading) {
        Quantity quantity = reading.amount().middle();
        if (quantity instanceof Mass mass) {
            return mass.grams();
        } else if (quantity instanceof Volume volume) {
            return volume.millilitres();
        } else if (quantity instanceof Temperature temperature) {
            return temperature.celsius();
        } else if (quantity instanceof Length length) {
            return length.millimetres();
        }
        return ((TimeSpan) quantity).minutes();
    }
}
