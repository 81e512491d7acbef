package app.velvetcrock.core.planning;

import app.velvetcrock.core.materia.Moisture;
import java.util.Set;

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
}
