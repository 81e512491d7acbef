package app.velvetcrock.rack;

import app.velvetcrock.core.deed.May;
import app.velvetcrock.core.deed.StoreDeed;
import app.velvetcrock.core.drying.Snap;
import app.velvetcrock.core.drying.WeighIn;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Part;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.water.WaterContent;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Arrival;
import app.velvetcrock.stock.Stores;
import app.velvetcrock.stock.deeds.StoreDeeds;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import app.velvetcrock.web.Sent;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** The drying rack as a page: a curve for each lot, one field to weigh it. */
@Controller
class RackController {

    private static final String DRYING = "/stores/drying";

    private final Rack rack;
    private final StoreDeeds deeds;
    private final Stores stores;
    private final Households households;
    private final Clock clock;

    RackController(Rack rack, StoreDeeds deeds, Stores stores, Households households, Clock clock) {
        this.rack = rack;
        this.deeds = deeds;
        this.stores = stores;
        this.households = households;
        this.clock = clock;
    }

    /** A weighing as typed. */
    record WeighForm(@Nullable UUID key, @Nullable String mass, @Nullable String snap, @Nullable String when) {

        static WeighForm empty() {
            return new WeighForm(null, "", Snap.NOT_TRIED.name(), "");
        }

        Optional<WeighIn> read(Fields fields, Rack.OnRack rack, House house, Instant now) {
            Optional<Mass> weighed = fields.mass(
                    "mass",
                    mass,
                    0.1,
                    Math.min(Arrival.MOST_GRAMS, rack.course().start().mass().grams() * 1.1));
            Optional<Snap> felt =
                    fields.oneOf("snap", Snap.class, snap == null || snap.isBlank() ? Snap.NOT_TRIED.name() : snap);
            Instant start = rack.course().start().at();
            Optional<Instant> at = when == null || when.isBlank()
                    ? Optional.of(now)
                    : fields.moment("when", when, house.past(now))
                            .map(there -> there.atZone(house.settings().zone()).toInstant())
                            .filter(moment -> {
                                boolean sensible = !May.isToCome(moment, now) && !moment.isBefore(start);
                                if (!sensible) {
                                    fields.trouble(
                                            "when",
                                            "Understood %s; it lies between the laying out, %s, and now."
                                                    .formatted(house.moment(moment), house.moment(start)),
                                            "a time in between");
                                }
                                return sensible;
                            });
            return weighed.isPresent() && felt.isPresent() && at.isPresent()
                    ? Optional.of(new WeighIn(at.get(), weighed.get(), felt.get()))
                    : Optional.empty();
        }
    }

    /** What a weight means fresh and dried, both ways. */
    record Equivalent(String typed, String fresh, String dried) {}

    @GetMapping("/stores/drying")
    String rack(@Nullable String amount, @Nullable String part, Model model) {
        House house = households.current();
        Fields fields = new Fields(house.reader());
        if (amount != null && !amount.isBlank()) {
            Optional<Part> of = fields.oneOf("part", Part.class, part);
            fields.mass("amount", amount, 0.1, Arrival.MOST_GRAMS)
                    .ifPresent(mass -> of.ifPresent(p -> model.addAttribute("equivalent", equivalent(mass, p, house))));
        }
        model.addAttribute("asked", amount == null ? "" : amount);
        model.addAttribute("askedPart", part == null ? Part.LEAF.name() : part);
        model.addAttribute("asking", fields);
        return page(model, Sent.nothing(new Fields(house.reader()), WeighForm.empty()));
    }

    @PostMapping("/stores/drying/{id}/weigh")
    String weigh(@PathVariable UUID id, WeighForm form, Reply reply) {
        House house = households.current();
        Fields fields = new Fields(house.reader());
        Rack.OnRack lot = rack.find(id);
        Optional<WeighIn> weighIn = form.read(fields, lot, house, clock.instant());
        return reply.answer(
                new FormSent(id + "-", form.key(), fields, DRYING),
                () -> shown(reply.model(), id, form, fields),
                () -> {
                    WeighIn weighed = weighIn.orElseThrow();
                    // When a lot was weighed lies in the weighing itself.
                    UUID weighing = deeds.done(Current.doing(
                            new StoreDeed.Weigh(lot.lot(), weighed),
                            Objects.requireNonNullElseGet(form.key(), UUID::randomUUID),
                            weighed.at(),
                            Objects.requireNonNullElse(form.mass(), "")));
                    return new Done(
                            DRYING,
                            "%s: %s."
                                    .formatted(
                                            lot.name(), house.mass(weighIn.get().mass())),
                            "/stores/drying/%s/weighings/%s/undo".formatted(id, weighing));
                });
    }

    @PostMapping("/stores/drying/{id}/weighings/{weighing}/undo")
    String takeBack(@PathVariable UUID id, @PathVariable UUID weighing, Reply reply) {
        return reply.tap(DRYING, () -> {
            rack.takeBackWeighing(id, weighing);
            return new Done(DRYING, "The weighing was taken back.");
        });
    }

    @PostMapping("/stores/drying/{id}/down")
    String takeDown(@PathVariable UUID id, @Nullable UUID key, @Nullable String as, Reply reply) {
        House house = households.current();
        Fields fields = new Fields(house.reader());
        Moisture taken = Moisture.WILTED.name().equals(as) ? Moisture.WILTED : Moisture.DRIED;
        return reply.answer(
                new FormSent("", key, fields, DRYING),
                () -> shown(reply.model(), id, WeighForm.empty(), fields),
                () -> {
                    UUID lot = deeds.done(Current.doing(
                            new StoreDeed.TakeDown(rack.find(id).lot(), taken),
                            Objects.requireNonNullElseGet(key, UUID::randomUUID),
                            clock.instant(),
                            ""));
                    return new Done(
                            "/stores/lots/" + lot,
                            "It is %s stock now.".formatted(taken.word()),
                            "/stores/drying/%s/back".formatted(id));
                });
    }

    @PostMapping("/stores/drying/{id}/back")
    String putBack(@PathVariable UUID id, Reply reply) {
        return reply.tap(DRYING, () -> {
            rack.putBack(id);
            return new Done(DRYING, "It lies on the rack again.");
        });
    }

    private String shown(Model model, UUID which, WeighForm form, Fields fields) {
        model.addAttribute("asked", "");
        model.addAttribute("askedPart", Part.LEAF.name());
        model.addAttribute("asking", new Fields(households.current().reader()));
        return page(model, new Sent<>(which.toString(), fields, form, WeighForm.empty()));
    }

    private String page(Model model, Sent<WeighForm> sent) {
        House house = households.current();
        Instant now = clock.instant();
        List<Rack.OnRack> onRack = rack.drying();
        model.addAttribute(
                "drying",
                onRack.stream().map(lot -> RackPage.of(lot, now, house)).toList());
        model.addAttribute("down", rack.takenDown());
        model.addAttribute(
                "wet",
                stores.herbs().stream()
                        .filter(herb -> !herb.moisture().isDried()
                                && onRack.stream().noneMatch(lot -> lot.lot().equals(herb.id())))
                        .toList());
        model.addAttribute("sent", sent);
        model.addAttribute("snaps", Snap.values());
        model.addAttribute("parts", Part.values());
        return "rack/drying";
    }

    private static Equivalent equivalent(Mass mass, Part part, House house) {
        WaterContent wet = WaterContent.of(part, Cut.WHOLE, Moisture.FRESH);
        return new Equivalent(
                house.mass(mass),
                house.about(WaterContent.DRIED.equivalent(mass, wet)),
                house.about(wet.equivalent(mass, WaterContent.DRIED)));
    }
}
