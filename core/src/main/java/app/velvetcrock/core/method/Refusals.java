package app.velvetcrock.core.method;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.spirit.Strength;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/** The rules by which methods are refused (craft: water, methods, spirit, food). */
final class Refusals {

    /** Under this a spirit brings too much water for oil. */
    private static final double LEAST_SPIRIT = 40;

    static final double GOOD_SPIRIT = 75;

    /** Minutes: an open finish shorter than this drives nothing off. */
    private static final int OPEN_FINISH_LEAST = 60;

    /** A pan for food is at least so hot (craft: keeping, food). */
    private static final Temperature FOOD_HEAT = Temperature.ofCelsius(80);

    /** Wet herb earns nothing below this and turns (craft: heat). */
    private static final Temperature WET_LEAST = Temperature.ofCelsius(40);

    private static final Predicate<Ingredient> MOIST = herb -> !herb.moisture().isDried();

    /** Traditionally put into the sun fresh, under cloth; an advanced choice. */
    private static final Set<String> FRESH_IN_SUN = Set.of("st-johns-wort", "mullein");

    private Refusals() {}

    static List<Refusal> of(Method method, Situation situation) {
        List<Refusal> refusals = new ArrayList<>();
        food(method, situation).ifPresentOrElse(refusals::add, () -> refusals.addAll(water(method, situation)));
        solid(method, situation).ifPresent(refusals::add);
        if (!method.isHeated() && situation.hasHardResin()) {
            refusals.add(Refusal.instead(
                    "%s hard resin, which cold oil hardly takes up".formatted(situation.named(Ingredient::isHardResin)),
                    "warm it slowly",
                    Method.SLOW_WARM));
        }
        boolean hot = method.is(Method.OVEN) || method.is(Method.JUICY_PAN);
        if (hot && situation.isFragile()) {
            refusals.add(Refusal.of(
                    "%s is fragile and this way reaches %s °C"
                            .formatted(
                                    situation.carrier().common(),
                                    whole(method.hottest().high())),
                    "use an oil that bears heat, such as olive",
                    Situation::withSturdyOil));
        }
        spirit(method, situation).ifPresent(refusals::add);
        return refusals;
    }

    /** Food of anything moist: a pan of 80 °C and more alone, with no way round it. */
    private static Optional<Refusal> food(Method method, Situation situation) {
        if (situation.use() == Use.FOOD && situation.carrier().traits().contains(CarrierKind.MOIST_BEFORE)) {
            return Optional.of(Refusal.of(
                    "%s was infused with moist herb before, and it is for food"
                            .formatted(situation.carrier().common()),
                    "use a plain oil",
                    Situation::withPlainOil));
        }
        boolean moistFood = situation.use() == Use.FOOD && !situation.wettest().isDried();
        if (!moistFood || method.is(Method.JUICY_PAN) && method.hottest().low().compareTo(FOOD_HEAT) >= 0) {
            return Optional.empty();
        }
        String fact = "%s %s and it is for food: germs that need no air grow in it under oil, unseen and unsmelled"
                .formatted(situation.named(MOIST), situation.wettest().word());
        // Drying helps every way but those that are for fresh herb alone.
        return Optional.of(
                isForFresh(method)
                        ? Refusal.instead(
                                fact,
                                "take the hot pan at 80 °C or more, and use it within four days",
                                Method.JUICY_PAN)
                        : Refusal.of(fact, "dry it first", s -> s.all(Moisture.DRIED)));
    }

    private static List<Refusal> water(Method method, Situation situation) {
        if (situation.wettest().isDried()) {
            return isForFresh(method)
                    ? List.of(Refusal.of(
                            "%s dried, and this way is for herb with its juice"
                                    .formatted(situation.named(herb -> true)),
                            "take it fresh",
                            s -> s.all(fresh(method))))
                    : List.of();
        }
        List<Refusal> refusals = new ArrayList<>();
        for (Moisture moisture : List.of(Moisture.JUICY, Moisture.FRESH, Moisture.WILTED)) {
            if (situation.herbs().stream().anyMatch(herb -> herb.moisture() == moisture)) {
                water(method, situation, moisture).map(Refusal::orKnowingly).ifPresent(refusals::add);
            }
        }
        boolean tepid = method.stages().stream()
                .anyMatch(stage -> stage.isHeated() && stage.band().low().compareTo(WET_LEAST) < 0);
        if (refusals.isEmpty() && tepid) {
            refusals.add(Refusal.instead(
                            "%s %s, and wet herb kept under 40 °C turns before it is dry"
                                    .formatted(
                                            situation.named(MOIST),
                                            situation.wettest().word()),
                            "take the same way at its usual heat",
                            method.base())
                    .orKnowingly());
        }
        return refusals;
    }

