package app.velvetcrock.stall;

import app.velvetcrock.condition.Conditions;
import app.velvetcrock.condition.Finding;
import app.velvetcrock.condition.Kinship;
import app.velvetcrock.condition.Reach;
import app.velvetcrock.condition.Subject;
import app.velvetcrock.condition.Told;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.look.Condition;
import app.velvetcrock.parting.Leaving;
import app.velvetcrock.parting.Leavings;
import app.velvetcrock.parting.Persons;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Goods;
import app.velvetcrock.stock.Oils;
import app.velvetcrock.stock.Stores;
import app.velvetcrock.stock.kinship.Makers;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** A recall: from a lot, or from whoever made it, to everything made of it, where that is, and who has it. */
@Controller
class RecallController {

    private static final String PLACE = "/cupboard/recall";
    private static final int SHORTEST = 2;

    private final Makers makers;
    private final Kinship kinship;
    private final Leavings leavings;
    private final Persons persons;
    private final Stores stores;
    private final Oils oils;
    private final Goods goods;
    private final Conditions conditions;
    private final Households households;
    private final Clock clock;

    RecallController(
            Makers makers,
            Kinship kinship,
            Leavings leavings,
            Persons persons,
            Stores stores,
            Oils oils,
            Goods goods,
            Conditions conditions,
            Households households,
            Clock clock) {
        this.makers = makers;
        this.kinship = kinship;
        this.leavings = leavings;
        this.persons = persons;
        this.stores = stores;
        this.oils = oils;
        this.goods = goods;
        this.conditions = conditions;
        this.households = households;
        this.clock = clock;
    }

    /** Something made of it. */
    record Made(String name, String href, String left) {}

    /** Who has some of it; {@code what} each thing she has. */
    record Holder(String who, List<String> what) {}

    @GetMapping(PLACE)
    String search(@Nullable String q, Model model) {
        String typed = q == null ? "" : q.strip();
        model.addAttribute("q", typed);
        model.addAttribute(
                "found",
                typed.length() < SHORTEST ? List.of() : makers.named(typed.substring(0, Math.min(80, typed.length()))));
        return "stall/recall";
    }

    @GetMapping(PLACE + "/{lot}")
    String lot(@PathVariable UUID lot, Model model) {
        return show(model, lot, new Fields(households.current().reader()));
    }

    private String show(Model model, UUID id, Fields fields) {
        House house = households.current();
        Reach reach = kinship.madeOf(List.of(new Kinship.Origin(id, null, id))).getOrDefault(id, Reach.NOTHING);
        Collection<UUID> all = reach.lots().keySet();
        Map<UUID, Stock.OfLot> lots =
                stores.among(all).stream().collect(Collectors.toMap(Stock.OfLot::id, Function.identity()));
        // What was made of a lot begins with it: what is not here reaches nothing.
        Stock.OfLot lot = Optional.ofNullable(lots.get(id)).orElseThrow(() -> new NotHere("that lot"));
        List<Made> made = lots.values().stream()
                .sorted(Comparator.comparing((Stock.OfLot one) -> one.left() == 0)
                        .thenComparing(Stock.OfLot::name))
                .map(one -> new Made(
                        one.name(),
                        Places.of(one),
                        one.left() == 0 ? "nothing left here" : one.unit().words(one.left()) + " here"))
                .toList();
        List<Holder> holders = holders(all, lots);
        List<Told> held = conditions.open().stream()
                .filter(told -> told.kind() == Condition.ON_HOLD
                        && told.isOfLot(batch(lot).orElse(null), id))
                .toList();
        model.addAttribute("fields", fields);
        model.addAttribute("lot", lot);
        model.addAttribute("maker", makers.of(id));
        model.addAttribute("made", made);
        model.addAttribute("holders", holders);
        model.addAttribute("held", held.isEmpty() ? null : held.get(0));
        model.addAttribute("text", text(lot, holders, house));
        return "stall/recalled";
    }

