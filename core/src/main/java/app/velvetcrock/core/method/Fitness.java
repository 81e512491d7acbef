package app.velvetcrock.core.method;

import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Temperature;
import java.util.ArrayList;
import java.util.List;

/**
 * Whether a method suits a herb in a carrier, with the fact and what would change it.
 *
 * @param refusals why it cannot be done; empty when it can
 * @param advice what to know though it can
 */
public record Fitness(List<Reason> refusals, List<String> advice) {

    /** Fragile oils are not taken above this (craft: choosing). */
    private static final Temperature FRAGILE_MOST = Temperature.ofCelsius(50);

    /** Under this a spirit calls for an open warm finish and settling. */
    private static final double WATERY_SPIRIT = 60;

    public Fitness {
        refusals = List.copyOf(refusals);
        advice = List.copyOf(advice);
    }

    /** A fact with its value, and the smallest change that would allow the method. */
    public record Reason(String fact, String change) {}

    public boolean isAllowed() {
        return refusals.isEmpty();
    }

    public static Fitness of(Method method, Situation situation) {
        return new Fitness(Refusals.of(method, situation).stream().map(refusal -> new Reason(refusal.fact(), refusal.change())).toList(), advice(method, situation));
    }

    private static List<String> advice(Method method, Situation situation) {
        List<String> advice = new ArrayList<>(chemistry(method, situation));
        if (method.isHeated() && situation.isFragile() && method.hottest().high().compareTo(FRAGILE_MOST) > 0) {
            advice.add("%s is fragile: keep it under %s °C".formatted(situation.carrier().common(), Decimals.upTo(FRAGILE_MOST.celsius(), 0)));
        }
        if (method.isInLight()) {
            advice.add("light costs a fifth of its life; a paper sleeve keeps the sun's warmth without it");
        }
        if (situation.moisture() == Moisture.WILTED) {
            advice.add("wilted herb: under cloth, looked at daily, settled and decanted");
        } else if (situation.moisture() == Moisture.FRESH) {
            advice.add(method.equals(Method.SUN_WINDOW) ? "fresh in the sun under cloth: an old way and an advanced choice" : "under cloth until no bubbles rise and the herb is crisp; settle a day, decant");
        }
        if (method.equals(Method.SPIRIT_FIRST)) {
            advice.add("no flame, no gas hob, no closed oven: its vapour burns. Open the window");
            situation.spirit().filter(strength -> strength.percent() < WATERY_SPIRIT).ifPresent(strength ->
                    advice.add("%s %% spirit brings much water: finish it warm and open, then settle and decant".formatted(Decimals.upTo(strength.percent(), 0))));
        }
        return advice;
    }

    private static List<String> chemistry(Method method, Situation situation) {
        List<String> advice = new ArrayList<>();
        String herb = situation.herb().common();
        if (situation.is("resinous")) {
            advice.add(method.isHeated() ? "%s is resinous: heat suits it".formatted(herb) : "%s is resinous: heat draws more from it than a cold jar".formatted(herb));
        }
        if (situation.is("aromatic")) {
            advice.add(method.isHeated() ? "%s is aromatic: heat drives its scent off; stay at the low end".formatted(herb) : "%s is aromatic: cold keeps its scent".formatted(herb));
        }
        if (situation.is("poor-in-oil")) {
            advice.add("%s gives oil little: what it is used for stays in the herb".formatted(herb));
        }
        return advice;
    }
}
