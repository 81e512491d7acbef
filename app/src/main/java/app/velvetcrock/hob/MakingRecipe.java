package app.velvetcrock.hob;

import app.velvetcrock.batch.Makings;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.pan.Addition;
import app.velvetcrock.core.pan.MakingPlan;
import app.velvetcrock.recipes.RecipeBox;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Goods;
import app.velvetcrock.stock.Stock;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Refused;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** What is made anew of something made: kept as a list among the recipes, as it was really made, or melted again. */
@Controller
class MakingRecipe {

    private static final String LISTS = "/stores/recipes/";
    private static final String IN = " in ";
    private static final int LONGEST = 120;

    private final Makings makings;
    private final RecipeBox box;
    private final Goods goods;
    private final Remelting remelting;
    private final Households households;
    private final Clock clock;

    MakingRecipe(Makings makings, RecipeBox box, Goods goods, Remelting remelting, Households households, Clock clock) {
        this.makings = makings;
        this.box = box;
        this.goods = goods;
        this.remelting = remelting;
        this.households = households;
        this.clock = clock;
    }

    @PostMapping("/pan/{id}/recipe")
    String keep(@PathVariable UUID id, Reply reply) {
        Makings.Sheet sheet = makings.sheet(id);
        return reply.tap("/pan/" + id, () -> {
            String title = "%s (batch %d)".formatted(sheet.name(), sheet.number());
            UUID kept = box.keep(title.substring(0, Math.min(LONGEST, title.length())), body(sheet));
            return new Done(
                    LISTS + kept, "Kept among the recipes, as it was made.", LISTS + "%s/remove".formatted(kept));
        });
    }

    /** Melts made things again, as many as are said; all of what stayed in a pan. */
    @PostMapping("/pan/remelt/{lot}")
    String remelt(@PathVariable UUID lot, @Nullable UUID key, @Nullable String count, Reply reply) {
        Stock.OfGood good = goods.find(lot);
        Fields fields = new Fields(households.current().reader());
        Optional<Long> amount = good.inPieces()
                ? fields.whole("count", count, 1, (int) Math.max(1, good.left()), "pieces")
                        .map(Integer::longValue)
                : Optional.of(good.left());
        if (amount.isEmpty()) {
            return reply.tap("/cupboard/goods/" + lot, () -> {
                throw new Refused("It is not said how many are melted again: from 1 to %d.".formatted(good.left()));
            });
        }
        return reply.answer(
                new FormSent("", key == null ? UUID.randomUUID() : key, fields, "/pan"), () -> "redirect:/pan", () -> {
                    UUID id = remelting.remelt(
                            lot, amount.get(), Current.doing("remelt", UUID.randomUUID(), clock.instant(), ""));
                    return new Done(
                            "/pan/" + id,
                            "Back in the pan: batch %d."
                                    .formatted(makings.sheet(id).number()),
                            "/pan/%s/back".formatted(id));
                });
    }

    /** A line for each part, in grams, as the reader of recipes reads them. */
    private static String body(Makings.Sheet sheet) {
        List<String> lines = new ArrayList<>();
        for (Formula.Part part : sheet.course().formula().parts()) {
            lines.add("%s g %s".formatted(Decimals.upTo(part.mass().grams(), 1), name(part.stuff())));
        }
        for (MakingPlan.Stirred one : sheet.plan().additions()) {
            lines.add(line(one.addition()));
        }
        return String.join("\n", lines);
    }

    /** An infused oil is read as its carrier: which herb was in it is the next one's own. */
    private static String name(Formula.Stuff stuff) {
        int in = stuff.name().indexOf(IN);
        return stuff.key().startsWith("infused:") && in > 0 ? stuff.name().substring(in + IN.length()) : stuff.name();
    }

    private static String line(Addition addition) {
        return addition.drops()
                .map(count -> "%s drops %s essential oil".formatted(Decimals.upTo(count, 0), addition.name()))
                .orElse("%s g %s".formatted(Decimals.upTo(addition.mass().grams(), 2), addition.name()));
    }
}
