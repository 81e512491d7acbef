package app.velvetcrock.book;

import app.velvetcrock.book.YearAhead.Known;
import app.velvetcrock.core.larder.LotKind;
import app.velvetcrock.errands.Errands;
import app.velvetcrock.learned.Gatherings;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.flows.Thing;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Refused;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** What next year needs: how long each thing lasts, and what of it to gather, to make and to buy. */
@Controller
class NextYearController {

    static final String PLACE = "/book/next-year";

    private final YearAhead year;
    private final Gatherings gatherings;
    private final Errands errands;
    private final Households households;

    NextYearController(YearAhead year, Gatherings gatherings, Errands errands, Households households) {
        this.year = year;
        this.gatherings = gatherings;
        this.errands = errands;
        this.households = households;
    }

    @GetMapping(PLACE)
    @Transactional(readOnly = true)
    public String page(Model model) {
        YearAhead.Ahead ahead = year.read();
        model.addAttribute("page", NextYearPage.of(ahead, gatherings.open(ahead.today()), households.current()));
        return "book/next-year";
    }

    /** A herb's next gathering goes into the calendar, with what it takes as things stand now. */
    @PostMapping(PLACE + "/gather")
    String gather(String key, Reply reply) {
        return reply.tap(PLACE, () -> {
            House house = households.current();
            Known herb = known(LotKind.HERB, key);
            if (!herb.isGathered() || !herb.isWanted()) {
                throw new Refused("Nothing of %s is wanted of next year's gathering.".formatted(herb.name()));
            }
            UUID id = gatherings.plan(key, herb.name(), herb.need().from(), NextYearPage.toGather(herb, house));
            return new Done(
                    PLACE,
                    "Gathering %s is in the calendar for %s."
                            .formatted(herb.name(), house.date(herb.need().from())),
                    PLACE + "/" + id + "/drop");
        });
    }

    @PostMapping(PLACE + "/{id}/drop")
    String drop(@PathVariable UUID id, Reply reply) {
        return reply.tap(PLACE, () -> {
            gatherings.drop(id);
            return new Done(PLACE, "It is out of the calendar.");
        });
    }

    /** What is bought goes onto the list. */
    @PostMapping(PLACE + "/buy")
    String buy(LotKind kind, String key, Reply reply) {
        return reply.tap(PLACE, () -> {
            Known one = known(kind, key);
            if (one.thing().isMade() || !one.isWanted()) {
                throw new Refused("%s is not to be bought.".formatted(one.name()));
            }
            String words = NextYearPage.toBuy(one, households.current());
            return new Done(
                    PLACE,
                    "%s is on the list to buy.".formatted(one.name()),
                    Errands.takenBack(errands.addAnew(one.name(), words, "next year")));
        });
    }

    private Known known(LotKind kind, String key) {
        return year.read().known().stream()
                .filter(one -> one.thing().equals(new Thing(kind, key)))
                .findFirst()
                .orElseThrow(() -> new NotHere("that thing"));
    }
}
