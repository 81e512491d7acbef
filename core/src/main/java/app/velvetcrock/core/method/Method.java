package app.velvetcrock.core.method;

import app.velvetcrock.core.charge.Charge;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.text.Linear;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * A way of infusing: its stages in order.
 *
 * @param key names the way; after a tilde, which form of it this is: {@code slow-warm~gentle}
 */
public record Method(String key, String name, List<Stage> stages) {

    /** Parts the way's key from which form of it is meant. */
    static final String VARIANT = "~";

    private static final Set<Source> BATH = EnumSet.of(Source.POT);
    private static final Set<Source> UNATTENDED = EnumSet.of(Source.SLOW_COOKER, Source.DEHYDRATOR);
    private static final Map<String, Set<Source>> SOURCES = Map.of(
            "water-bath",
            BATH,
            "quick-bath",
            BATH,
            "heat-rest",
            BATH,
            "juicy-pan",
            BATH,
            "spirit-first",
            BATH,
            "slow-warm",
            UNATTENDED,
            "fresh-low",
            UNATTENDED,
            "oven",
            EnumSet.of(Source.OVEN));

    private static final Set<Source> IN_WATER = EnumSet.of(Source.POT, Source.SLOW_COOKER);

    /** Attended heat is looked at every quarter of an hour, its water too. */
    private static final List<Tending> QUARTERLY = List.of(new Tending(Tending.Kind.READ, 15, 15, 15));

    /** Each hour for four hours, then each four. */
    private static final List<Tending> SPARSE = List.of(new Tending(Tending.Kind.READ, 1, 4, 4));

    /**
     * Cold and dark: 21-56 days at 15-22 °C, usually 35; shaken daily for 7 days then every 3, looked at daily for 7 days then
     * weekly (craft: methods).
     */
    public static final Method COLD_AND_DARK = new Method(
            "cold-dark",
            "Cold and dark",
            List.of(new Stage(
                    "stand",
                    "standing",
                    Pace.DAYS,
                    21,
                    35,
                    56,
                    Band.ofCelsius(15, 22),
                    Optional.empty(),
                    false,
                    false,
                    false,
                    List.of(new Tending(Tending.Kind.SHAKE, 1, 7, 3), new Tending(Tending.Kind.LOOK, 1, 7, 7)))));

    /** Sun window: 7-28 days, usually 21, shaken daily; light has its price [E: the band of a window sill]. */
    public static final Method SUN_WINDOW = new Method(
            "sun-window",
            "Sun window",
            List.of(new Stage(
                    "sun",
                    "in the window",
                    Pace.DAYS,
                    7,
                    21,
                    28,
                    Band.ofCelsius(15, 29),
                    Optional.empty(),
                    true,
                    false,
                    false,
                    List.of(new Tending(Tending.Kind.SHAKE, 1, 7, 1), new Tending(Tending.Kind.LOOK, 1, 7, 7)))));

    /** Water bath on the hob: 4-8 hours at 43-50 °C under 60, usually 6; attended, looked at every 15 minutes. */
    public static final Method WATER_BATH = new Method(
            "water-bath",
            "Water bath",
            List.of(heat("bath", Pace.MINUTES, 240, 360, 480, Band.ofCelsius(43, 50), 60, true, QUARTERLY)));

    /** Quick bath: 30-120 minutes at 50-60 °C under 65, usually 60; attended throughout. */
    public static final Method QUICK_BATH = new Method(
            "quick-bath",
            "Quick bath",
            List.of(heat("quick", Pace.MINUTES, 30, 60, 120, Band.ofCelsius(50, 60), 65, true, QUARTERLY)));

    /** Slow warm: 8-72 hours at 40-52 °C under a ceiling of 60; read each hour for 4 hours, then each 4. */
    public static final Method SLOW_WARM = new Method(
            "slow-warm",
            "Slow warm",
            List.of(heat("warm", Pace.HOURS, 8, 8, 72, Band.ofCelsius(40, 52), 60, false, SPARSE)));

    /** Oven, for solid fats: 1-3 hours, the oil itself at 90-110 °C, never above 110. */
    public static final Method OVEN = new Method(
            "oven",
            "Oven",
            List.of(heat("oven", Pace.MINUTES, 60, 120, 180, Band.ofCelsius(90, 110), 110, true, QUARTERLY)));

    /** Heat, then rest: 30-120 minutes at 43-60 °C under 65, then 7-21 days in the dark. */
    public static final Method HEAT_THEN_REST = new Method(
            "heat-rest",
            "Heat, then rest",
            List.of(
                    heat("heat", Pace.MINUTES, 30, 60, 120, Band.ofCelsius(43, 60), 65, true, QUARTERLY),
                    new Stage(
                            "rest",
                            "resting in the dark",
                            Pace.DAYS,
                            7,
                            14,
                            21,
                            Band.ofCelsius(15, 22),
                            Optional.empty(),
                            false,
                            false,
                            false,
                            List.of(
                                    new Tending(Tending.Kind.SHAKE, 1, 7, 3),
                                    new Tending(Tending.Kind.LOOK, 1, 7, 7)))));

