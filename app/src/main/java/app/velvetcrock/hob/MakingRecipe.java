package app.velvetcrock.hob;

import app.velvetcrock.batch.Makings;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.melt.PanShelves;
import app.velvetcrock.pan.PanForm;
import app.velvetcrock.pan.PanStock;
import app.velvetcrock.recipes.KeptFormulas;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Goods;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Notice;
import app.velvetcrock.web.Refused;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** What is made anew of something made: kept among the recipes, as it was really made, or melted again. */
@Controller
class MakingRecipe {

    private static final String RECIPES = "/pan/recipes/";

    private final Makings makings;
    private final KeptFormulas formulas;
    private final Goods goods;
    private final Remelting remelting;
    private final PanStock stock;
    private final Households households;
    private final Clock clock;

    MakingRecipe(
            Makings makings,
            KeptFormulas formulas,
            Goods goods,
            Remelting remelting,
            PanStock stock,
            Households households,
            Clock clock) {
        this.makings = makings;
        this.formulas = formulas;
        this.goods = goods;
        this.remelting = remelting;
        this.stock = stock;
        this.households = households;
        this.clock = clock;
    }

    /** Makes the same again from what is here today; what is another lot than then is said. */
    @GetMapping("/pan/{id}/again")
    String again(@PathVariable UUID id, RedirectAttributes say) {
        Makings.Sheet sheet = makings.sheet(id);
        House house = households.current();
        PanShelves shelves = stock.shelves(house, house.dayOf(clock.instant()));
        List<String> other = sheet.plan().weighed().stream()
                .filter(one -> one.lot()
                        .filter(lot -> shelves.meltable(lot.toString()).isPresent())
                        .isEmpty())
                .map(one -> one.part().stuff().name())
                .toList();
        say.addFlashAttribute(
                Notice.NAME,
                new Notice(
                        "As batch %d was made%s."
                                .formatted(
                                        sheet.number(),
                                        other.isEmpty()
                                                ? ", from the same lots"
                                                : "; not from the same: " + String.join(", ", other)),
                        null));
        return "redirect:" + PanForm.again(sheet.course(), shelves).address();
    }

    @PostMapping("/pan/{id}/recipe")
    String keep(@PathVariable UUID id, Reply reply) {
        return reply.tap("/pan/" + id, () -> {
            UUID kept = formulas.keepMaking(id);
            return new Done(
                    RECIPES + kept, "Kept among the recipes, as it was made.", RECIPES + "%s/undo".formatted(kept));
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
                new FormSent("", key == null ? UUID.randomUUID() : key, fields, "/pan"),
                () -> "redirect:/cupboard/goods/" + lot,
                () -> {
                    UUID id = remelting.remelt(
                            lot, amount.get(), Current.doing("remelt", UUID.randomUUID(), clock.instant(), ""));
                    return new Done(
                            "/pan/" + id,
                            "Back in the pan: batch %d."
                                    .formatted(makings.sheet(id).number()),
                            "/pan/%s/back".formatted(id));
                });
    }
}
