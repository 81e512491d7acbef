package app.velvetcrock.stores;

import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.recipe.Conversion;
import app.velvetcrock.core.recipe.Thing;
import app.velvetcrock.core.recipe.Things;
import app.velvetcrock.recipes.RecipeBox;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Stores;
import app.velvetcrock.web.Fields;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** Finding anything stored by any of its names, and any amount of it in every measure. */
@Controller
class FinderController {

    /** As many cups are drawn beside each other. */
    private static final int HEAPS = 14;

    private final StoreSearch search;
    private final RecipeBox box;
    private final LotSheets sheets;
    private final Stores stores;
    private final Households households;
    private final java.time.Clock clock;

    FinderController(
            StoreSearch search,
            RecipeBox box,
            LotSheets sheets,
            Stores stores,
            Households households,
            java.time.Clock clock) {
        this.search = search;
        this.box = box;
        this.sheets = sheets;
        this.stores = stores;
        this.households = households;
        this.clock = clock;
    }

    @GetMapping("/stores/search")
    String search(@Nullable String q, Model model) {
        String text = q == null ? "" : q.replace("\u0000", "").strip();
        model.addAttribute("q", text);
        model.addAttribute("found", text.length() > 80 ? List.of() : search.find(text));
        return "stores/search";
    }

    /** The converter; asked from a dialog it answers with its inner part alone. */
    @GetMapping("/stores/convert")
    String convert(@Nullable String amount, @Nullable String of, @Nullable String part, Model model) {
        House house = households.current();
        Fields fields = new Fields(house.reader());
        String typed = amount == null ? "" : amount;
        String wanted = of == null ? "" : of.strip();
        if (!typed.isBlank()) {
            Optional<Thing> thing = thing(wanted);
            if (thing.isEmpty()) {
                fields.trouble(
                        "of",
                        wanted.isEmpty()
                                ? "Nothing is written here yet."
                                : "“%s” is neither stored nor in the catalogue.".formatted(wanted),
                        "olive oil or dried nettle");
            } else {
                fields.massOf("amount", typed, thing.get().expect(), thing.get().known())
                        .filter(read -> isSensible(fields, read.mass()))
                        .ifPresent(read -> {
                            model.addAttribute("conversion", Conversion.of(thing.get(), read.mass()));
                            model.addAttribute("rests", rests(thing.get(), wanted));
                        });
            }
        }
        model.addAttribute("fields", fields);
        model.addAttribute("amount", typed);
        model.addAttribute("of", wanted);
        model.addAttribute("cups", house.settings().units().cups());
        model.addAttribute("stored", stored());
        if (!"inner".equals(part)) {
            model.addAttribute("heaps", heaps(house));
        }
        return "inner".equals(part) ? "stores/convert :: inner" : "stores/convert";
    }

    /** What a cup of something stored weighs, and how long its bar is beside the heaviest. */
    record Heap(String name, String weighs, long percent) {}

    private List<Heap> heaps(House house) {
        Volume cup = house.settings().units().cups().cup();
        Things things = box.things();
        Map<String, Mass> weighs = new LinkedHashMap<>();
        stored().forEach(name -> things.find(name)
                .ifPresent(thing -> weighs.put(name, thing.density().massOf(cup))));
        double most = weighs.values().stream().mapToDouble(Mass::grams).max().orElse(1);
        return weighs.entrySet().stream()
                .sorted(Map.Entry.comparingByValue())
                .limit(HEAPS)
                .map(one -> new Heap(
                        one.getKey(),
                        house.mass(one.getValue()),
                        Math.round(100 * one.getValue().grams() / most)))
                .toList();
    }

    /** The density a conversion rests on. */
    private String rests(Thing thing, String wanted) {
        return "at %.3f g/mL%s"
                .formatted(
                        thing.density().gramsPerMillilitre(),
                        estimated(wanted) ? ", loosely filled: an estimate, weigh a cup of it once" : "");
    }

    /** A heap of herb is only estimated until a cup of that very lot was weighed. */
    private boolean estimated(String wanted) {
        try {
            return sheets.of(UUID.fromString(wanted), households.current().dayOf(clock.instant()))
                    .herb()
                    .filter(herb -> !herb.weighedBulk())
                    .isPresent();
        } catch (IllegalArgumentException noId) {
            return box.things()
                    .find(wanted)
                    .filter(thing -> thing.role() == Thing.Role.HERB)
                    .isPresent();
        }
    }

    private static boolean isSensible(Fields fields, Mass mass) {
        if (mass.grams() <= 500_000) {
            return true;
        }
        fields.trouble("amount", "That is more than a stillroom holds.", "less than 500 kg");
        return false;
    }

    /** A lot by its id, else whatever goes by the name. */
    private Optional<Thing> thing(String wanted) {
        Things things = box.things();
        try {
            LotSheet sheet =
                    sheets.of(UUID.fromString(wanted), households.current().dayOf(clock.instant()));
            return sheet.known()
                    .map(known -> new Thing(
                            wanted,
                            sheet.herb().isPresent() ? Thing.Role.HERB : Thing.Role.OIL,
                            sheet.story().name(),
                            List.of(),
                            known,
                            Optional.empty()));
        } catch (IllegalArgumentException noId) {
            return things.find(wanted);
        }
    }

    private List<String> stored() {
        return java.util.stream.Stream.concat(
                        stores.herbs().stream().map(herb -> herb.moisture().word() + " " + herb.name()),
                        stores.carriers().stream().map(Stock.OfCarrier::name))
                .distinct()
                .toList();
    }
}
