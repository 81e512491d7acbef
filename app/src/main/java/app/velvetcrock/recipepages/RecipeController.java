package app.velvetcrock.recipepages;

import app.velvetcrock.bench.Bench;
import app.velvetcrock.bench.BenchForm;
import app.velvetcrock.bench.BenchPages;
import app.velvetcrock.bench.BenchStock;
import app.velvetcrock.bench.BenchWork;
import app.velvetcrock.catalogue.Catalogue;
import app.velvetcrock.core.bench.BenchShelves;
import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.pan.FormulaRecipe;
import app.velvetcrock.core.planning.PlanRecipe;
import app.velvetcrock.core.planning.Wanted;
import app.velvetcrock.draw.Strata;
import app.velvetcrock.recipes.KeptFormulas;
import app.velvetcrock.recipes.RecipeBox;
import app.velvetcrock.recipes.RecipeFile;
import app.velvetcrock.recipes.Recipes;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** Recipes: kept, scaled, compared, given away and taken in, made again. */
@Controller
class RecipeController {

    private static final String RECIPES = "/bench/recipes";
    private static final int LONGEST_TITLE = 120;

    /** The colour of what the catalogue does not know. */
    private static final String UNKNOWN = "#b9b0a0";

    private final Recipes recipes;
    private final RecipeFile file;
    private final Bench bench;
    private final BenchPages pages;
    private final BenchStock stock;
    private final Materia materia;
    private final Catalogue catalogue;
    private final RecipeBox box;
    private final KeptFormulas formulas;
    private final Households households;
    private final Clock clock;

    RecipeController(
            Recipes recipes,
            RecipeFile file,
            Bench bench,
            BenchPages pages,
            BenchStock stock,
            Materia materia,
            Catalogue catalogue,
            RecipeBox box,
            KeptFormulas formulas,
            Households households,
            Clock clock) {
        this.recipes = recipes;
        this.file = file;
        this.bench = bench;
        this.pages = pages;
        this.stock = stock;
        this.materia = materia;
        this.catalogue = catalogue;
        this.box = box;
        this.formulas = formulas;
        this.households = households;
        this.clock = clock;
    }

    /** How a recipe is looked at: so many times as much, or for so much herb, and beside which other. */
    record Look(@Nullable String factor, @Nullable String grams, @Nullable String oil, @Nullable String with) {}

    /** A recipe of the list. */
    record Row(UUID id, String title, String way, String herb, String oil, String ratio, Strata strata) {

        static Row of(Recipes.Kept kept, House house, Catalogue catalogue) {
            PlanRecipe recipe = kept.recipe();
            return new Row(
                    kept.id(),
                    recipe.title(),
                    recipe.method().name() + ", " + recipe.time(),
                    house.mass(Mass.ofGrams(recipe.grams())),
                    house.volume(Volume.ofMillilitres(recipe.oilMillilitres())),
                    house.ratio(recipe.ratio()),
                    strata(recipe, catalogue, house));
        }

        /** Its herbs by weight, together one part, and its oils beside them, each in its colour. */
        private static Strata strata(PlanRecipe recipe, Catalogue catalogue, House house) {
            List<Strata.Part> parts = new ArrayList<>();
            recipe.herbs()
                    .forEach(herb -> parts.add(new Strata.Part(
                            herb.grams() / recipe.grams(),
                            catalogue.herb(herb.key()).map(HerbKind::tint).orElse(UNKNOWN))));
            recipe.oils()
                    .forEach(oil -> parts.add(new Strata.Part(
                            recipe.ratio() * oil.share(),
                            catalogue.carrier(oil.key()).map(CarrierKind::tint).orElse(UNKNOWN))));
            return Strata.of(parts, "herb to oil, %s".formatted(house.ratio(recipe.ratio())));
        }
    }

    /** A jar of the stock and how many times the recipe fills it. */
    record ToJar(String name, String factor) {}

    @GetMapping("/bench/recipes")
    String all(Model model) {
        return list(model, "", new Fields(households.current().reader()));
    }

