package app.velvetcrock.pan;

import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.melt.PanShelves;
import app.velvetcrock.core.melt.PanThing;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/** The rows of the Pan's sentence that say again what was stirred in before. */
public final class PanRows {

    private PanRows() {}

    /** So much of something to stir in, from a lot where that is here, else from another of its kind. */
    public record Stirring(String key, Optional<UUID> lot, Mass mass, boolean counted) {}

    /** Rows that stir it in by weight, each thing once; what was counted in the drops of the bottle that is here today. */
    public static List<PanForm.Row> stirred(PanShelves shelves, List<Stirring> all) {
        Map<String, PanForm.Row> rows = new LinkedHashMap<>();
        Map<String, Mass> sums = new HashMap<>();
        for (Stirring one : all) {
            Optional<PanThing> thing = one.lot()
                    .flatMap(lot -> shelves.addition(lot.toString()))
                    .or(() -> shelves.addition(PanThing.KIND + one.key()));
            String name = thing.map(PanThing::name).orElse(PanThing.KIND + one.key());
            Mass mass = sums.merge(name, one.mass(), Mass::plus);
            rows.put(
                    name,
                    new PanForm.Row(
                            name,
                            thing.filter(bottle -> one.counted())
                                    .map(bottle -> bottle.drops(mass))
                                    .filter(drops -> Math.round(drops.count()) > 0)
                                    .map(drops -> Decimals.upTo(drops.count(), 0) + " drops")
                                    .orElse(Decimals.upTo(mass.grams(), 2) + " g")));
        }
        return List.copyOf(rows.values());
    }
}
