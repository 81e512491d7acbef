package app.velvetcrock.stores;

import app.velvetcrock.catalogue.Catalogue;
import app.velvetcrock.core.caution.Cautions;
import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.Part;
import app.velvetcrock.core.materia.SupplyKind;
import app.velvetcrock.core.materia.SupplyType;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Notice;
import app.velvetcrock.web.OneTime;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The catalogue: every herb and carrier with the facts the sums need, and the household's own among them. */
@Controller
class CatalogueController {

    /** Traits that steer methods rather than warn, with their words. */
    private static final Set<String> OF_CARRIERS =
            Set.of("tree-nut", "sesame", "coconut", "peanut", "soy", "gluten", "newborn-skin", "self-heating");

    private final Catalogue catalogue;
    private final Cautions cautions;
    private final Materia materia;
    private final Households households;
    private final OneTime oneTime;

    CatalogueController(
            Catalogue catalogue, Cautions cautions, Materia materia, Households households, OneTime oneTime) {
        this.catalogue = catalogue;
        this.cautions = cautions;
        this.materia = materia;
        this.households = households;
        this.oneTime = oneTime;
    }

    /** Shows the catalogue; {@code correct} names a kind whose facts are put into the form to be corrected. */
    @GetMapping("/stores/catalogue")
    String catalogue(@Nullable String correct, @Nullable String q, Model model) {
        model.addAttribute("q", q == null ? "" : q.strip());
        String key = correct == null ? "" : correct;
        Optional<HerbKind> herb = catalogue.herb(key);
        Optional<CarrierKind> carrier = catalogue.carrier(key);
        model.addAttribute("herbForm", herb.map(CatalogueForm::of).orElseGet(CatalogueForm::empty));
        model.addAttribute("carrierForm", carrier.map(CatalogueForm::of).orElseGet(CatalogueForm::empty));
        return page(model, fields(), herb.isPresent() ? "herb" : carrier.isPresent() ? "carrier" : "");
    }

    @PostMapping("/stores/catalogue/herbs")
    String keepHerb(CatalogueForm form, Model model, HttpServletResponse response, RedirectAttributes after) {
        Fields fields = fields();
        Optional<HerbKind> herb = form.herb(fields, cautions);
        if (herb.isEmpty()) {
            model.addAttribute("herbForm", form);
            model.addAttribute("carrierForm", CatalogueForm.empty());
            response.setStatus(422);
            return page(model, fields, "herb");
        }
        return kept(form, herb.get().common(), after, () -> catalogue.keep(herb.get()));
    }

    @PostMapping("/stores/catalogue/carriers")
    String keepCarrier(CatalogueForm form, Model model, HttpServletResponse response, RedirectAttributes after) {
        Fields fields = fields();
        Optional<CarrierKind> carrier = form.carrier(fields, cautions);
        if (carrier.isEmpty()) {
            model.addAttribute("herbForm", CatalogueForm.empty());
            model.addAttribute("carrierForm", form);
            response.setStatus(422);
            return page(model, fields, "carrier");
        }
        return kept(form, carrier.get().common(), after, () -> catalogue.keep(carrier.get()));
    }

    @PostMapping("/stores/catalogue/{kind}/forget")
    String forget(@PathVariable String kind, RedirectAttributes after) {
        catalogue.forget(kind);
        after.addFlashAttribute(Notice.NAME, new Notice("Taken back: the catalogue stands as it was shipped.", null));
        return "redirect:/stores/catalogue";
    }

    private String kept(CatalogueForm form, String name, RedirectAttributes after, Runnable work) {
        UUID key = form.key() == null ? UUID.randomUUID() : form.key();
        String to = oneTime.once(Current.stillroom(), key, () -> {
            work.run();
            return "/stores/catalogue";
        });
        after.addFlashAttribute(
                Notice.NAME,
                new Notice(
                        name + " stands in your catalogue. Batches already begun keep the figures they began with.",
                        null));
        return "redirect:" + to;
    }

    private String page(Model model, Fields fields, String which) {
        model.addAttribute("which", which);
        model.addAttribute("sent", fields);
        model.addAttribute("none", fields());
        String only = String.valueOf(model.asMap().getOrDefault("q", "")).toLowerCase(Locale.ROOT);
        model.addAttribute("q", only);
        model.addAttribute(
                "herbs",
                catalogue.herbs().stream()
                        .filter(herb -> Catalogue.words(herb.common(), herb.botanical(), herb.synonyms())
                                .contains(only))
                        .toList());
        model.addAttribute(
                "carriers",
                catalogue.carriers().stream()
                        .filter(carrier ->
                                carrier.common().toLowerCase(Locale.ROOT).contains(only))
                        .toList());
        List<SupplyKind> supplies = materia.supplies().stream()
                .filter(kind -> Catalogue.words(kind.common(), kind.botanical(), kind.synonyms())
                        .contains(only))
                .toList();
        model.addAttribute(
                "supplies",
                supplies.stream()
                        .filter(kind -> kind.type() != SupplyType.ESSENTIAL_OIL)
                        .toList());
        model.addAttribute(
                "essential",
                supplies.stream()
                        .filter(kind -> kind.type() == SupplyType.ESSENTIAL_OIL)
                        .toList());
        model.addAttribute("refused", String.join(", ", cautions.refused()));
        model.addAttribute("own", catalogue.ownKeys());
        model.addAttribute("parts", Part.values());
        model.addAttribute("heads", cautions.heads());
        model.addAttribute("ofCarriers", OF_CARRIERS);
        return "stores/catalogue";
    }

    private Fields fields() {
        return new Fields(households.current().reader());
    }
}
