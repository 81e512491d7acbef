package app.velvetcrock.wish;

import app.velvetcrock.bench.BenchForm;
import app.velvetcrock.catalogue.Catalogue;
import app.velvetcrock.core.bench.Planned;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.planning.Planner;
import app.velvetcrock.core.wish.Kitchen;
import app.velvetcrock.core.wish.WishAnswer;
import app.velvetcrock.core.wish.WishPlanner;
import app.velvetcrock.recipes.RecipeBox;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.Fields;
import java.time.Clock;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** The household's wish: one sentence from what is there to what is wanted, and the two halves of its answer. */
@Controller
class WishController {

    static final String PLACE = "/wish";

    private final WishKitchens kitchens;
    private final RecipeBox box;
    private final Catalogue catalogue;
    private final Materia materia;
    private final Households households;
    private final WishPlanner planner;
    private final Clock clock;

    WishController(
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

    @GetMapping(PLACE)
    String wish(WishForm typed, Model model) {
        House house = households.current();
        Fields fields = new Fields(house.reader());
        Kitchen kitchen = kitchens.of(house, clock.instant());
        WishForm form = typed.isEmpty() ? WishForm.example("") : typed;
        Optional<WishAnswer> answer = new WishReading(
                        new WishReading.Words(box.things(), materia, catalogue.carriers()),
                        house,
                        kitchen,
                        fields,
                        planner.mixes().kinds())
                .read(form)
                .flatMap(wish -> planner.answer(wish, kitchen, fields));
        WishModel.fill(model, form, fields, PLACE);
        model.addAttribute(
                "answer",
                answer.map(one -> WishPage.of(one, form, PLACE, house)).orElse(null));
        model.addAttribute("bench", answer.map(one -> bench(one, form, house)).orElse(null));
        return "wish/wish";
    }

    /** The Bench's address with all of it filled in; null where its herb or oil is not here. */
    private static @Nullable String bench(WishAnswer answer, WishForm form, House house) {
        Planned plan = answer.bench();
        UUID herb = plan.first().frozen().takes().get(0).lot();
        UUID oil = plan.first().frozen().takes().get(1).lot();
        if (herb.getMostSignificantBits() == 0 || oil.getMostSignificantBits() == 0) {
            return null;
        }
        Use use = answer.wish().use();
        return BenchForm.of(
                        herb.toString(), house.mass(plan.herbInAll()), oil.toString(), house.volume(plan.oilInAll()))
                .by(answer.way().key())
                .kept(
                        use,
                        answer.plan().request().circumstances().pressing(),
                        answer.plan().request().circumstances().storage())
                .neededBy(WishForm.text(form.by()))
                .address();
    }
}
