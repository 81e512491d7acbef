package app.velvetcrock.recipepages;

import app.velvetcrock.core.kitchen.Contradiction;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.making.Firmness;
import app.velvetcrock.core.making.FirmnessBand;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.recipe.Recipe;
import app.velvetcrock.core.recipe.RecipeLine;
import app.velvetcrock.core.recipe.RecipeReader;
import app.velvetcrock.core.recipe.Thing;
import app.velvetcrock.recipes.RecipeBox;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Stores;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** The recipe reader: a list in anybody's measures, read line by line, kept, and taken to the Bench. */
@Controller
class RecipeReaderController {

    private static final String LISTS = "/stores/recipes";
    private static final String ALL = "/bench/recipes";
    private static final int LONGEST_BODY = 6000;
    private static final int LONGEST_TITLE = 120;
    private static final double SCALE_WIDTH = 600;

    private final RecipeBox box;
    private final Stores stores;
    private final Households households;

    RecipeReaderController(RecipeBox box, Stores stores, Households households) {
        this.box = box;
        this.stores = stores;
        this.households = households;
    }

    /** A recipe as typed. */
    record RecipeForm(@Nullable UUID key, @Nullable String title, @Nullable String body, @Nullable String act) {}

    /**
     * One line beside its readings.
     *
     * @param number its place among the lines that are not blank, counted from 0
     * @param estimate true where its weight rests on a density
     * @param wrong what is asked about; empty for a clear line
     */
    record Shown(
            int number,
            String written,
            boolean clear,
            String thing,
            String echo,
            boolean estimate,
            String amount,
            String share,
            String wrong,
            List<RecipeLine.Instead> instead) {

        public String mark() {
            return clear ? "reading" : "reading open";
        }

        static Shown of(int number, RecipeLine line, Recipe recipe, House house) {
            if (line instanceof RecipeLine.Clear clear) {
                return new Shown(
                        number,
                        clear.written(),
                        true,
                        clear.thing().name(),
                        clear.echo(),
                        clear.byVolume(),
                        house.mass(clear.mass()),
                        house.percent(recipe.shareOf(clear)),
                        "",
                        List.of());
            } else if (line instanceof RecipeLine.Asked asked) {
                return new Shown(number, asked.written(), false, "", "", false, "", "", asked.wrong(), asked.instead());
            }
            RecipeLine.Contradicting two = (RecipeLine.Contradicting) line;
            String wrong = "The weight and the volume imply %s; %s is %s, %s %% off: %s."
                    .formatted(
                            two.found().isPossible()
                                    ? House.density(Density.ofGramsPerMillilitre(
                                            two.found().implied()))
                                    : "what nothing weighs",
                            two.thing().name(),
                            House.density(two.thing().density()),
                            two.found().isPossible()
                                    ? Decimals.upTo(Math.abs(two.found().offBy()) * 100, 1)
                                    : "far more than 100",
                            two.found().verdict() == Contradiction.Verdict.WORTH_A_LOOK
                                    ? "worth a look"
                                    : "one of the two is misread");
            return new Shown(number, two.written(), false, two.thing().name(), "", false, "", "", wrong, two.instead());
        }
    }

    @GetMapping("/stores/recipes")
    String reader(Model model) {
        return page(
                model,
                new RecipeForm(null, "", "", null),
                new Fields(households.current().reader()));
    }

    @GetMapping("/stores/recipes/{id}")
    String kept(@PathVariable UUID id, Model model) {
        RecipeBox.Card card = box.find(id);
        return page(
                model,
                new RecipeForm(null, card.title(), card.body(), null),
                new Fields(households.current().reader()));
    }

    /** Reads a list, and keeps it when that is asked; reading alone changes nothing. */
    @PostMapping("/stores/recipes")
    String read(RecipeForm form, Reply reply) {
        Fields fields = new Fields(households.current().reader());
        Optional<String> body = fields.words("body", form.body(), LONGEST_BODY);
        boolean keep = "keep".equals(form.act());
        Optional<String> title = keep ? fields.words("title", form.title(), LONGEST_TITLE) : Optional.of("");
        body.filter(text -> RecipeReader.tooMany(text) > 0)
                .ifPresent(text -> fields.trouble(
                        "body",
                        "%d lines too many; 60 can be read.".formatted(RecipeReader.tooMany(text)),
                        "a shorter list"));
        if (!keep && fields.isClear()) {
            return page(reply.model(), form, fields);
        }
        return reply.answer(
                new FormSent("", form.key(), fields, LISTS), () -> page(reply.model(), form, fields), () -> {
                    UUID id = box.keep(title.orElseThrow(), body.orElseThrow());
                    return new Done(LISTS + "/" + id, "Kept.", LISTS + "/%s/remove".formatted(id));
                });
    }

