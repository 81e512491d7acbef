package app.velvetcrock.core.method;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.spirit.Strength;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** The rules by which methods are refused (craft: water, methods, spirit, food). */
final class Refusals {

    /** Under this a spirit brings too much water for oil. */
    private static final double LEAST_SPIRIT = 40;
    private static final double GOOD_SPIRIT = 75;

    /** Traditionally put into the sun fresh, under cloth; an advanced choice. */
    private static final Set<String> FRESH_IN_SUN = Set.of("st-johns-wort", "mullein");

    private Refusals() {}

    static List<Refusal> of(Method method, Situation situation) {
        List<Refusal> refusals = new ArrayList<>();
        food(method, situation).or(() -> water(method, situation)).ifPresent(refusals::add);
        solid(method, situation).ifPresent(refusals::add);
        if (!method.isHeated() && situation.is("hard-resin")) {
            refusals.add(Refusal.instead("%s is hard resin, which cold oil hardly takes up".formatted(situation.herb().common()), "warm it slowly", Method.SLOW_WARM));
        }
        boolean hot = method.equals(Method.OVEN) || method.equals(Method.JUICY_PAN);
        if (hot && situation.isFragile()) {
            refusals.add(Refusal.of("%s is fragile and this way reaches %s °C".formatted(situation.carrier().common(), whole(method.hottest().high())),
                    "use an oil that bears heat, such as olive", Situation::withSturdyOil));
        }
        spirit(method, situation).ifPresent(refusals::add);
        return refusals;
    }

    /** Food of anything moist: a pan of 80 °C and more alone, with no way round it. */
    private static Optional<Refusal> food(Method method, Situation situation) {
        boolean moistFood = situation.use() == Use.FOOD && !situation.moisture().isDried();
        if (!moistFood || method.equals(Method.JUICY_PAN)) {
            return Optional.empty();
        }
        String fact = "%s is %s and it is for food: germs that need no air grow in it under oil, unseen and unsmelled".formatted(situation.herb().common(), situation.moisture().word());
        // Drying helps every way but the one that is for fresh herb alone.
        return Optional.of(method.equals(Method.FRESH_LOW_HEAT)
                ? Refusal.instead(fact, "take the hot pan, and use it within four days", Method.JUICY_PAN)
                : Refusal.of(fact, "dry it first", s -> s.with(Moisture.DRIED)));
    }

    private static Optional<Refusal> water(Method method, Situation situation) {
        String herb = situation.herb().common();
        boolean freshWays = method.equals(Method.FRESH_LOW_HEAT) || method.equals(Method.JUICY_PAN);
        return switch (situation.moisture()) {
            case DRIED -> freshWays
                    ? Optional.of(Refusal.of("%s is dried, and this way is for herb with its juice".formatted(herb), "take it fresh", s -> s.with(fresh(method))))
                    : Optional.empty();
            case WILTED -> isVented(method) || freshWays ? Optional.empty() : Optional.of(dry("%s is wilted, and its water cannot leave under a lid".formatted(herb)));
            case FRESH -> takesFresh(method, situation) ? Optional.empty()
                    : Optional.of(dry("%s is fresh, and water under a lid or after a short heat spoils the oil: it needs 24 heat-hours under cloth".formatted(herb)));
            case JUICY -> method.equals(Method.JUICY_PAN) ? Optional.empty()
                    : Optional.of(method.equals(Method.FRESH_LOW_HEAT)
                            ? Refusal.of("%s is juicy pulp, which low heat does not dry".formatted(herb), "take firm fresh herb", s -> s.with(Moisture.FRESH))
                            : dry("%s is juicy pulp: only a short hot pan drives its water off".formatted(herb)));
        };
    }

    private static Refusal dry(String fact) {
        return Refusal.of(fact, "dry it first: stems snap, petals are brittle", s -> s.with(Moisture.DRIED));
    }


    private static Moisture fresh(Method method) {
        return method.equals(Method.JUICY_PAN) ? Moisture.JUICY : Moisture.FRESH;
    }

    /** Heated throughout with a loose lid or a cloth, so that water leaves. */
    private static boolean isVented(Method method) {
        return method.stages().stream().allMatch(Stage::vented);
    }

    private static boolean takesFresh(Method method, Situation situation) {
        boolean sun = method.equals(Method.SUN_WINDOW) && FRESH_IN_SUN.contains(situation.herb().key());
        return sun || method.equals(Method.FRESH_LOW_HEAT) || method.equals(Method.JUICY_PAN);
    }

    /** A fat that is solid where the oil is to work: in the pantry, or at the least heat. */
    private static Optional<Refusal> solid(Method method, Situation situation) {
        Optional<Temperature> melting = situation.carrier().melting();
        boolean cold = method.stages().stream().anyMatch(stage -> !stage.isHeated() && stage.pace() == Pace.DAYS);
        if (cold && melting.filter(t -> situation.pantry().compareTo(t) < 0).isPresent()) {
            return Optional.of(Refusal.of("%s is solid below %s °C and the pantry is %s °C".formatted(situation.carrier().common(), whole(melting.get()), whole(situation.pantry())),
                    "stand it at %s °C, or use an oil that is liquid there".formatted(whole(melting.get())), s -> s.inPantry(melting.get())));
        }
        Optional<Temperature> least = method.stages().stream().filter(Stage::isHeated).map(stage -> stage.band().low()).min(Comparator.naturalOrder());
        return least.filter(low -> melting.filter(t -> low.compareTo(t) < 0).isPresent()).map(low -> Refusal.of(
                "%s is solid below %s °C and the least heat is %s °C".formatted(situation.carrier().common(), whole(melting.orElseThrow()), whole(low)),
                "use an oil that is liquid there", Situation::withLiquidOil));
    }

    private static Optional<Refusal> spirit(Method method, Situation situation) {
        if (!method.equals(Method.SPIRIT_FIRST) || situation.spirit().filter(strength -> strength.percent() >= LEAST_SPIRIT).isPresent()) {
            return Optional.empty();
        }
        String fact = situation.spirit().map(strength -> "the strongest spirit in the Stores is %s %%, too much water for oil".formatted(Decimals.upTo(strength.percent(), 0)))
                .orElse("no spirit is in the Stores");
        return Optional.of(Refusal.of(fact, "get drinkable grain spirit of 75 % or more", s -> s.with(new Strength(GOOD_SPIRIT))));
    }

    private static String whole(Temperature temperature) {
        return Decimals.upTo(temperature.celsius(), 0);
    }
}
