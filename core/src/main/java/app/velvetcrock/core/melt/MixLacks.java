package app.velvetcrock.core.melt;

import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.making.Filling;
import app.velvetcrock.core.measure.Mass;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/** What of a plan is not in the stores, as it is said and as it is bought. */
final class MixLacks {

    private MixLacks() {}

    static List<MixPlan.Missing> of(Mix read, Optional<Filling> filling, PanShelves shelves, Wording say) {
        Map<String, PanThing> byKey = read.things();
        List<MixPlan.Missing> missing = new ArrayList<>();
        read.melt().formula().parts().forEach(part -> {
            PanThing thing = Objects.requireNonNull(byKey.get(part.stuff().key()));
            Mass left =
                    shelves.lots(thing.lot(), thing.key()).map(PanThing::left).reduce(Mass.ZERO, Mass::plus);
            lacks(thing, left, part.mass(), say).ifPresent(missing::add);
        });
        read.stirred().forEach(one -> lacks(
                        one.thing(), one.thing().left(), one.addition().mass(), say)
                .ifPresent(missing::add));
        read.tin().ifPresent(tin -> {
            int wanted =
                    read.count().orElseGet(() -> filling.map(Filling::count).orElse(0));
            if (wanted > tin.left()) {
                missing.add(new MixPlan.Missing(
                        "%d more of %s: %d are here"
                                .formatted(wanted - tin.left(), tin.container().name(), tin.left()),
                        false,
                        "%d × %s".formatted(wanted - tin.left(), tin.container().name())));
            }
        });
        return missing;
    }

    private static Optional<MixPlan.Missing> lacks(PanThing thing, Mass left, Mass wanted, Wording say) {
        String name = thing.common().toLowerCase(Locale.ROOT);
        if (!thing.isHere()) {
            return Optional.of(new MixPlan.Missing(
                    "%s of %s".formatted(say.mass(wanted), thing.common()), false, bought(wanted, name, say)));
        }
        // What is shown rounded and typed back is all there is.
        double more = wanted.grams() - left.grams();
        return more <= 0.0005
                ? Optional.empty()
                : Optional.of(new MixPlan.Missing(
                        "%s more of %s: %s is here"
                                .formatted(say.mass(Mass.ofGrams(more)), thing.common(), say.mass(left)),
                        true,
                        bought(Mass.ofGrams(more), name, say)));
    }

    private static String bought(Mass mass, String name, Wording say) {
        return "%s of %s"
                .formatted(say.mass(mass.grams() < 1 ? mass : Mass.ofGrams(Math.ceil(mass.grams() - 1e-6))), name);
    }
}
