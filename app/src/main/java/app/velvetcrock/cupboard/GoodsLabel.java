package app.velvetcrock.cupboard;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.catalogue.Catalogue;
import app.velvetcrock.core.label.Inci;
import app.velvetcrock.core.label.Ingredients;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.SupplyKind;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.pan.MakingCourse;
import app.velvetcrock.core.planning.PlannedHerb;
import app.velvetcrock.stock.Oils;
import app.velvetcrock.stock.kinship.Makers;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What is in a made thing, for its label: an infused oil is written as its carriers and then its herbs. */
@Component
class GoodsLabel {

    static final String INFUSED = "infused:";

    private final Oils oils;
    private final Batches batches;
    private final Catalogue catalogue;
    private final Materia materia;
    private final Makers makers;
    private final Inci inci = Inci.shipped();

    GoodsLabel(Oils oils, Batches batches, Catalogue catalogue, Materia materia, Makers makers) {
        this.oils = oils;
        this.batches = batches;
        this.catalogue = catalogue;
        this.materia = materia;
        this.makers = makers;
    }

    /** The ingredients of a making, as it was made: with what went in since, without what was left out. */
    List<Ingredients.One> of(MakingCourse course) {
        List<Ingredients.One> all = new ArrayList<>();
        for (Formula.Part part : course.formula().parts()) {
            String key = part.stuff().key();
            if (key.startsWith(INFUSED)) {
                infused(UUID.fromString(key.substring(INFUSED.length())), part.mass(), all);
            } else {
                all.add(one(key, part.stuff().name(), part.mass(), List.of(), Set.of()));
            }
        }
        course.stirred()
                .forEach(one -> all.add(one(
                        one.addition().key(),
                        one.addition().name(),
                        one.addition().mass(),
                        List.of(),
                        Set.of())));
        return all;
    }

    /** The batches whose oils are in it. */
    Set<UUID> oils(MakingCourse course) {
        return course.formula().parts().stream()
                .map(part -> part.stuff().key())
                .filter(key -> key.startsWith(INFUSED))
                .map(key -> oils.leftOf(UUID.fromString(key.substring(INFUSED.length())))
                        .batch())
                .collect(Collectors.toSet());
    }

    /**
     * What the makers of what was stirred in declare: linalool, limonene and the like. What was melted again does not know its bottle any
     * more; then all count that are of its kind.
     */
    List<String> declared(MakingCourse course) {
        List<UUID> lots =
                course.stirred().stream().flatMap(one -> one.lot().stream()).toList();
        List<String> kinds = course.stirred().stream()
                .filter(one -> one.lot().isEmpty())
                .map(one -> one.addition().key())
                .toList();
        return makers.declared().stream()
                .filter(one -> lots.contains(one.lot()) || kinds.contains(one.kind()))
                .map(Makers.Declared::words)
                .distinct()
                .sorted()
                .toList();
    }

    private void infused(UUID lot, Mass mass, List<Ingredients.One> all) {
        BatchSheet batch = batches.sheet(oils.leftOf(lot).batch());
        Set<String> traits = new HashSet<>();
        List<String> herbs = new ArrayList<>();
        for (PlannedHerb herb : batch.plan().request().herbs()) {
            traits.addAll(herb.kind().traits());
            herbs.add(herb.kind().botanical() + " extract");
        }
        batch.plan().request().carriers().parts().forEach(part -> {
            CarrierKind kind = part.carrier().kind();
            all.add(one(kind.key(), kind.common(), mass.times(part.share()), herbs, traits));
        });
    }

    private Ingredients.One one(String key, String name, Mass mass, List<String> herbs, Set<String> more) {
        Set<String> traits = new HashSet<>(more);
        Optional<CarrierKind> carrier = catalogue.carriers().stream()
                .filter(kind -> kind.key().equals(key))
                .findFirst();
        Optional<SupplyKind> supply = materia.supply(key);
        carrier.ifPresent(kind -> traits.addAll(kind.traits()));
        supply.ifPresent(kind -> traits.addAll(kind.traits()));
        return new Ingredients.One(inci.of(key).orElse(name), name.toLowerCase(Locale.ROOT), mass, herbs, traits);
    }
}
