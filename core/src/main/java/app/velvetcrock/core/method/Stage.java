package app.velvetcrock.core.method;

import app.velvetcrock.core.measure.Check;
import app.velvetcrock.core.measure.Temperature;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * One stretch of a method, its lengths counted in its pace.
 *
 * @param least shortest that is sensible
 * @param usual shipped default
 * @param most longest that is sensible
 * @param vented true under cloth or with a loose lid, so that water can leave
 * @param attended true where somebody stays beside it throughout
 * @param ceiling what heat must not pass; absent where nothing is heated
 */
public record Stage(
        String key,
        String name,
        Pace pace,
        int least,
        int usual,
        int most,
        Band band,
        Optional<Temperature> ceiling,
        boolean inLight,
        boolean vented,
        boolean attended,
        List<Tending> tendings) {

    public Stage {
        Check.range("usual length", usual, least, most, pace.many());
        tendings = List.copyOf(tendings);
    }

    /** [E] Nothing is heated above this, °C: oven and pan stay under 120. */
    private static final double HOTTEST = 120;

    /** [E] How far above its shipped ceiling a stage may be taken, °C. */
    private static final double CEILING_SLACK = 10;

    /** [E] Lowest band of anything heated, and of anything that only stands, °C. */
    private static final double LEAST_HEAT = 30;

    private static final double LEAST_STANDING = 0;
    private static final double MOST_STANDING = 40;

    private static final Set<String> OVEN_AND_PAN = Set.of("oven", "pan");

    private static final Set<String> WATER_BATH = Set.of("bath", "quick");

    /** The lowest temperature its band may begin at. */
    public Temperature leastBand() {
        return Temperature.ofCelsius(isHeated() ? LEAST_HEAT : LEAST_STANDING);
    }

    /** The highest its ceiling, or its band where there is none, may be put. */
    public Temperature mostHeat() {
        return Temperature.ofCelsius(
                ceiling.map(t -> Math.min(HOTTEST, t.celsius() + CEILING_SLACK)).orElse(MOST_STANDING));
    }

    /**
     * The same stage kept at other temperatures.
     *
     * @throws IllegalArgumentException where they lie outside what this stage may be put to
     */
    public Stage at(Band other, Optional<Temperature> limit) {
        Check.range(
                "band", other.low().celsius(), leastBand().celsius(), mostHeat().celsius(), "°C");
        double top = limit.map(Temperature::celsius).orElse(mostHeat().celsius());
        Check.range("band", other.high().celsius(), leastBand().celsius(), top, "°C");
        limit.ifPresent(t -> Check.range(
                "ceiling", t.celsius(), leastBand().celsius(), mostHeat().celsius(), "°C"));
        return new Stage(key, name, pace, least, usual, most, other, limit, inLight, vented, attended, tendings);
    }

    /** Tells whether a ceiling lies within what this stage may be put to. */
    public boolean allowsCeiling(Temperature limit) {
        return limit.celsius() >= leastBand().celsius()
                && limit.celsius() <= mostHeat().celsius();
    }

    /** The same stage for other lengths of time. */
    public Stage lasting(int shortest, int usually, int longest) {
        return new Stage(
                key, name, pace, shortest, usually, longest, band, ceiling, inLight, vented, attended, tendings);
    }

    /** The same stage with one of its tendings done to another rhythm. */
    public Stage tended(Tending other) {
        return new Stage(
                key,
                name,
                pace,
                least,
                usual,
                most,
                band,
                ceiling,
                inLight,
                vented,
                attended,
                tendings.stream()
                        .map(tending -> tending.kind() == other.kind() ? other : tending)
                        .toList());
    }

    /** Tells whether it stands in water, which boils at 100 °C and goes no further. */
    public boolean isWaterBath() {
        return WATER_BATH.contains(key);
    }

    /** Oven and pan, which are hot by their nature and scorch only above 120 °C, wherever their ceiling was put (craft: heat). */
    public boolean isOvenOrPan() {
        return OVEN_AND_PAN.contains(key);
    }

    public boolean isHeated() {
        return ceiling.isPresent();
    }

    public Optional<Tending> tending(Tending.Kind kind) {
        return tendings.stream().filter(tending -> tending.kind() == kind).findFirst();
    }
}
