package app.velvetcrock.book;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.catalogue.Catalogue;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.pan.BoughtPrices;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Cause;
import app.velvetcrock.stock.GatheringDays;
import app.velvetcrock.stock.flows.Flows;
import app.velvetcrock.stock.flows.Season;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** How the year went: gathered, dried, made and used, herb by herb; what was thrown out and why; what it cost. */
@Controller
class SeasonController {

    /** Nobody's notebook here goes further back. */
    static final int EARLIEST = 1990;

    private static final int THROWN_OUT = 12;

    private final Season season;
    private final BoughtPrices prices;
    private final Flows flows;
    private final GatheringDays days;
    private final Catalogue catalogue;
    private final Batches batches;
    private final Households households;
    private final Clock clock;

    SeasonController(
            Season season,
            BoughtPrices prices,
            Flows flows,
            GatheringDays days,
            Catalogue catalogue,
            Batches batches,
            Households households,
            Clock clock) {
        this.season = season;
        this.prices = prices;
        this.flows = flows;
        this.days = days;
        this.catalogue = catalogue;
        this.batches = batches;
        this.households = households;
        this.clock = clock;
    }

    /** A batch that was thrown out, and why. */
    record Gone(String href, String name, String why) {}

    @GetMapping("/book/seasons")
    @Transactional(readOnly = true)
    public String page(@Nullable Integer year, Model model) {
        House house = households.current();
        LocalDate today = house.dayOf(clock.instant());
        int of = year == null || year < EARLIEST || year > today.getYear() ? today.getYear() : year;
        ZoneId zone = house.settings().zone();
        LocalDate first = LocalDate.of(of, 1, 1);
        List<Season.Moved> moved = season.of(of, zone.getId());
        model.addAttribute(
                "page",
                SeasonPage.of(
                        new SeasonPage.Read(
                                of,
                                today,
                                moved,
                                flows.made(first, first.plusYears(1)),
                                season.pricesOfGrams(),
                                bought(moved),
                                days.firstDays(),
                                catalogue.herbs().stream().collect(Collectors.toMap(HerbKind::key, HerbKind::common))),
                        house));
        List<BatchSheet> gone = batches.finished(new Batches.Ended(null, null, of, "DISCARDED", null), THROWN_OUT);
        model.addAttribute(
                "gone",
                gone.stream()
                        .map(sheet -> new Gone(
                                "/batch/" + sheet.id(),
                                "%s, batch %d".formatted(sheet.name(), sheet.number()),
                                sheet.lesson()))
                        .toList());
        return "book/seasons";
    }

    /** What a bought one of each thing that was poured costs, where the household said it of its kind. */
    private Map<String, Long> bought(List<Season.Moved> moved) {
        Set<String> poured = moved.stream()
                .filter(one -> one.cause() == Cause.POURED)
                .map(one -> one.thing().key())
                .collect(Collectors.toSet());
        Map<String, Long> prices = poured.isEmpty() ? Map.of() : this.prices.all();
        Map<String, Long> bought = new HashMap<>();
        if (!prices.isEmpty()) {
            season.kindsOfMade(poured).forEach((name, kind) -> Optional.ofNullable(prices.get(kind))
                    .ifPresent(price -> bought.put(name, price)));
        }
        return bought;
    }
}
