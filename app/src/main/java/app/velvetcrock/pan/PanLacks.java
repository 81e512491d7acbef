package app.velvetcrock.pan;

import app.velvetcrock.core.making.Filling;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.stillroom.House;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/** What of a plan is not in the stores, as it is said and as it is bought. */
final class PanLacks {

    private PanLacks() {}

    static List<PanPlanner.Missing> of(
            PanReading.Read read, Optional<Filling> filling, PanStock.Shelves shelves, House house) {
        Map<String, PanThing> byKey = PanPlanner.things(read);
        List<PanPlanner.Missing> missing = new ArrayList<>();
        read.melt().formula().parts().forEach(part -> {
            PanThing thing = Objects.requireNonNull(byKey.get(part.stuff().key()));
            Mass left =
                    shelves.lots(thing.lot(), thing.key()).map(PanThing::left).reduce(Mass.ZERO, Mass::plus);
            lacks(thing, left, part.mass(), house).ifPresent(missing::add);
        });
        read.stirred().forEach(one -> lacks(
                        one.thing(), one.thing().left(), one.addition().mass(), house)
                .ifPresent(missing::add));
        read.tin().ifPresent(tin -> {
            int wanted =
                    read.count().orElseGet(() -> filling.map(Filling::count).orElse(0));
            if (wanted > tin.left()) {
                missing.add(new PanPlanner.Missing(
                        "%d more of %s: %d are here"
                                .formatted(wanted - tin.left(), tin.container().name(), tin.left()),
                        false,
                        "%d × %s".formatted(wanted - tin.left(), tin.container().name())));
            }
        });
        return missing;
    }

    private static Optional<PanPlanner.Missing> lacks(PanThing thing, Mass left, Mass wanted, House house) {
        String name = thing.common().toLowerCase(Locale.ROOT);
        if (!thing.isHere()) {
            return Optional.of(new PanPlanner.Missing(
                    "%s of %s".formatted(house.mass(wanted), thing.common()), false, bought(wanted, name, house)));
        }
        // What is shown rounded and typed back is all there is.
        double more = wanted.grams() - left.grams();
        return more <= 0.0005
                ? Optional.empty()
                : Optional.of(new PanPlanner.Missing(
                        "%s more of %s: %s is here"
                                .formatted(house.mass(Mass.ofGrams(more)), thing.common(), house.mass(left)),
                        true,
                        bought(Mass.ofGrams(more), name, house)));
    }

    private static String bought(Mass mass, String name, House house) {
        return "%s of %s"
                .formatted(house.mass(mass.grams() < 1 ? mass : Mass.ofGrams(Math.ceil(mass.grams() - 1e-6))), name);
    }
}
