package app.velvetcrock.stores;

import app.velvetcrock.catalogue.Catalogue;
import app.velvetcrock.catalogue.OwnCeilings;
import app.velvetcrock.core.caution.Bearing;
import app.velvetcrock.core.caution.Caution;
import app.velvetcrock.core.caution.Cautions;
import app.velvetcrock.core.caution.Level;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.Part;
import app.velvetcrock.core.materia.SupplyKind;
import app.velvetcrock.core.materia.SupplyType;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.GatheringDays;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import app.velvetcrock.web.Sent;
import java.time.Month;
import java.time.format.TextStyle;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** The catalogue: every herb and carrier with the facts the sums need, and the household's own among them. */
@Controller
class CatalogueController {

    /** Traits that steer methods rather than warn, with their words. */
    private static final Set<String> OF_CARRIERS =
            Set.of("tree-nut", "sesame", "coconut", "peanut", "soy", "gluten", "newborn-skin", "self-heating");

    private final Catalogue catalogue;
    private final Cautions cautions;
    private final Materia materia;
    private final OwnCeilings ceilings;
    private final GatheringDays gathered;
    private final Households households;

    CatalogueController(
            Catalogue catalogue,
            Cautions cautions,
            Materia materia,
            OwnCeilings ceilings,
            GatheringDays gathered,
            Households households) {
        this.gathered = gathered;
        this.ceilings = ceilings;
        this.catalogue = catalogue;
        this.cautions = cautions;
        this.materia = materia;
        this.households = households;
    }

    /**
     * Shows the catalogue; {@code correct} names a kind whose facts are put into the form to be corrected, {@code add} a herb that
     * is not in it yet.
     */
    @GetMapping("/stores/catalogue")
    String catalogue(@Nullable String correct, @Nullable String add, Looking looking, Model model) {
        model.addAttribute("looking", looking);
        String key = correct == null ? "" : correct;
        String added = add == null ? "" : add.strip();
        Optional<HerbKind> herb = catalogue.herb(key);
        Optional<CarrierKind> carrier = catalogue.carrier(key);
        model.addAttribute("herbForm", herb.map(CatalogueForm::of).orElseGet(() -> CatalogueForm.named(added)));
        model.addAttribute("carrierForm", carrier.map(CatalogueForm::of).orElseGet(CatalogueForm::empty));
        return page(
                model, fields(), herb.isPresent() || !added.isEmpty() ? "herb" : carrier.isPresent() ? "carrier" : "");
    }

    @PostMapping("/stores/catalogue/herbs")
    String keepHerb(CatalogueForm form, Reply reply) {
        Fields fields = fields();
        Optional<HerbKind> herb = form.herb(fields, cautions);
        reply.model().addAttribute("herbForm", form);
        reply.model().addAttribute("carrierForm", CatalogueForm.empty());
        return reply.answer(
                new FormSent("h-", form.key(), fields, "/stores/catalogue"),
                () -> page(reply.model(), fields, "herb"),
                () -> {
                    catalogue.keep(herb.orElseThrow());
                    return kept(herb.get().common());
                });
    }

    @PostMapping("/stores/catalogue/carriers")
    String keepCarrier(CatalogueForm form, Reply reply) {
        Fields fields = fields();
        Optional<CarrierKind> carrier = form.carrier(fields, cautions);
        reply.model().addAttribute("herbForm", CatalogueForm.empty());
        reply.model().addAttribute("carrierForm", form);
        return reply.answer(
                new FormSent("c-", form.key(), fields, "/stores/catalogue"),
                () -> page(reply.model(), fields, "carrier"),
                () -> {
                    catalogue.keep(carrier.orElseThrow());
                    return kept(carrier.get().common());
                });
    }

    @PostMapping("/stores/catalogue/{kind}/forget")
    String forget(@PathVariable String kind, Reply reply) {
        return reply.tap("/stores/catalogue", () -> {
            catalogue.forget(kind);
            return new Done("/stores/catalogue", "Taken back: the catalogue stands as it was shipped.");
        });
    }

    /** Holds another figure than the shipped one for the most of an essential oil on skin; an empty one goes back to it. */
    @PostMapping("/stores/catalogue/ceilings")
    String ceiling(
            @Nullable UUID key, @Nullable String oil, @Nullable String percent, @Nullable String source, Reply reply) {
        Fields fields = fields();
        Optional<SupplyKind> kind =
                materia.supply(oil == null ? "" : oil).filter(one -> one.type() == SupplyType.ESSENTIAL_OIL);
        if (kind.isEmpty()) {
            fields.trouble("oil", "It is not said of which oil.", "one from the list");
        }
        String typed = Objects.requireNonNullElse(percent, "");
        boolean back = typed.isBlank();
        String figure = typed.replace("%", "").strip();
        Optional<Double> most =
                back ? Optional.empty() : fields.number("percent", figure, 0, 100, "percent of the whole");
        Optional<String> from = back ? Optional.empty() : fields.words("source", source, 120);
        reply.model().addAttribute("ceilingOil", oil);
        reply.model().addAttribute("ceilingPercent", percent);
        reply.model().addAttribute("ceilingSource", source);
        return reply.answer(
                new FormSent("x-", key, fields, "/stores/catalogue"),
                () -> page(reply.model(), fields, "ceiling"),
                () -> {
                    String name = kind.orElseThrow().common();
                    if (back) {
                        ceilings.forget(kind.get().key());
                        return new Done("/stores/catalogue", name + ": the shipped figure holds again.");
                    }
                    ceilings.keep(new OwnCeilings.Own(kind.get().key(), most.orElseThrow(), from.orElseThrow()));
                    return new Done(
                            "/stores/catalogue",
                            "%s: at most %s %% now. What was poured before keeps what was said of it."
                                    .formatted(name, figure));
                });
    }

