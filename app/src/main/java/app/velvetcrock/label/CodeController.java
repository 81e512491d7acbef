package app.velvetcrock.label;

import app.velvetcrock.core.label.Paper;
import app.velvetcrock.core.label.Truth;
import app.velvetcrock.core.larder.LotKind;
import app.velvetcrock.labelled.LabelLooks;
import app.velvetcrock.labelled.Labelling;
import app.velvetcrock.labelled.Printed;
import app.velvetcrock.labelled.Printings;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stillroom.People;
import app.velvetcrock.stock.Stores;
import app.velvetcrock.web.NotHere;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** A label that is read: by its code, scanned or typed. Strangers see the sign-in and nothing else. */
@Controller
class CodeController {

    private final Printings printings;
    private final Printing printing;
    private final Lines lines;
    private final LabelLooks looks;
    private final Stores stores;
    private final People people;
    private final Households households;

    CodeController(
            Printings printings,
            Printing printing,
            Lines lines,
            LabelLooks looks,
            Stores stores,
            People people,
            Households households) {
        this.printings = printings;
        this.printing = printing;
        this.lines = lines;
        this.looks = looks;
        this.stores = stores;
        this.people = people;
        this.households = households;
    }

    /** Typed; whatever is no code is said on the labels' page by itself. */
    @GetMapping("/q")
    String typed(@Nullable String code) {
        return "redirect:/q/"
                + Printings.code(code == null ? "" : code).orElseThrow(() -> new NotHere("a label of that code"));
    }

    @GetMapping("/q/{code}")
    String read(@PathVariable String code, Model model) {
        Printed printed =
                Printings.code(code).flatMap(printings::find).orElseThrow(() -> new NotHere("a label of that code"));
        House house = households.current();
        Paper paper = printed.paper().orElse(Paper.COMMON.get(0));
        Truth now = lines.of(
                        new Queue.Wanted(printed.of().kind(), printed.of().id(), 1, "", printed.sale()),
                        looks.look(),
                        printed.code())
                .truth();
        List<Truth.What> changed = printed.truth().changed(now);
        model.addAttribute("title", printed.truth().name());
        model.addAttribute("code", printed.code());
        model.addAttribute("page", page(printed.of()));
        model.addAttribute(
                "words",
                "%s %s by %s, %s%s"
                        .formatted(
                                printed.isByHand() ? "Labelled by hand" : "Printed",
                                house.moment(printed.at()),
                                people.namesHere().getOrDefault(printed.by(), "somebody who has left"),
                                printed.copies() == 1 ? "once" : printed.copies() + " of them",
                                printed.gone() ? "; taken back since" : ""));
        model.addAttribute(
                "changed", changed.isEmpty() ? "" : Labelling.wrongOn(printed.truth(), now, changed, house::date));
        model.addAttribute(
                "again",
                "/labels?of="
                        + new Queue.Wanted(printed.of().kind(), printed.of().id(), printed.copies(), "", printed.sale())
                                .said());
        model.addAttribute(
                "drawings",
                printing.layout(printed, paper, looks.look()).labels().stream()
                        .map(LabelsPage::drawing)
                        .toList());
        model.addAttribute(
                "lines",
                printed.lines().stream()
                        .map(line -> line.text())
                        .filter(line -> !line.isBlank())
                        .toList());
        return "label/read";
    }

    private String page(Printed.Of of) {
        UUID id = of.id();
        if (of.kind().isOfBatch()) {
            return "/batch/" + id;
        }
        LotKind kind = stores.lot(id).kind();
        return switch (kind) {
            case INFUSED_OIL -> "/cupboard/" + id;
            case MADE -> "/cupboard/goods/" + id;
            default -> "/stores/lots/" + id;
        };
    }
}
