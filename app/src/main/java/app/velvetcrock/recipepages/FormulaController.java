package app.velvetcrock.recipepages;

import app.velvetcrock.bench.BenchForm;
import app.velvetcrock.core.kitchen.Expect;
import app.velvetcrock.core.kitchen.KnownDensity;
import app.velvetcrock.core.making.Filling;
import app.velvetcrock.core.making.Setting;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.melt.PanShelves;
import app.velvetcrock.core.melt.PanThing;
import app.velvetcrock.core.pan.FormulaRecipe;
import app.velvetcrock.pan.PanDesk;
import app.velvetcrock.pan.PanForm;
import app.velvetcrock.pan.PanStock;
import app.velvetcrock.recipes.KeptFormulas;
import app.velvetcrock.recipes.RecipeFile;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Refused;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** Recipes of things made: kept from the Pan, weighed out for so much, compared, given away, made again. */
@Controller
class FormulaController {

    private static final String RECIPES = "/pan/recipes/";
    private static final Density OIL = Density.ofGramsPerMillilitre(0.917);
    private static final Mass USUAL = Mass.ofGrams(100);
    private static final int MOST_PIECES = 10_000;
    private static final double MOST_GRAMS = 20_000;

    private final KeptFormulas formulas;
    private final RecipeFile file;
    private final PanDesk desk;
    private final PanStock stock;
    private final Households households;
    private final Clock clock;

    FormulaController(
            KeptFormulas formulas, RecipeFile file, PanDesk desk, PanStock stock, Households households, Clock clock) {
        this.formulas = formulas;
        this.file = file;
        this.desk = desk;
        this.stock = stock;
        this.households = households;
        this.clock = clock;
    }

    /** How it is looked at: so many grams, for so much oil, or so many containers; and beside which other. */
    record Look(
            @Nullable String grams,
            @Nullable String oil,
            @Nullable String count,
            @Nullable String into,
            @Nullable String with) {}

    /** Keeps what stands in the Pan. */
    @PostMapping("/pan/recipes")
    String keep(PanForm form, Reply reply) {
        House house = households.current();
        return reply.tap("/pan", () -> {
            PanDesk.Titled planned = desk.titled(form, house.dayOf(clock.instant()))
                    .orElseThrow(() -> new Refused("Nothing is worked out yet, so nothing was kept."));
            if (planned.plan().weighed().stream()
                    .anyMatch(one -> one.lot().filter(PanThing.TO_COME::equals).isPresent())) {
                throw new Refused("Its oil is still to come: keep it as a recipe once its jar is strained.");
            }
            UUID id = formulas.keep(planned.title(), planned.plan());
            return new Done(RECIPES + id, "“%s” is kept.".formatted(planned.title()), RECIPES + id + "/undo");
        });
    }

    @GetMapping("/pan/recipes/{id}")
    String one(@PathVariable UUID id, Look look, Model model) {
        House house = households.current();
        Fields fields = new Fields(house.reader());
        FormulaRecipe recipe = formulas.find(id).recipe();
        PanShelves shelves = stock.shelves(house, house.dayOf(clock.instant()));
        FormulaSheet sheet = new FormulaSheet(id, recipe, melt(recipe, look, shelves, fields), house);
        boolean counted = !BenchForm.isBlank(look.count()) && fields.isClear();
        Optional<KeptFormulas.Kept> other = BenchForm.id(look.with()).map(formulas::find);
        model.addAttribute("sheet", sheet);
        model.addAttribute("look", look);
        model.addAttribute("fields", fields);
        model.addAttribute("whole", house.mass(sheet.melt()));
        model.addAttribute("tins", shelves.containers());
        model.addAttribute(
                "pan",
                sheet.pan(
                        shelves, counted ? PanForm.text(look.count()) : "", counted ? PanForm.text(look.into()) : ""));
        model.addAttribute(
                "others",
                formulas.all().stream()
                        .filter(kept -> !kept.id().equals(id))
                        .map(kept -> new Fields.Option(
                                kept.id().toString(), kept.recipe().title()))
                        .toList());
        model.addAttribute(
                "beside",
                other.map(kept -> new FormulaSheet(kept.id(), kept.recipe(), USUAL, house))
                        .orElse(null));
        model.addAttribute(
                "differences",
                other.map(kept -> recipe.differences(kept.recipe())).orElse(List.of()));
        return "recipepages/formula";
    }

    /** So much is melted: as it was said, else a hundred grams. */
    private Mass melt(FormulaRecipe recipe, Look look, PanShelves shelves, Fields fields) {
        if (!BenchForm.isBlank(look.count())) {
            Optional<Integer> count = fields.whole("count", look.count(), 1, MOST_PIECES, "containers");
            Optional<PanShelves.Tin> tin = shelves.containers().stream()
                    .filter(one -> one.name().equals(look.into()))
                    .findFirst();
            if (tin.isEmpty()) {
                fields.trouble("into", "It is not said of which.", "a container from the list");
            }
            return count.flatMap(many -> tin.map(one -> sensible(
                            Filling.wanted(
                                    many,
                                    one.container(),
                                    Filling.shrinkage(recipe.melt(
                                            USUAL,
                                            Setting.shipped(),
                                            households.current().settings().room())),
                                    FormulaSheet.isWhipped(recipe)),
                            "count",
                            fields)))
                    .orElse(USUAL);
        }
        if (!BenchForm.isBlank(look.oil())) {
            return fields.massOf("oil", look.oil(), Expect.LIQUID, KnownDensity.ofOil(OIL))
                    .flatMap(read -> recipe.meltFor(read.mass()))
                    .map(mass -> sensible(mass, "oil", fields))
                    .orElse(USUAL);
        }
        return BenchForm.isBlank(look.grams())
                ? USUAL
                : fields.mass("grams", look.grams(), 1, MOST_GRAMS).orElse(USUAL);
    }

    private static Mass sensible(Mass mass, String field, Fields fields) {
        if (mass.grams() <= 0 || mass.grams() > MOST_GRAMS) {
            fields.trouble(field, "That is nothing, or more than any kitchen melts: 20 kg.", "less, or more");
            return USUAL;
        }
        return mass;
    }

    @GetMapping("/pan/recipes/{id}/json")
    ResponseEntity<String> json(@PathVariable UUID id) {
        return ResponseEntity.ok()
                .contentType(new MediaType(MediaType.APPLICATION_JSON, StandardCharsets.UTF_8))
                .header(
                        "Content-Disposition",
                        ContentDisposition.attachment()
                                .filename("making-recipe.json")
                                .build()
                                .toString())
                .body(file.write(formulas.find(id).recipe()));
    }

    @PostMapping("/pan/recipes/{id}/undo")
    String remove(@PathVariable UUID id, @Nullable String back, Reply reply) {
        boolean removed = back == null;
        return reply.tap("/bench/recipes", () -> {
            formulas.remove(id, removed);
            return removed
                    ? new Done("/bench/recipes", "That recipe is put away.", RECIPES + "%s/undo?back=yes".formatted(id))
                    : new Done(RECIPES + id, "It is back.");
        });
    }
}