    /** By person; what nobody is named of stands under the day it left. */
    private List<Holder> holders(Collection<UUID> lots, Map<UUID, Stock.OfLot> named) {
        House house = households.current();
        Set<UUID> written = new HashSet<>();
        Map<String, List<String>> by = new LinkedHashMap<>();
        List<Leaving> left = leavings.ofLots(lots);
        Map<UUID, String> people =
                left.stream().anyMatch(one -> one.person().isPresent()) ? persons.everybody() : Map.of();
        left.stream()
                .filter(one -> one.kind() == Leaving.Kind.GIVEN || one.kind() == Leaving.Kind.SOLD)
                .forEach(one -> {
                    written.add(one.movement());
                    Stock.OfLot lot = named.get(one.lot());
                    String who = one.person()
                            .map(person -> people.getOrDefault(person, "somebody"))
                            .orElse(
                                    one.stall().isPresent()
                                            ? "whoever bought it at the stall"
                                            : "nobody is written down");
                    by.computeIfAbsent(who, key -> new ArrayList<>())
                            .add("%s%s, %s %s"
                                    .formatted(
                                            one.pieces()
                                                    .map(pieces -> pieces + " × ")
                                                    .orElse(""),
                                            lot == null ? "" : lot.name(),
                                            one.kind().word(),
                                            house.date(house.dayOf(one.at()))));
                });
        // What left before anybody was written down with it.
        kinship.goneOf(lots).stream()
                .filter(gone -> !written.contains(gone.movement()))
                .forEach(gone -> by.computeIfAbsent("nobody is written down", key -> new ArrayList<>())
                        .add("%s, %s".formatted(gone.words(), house.date(house.dayOf(gone.at())))));
        return by.entrySet().stream()
                .map(one -> new Holder(one.getKey(), one.getValue()))
                .toList();
    }

    private static String text(Stock.OfLot lot, List<Holder> holders, House house) {
        return holders.isEmpty()
                ? ""
                : ("Please do not use what you have from us any more: %s was in it, and there may be something wrong with that. "
                                + "Keep it aside and tell us. %s")
                        .formatted(lot.name(), house.settings().name());
    }

    /** Holds it, and all that was made of it, back. */
    @PostMapping(PLACE + "/{lot}/hold")
    String hold(@PathVariable UUID lot, @Nullable UUID key, @Nullable String why, Reply reply) {
        Stock.OfLot of = stores.lot(lot);
        Fields fields = new Fields(households.current().reader());
        Optional<String> words = fields.words("why", why, 200);
        String page = PLACE + "/" + lot;
        return reply.answer(
                new FormSent("h-", key == null ? UUID.randomUUID() : key, fields, page),
                () -> show(reply.model(), lot, fields),
                () -> {
                    conditions.found(
                            List.of(Condition.ON_HOLD),
                            new Subject(batch(of).orElse(null), lot, of.name()),
                            new Finding(clock.instant(), null, words.orElseThrow()));
                    return new Done(page, "%s is on hold, and so is all that was made of it.".formatted(of.name()));
                });
    }

    private Optional<UUID> batch(Stock.OfLot of) {
        return switch (of.kind()) {
            case INFUSED_OIL -> Optional.of(oils.find(of.id()).batch());
            case MADE -> Optional.of(goods.find(of.id()).batch());
            default -> Optional.empty();
        };
    }

    /** Its maker, and their number of it. */
    @PostMapping(PLACE + "/{lot}/maker")
    String maker(
            @PathVariable UUID lot,
            @Nullable UUID key,
            @Nullable String name,
            @Nullable String number,
            @Nullable String declared,
            Reply reply) {
        stores.lot(lot);
        Fields fields = new Fields(households.current().reader());
        Optional<String> by = fields.optionalWords("name", name, Makers.LONGEST);
        Optional<String> said = fields.optionalWords("number", number, Makers.LONGEST);
        Optional<String> allergens = fields.optionalWords("declared", declared, Makers.LONGEST_DECLARED);
        String page = PLACE + "/" + lot;
        return reply.answer(
                new FormSent("m-", key == null ? UUID.randomUUID() : key, fields, page),
                () -> show(reply.model(), lot, fields),
                () -> {
                    makers.put(lot, new Makers.Maker(by.orElse(""), said.orElse(""), allergens.orElse("")));
                    return new Done(page, "Kept with it.");
                });
    }
}
