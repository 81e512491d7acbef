package app.velvetcrock.stores;

import app.velvetcrock.condition.Conditions;
import app.velvetcrock.core.deed.StoreDeed;
import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.kitchen.Expect;
import app.velvetcrock.core.kitchen.KnownDensity;
import app.velvetcrock.core.larder.LotKind;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.SupplyKind;
import app.velvetcrock.core.planning.Take;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Arrival;
import app.velvetcrock.stock.Blends;
import app.velvetcrock.stock.Stores;
import app.velvetcrock.stock.deeds.StoreDeeds;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import app.velvetcrock.web.Sent;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;

/** Waxes, butters, spirits, antioxidants, essential oils, additions and containers; and blends of carriers. */
@Controller
class SupplyController {

    private static final Set<LotKind> OTHERS =
            EnumSet.of(LotKind.WAX, LotKind.SPIRIT, LotKind.ANTIOXIDANT, LotKind.ESSENTIAL_OIL, LotKind.ADDITION);
    private static final String SUPPLIES = "/stores/supplies";

    private final Stores stores;
    private final Blends blends;
    private final StoreDeeds deeds;
    private final Materia materia;
    private final Conditions conditions;
    private final Households households;
    private final Clock clock;

    SupplyController(
            Stores stores,
            Blends blends,
            StoreDeeds deeds,
            Materia materia,
            Conditions conditions,
            Households households,
            Clock clock) {
        this.stores = stores;
        this.blends = blends;
        this.deeds = deeds;
        this.materia = materia;
        this.conditions = conditions;
        this.households = households;
        this.clock = clock;
    }

    /** A blend as typed: up to three bottles and how much of each. */
    record BlendForm(
            @Nullable UUID key,
            @Nullable String blend,
            @Nullable UUID from1,
            @Nullable String amount1,
            @Nullable UUID from2,
            @Nullable String amount2,
            @Nullable UUID from3,
            @Nullable String amount3) {

        /** One of its parts: the fields of its bottle and its amount, and what stands in them. */
        public record Part(String label, String from, @Nullable UUID chosen, String field, @Nullable String amount) {}

        public List<Part> parts() {
            return List.of(
                    new Part("Oil 1", "from1", from1, "amount1", amount1),
                    new Part("Oil 2", "from2", from2, "amount2", amount2),
                    new Part("and perhaps", "from3", from3, "amount3", amount3));
        }

        static BlendForm empty() {
            return new BlendForm(null, "", null, "", null, "", null, "");
        }
    }

    @GetMapping("/stores/supplies")
    String supplies(Model model) {
        return page(model, BlendForm.empty(), Sent.nothing(fields(), SupplyForm.empty()));
    }

    @PostMapping("/stores/supplies")
    String add(SupplyForm form, Reply reply) {
        Fields fields = fields();
        Optional<Arrival.Supply> supply =
                form.supply(fields, materia, households.current().money(), today());
        return reply.answer(
                new FormSent("s-", form.key(), fields, SUPPLIES),
                () -> page(reply.model(), BlendForm.empty(), new Sent<>("supply", fields, form, SupplyForm.empty())),
                () -> added(supply.orElseThrow().kind().common(), stores.add(supply.get())));
    }

    @PostMapping("/stores/containers")
    String addContainers(SupplyForm form, Reply reply) {
        Fields fields = fields();
        Optional<Arrival.Container> container =
                form.container(fields, households.current().money());
        return reply.answer(
                new FormSent("k-", form.key(), fields, SUPPLIES),
                () -> page(reply.model(), BlendForm.empty(), new Sent<>("container", fields, form, SupplyForm.empty())),
                () -> added(container.orElseThrow().name(), stores.add(container.get())));
    }

    private static Done added(String name, UUID lot) {
        return new Done(SUPPLIES, name + " is in the stores.", "/stores/lots/%s/undo".formatted(lot));
    }