    /** Keeps what stands on the Bench; where it cannot be kept, the sentence stands there as it was. */
    @PostMapping("/bench/recipes")
    String keep(BenchForm form, @Nullable String title, Reply reply) {
        BenchWork work = bench.work(form);
        Fields fields = work.fields();
        reply.model().addAttribute("recipeTitle", title);
        Optional<String> called = fields.words("title", title, LONGEST_TITLE);
        if (work.planned().isEmpty()) {
            fields.trouble("", "The plan is not clear yet; nothing was kept.", "");
        }
        return reply.answer(
                new FormSent("", other(form.key(), "recipe " + title), fields, RECIPES),
                () -> pages.show(reply.model(), work),
                () -> kept(
                        recipes.keep(
                                called.orElseThrow(),
                                work.planned().orElseThrow().plan()),
                        "“%s” is kept.".formatted(called.orElseThrow())));
    }

    /** Keeps a batch to be made again; what was to be changed stands first. */
    @PostMapping("/bench/recipes/from/{batch}")
    String fromBatch(@PathVariable UUID batch, @Nullable UUID key, Reply reply) {
        Fields fields = new Fields(households.current().reader());
        return reply.answer(
                new FormSent("", key, fields, RECIPES),
                () -> list(reply.model(), "", fields),
                () -> kept(recipes.keepBatch(batch), "It is kept as a recipe."));
    }

    /** Takes a recipe in from its file, pasted. */
    @PostMapping("/bench/recipes/import")
    String take(@Nullable String file, @Nullable UUID key, Reply reply) {
        Fields fields = new Fields(households.current().reader());
        String text = file == null ? "" : file.strip();
        if (this.file.isOfMaking(text)) {
            return takeMaking(text, key, fields, reply);
        }
        Optional<PlanRecipe> recipe = read(text, fields, this.file::read);
        return reply.answer(
                new FormSent("", key, fields, RECIPES),
                () -> list(reply.model(), text.length() > RecipeFile.LONGEST ? "" : text, fields),
                () -> kept(
                        recipes.keep(recipe.orElseThrow()),
                        "“%s” is taken in.".formatted(recipe.orElseThrow().title())));
    }

    private String takeMaking(String text, @Nullable UUID key, Fields fields, Reply reply) {
        Optional<FormulaRecipe> recipe = read(text, fields, file::readMaking);
        return reply.answer(
                new FormSent("", key, fields, RECIPES),
                () -> list(reply.model(), text, fields),
                () -> new Done(
                        "/pan/recipes/" + formulas.keep(recipe.orElseThrow()),
                        "“%s” is taken in.".formatted(recipe.orElseThrow().title())));
    }

    private static <R> Optional<R> read(String text, Fields fields, Function<String, R> reader) {
        try {
            return Optional.of(reader.apply(text));
        } catch (RecipeFile.NoRecipeException none) {
            fields.trouble(
                    "file",
                    String.valueOf(none.getMessage()),
                    "the whole of a recipe file, from its first brace to its last");
            return Optional.empty();
        }
    }

    /** A key for what is kept of a form that has one of its own for starting: another for each name. */
    private static UUID other(@Nullable UUID key, String name) {
        return key == null ? UUID.randomUUID() : UUID.nameUUIDFromBytes((name + key).getBytes(StandardCharsets.UTF_8));
    }

    private static Done kept(UUID id, String words) {
        return new Done(RECIPES + "/" + id, words, RECIPES + "/%s/undo".formatted(id));
    }

    @GetMapping("/bench/recipes/{id}")
    String one(@PathVariable UUID id, Look look, Model model) {
        House house = households.current();
        Fields fields = new Fields(house.reader());
        Recipes.Kept kept = recipes.find(id);
        PlanRecipe scaled = scaled(kept.recipe(), look, fields);
        BenchShelves shelves = stock.read(house, house.dayOf(clock.instant()));
        RecipeSheet sheet = new RecipeSheet(id, scaled, house);
        Optional<Recipes.Kept> other = BenchForm.id(look.with()).map(recipes::find);
        model.addAttribute("sheet", sheet);
        model.addAttribute("look", look);
        model.addAttribute("fields", fields);
        double factor = scaled.grams() / kept.recipe().grams();
        model.addAttribute("weighOut", factor == 1.0 ? "To weigh out" : "To weigh out, × %.2f".formatted(factor));
        model.addAttribute(
                "jars",
                shelves.jars().stream()
                        .map(jar -> new ToJar(
                                jar.vessel().name(), Decimals.upTo(kept.recipe().fills(jar.vessel()), 2)))
                        .toList());
        model.addAttribute("missing", String.join(", ", sheet.missing(shelves)));
        model.addAttribute("bench", sheet.bench(shelves));
        model.addAttribute(
                "others",
                recipes.all().stream()
                        .filter(one -> !one.id().equals(id))
                        .map(one -> new Fields.Option(
                                one.id().toString(), one.recipe().title()))
                        .toList());
        model.addAttribute("beside", other.map(one -> one.recipe().title()).orElse(null));
        model.addAttribute(
                "differences",
                other.map(one -> kept.recipe().differences(one.recipe())).orElse(List.of()));
        return "recipepages/kept";
    }