    @PostMapping("/stores/recipes/{id}/remove")
    String remove(@PathVariable UUID id, @Nullable String back, Reply reply) {
        boolean removed = back == null;
        return reply.tap(ALL, () -> {
            box.remove(id, removed);
            return removed
                    ? new Done(ALL, "Put away.", LISTS + "/%s/remove?back=yes".formatted(id))
                    : new Done(ALL, "It is back.");
        });
    }

    private String page(Model model, RecipeForm form, Fields fields) {
        House house = households.current();
        Recipe recipe = box.read(
                form.body() == null || !fields.isClear() && fields.troubles().containsKey("body") ? "" : form.body(),
                house);
        List<Shown> lines = new ArrayList<>();
        for (RecipeLine line : recipe.lines()) {
            lines.add(Shown.of(lines.size(), line, recipe, house));
        }
        model.addAttribute("form", form);
        model.addAttribute("fields", fields);
        model.addAttribute("whole", whole(recipe, house));
        model.addAttribute("lines", lines);
        model.addAttribute("bench", bench(recipe));
        model.addAttribute("landings", new PanReadings(box, house).of(recipe));
        return "recipepages/lists";
    }

    /**
     * What a list comes to.
     *
     * @param open how many lines are not counted in; empty where all are
     * @param ratio null where it has no herb and oil
     * @param firm null where nothing of it sets
     */
    record Whole(String total, String open, @Nullable String ratio, @Nullable Firm firm) {}

    /** How firm it sets, on the scale. */
    record Firm(String words, String origin, String label, double markX, List<Band> bands) {}

    /** A stretch of the firmness scale. */
    record Band(double x, double width, String mark, String from) {}

    private static @Nullable Whole whole(Recipe recipe, House house) {
        if (recipe.total().grams() <= 0) {
            return null;
        }
        return new Whole(
                house.mass(recipe.total()),
                recipe.open() == 0
                        ? ""
                        : recipe.open() == 1
                                ? "One line is not counted in yet."
                                : recipe.open() + " lines are not counted in yet.",
                recipe.ratio().map(house::ratio).orElse(null),
                recipe.firmness().map(firmness -> firm(firmness, house)).orElse(null));
    }

    private static Firm firm(Firmness firmness, House house) {
        String band = firmness.band().word();
        return new Firm(
                "firmness %.0f: %s".formatted(firmness.value(), band),
                "wax share %s; the scale is an estimate".formatted(house.percent(firmness.waxShare())),
                "Firmness %.1f of 50, %s".formatted(firmness.value(), band),
                SCALE_WIDTH * Math.min(Firmness.HARDEST, firmness.value()) / Firmness.HARDEST,
                bands(band));
    }

    private static List<Band> bands(String here) {
        List<Band> bands = new ArrayList<>();
        FirmnessBand[] all = FirmnessBand.values();
        for (int i = 0; i + 1 < all.length; i++) {
            double from = all[i].startInclusive();
            String ground = i % 2 == 0 ? "firm-a" : "firm-b";
            bands.add(new Band(
                    SCALE_WIDTH * from / Firmness.HARDEST,
                    SCALE_WIDTH * (all[i + 1].startInclusive() - from) / Firmness.HARDEST,
                    all[i].word().equals(here) ? "firm-here" : ground,
                    String.valueOf((int) from)));
        }
        return bands;
    }

    /** Where the Bench would take it up: its first herb and oil, from lots in stock; empty when either is missing. */
    private String bench(Recipe recipe) {
        Optional<RecipeLine.Clear> herb = recipe.first(Thing.Role.HERB);
        Optional<RecipeLine.Clear> oil = recipe.first(Thing.Role.OIL).or(() -> recipe.first(Thing.Role.BUTTER));
        Optional<Stock.OfHerb> lot = herb.flatMap(line -> stores.herbs().stream()
                .filter(stored -> stored.kind().key().equals(line.thing().key()))
                .findFirst());
        Optional<Stock.OfCarrier> bottle = oil.flatMap(line -> stores.carriers().stream()
                .filter(stored -> stored.kind().key().equals(line.thing().key()))
                .findFirst());
        if (lot.isEmpty() || bottle.isEmpty()) {
            return "";
        }
        double millilitres = oil.orElseThrow()
                .thing()
                .density()
                .volumeOf(oil.orElseThrow().mass())
                .millilitres();
        return "/bench?herb=%s&carrier=%s&amount=%s&oil=%s"
                .formatted(
                        lot.get().id(),
                        bottle.get().id(),
                        encode(Math.round(herb.orElseThrow().mass().grams() * 10) / 10.0 + " g"),
                        encode(Math.round(millilitres) + " mL"));
    }

    private static String encode(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }
}
