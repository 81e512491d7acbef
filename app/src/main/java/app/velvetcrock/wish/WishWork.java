package app.velvetcrock.wish;

import app.velvetcrock.catalogue.Catalogue;
import app.velvetcrock.core.bench.ChargePlanner;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.planning.Planner;
import app.velvetcrock.core.wish.Kitchen;
import app.velvetcrock.core.wish.WishAnswer;
import app.velvetcrock.core.wish.WishPlanner;
import app.velvetcrock.recipes.RecipeBox;
import app.velvetcrock.sentence.WishForm;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.Fields;
import java.time.Clock;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Works the household's wish out, of what it has stored. */
@Component
class WishWork {

    private final WishKitchens kitchens;
    private final RecipeBox box;
    private final Catalogue catalogue;
    private final Materia materia;
    private final Households households;
    private final WishPlanner planner;
    private final Clock clock;

    WishWork(
            WishKitchens kitchens,
            RecipeBox box,
            Catalogue catalogue,
            Materia materia,
            Households households,
            Planner planner,
            Clock clock) {
        this.kitchens = kitchens;
        this.box = box;
        this.catalogue = catalogue;
        this.materia = materia;
        this.households = households;
        this.planner = new WishPlanner(planner, materia);
        this.clock = clock;
    }

    /** The sentence as it stands, and what it comes to. */
    record Worked(WishForm form, House house, Fields fields, Optional<WishAnswer> answer) {}

    Worked of(WishForm typed) {
        House house = households.current();
        Fields fields = new Fields(house.reader());
        Kitchen kitchen = kitchens.of(house, clock.instant());
        WishForm form = typed.isEmpty() ? ofWhatIsHere(kitchen, house) : typed;
        return new Worked(
                form,
                house,
                fields,
                new WishReading(
                                new WishReading.Words(box.things(), materia, catalogue.carriers()),
                                house,
                                kitchen,
                                fields,
                                planner.mixes().kinds())
                        .read(form)
                        .flatMap(wish -> planner.answer(wish, kitchen, fields)));
    }

    /** Before anything is said: the first herb that is here, a jar of it, in the first oil. */
    private static WishForm ofWhatIsHere(Kitchen kitchen, House house) {
        WishForm usual = WishForm.example("");
        WishForm herb = kitchen.bench().herbs().stream()
                .findFirst()
                .map(lot -> usual.with(
                                "amount",
                                house.mass(
                                        lot.left().compareTo(ChargePlanner.USUAL) < 0
                                                ? lot.left()
                                                : ChargePlanner.USUAL))
                        .with("herb", lot.kind().common())
                        .with("state", lot.moisture().name())
                        .with("cut", lot.texture().cut().name()))
                .orElse(usual);
        return kitchen.bench().carriers().stream()
                .findFirst()
                .map(bottle -> herb.with("oil", bottle.kind().common()))
                .orElse(herb);
    }
}
