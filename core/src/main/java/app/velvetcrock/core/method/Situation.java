package app.velvetcrock.core.method;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.spirit.Strength;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/**
 * What a method is chosen for.
 *
 * @param herbs one, or several of a blend
 */
public record Situation(List<Ingredient> herbs, CarrierKind carrier, Use use, Means means) {

    public Situation {
        herbs = List.copyOf(herbs);
        if (herbs.isEmpty()) {
            throw new IllegalArgumentException("a method is chosen for no herb; it needs at least one");
        }
    }

    Temperature pantry() {
        return means.pantry();
    }

    Optional<Strength> spirit() {
        return means.spirit();
    }

    /** The wettest of its herbs decides. */
    Moisture wettest() {
        return herbs.stream().map(Ingredient::moisture).max(Moisture::compareTo).orElseThrow();
    }

    /** The same with every herb in one state. */
    Situation all(Moisture other) {
        return new Situation(herbs.stream().map(herb -> herb.in(other)).toList(), carrier, use, means);
    }

    /** The same with herbs in one state taken in another. */
    Situation taken(Moisture from, Moisture to) {
        return new Situation(
                herbs.stream()
                        .map(herb -> herb.moisture() == from ? herb.in(to) : herb)
                        .toList(),
                carrier,
                use,
                means);
    }

    Situation with(CarrierKind other) {
        return new Situation(herbs, other, use, means);
    }

    Situation inPantry(Temperature other) {
        return new Situation(herbs, carrier, use, means.at(other));
    }

    Situation with(Strength other) {
        return new Situation(herbs, carrier, use, means.with(other));
    }

    /** The same with an oil that pours everywhere. */
    Situation withLiquidOil() {
        return with(new CarrierKind(
                carrier.key(),
                carrier.common(),
                carrier.density(),
                carrier.densityIsEstimate(),
                carrier.monthsOpened(),
                Optional.empty(),
                carrier.tint(),
                carrier.traits()));
    }

    /** The same with an oil that bears heat. */
    Situation withSturdyOil() {
        Set<String> traits = new TreeSet<>(carrier.traits());
        traits.remove("fragile");
        return with(carrier.withTraits(traits));
    }

    /** The same with an oil that had no moist herb in it before. */
    Situation withPlainOil() {
        Set<String> traits = new TreeSet<>(carrier.traits());
        traits.remove(CarrierKind.MOIST_BEFORE);
        return with(carrier.withTraits(traits));
    }

    /** Tells whether any of its herbs has a trait. */
    boolean is(String trait) {
        return herbs.stream().anyMatch(herb -> herb.kind().traits().contains(trait));
    }

    boolean isResinous() {
        return herbs.stream().anyMatch(Ingredient::isResinous);
    }

    boolean hasHardResin() {
        return herbs.stream().anyMatch(Ingredient::isHardResin);
    }

    boolean isFragile() {
        return carrier.traits().contains("fragile");
    }

    /** Names those of its herbs that a sentence is about, with its verb: "Yarrow is", "Yarrow and nettle are". */
    String named(Predicate<Ingredient> which) {
        List<String> names = herbs.stream()
                .filter(which)
                .map(herb -> herb.kind().common())
                .distinct()
                .toList();
        return names.size() == 1
                ? names.get(0) + " is"
                : names.stream().limit(names.size() - 1L).collect(Collectors.joining(", ")) + " and "
                        + names.get(names.size() - 1) + " are";
    }

    String named(String trait) {
        return named(herb -> herb.kind().traits().contains(trait));
    }
}
