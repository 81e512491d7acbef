package app.velvetcrock.core.method;

import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.HerbKind;
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

    public Fitness {
        refusals = List.copyOf(refusals);
        advice = List.copyOf(advice);
    }

    /** A fact with its value, and the smallest change that would allow the method. */
    public record Reason(String fact, String change) {}

    public boolean isAllowed() {
        return refusals.isEmpty();
    }

    public static Fitness of(Method method, HerbKind herb, Moisture moisture, CarrierKind carrier, Temperature pantry) {
        List<Reason> refusals = new ArrayList<>();
        if (!moisture.isDried()) {
            refusals.add(new Reason("%s is %s, and water under a closed lid spoils the oil".formatted(herb.common(), moisture.word()),
                    "dry it first: stems snap, petals are brittle"));
        }
        Temperature coldest = method.isHeated() ? method.first().band().low() : pantry;
        carrier.melting().filter(melting -> coldest.compareTo(melting) < 0).ifPresent(melting -> refusals.add(new Reason(
                "%s is solid below %s °C and %s is %s °C".formatted(carrier.common(), whole(melting),
                        method.isHeated() ? "the least heat" : "the pantry", whole(coldest)),
                method.isHeated() ? "use an oil that is liquid there" : "use an oil that is liquid there, or warm it slowly")));
        if (!method.isHeated() && herb.traits().contains("hard-resin")) {
            refusals.add(new Reason("%s is hard resin, which cold oil hardly takes up".formatted(herb.common()), "warm it slowly"));
        }
        return new Fitness(refusals, advice(method, herb, carrier));
    }

    private static List<String> advice(Method method, HerbKind herb, CarrierKind carrier) {
        List<String> advice = new ArrayList<>();
        if (herb.traits().contains("resinous")) {
            advice.add(method.isHeated()
                    ? "%s is resinous: heat suits it".formatted(herb.common())
                    : "%s is resinous: heat draws more from it than a cold jar".formatted(herb.common()));
        }
        if (herb.traits().contains("aromatic")) {
            advice.add(method.isHeated()
                    ? "%s is aromatic: heat drives its scent off; stay at the low end".formatted(herb.common())
                    : "%s is aromatic: cold keeps its scent".formatted(herb.common()));
        }
        if (herb.traits().contains("poor-in-oil")) {
            advice.add("%s gives oil little: what it is used for stays in the herb".formatted(herb.common()));
        }
        if (method.isHeated() && carrier.traits().contains("fragile") && method.first().band().high().compareTo(FRAGILE_MOST) > 0) {
            advice.add("%s is fragile: keep it under %s °C".formatted(carrier.common(), whole(FRAGILE_MOST)));
        }
        return advice;
    }

    private static String whole(Temperature temperature) {
        return Decimals.upTo(temperature.celsius(), 0);
    }
}
