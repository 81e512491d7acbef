package app.velvetcrock.core.method;

import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Temperature;
import java.util.ArrayList;
import java.util.List;

/**
 * Whether Cold and dark suits a herb in a carrier, with the fact and what would change it.
 *
 * @param refusals why it cannot be done; empty when it can
 * @param advice what to know though it can
 */
public record Fitness(List<Reason> refusals, List<String> advice) {

    public Fitness {
        refusals = List.copyOf(refusals);
        advice = List.copyOf(advice);
    }

    /** A fact with its value, and the smallest change that would allow the method. */
    public record Reason(String fact, String change) {}

    public static Fitness ofCold(HerbKind herb, Moisture moisture, CarrierKind carrier, Temperature pantry) {
        List<Reason> refusals = new ArrayList<>();
        List<String> advice = new ArrayList<>();
        if (!moisture.isDried()) {
            refusals.add(new Reason("%s is %s, and water under a closed lid spoils a cold jar".formatted(herb.common(), moisture.word()),
                    "dry it first: stems snap, petals are brittle"));
        }
        carrier.melting().filter(melting -> pantry.compareTo(melting) < 0).ifPresent(melting -> refusals.add(new Reason(
                "%s is solid below %s °C and the pantry is %s °C"
                        .formatted(carrier.common(), Decimals.upTo(melting.celsius(), 0), Decimals.upTo(pantry.celsius(), 0)),
                "use an oil that is liquid there")));
        if (herb.traits().contains("resinous")) {
            advice.add("%s is resinous: heat draws more from it than a cold jar".formatted(herb.common()));
        }
        if (herb.traits().contains("aromatic")) {
            advice.add("%s is aromatic: cold keeps its scent".formatted(herb.common()));
        }
        return new Fitness(refusals, advice);
    }
}