    private static Optional<Refusal> water(Method method, Situation situation, Moisture moisture) {
        String herb = situation.named(each -> each.moisture() == moisture);
        return switch (moisture) {
            case DRIED -> Optional.empty();
            case WILTED -> isVented(method) || isForFresh(method)
                    ? Optional.empty()
                    : Optional.of(dry("%s wilted, and its water cannot leave under a lid".formatted(herb)));
            case FRESH -> takesFresh(method, situation)
                    ? Optional.empty()
                    : Optional.of(dry(
                            "%s fresh, and water under a lid or after a short heat spoils the oil: it needs 24 heat-hours under cloth"
                                    .formatted(herb)));
            case JUICY -> method.is(Method.JUICY_PAN)
                    ? Optional.empty()
                    : Optional.of(
                            method.is(Method.FRESH_LOW_HEAT)
                                    ? Refusal.of(
                                            "%s juicy pulp, which low heat does not dry".formatted(herb),
                                            "take firm fresh herb",
                                            s -> s.taken(Moisture.JUICY, Moisture.FRESH))
                                    : dry("%s juicy pulp: only a short hot pan drives its water off".formatted(herb)));
        };
    }

    private static Refusal dry(String fact) {
        return Refusal.of(fact, "dry it first: stems snap, petals are brittle", s -> s.all(Moisture.DRIED));
    }

    private static boolean isForFresh(Method method) {
        return method.is(Method.FRESH_LOW_HEAT) || method.is(Method.JUICY_PAN);
    }

    private static Moisture fresh(Method method) {
        return method.is(Method.JUICY_PAN) ? Moisture.JUICY : Moisture.FRESH;
    }

    /** Heated throughout with a loose lid or a cloth, so that water leaves. */
    private static boolean isVented(Method method) {
        return method.stages().stream().allMatch(Stage::vented);
    }

    private static boolean takesFresh(Method method, Situation situation) {
        boolean sun = method.is(Method.SUN_WINDOW)
                && situation.herbs().stream()
                        .filter(herb -> herb.moisture() == Moisture.FRESH)
                        .allMatch(herb -> FRESH_IN_SUN.contains(herb.kind().key()));
        return sun || isForFresh(method);
    }

    /** A fat that is solid where the oil is to work: in the pantry, or at the least heat. */
    private static Optional<Refusal> solid(Method method, Situation situation) {
        Optional<Temperature> melting = situation.carrier().melting();
        boolean cold = method.stages().stream().anyMatch(stage -> !stage.isHeated() && stage.pace() == Pace.DAYS);
        if (cold && melting.filter(t -> situation.pantry().compareTo(t) < 0).isPresent()) {
            return Optional.of(Refusal.of(
                    "%s is solid below %s °C and the pantry is %s °C"
                            .formatted(situation.carrier().common(), whole(melting.get()), whole(situation.pantry())),
                    "stand it at %s °C, or use an oil that is liquid there".formatted(whole(melting.get())),
                    s -> s.inPantry(melting.get())));
        }
        Optional<Temperature> least = method.stages().stream()
                .filter(Stage::isHeated)
                .map(stage -> stage.band().low())
                .min(Comparator.naturalOrder());
        return least.filter(low -> melting.filter(t -> low.compareTo(t) < 0).isPresent())
                .map(low -> Refusal.of(
                        "%s is solid below %s °C and the least heat is %s °C"
                                .formatted(situation.carrier().common(), whole(melting.orElseThrow()), whole(low)),
                        "use an oil that is liquid there",
                        Situation::withLiquidOil));
    }

    private static Optional<Refusal> spirit(Method method, Situation situation) {
        if (!method.is(Method.SPIRIT_FIRST)) {
            return Optional.empty();
        }
        Optional<Strength> enough = situation.spirit().filter(strength -> strength.percent() >= LEAST_SPIRIT);
        if (enough.isEmpty()) {
            String fact = situation
                    .spirit()
                    .map(strength -> "the spirit is %s %%, too much water for oil"
                            .formatted(Decimals.upTo(strength.percent(), 1)))
                    .orElse("no spirit is in the Stores");
            return Optional.of(Refusal.of(
                    fact, "get drinkable grain spirit of 75 % or more", s -> s.with(new Strength(GOOD_SPIRIT))));
        }
        // Under 60 % the open warm finish is part of the plan, whatever finish else one would take.
        boolean open = method.stages().stream()
                .anyMatch(stage ->
                        stage.isHeated() && stage.pace() == Pace.MINUTES && stage.least() >= OPEN_FINISH_LEAST);
        return enough.filter(strength -> strength.isWatery() && !open)
                .map(strength -> Refusal.instead(
                        "the spirit is %s %%, and its water leaves only in an open warm finish"
                                .formatted(Decimals.upTo(strength.percent(), 1)),
                        "finish it warm and open",
                        Method.SPIRIT_FIRST));
    }

    private static String whole(Temperature temperature) {
        return Decimals.upTo(temperature.celsius(), 0);
    }
}
