package app.velvetcrock.cupboard;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.condition.Conditions;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Goods;
import app.velvetcrock.stock.Oils;
import app.velvetcrock.stock.Stores;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The Cupboard: finished oils and made things in the order they should be used. */
@Controller
class ShelvesController {

    private final Stores stores;
    private final Oils oils;
    private final Goods goods;
    private final Batches batches;
    private final Conditions conditions;
    private final Households households;
    private final Clock clock;

    ShelvesController(
            Stores stores,
            Oils oils,
            Goods goods,
            Batches batches,
            Conditions conditions,
            Households households,
            Clock clock) {
        this.stores = stores;
        this.oils = oils;
        this.goods = goods;
        this.batches = batches;
        this.conditions = conditions;
        this.households = households;
        this.clock = clock;
    }

    /** Shelves longer than this are gone through in parts. */
    private static final int ON_A_PAGE = 40;

    @GetMapping("/cupboard")
    String cupboard(
            @RequestParam(required = false) @Nullable String only,
            @RequestParam(required = false) @Nullable String from,
            Model model) {
        LocalDate today = households.current().dayOf(clock.instant());
        String name = only == null ? "" : only.strip();
        List<List<Stock.OfOil>> lines = OilOnShelf.alike(oils.inStock().stream()
                .filter(oil -> oil.name().toLowerCase(Locale.ROOT).contains(name.toLowerCase(Locale.ROOT)))
                .toList());
        // A page begins with the line whose first bottle it names; one that is used up since begins at the front.
        int begin = Math.max(
                0,
                IntStream.range(0, lines.size())
                        .filter(i -> lines.get(i).get(0).id().toString().equals(from))
                        .findFirst()
                        .orElse(0));
        List<List<Stock.OfOil>> page = lines.subList(begin, Math.min(lines.size(), begin + ON_A_PAGE));
        List<Stock.OfOil> stock = page.stream().flatMap(List::stream).toList();
        model.addAttribute("only", name);
        model.addAttribute("isMore", stores.isMore());
        model.addAttribute("isFirst", begin == 0);
        model.addAttribute("rest", lines.size() - begin - page.size());
        model.addAttribute(
                "next",
                begin + ON_A_PAGE < lines.size()
                        ? lines.get(begin + ON_A_PAGE).get(0).id()
                        : null);
        Map<UUID, BatchSheet> byId = batches
                .among(stock.stream().map(Stock.OfOil::batch).distinct().toList())
                .stream()
                .collect(Collectors.toMap(BatchSheet::id, Function.identity()));
        LocalDate since = begin == 0 ? LocalDate.MIN : lines.get(begin).get(0).useBy();
        LocalDate until = begin + ON_A_PAGE < lines.size()
                ? lines.get(begin + ON_A_PAGE).get(0).useBy()
                : LocalDate.MAX;
        List<GoodOnShelf> made = goods.inStock().stream()
                .filter(good -> good.name().toLowerCase(Locale.ROOT).contains(name.toLowerCase(Locale.ROOT)))
                .filter(good -> !good.useBy().isBefore(since) && good.useBy().isBefore(until))
                .map(good -> GoodOnShelf.of(good, conditions.open(), today, households.current()))
                .toList();
        List<OilOnShelf> shown = OilOnShelf.grouped(stock.stream()
                .map(oil -> OilOnShelf.of(oil, Objects.requireNonNull(byId.get(oil.batch())), today))
                .toList());
        model.addAttribute("goods", made);
        model.addAttribute("oils", shown);
        model.addAttribute("boards", CupboardBoards.of(shown, made, today));
        return "cupboard/cupboard";
    }
}
