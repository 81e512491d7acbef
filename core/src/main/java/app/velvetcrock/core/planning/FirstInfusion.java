package app.velvetcrock.core.planning;

import app.velvetcrock.core.caution.Bearing;
import app.velvetcrock.core.caution.Cautions;
import app.velvetcrock.core.keeping.Treatment;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * What an oil brings along from being infused once, for a second herb in it (craft: methods, double infusion).
 *
 * @param name what it was, such as "Yarrow in rapeseed, batch 7"
 * @param gramsPerMillilitre herb of the first infusion to each mL of the oil it gave
 * @param moisture the wettest herb it has had
 * @param hot true when it was heated to 70 °C or more
 * @param traits what cautions hang on, of its herbs
 */
public record FirstInfusion(
        String name, double gramsPerMillilitre, Moisture moisture, boolean hot, Set<String> traits) {

    public FirstInfusion {
        traits = Set.copyOf(traits);
    }

    /**
     * What an oil carries of the herb it was made of: what that herb was to each millilitre that came out, on top of what it
     * carried before.
     */
    public static FirstInfusion of(String name, PlanRequest made, Mass herb, Volume out) {
        Optional<FirstInfusion> before = made.carrier().first();
        Set<String> traits = new TreeSet<>(before.map(FirstInfusion::traits).orElse(Set.of()));
        boolean edible =
                before.map(one -> one.traits().contains(Cautions.EDIBLE)).orElse(true)
                        && made.herbs().stream().allMatch(one -> Bearing.herb(
                                        one.kind(), one.texture().part(), one.moisture())
                                .contains(Cautions.EDIBLE));
        made.herbs().forEach(one -> traits.addAll(one.kind().traits()));
        if (!edible) {
            traits.remove(Cautions.EDIBLE);
        }
        boolean hot = made.circumstances().method().hottest().high().compareTo(Treatment.HOT) >= 0
                || before.filter(FirstInfusion::hot).isPresent();
        return new FirstInfusion(
                name,
                before.map(FirstInfusion::gramsPerMillilitre).orElse(0.0)
                        + herb.grams() / Math.max(1, out.millilitres()),
                made.wettest(),
                hot,
                traits);
    }
}
