package app.velvetcrock.stores;

import app.velvetcrock.catalogue.Catalogue;
import app.velvetcrock.condition.Conditions;
import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.kitchen.DropReader;
import app.velvetcrock.core.kitchen.Expect;
import app.velvetcrock.core.larder.Origin;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.making.Drops;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Part;
import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.kit.Jars;
import app.velvetcrock.rack.Rack;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Arrival;
import app.velvetcrock.stock.Stores;
import app.velvetcrock.stores.JarForms.JarForm;
import app.velvetcrock.stores.StoresForms.CarrierForm;
import app.velvetcrock.stores.StoresForms.HerbForm;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import app.velvetcrock.web.Sent;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Stores: what I have to work with. */
@Controller
class StoresController {

    private final Stores stores;
    private final Jars jars;
    private final StoresForms forms;
    private final Catalogue catalogue;
    private final Rack rack;
    private final Conditions conditions;
    private final Households households;
    private final Clock clock;

    StoresController(
            Stores stores,
            Jars jars,
            StoresForms forms,
            Catalogue catalogue,
            Rack rack,
            Conditions conditions,
            Households households,
            Clock clock) {
        this.stores = stores;
        this.jars = jars;
        this.forms = forms;
        this.catalogue = catalogue;
        this.rack = rack;
        this.conditions = conditions;
        this.households = households;
        this.clock = clock;
    }

    @GetMapping("/stores")
    String stores(@Nullable String only, @Nullable String sort, Listing.After after, Model model) {
        return page(model, fields(), "", Listing.of(only, sort), after);
    }

    @PostMapping("/stores/herbs")
    String addHerb(HerbForm form, Reply reply) {
        Fields fields = fields();
        Optional<Arrival.Herb> herb =
                forms.read(form, fields, today(), households.current().money());
        return answer(
                reply,
                new Typed("herb", "h-", form, fields),
                form.key(),
                () -> added(herb.orElseThrow().kind().common(), "/stores/lots/" + stores.add(herb.get())));
    }

    @PostMapping("/stores/carriers")
    String addCarrier(CarrierForm form, Reply reply) {
        Fields fields = fields();
        Optional<Arrival.Carrier> carrier =
                forms.read(form, fields, today(), households.current().money());
        return answer(
                reply,
                new Typed("carrier", "c-", form, fields),
                form.key(),
                () -> added(carrier.orElseThrow().kind().common(), "/stores/lots/" + stores.add(carrier.get())));
    }

    @PostMapping("/stores/jars")
    String addJar(JarForm form, Reply reply) {
        Fields fields = fields();
        Optional<JarForms.NewJar> jar = JarForms.read(form, fields);
        return answer(
                reply,
                new Typed("jar", "j-", form, fields),
                form.key(),
                () -> added(
                        jar.orElseThrow().vessel().name(),
                        "/stores/jars/"
                                + jars.add(
                                        jar.get().vessel(),
                                        jar.get().glass(),
                                        jar.get().pieces())));
    }

    /** Measures a jar whose width was the usual one. */
    @PostMapping("/stores/jars/{id}/width")
    String measureJar(@PathVariable UUID id, @Nullable UUID key, @Nullable String measured, Reply reply) {
        jars.mustBeHere(id);
        Fields fields = fields();
        reply.model().addAttribute("measured", measured);
        Optional<Length> width = fields.length("measured", measured, JarForms.NARROWEST, JarForms.WIDEST);
        return answer(
                reply,
                new Typed("jar-" + id, "w-" + id + "-", JarForm.empty(), fields),
                key,
                () -> new Done("/stores", "“%s” is measured.".formatted(jars.measure(id, width.orElseThrow()))));
    }

    @PostMapping("/stores/lots/{id}/undo")
    String undo(@PathVariable UUID id, Reply reply) {
        return reply.tap("/stores", () -> new Done("/stores", stores.takeBack(id) + " was taken back."));
    }

    @PostMapping("/stores/jars/{id}/undo")
    String undoJar(@PathVariable UUID id, Reply reply) {
        return reply.tap("/stores", () -> {
            jars.takeBack(id);
            return new Done("/stores", "The jar was taken back.");
        });
    }

    /** A form of this page, by name, as it was typed. */
    private record Typed(String which, String prefix, Object form, Fields fields) {}

    private String answer(Reply reply, Typed typed, @Nullable UUID key, Supplier<Done> work) {
        reply.model().addAttribute(typed.which() + "Form", typed.form());
        return reply.answer(
                new FormSent(typed.prefix(), key, typed.fields(), "/stores"),
                () -> page(reply.model(), typed.fields(), typed.which()),
                work);
    }

