package app.velvetcrock.core.method;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Temperature;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Whether a method suits a herb in a carrier, with the fact and what would change it.
 *
 * @param refusals why it cannot be done; empty when it can
 * @param advice what to know though it can
 */
public record Fitness(List<Reason> refusals, List<String> advice) {

    /** Fragile oils are not taken above this (craft: choosing). */
    private static final Temperature FRAGILE_MOST = Temperature.ofCelsius(50);

    public Fitness {
        refusals = List.copyOf(refusals);
        advice = List.copyOf(advice);
    }

    /**
     * A fact with its value, and the smallest change that would allow the method.
     *
     * @param overridable true where somebody may go on with a written reason
     */
    public record Reason(String fact, String change, boolean overridable) {}

    public boolean isAllowed() {
        return refusals.isEmpty();
    }

    /** Tells whether all that stands against it may be overridden with a written reason; never for food. */
    public boolean isOverridable(Use use) {
        return !isAllowed() && use != Use.FOOD && refusals.stream().allMatch(Reason::overridable);
    }

    public static Fitness of(Method method, Situation situation) {
        return new Fitness(
                Refusals.of(method, situation).stream()
                        .map(refusal -> new Reason(refusal.fact(), refusal.change(), refusal.overridable()))
                        .toList(),
                advice(method, situation));
    }

    private static List<String> advice(Method method, Situation situation) {
        List<String> advice = new ArrayList<>(chemistry(method, situation));
        if (situation.isFragile() && reachesTooMuch(method)) {
            advice.add("%s is fragile: keep it under %s °C"
                    .formatted(situation.carrier().common(), Decimals.upTo(FRAGILE_MOST.celsius(), 0)));
        }
        if (method.isInLight()) {
            advice.add("light costs a fifth of its life; a paper sleeve keeps the sun's warmth without it");
        }
        if (situation.use() == Use.FOOD && !situation.wettest().isDried()) {
            advice.add("food: off when the sizzle stops, cooled at once, into the refrigerator within two hours");
        } else if (situation.wettest() == Moisture.WILTED) {
            advice.add("wilted herb: under cloth, looked at daily, settled and decanted");
        } else if (situation.wettest() == Moisture.FRESH) {
            advice.add(
                    method.is(Method.SUN_WINDOW)
                            ? "fresh in the sun under cloth: an old way and an advanced choice"
                            : "under cloth until no bubbles rise and the herb is crisp; settle a day, decant");
        }
        if (method.is(Method.SPIRIT_FIRST)) {
            advice.add("no flame, no gas hob, no closed oven: its vapour burns. Open the window");
            situation
                    .spirit()
                    .filter(strength -> !strength.isWatery() && strength.percent() < Refusals.GOOD_SPIRIT)
                    .ifPresent(strength -> advice.add("spirit of 75 % or more brings less water"));
            situation
                    .spirit()
                    .filter(strength -> strength.isWatery())
                    .ifPresent(strength ->
                            advice.add("%s %% spirit brings much water: finish it warm and open, then settle and decant"
                                    .formatted(Decimals.upTo(strength.percent(), 1))));
        }
        kit(method, situation).ifPresent(advice::add);
        return advice;
    }

    /** Tells whether a way may pass what a fragile oil bears before it is spoken of: its ceiling counts, not its band alone. */
    static boolean reachesTooMuch(Method method) {
        return method.stages().stream()
                .filter(Stage::isHeated)
                .anyMatch(stage -> stage.ceiling().orElse(stage.band().high()).compareTo(FRAGILE_MOST) > 0);
    }

    /** What the household's kit says of it; nothing where none is listed. */
    private static Optional<String> kit(Method method, Situation situation) {
        Set<Source> sources = method.sources();
        Set<Source> kit = situation.means().kit();
        if (kit.isEmpty() || sources.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(sources.stream()
                .filter(kit::contains)
                .findFirst()
                .map(source -> "%s is in your kit".formatted(source.word()))
                .orElseGet(() -> "it wants %s, and none is in your kit"
                        .formatted(sources.stream().map(Source::word).collect(Collectors.joining(" or ")))));
    }

    private static List<String> chemistry(Method method, Situation situation) {
        List<String> advice = new ArrayList<>();
        if (situation.isResinous()) {
            advice.add(situation.named(Ingredient::isResinous)
                    + (method.isHeated()
                            ? " resinous: heat suits it"
                            : " resinous: heat draws more from it than a cold jar"));
        }
        if (situation.is("aromatic")) {
            advice.add(situation.named("aromatic")
                    + (method.isHeated()
                            ? " aromatic: heat drives scent off; stay at the low end"
                            : " aromatic: cold keeps its scent"));
        }
        if (situation.is("poor-in-oil")) {
            advice.add(situation.named("poor-in-oil")
                    + " of the kind that gives oil little: what it is used for stays in the herb");
        }
        return advice;
    }
}