    /** Spirit first: covered rest of 12-24 hours, then with the oil 2-4 hours open at 43-50 °C under 60; no flame, until no smell. */
    public static final Method SPIRIT_FIRST = new Method(
            "spirit-first",
            "Spirit first",
            List.of(
                    new Stage(
                            "moist",
                            "resting with the spirit, before the oil",
                            Pace.HOURS,
                            12,
                            24,
                            24,
                            Band.ofCelsius(15, 22),
                            Optional.empty(),
                            false,
                            false,
                            false,
                            List.of()),
                    heat("open", Pace.MINUTES, 120, 180, 240, Band.ofCelsius(43, 50), 60, true, QUARTERLY)));

    /** Fresh, low heat: wilted 12-24 hours, then 24-48 heat-hours at 43-50 °C under 60, under cloth. */
    public static final Method FRESH_LOW_HEAT = new Method(
            "fresh-low",
            "Fresh, low heat",
            List.of(
                    new Stage(
                            "wilt",
                            "wilting, before the oil",
                            Pace.HOURS,
                            12,
                            24,
                            24,
                            Band.ofCelsius(15, 25),
                            Optional.empty(),
                            false,
                            true,
                            false,
                            List.of()),
                    heat("low", Pace.HOURS, 24, 24, 48, Band.ofCelsius(43, 50), 60, false, SPARSE)));

    /** Juicy pan: 7-20 minutes at 80-110 °C, off when the sizzle stops; then it stands 12 hours and is decanted. */
    public static final Method JUICY_PAN = new Method(
            "juicy-pan",
            "Hot pan",
            List.of(
                    heat("pan", Pace.MINUTES, 7, 10, 20, Band.ofCelsius(80, 110), 110, true, List.of()),
                    new Stage(
                            "stand",
                            "standing cool, to be decanted",
                            Pace.HOURS,
                            12,
                            12,
                            24,
                            Band.ofCelsius(2, 8),
                            Optional.empty(),
                            false,
                            false,
                            false,
                            List.of())));

    public Method {
        stages = List.copyOf(stages);
    }

    public static List<Method> shipped() {
        return List.of(
                COLD_AND_DARK,
                SUN_WINDOW,
                WATER_BATH,
                QUICK_BATH,
                SLOW_WARM,
                OVEN,
                HEAT_THEN_REST,
                SPIRIT_FIRST,
                FRESH_LOW_HEAT,
                JUICY_PAN);
    }

    /** A shipped way or a shipped form of one. */
    public static Optional<Method> of(String key) {
        Stream<Method> forms =
                shipped().stream().flatMap(method -> Stream.concat(Stream.of(method), Variants.of(method).stream()));
        return Stream.concat(forms, Stream.of(Variants.FOOD_PAN))
                .filter(method -> method.key.equals(key))
                .findFirst();
    }

    /** The shipped way this is a form of; itself for a shipped way. */
    public Method base() {
        String plain = Linear.first(key, VARIANT + ".*", "");
        return shipped().stream()
                .filter(method -> method.key.equals(plain))
                .findFirst()
                .orElseThrow();
    }

    /** The other forms a shipped way comes in. */
    public List<Method> variants() {
        return Variants.of(this);
    }

    /** Tells whether this is a shipped way or some form of it. */
    public boolean is(Method shipped) {
        return key.equals(shipped.key) || key.startsWith(shipped.key + VARIANT);
    }

    /** The same way under a name of its own, with stages of its own. */
    public Method variant(String which, String called, List<Stage> own) {
        return new Method(base().key + VARIANT + which, called, own);
    }

    private static Stage heat(
            String key,
            Pace pace,
            int least,
            int usual,
            int most,
            Band band,
            double ceiling,
            boolean attended,
            List<Tending> tendings) {
        return new Stage(
                key,
                "on the heat",
                pace,
                least,
                usual,
                most,
                band,
                Optional.of(Temperature.ofCelsius(ceiling)),
                false,
                true,
                attended,
                tendings);
    }

    /** The usual length of every stage, each in its own pace. */
    public List<Integer> usualLengths() {
        return stages.stream().map(Stage::usual).toList();
    }

    /** The hottest band of its stages. */
    public Band hottest() {
        return stages.stream()
                .map(Stage::band)
                .max(Comparator.comparing(Band::high))
                .orElseThrow();
    }

    public boolean isInLight() {
        return stages.stream().anyMatch(Stage::inLight);
    }

    public Stage first() {
        return stages.get(0);
    }

    /** Tells whether an open pot or pan will do: what stands for days without heat wants glass with a lid (craft: ratios). */
    public boolean takesOpenVessel() {
        return stages.stream().allMatch(stage -> stage.isHeated() || stage.pace() != Pace.DAYS);
    }

    /** Tells whether what heats it holds water that a closed jar can stand in. */
    public boolean isInWater() {
        return sources().stream().anyMatch(IN_WATER::contains);
    }

    public boolean isHeated() {
        return stages.stream().anyMatch(Stage::isHeated);
    }

    /** What can give it its heat, the handiest first; nothing where it needs none. */
    public Set<Source> sources() {
        return SOURCES.getOrDefault(base().key, Set.of());
    }

    /** Share of the vessel to be left empty. */
    public double headspace() {
        return isHeated() ? Charge.HEATED_HEADSPACE : Charge.COLD_HEADSPACE;
    }
}