    private static Done added(String name, String where) {
        return new Done("/stores", name + " is in the stores.", where + "/undo");
    }

    /** Says back what an amount is understood as, while it is typed; drops as those of a bottle that were counted, where there is one. */
    @GetMapping("/stores/echo")
    String echo(
            @RequestParam String field,
            @RequestParam String prefix,
            @RequestParam Expect expect,
            @RequestParam(required = false) @Nullable Double perMillilitre,
            HttpServletRequest request,
            Model model) {
        Fields fields = fields();
        String text = request.getParameter(field);
        Optional<Volume> dropped = Optional.ofNullable(perMillilitre)
                .filter(per -> per >= Drops.FEWEST && per <= Drops.SMALLEST)
                .flatMap(per -> DropReader.read(text == null ? "" : text, false)
                        .map(count -> Volume.ofMillilitres(count / per)));
        if (dropped.isPresent()) {
            fields.echo(
                    field,
                    "%s, by this bottle's drops".formatted(households.current().volume(dropped.get())));
        } else if (text != null && !text.isBlank()) {
            fields.amount(field, text, expect);
        }
        model.addAttribute("fields", fields);
        model.addAttribute("field", field);
        model.addAttribute("prefix", prefix);
        return "web/form :: noteFor(prefix=${prefix},field=${field})";
    }

    private String page(Model model, Fields fields, String which) {
        return page(model, fields, which, Listing.of("", ""), Listing.After.NOTHING);
    }

    private String page(Model model, Fields fields, String which, Listing listing, Listing.After after) {
        House house = households.current();
        List<Stock.OfHerb> herbs = stores.herbs();
        List<Stock.OfCarrier> carriers = stores.carriers();
        Listing.Part<Stock.OfHerb> shownHerbs = Listing.part(listing.herbs(herbs), Stock.OfHerb::id, after.herb());
        Listing.Part<Stock.OfCarrier> shownOils =
                Listing.part(listing.carriers(carriers), Stock.OfCarrier::id, after.oil());
        LocalDate today = today();
        StoreRows rows = new StoreRows(house, stores.levels(), conditions.open());
        Map<UUID, Mass> onRack = rack.drying().stream().collect(Collectors.toMap(Rack.OnRack::lot, Rack.OnRack::now));
        model.addAttribute("only", listing.only());
        model.addAttribute("isMore", stores.isMore());
        model.addAttribute("sort", listing.sort());
        model.addAttribute("sorts", Listing.Sort.values());
        model.addAttribute("stocked", herbs.size() + carriers.size());
        model.addAttribute("herbs", shownHerbs.as(herb -> rows.herb(herb, onRack.get(herb.id()))));
        model.addAttribute("herbPart", shownHerbs);
        model.addAttribute("carriers", shownOils.as(bottle -> rows.carrier(bottle, life(bottle, today))));
        model.addAttribute("oilPart", shownOils);
        model.addAttribute("after", after);
        model.addAttribute("jars", jars.all().stream().map(rows::jar).toList());
        model.addAttribute("sent", new Sent<>(which, fields, "", ""));
        model.asMap().putIfAbsent("measured", "");
        model.asMap().putIfAbsent("herbForm", HerbForm.empty());
        model.asMap().putIfAbsent("carrierForm", CarrierForm.empty());
        model.asMap().putIfAbsent("jarForm", JarForm.empty());
        model.addAttribute("herbKinds", catalogue.herbs());
        model.addAttribute(
                "carrierKinds",
                catalogue.carriers().stream()
                        .map(kind -> new Fields.Option(kind.key(), kind.common()))
                        .toList());
        model.addAttribute("parts", Part.values());
        model.addAttribute("cuts", Cut.values());
        model.addAttribute("moistures", Moisture.values());
        model.addAttribute("origins", List.of(Origin.BOUGHT, Origin.GATHERED, Origin.GROWN));
        return "stores/stores";
    }

    private static LotSheet.Life life(Stock.OfCarrier bottle, LocalDate today) {
        return LotSheet.Life.of(
                new Bottle(bottle.name(), bottle.kind().monthsOpened(), bottle.opened(), bottle.bestBefore()), today);
    }

    private Fields fields() {
        return new Fields(households.current().reader());
    }

    private LocalDate today() {
        return households.current().dayOf(clock.instant());
    }
}