    @GetMapping("/bench/recipes/{id}/json")
    ResponseEntity<String> json(@PathVariable UUID id, Look look) {
        return download(
                file.write(scaled(
                        recipes.find(id).recipe(),
                        look,
                        new Fields(households.current().reader()))),
                MediaType.APPLICATION_JSON,
                "recipe.json");
    }

    @GetMapping("/bench/recipes/{id}/text")
    ResponseEntity<String> text(@PathVariable UUID id, Look look) {
        House house = households.current();
        return download(
                new RecipeSheet(id, scaled(recipes.find(id).recipe(), look, new Fields(house.reader())), house).text(),
                MediaType.TEXT_PLAIN,
                "recipe.txt");
    }

    @PostMapping("/bench/recipes/{id}/undo")
    String remove(@PathVariable UUID id, @Nullable String back, Reply reply) {
        boolean removed = back == null;
        return reply.tap(RECIPES, () -> {
            recipes.remove(id, removed);
            return removed
                    ? new Done(RECIPES, "That recipe is put away.", RECIPES + "/%s/undo?back=yes".formatted(id))
                    : new Done(RECIPES, "It is back.");
        });
    }

    /** So many times as much, for so much herb, or to give so much oil; as it is kept where none is clear. */
    private PlanRecipe scaled(PlanRecipe recipe, Look look, Fields fields) {
        if (!BenchForm.isBlank(look.oil())) {
            return fields.capacity("oil", look.oil(), 1, Wanted.MOST_MILLILITRES)
                    .flatMap(wanted -> toGive(recipe, wanted, fields))
                    .orElse(recipe);
        }
        if (!BenchForm.isBlank(look.grams())) {
            return fields.mass(
                            "grams",
                            look.grams(),
                            recipe.grams() * PlanRecipe.LEAST_FACTOR,
                            recipe.grams() * PlanRecipe.MOST_FACTOR)
                    .map(mass -> recipe.times(mass.grams() / recipe.grams()))
                    .orElse(recipe);
        }
        return BenchForm.isBlank(look.factor())
                ? recipe
                : fields.number("factor", look.factor(), PlanRecipe.LEAST_FACTOR, PlanRecipe.MOST_FACTOR, "times")
                        .map(recipe::times)
                        .orElse(recipe);
    }

    private Optional<PlanRecipe> toGive(PlanRecipe recipe, Volume wanted, Fields fields) {
        try {
            return Optional.of(recipe.times(recipe.gives(wanted, recipe.keepsAtMost(materia))));
        } catch (IllegalArgumentException tooFar) {
            fields.trouble("oil", "That cannot be had of it: %s.".formatted(tooFar.getMessage()), "300 mL");
            return Optional.empty();
        }
    }

    private static ResponseEntity<String> download(String body, MediaType type, String name) {
        return ResponseEntity.ok()
                .contentType(new MediaType(type, StandardCharsets.UTF_8))
                .header(
                        "Content-Disposition",
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(body);
    }

    private String list(Model model, String typed, Fields fields) {
        House house = households.current();
        model.addAttribute(
                "recipes",
                recipes.all().stream()
                        .map(kept -> Row.of(kept, house, catalogue))
                        .toList());
        model.addAttribute("cards", box.kept());
        model.addAttribute("most", Recipes.MOST);
        model.addAttribute(
                "makings",
                formulas.all().stream()
                        .map(kept -> FormulaSheet.row(kept, house, catalogue))
                        .toList());
        model.addAttribute("typed", typed);
        model.addAttribute("fields", fields);
        return "recipepages/plans";
    }
}
