package app.velvetcrock.core.method;

import app.velvetcrock.core.measure.Temperature;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** The forms a shipped method also comes in: gentle, for scent, and the other finishes after spirit (craft: methods). */
public final class Variants {

    /** The stage after spirit that is loosened and shaken three times a day. */
    public static final String WINDOW_STAGE = "window";

    private static final Band GENTLE = Band.ofCelsius(35, 43);
    private static final Temperature GENTLE_CEILING = Temperature.ofCelsius(43);

    /** Hours grow by so much when heat is held 8 °C lower: Q10 of 2 (craft: methods). */
    private static final double GENTLE_HOURS = 1.7;

    private static final int TWO_HOURS = 120;
    private static final int HALF_HOUR = 30;
    private static final int FIVE_MINUTES = 5;

    private static final Band FOR_SCENT = Band.ofCelsius(38, 45);

    /** Blended in bursts until warm under the hand: 5 to 20 minutes [E: band and length]. */
    private static final Stage BLEND = new Stage(
            "blend",
            "in the blender, in bursts, lid vent open",
            Pace.MINUTES,
            5,
            10,
            20,
            Band.ofCelsius(30, 43),
            Optional.of(Temperature.ofCelsius(50)),
            false,
            true,
            true,
            List.of());

    /** A warm window for seven days, loosened and shaken three times a day [E: the band of a window sill]. */
    private static final Stage WINDOW = new Stage(
            WINDOW_STAGE,
            "in the warm window, loosened and shaken three times a day",
            Pace.DAYS,
            7,
            7,
            14,
            Band.ofCelsius(18, 30),
            Optional.empty(),
            true,
            true,
            false,
            List.of(new Tending(Tending.Kind.SHAKE, 1, 7, 1), new Tending(Tending.Kind.LOOK, 1, 7, 7)));

    /** The hot pan for food: no standing afterwards, since it must be cold within two hours (craft: keeping, food). */
    public static final Method FOOD_PAN =
            Method.JUICY_PAN.variant("food", Method.JUICY_PAN.name() + ", for food", List.of(Method.JUICY_PAN.first()));

    private Variants() {}

    /** The form a way takes for a charge: the hot pan without its standing for food of anything moist, and with it for all else. */
    public static Method suiting(Method method, boolean moistFood) {
        if (moistFood) {
            return method.is(Method.JUICY_PAN) && method.stages().size() > 1 ? FOOD_PAN : method;
        }
        return method.equals(FOOD_PAN) ? Method.JUICY_PAN : method;
    }

    /** The shipped forms of a shipped method; none for those that have only the one. */
    public static List<Method> of(Method method) {
        List<Method> forms = new ArrayList<>();
        if (method.isHeated()
                && !method.equals(Method.OVEN)
                && !method.equals(Method.JUICY_PAN)
                && !method.equals(Method.FRESH_LOW_HEAT)) {
            forms.add(method.variant("gentle", method.name() + ", gentle", heated(method, Variants::gentle)));
            forms.add(method.variant(
                    "scent",
                    method.name() + ", for scent",
                    heated(method, stage -> stage.at(FOR_SCENT, stage.ceiling()))));
        }
        if (method.equals(Method.SPIRIT_FIRST)) {
            forms.add(method.variant("blend", method.name() + ", blended", List.of(method.first(), BLEND)));
            forms.add(method.variant("window", method.name() + ", warm window", List.of(method.first(), WINDOW)));
        }
        return forms;
    }

    private static List<Stage> heated(Method method, UnaryOperator<Stage> change) {
        return method.stages().stream()
                .map(stage -> stage.isHeated() ? change.apply(stage) : stage)
                .toList();
    }

    private static Stage gentle(Stage stage) {
        return stage.at(GENTLE, Optional.of(GENTLE_CEILING))
                .lasting(longer(stage, stage.least()), longer(stage, stage.usual()), longer(stage, stage.most()));
    }

    /** In minutes rounded up to what a kitchen clock is set to: five, or half an hour where it is two hours and more. */
    private static int longer(Stage stage, int length) {
        int exact = (int) Math.ceil(length * GENTLE_HOURS);
        if (stage.pace() != Pace.MINUTES) {
            return exact;
        }
        int step = exact >= TWO_HOURS ? HALF_HOUR : FIVE_MINUTES;
        return (exact + step - 1) / step * step;
    }
}