    @PostMapping("/stores/blend")
    String blend(BlendForm form, Reply reply) {
        Fields fields = fields();
        Optional<String> name = fields.words("blend", form.blend(), SupplyForm.LONGEST_NAME);
        List<Blends.Part> parts = new ArrayList<>();
        part(fields, "amount1", form.from1(), form.amount1()).ifPresent(parts::add);
        part(fields, "amount2", form.from2(), form.amount2()).ifPresent(parts::add);
        part(fields, "amount3", form.from3(), form.amount3()).ifPresent(parts::add);
        return reply.answer(
                new FormSent("b-", form.key(), fields, "/stores"),
                () -> page(reply.model(), form, new Sent<>("blend", fields, SupplyForm.empty(), SupplyForm.empty())),
                () -> {
                    UUID moved = deeds.done(Current.doing(
                            new StoreDeed.Blend(
                                    name.orElseThrow(),
                                    parts.stream()
                                            .map(part -> new Take(part.carrier().id(), part.mass()))
                                            .toList()),
                            form.key() == null ? UUID.randomUUID() : form.key(),
                            clock.instant(),
                            ""));
                    return new Done(
                            "/stores", name.orElseThrow() + " is blended.", "/stores/deeds/%s/undo".formatted(moved));
                });
    }

    private Optional<Blends.Part> part(Fields fields, String field, @Nullable UUID from, @Nullable String amount) {
        if (from == null) {
            return Optional.empty();
        }
        Optional<Stock.OfCarrier> bottle = blends.bottle(from);
        if (bottle.isEmpty()) {
            fields.trouble(field, "That bottle is used up or not here any more.", "another from the list");
            return Optional.empty();
        }
        House house = households.current();
        return fields.massOf(
                        field,
                        amount,
                        Expect.LIQUID,
                        KnownDensity.ofOil(bottle.get().density()))
                .filter(read -> {
                    boolean sensible = read.mass().toMilligrams() > 0
                            && read.mass().compareTo(bottle.get().left()) <= 0;
                    if (!sensible) {
                        fields.trouble(
                                field,
                                "Understood %s; the bottle holds %s."
                                        .formatted(
                                                read.echo(),
                                                house.volume(bottle.get().volumeLeft())),
                                "no more than it holds");
                    }
                    return sensible;
                })
                .map(read -> new Blends.Part(bottle.get(), read.mass()));
    }

    private String page(Model model, BlendForm blend, Sent<SupplyForm> sent) {
        House house = households.current();
        StoreRows rows = new StoreRows(house, Map.of(), conditions.open());
        LocalDate today = today();
        model.addAttribute(
                "supplies",
                stores.supplies(OTHERS).stream()
                        .sorted(Comparator.comparing(Stock.OfSupply::kind).thenComparing(Stock.OfSupply::name))
                        .map(supply -> rows.supply(supply, life(supply, today).orElse(null)))
                        .toList());
        model.addAttribute(
                "containers",
                stores.supplies(EnumSet.of(LotKind.CONTAINER)).stream()
                        .map(rows::container)
                        .toList());
        model.addAttribute(
                "bottles",
                stores.carriers().stream()
                        .map(bottle -> new Fields.Option(
                                bottle.id().toString(), bottle.name() + ", " + house.volume(bottle.volumeLeft())))
                        .toList());
        model.addAttribute(
                "kinds",
                materia.supplies().stream()
                        .sorted(Comparator.comparing(SupplyKind::type).thenComparing(SupplyKind::common))
                        .map(kind -> new Fields.Option(
                                kind.key(),
                                "%s (%s)".formatted(kind.common(), kind.type().word())))
                        .toList());
        model.addAttribute("blend", blend);
        model.addAttribute("sent", sent);
        return "stores/supplies";
    }

    private Optional<LotSheet.Life> life(Stock.OfSupply supply, LocalDate today) {
        return months(supply)
                .map(months -> LotSheet.Life.of(
                        new Bottle(supply.name(), months, supply.opened(), supply.bestBefore()), today));
    }

    private Optional<Integer> months(Stock.OfSupply supply) {
        return materia.supply(supply.key()).flatMap(SupplyKind::monthsOpened);
    }

    private Fields fields() {
        return new Fields(households.current().reader());
    }

    private LocalDate today() {
        return households.current().dayOf(clock.instant());
    }
}