    /**
     * What of it is looked through.
     *
     * @param q a part of a name
     * @param use for whom: what is refused for them is left out
     * @param month in which it was gathered here; empty for any
     * @param calm whether what is warned of for them is left out too
     */
    record Looking(@Nullable String q, @Nullable String use, @Nullable String month, @Nullable String calm) {

        static final Looking ALL = new Looking("", "", "", null);

        String name() {
            return q == null ? "" : q.strip().toLowerCase(Locale.ROOT);
        }

        Use forWhom() {
            return Stream.of(Use.values())
                    .filter(one -> one.name().equals(use))
                    .findFirst()
                    .orElse(Use.ADULT_SKIN);
        }

        public boolean isCalm() {
            return calm != null && !calm.isEmpty();
        }

        boolean isInSeason(Set<Month> months) {
            return month == null
                    || month.isEmpty()
                    || months.stream().anyMatch(one -> one.name().equals(month));
        }

        /** Without a word of whom it is for everything is shown, with what is said of grown-up skin. */
        boolean isShown(List<Caution> told) {
            boolean said = use != null && !use.isEmpty();
            return told.stream()
                    .noneMatch(one -> said && one.level() == Level.REFUSE || isCalm() && one.level() != Level.NOTE);
        }
    }

    /** A herb of the catalogue, what is to be known of it for them, and when it was gathered here. */
    record Leaf(StoreRows.Kind kind, List<Caution> told, List<Months> months) {

        /** The same in words; empty where it was never gathered here. */
        public String season() {
            String in = months.stream()
                    .filter(one -> !one.mark().isEmpty())
                    .map(Months::name)
                    .collect(Collectors.joining(", "));
            return in.isEmpty() ? "" : "gathered here in " + in;
        }
    }

    /** A month of the year's strip. */
    record Months(String letter, String name, String mark) {

        static List<Months> of(Set<Month> here) {
            return Stream.of(Month.values())
                    .map(month -> new Months(
                            month.getDisplayName(TextStyle.NARROW, Locale.ENGLISH),
                            month.getDisplayName(TextStyle.FULL, Locale.ENGLISH),
                            here.contains(month) ? "here" : ""))
                    .toList();
        }
    }

    private static Done kept(String name) {
        return new Done(
                "/stores/catalogue",
                name + " stands in your catalogue. Batches already begun keep the figures they began with.");
    }

    private String page(Model model, Fields fields, String which) {
        model.addAttribute("sent", new Sent<>(which, fields, "", ""));
        model.asMap().putIfAbsent("herbForm", CatalogueForm.empty());
        model.asMap().putIfAbsent("carrierForm", CatalogueForm.empty());
        List.of("ceilingOil", "ceilingPercent", "ceilingSource")
                .forEach(name -> model.asMap().putIfAbsent(name, ""));
        model.addAttribute(
                "oils",
                materia.supplies().stream()
                        .filter(kind -> kind.type() == SupplyType.ESSENTIAL_OIL)
                        .map(kind -> new Fields.Option(kind.key(), kind.common()))
                        .toList());
        Set<String> own = catalogue.ownKeys();
        StoreRows rows = new StoreRows(households.current(), Map.of(), List.of());
        Looking looking = (Looking) model.asMap().getOrDefault("looking", Looking.ALL);
        model.addAttribute("looking", looking);
        String only = looking.name();
        Map<String, Set<Month>> seasons = gathered.months();
        model.addAttribute("hasSeasons", !seasons.isEmpty());
        model.addAttribute("uses", Use.values());
        model.addAttribute(
                "months",
                Stream.of(Month.values())
                        .map(month ->
                                new Fields.Option(month.name(), month.getDisplayName(TextStyle.FULL, Locale.ENGLISH)))
                        .toList());
        model.addAttribute(
                "herbs",
                catalogue.herbs().stream()
                        .filter(herb -> Catalogue.words(herb.common(), herb.botanical(), herb.synonyms())
                                .contains(only))
                        .filter(herb -> looking.isInSeason(seasons.getOrDefault(herb.key(), Set.of())))
                        .map(herb -> new Leaf(
                                rows.herb(herb, own),
                                cautions.ofTraits(Bearing.herb(herb), looking.forWhom()),
                                Months.of(seasons.getOrDefault(herb.key(), Set.of()))))
                        .filter(leaf -> looking.isShown(leaf.told()))
                        .toList());
        model.addAttribute(
                "carriers",
                catalogue.carriers().stream()
                        .filter(carrier ->
                                carrier.common().toLowerCase(Locale.ROOT).contains(only))
                        .map(carrier -> rows.carrier(carrier, own))
                        .toList());
        List<SupplyKind> supplies = materia.supplies().stream()
                .filter(kind -> Catalogue.words(kind.common(), kind.botanical(), kind.synonyms())
                        .contains(only))
                .toList();
        model.addAttribute(
                "supplies",
                supplies.stream()
                        .filter(kind -> kind.type() != SupplyType.ESSENTIAL_OIL)
                        .map(rows::supply)
                        .toList());
        model.addAttribute(
                "essential",
                supplies.stream()
                        .filter(kind -> kind.type() == SupplyType.ESSENTIAL_OIL)
                        .map(kind -> StoreRows.essential(kind, ceilings.all()))
                        .toList());
        model.addAttribute("refused", String.join(", ", cautions.refused()));
        model.addAttribute("parts", Part.values());
        model.addAttribute("heads", cautions.heads());
        model.addAttribute("ofCarriers", OF_CARRIERS);
        return "stores/catalogue";
    }

    private Fields fields() {
        return new Fields(households.current().reader());
    }
}
