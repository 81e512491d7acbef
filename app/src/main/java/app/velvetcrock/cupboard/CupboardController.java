package app.velvetcrock.cupboard;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.draw.JarDrawing;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stores.Stock;
import app.velvetcrock.stores.Stores;
import java.time.Clock;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** Cupboard: finished oils, the first to be used first. */
@Controller
class CupboardController {

    private final Stores stores;
    private final Batches batches;
    private final Households households;
    private final Clock clock;

    CupboardController(Stores stores, Batches batches, Households households, Clock clock) {
        this.stores = stores;
        this.batches = batches;
        this.households = households;
        this.clock = clock;
    }

    /** An oil with the batch it came from, the days it has left and its bottle's picture. */
    record OilOnShelf(Stock.OfOil oil, BatchSheet batch, long daysLeft, BottleDrawing drawing) {

        public boolean isPast() {
            return daysLeft < 0;
        }
    }

    @GetMapping("/cupboard")
    String cupboard(Model model) {
        LocalDate today = households.current().dayOf(clock.instant());
        Map<UUID, BatchSheet> byLot = batches.strained().stream()
                .collect(Collectors.toMap(sheet -> sheet.strained().orElseThrow().lot(), Function.identity()));
        List<OilOnShelf> oils = stores.oils().stream().map(oil -> onShelf(oil, byLot.get(oil.id()), today)).toList();
        model.addAttribute("oils", oils);
        return "cupboard/cupboard";
    }

    private static OilOnShelf onShelf(Stock.OfOil oil, BatchSheet batch, LocalDate today) {
        return new OilOnShelf(oil, batch, ChronoUnit.DAYS.between(today, oil.useBy()),
                BottleDrawing.of(oil, JarDrawing.Look.of(batch.frozen().plan(), 1).oil()));
    }
}
