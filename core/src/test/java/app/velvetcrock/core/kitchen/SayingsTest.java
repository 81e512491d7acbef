package app.velvetcrock.core.kitchen;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.measure.CupSystem;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Quantity;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.TemperatureScale;
import app.velvetcrock.core.measure.TimeSpan;
import app.velvetcrock.core.measure.UnitSystem;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.recipe.RecipeLine;
import app.velvetcrock.core.recipe.RecipeReader;
import app.velvetcrock.core.recipe.Things;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What people say, row by row of {@code sayings.txt}: read as they mean it, or asked about. */
class SayingsTest {

    private static final Materia MATERIA = Materia.shipped();
    private static final LocalDateTime NOW = LocalDateTime.of(2026, 11, 24, 9, 0);
    private static final AmountReader AMOUNTS =
            new AmountReader(new HouseholdUnits(UnitSystem.US, CupSystem.US, TemperatureScale.FAHRENHEIT));
    private static final RecipeReader RECIPES =
            new RecipeReader(AMOUNTS, Things.of(MATERIA, MATERIA.herbs(), MATERIA.carriers()));

    /** A row: how it is asked for, what was said, what it is read as. */
    record Saying(String what, String said, String meant) {}

    static Stream<Saying> sayings() throws IOException {
        try (InputStream in = Objects.requireNonNull(SayingsTest.class.getResourceAsStream("/sayings.txt"))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8)
                            .lines()
                            .filter(line -> !line.startsWith("#") && !line.isBlank())
                            .map(line -> line.split(" \\| ", 3))
                            .map(part -> new Saying(part[0].strip(), part[1], part[2].strip()))
                            .toList()
                            .stream();
        }
    }

    @ParameterizedTest
    @MethodSource("sayings")
    void isReadAsItIsMeant(Saying saying) {
        assertThat(read(saying)).as(saying.said()).isEqualTo(saying.meant());
    }

    private static String read(Saying saying) {
        String said = saying.said();
        return switch (saying.what()) {
            case "solid" -> amount(said, Expect.SOLID);
            case "liquid" -> amount(said, Expect.LIQUID);
            case "temperature" -> amount(said, Expect.TEMPERATURE);
            case "time" -> amount(said, Expect.TIME);
            case "past" -> shown(WhenReader.ofThePast(NOW).day(said));
            case "ahead" -> shown(WhenReader.ofTheFuture(NOW).day(said));
            case "moment" -> shown(WhenReader.ofThePast(NOW).moment(said));
            case "share" -> ShareReader.read(said).map(value -> plain(value, 3)).orElse("?");
            case "pieces" -> Pieces.read(said)
                    .map(pieces -> String.valueOf(pieces.count()))
                    .orElse("?");
            case "drops" -> DropReader.read(said, false).map(String::valueOf).orElse("?");
            case "line", "list" -> RECIPES.read(said.replace(" / ", "\n")).stream()
                    .map(line -> line instanceof RecipeLine.Clear clear
                            ? clear.thing().key() + " " + plain(clear.mass().grams(), 1)
                            : "?")
                    .collect(Collectors.joining(", "));
            default -> throw new IllegalArgumentException(saying.what());
        };
    }

    private static String shown(Optional<?> read) {
        return read.map(Object::toString).orElse("?");
    }

    private static String amount(String said, Expect expect) {
        if (!(AMOUNTS.read(said, expect) instanceof Reading.Understood clear)) {
            return "?";
        }
        Quantity middle = clear.amount().middle();
        if (middle instanceof Mass mass) {
            return plain(mass.grams(), 1);
        } else if (middle instanceof Volume volume) {
            return plain(volume.millilitres(), 1);
        } else if (middle instanceof Temperature temperature) {
            return plain(temperature.celsius(), 1);
        }
        return middle instanceof TimeSpan time ? plain(time.minutes(), 1) : middle.toString();
    }

    private static String plain(double value, int decimals) {
        String text = String.format(Locale.ROOT, "%." + decimals + "f", value);
        return text.contains(".") ? text.replaceAll("0+$", "").replaceAll("\\.$", "") : text;
    }
}
