package app.velvetcrock.book;

import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** Where was that? All that was written down, searched. */
@Controller
class SearchController {

    private static final int LONGEST = 120;

    private final Written written;
    private final Households households;

    SearchController(Written written, Households households) {
        this.written = written;
        this.households = households;
    }

    /** A line of the page. */
    record Row(String href, String head, String what, List<Written.Piece> pieces) {}

    @GetMapping("/book/search")
    @Transactional(readOnly = true)
    public String search(@Nullable String q, Model model) {
        String typed = q == null ? "" : q.strip();
        String asked = typed.length() > LONGEST ? typed.substring(0, LONGEST) : typed;
        House house = households.current();
        model.addAttribute("q", asked);
        model.addAttribute(
                "found",
                written.find(asked).stream()
                        .map(hit -> new Row(
                                leadsTo(hit),
                                hit.head(),
                                "%s, %s".formatted(what(hit), house.date(house.dayOf(hit.at()))),
                                hit.pieces()))
                        .toList());
        return "book/search";
    }

    private static String what(Written.Found hit) {
        return switch (hit.source()) {
            case NOTE -> "written in its log";
            case BATCH -> hit.sort().equals("MAKING") ? "a making" : "a batch";
            case LOT -> "in the stores";
            case MOVED -> "when some was taken";
            case LABEL -> "on a label";
            case PERSON -> "a person";
            case REACTION -> "how a skin took it";
            case RECIPE, PLAN, FORMULA -> "a recipe";
            case WRONG -> "what was wrong";
            case STALL -> "a day at the stall";
            case GIFTS -> "a list of gifts";
            case KIT -> "of the kit";
            case TO_BUY -> "to be bought";
        };
    }

    private static String leadsTo(Written.Found hit) {
        return switch (hit.source()) {
            case NOTE, BATCH -> batch(hit);
            case LOT, MOVED -> lot(hit);
            case LABEL -> "/q/" + hit.sort();
            case PERSON -> "/cupboard/people/" + hit.about();
            case REACTION -> "/book/reactions?who=" + hit.about();
            case RECIPE -> "/stores/recipes/" + hit.about();
            case PLAN -> "/bench/recipes/" + hit.about();
            case FORMULA -> "/pan/recipes/" + hit.about();
            case WRONG -> hit.sort().equals("LOT") ? "/cupboard/recall/" + hit.about() : batch(hit);
            case STALL -> "/cupboard/stall/" + hit.about();
            case GIFTS -> "/cupboard/gifts/" + hit.about();
            case KIT -> "/stores/kit";
            case TO_BUY -> "/stores/to-buy";
        };
    }

    private static String batch(Written.Found hit) {
        return (hit.sort().equals("MAKING") ? "/pan/" : "/batch/") + hit.about();
    }

    private static String lot(Written.Found hit) {
        return switch (hit.sort()) {
            case "INFUSED_OIL" -> "/cupboard/" + hit.about();
            case "MADE" -> "/cupboard/goods/" + hit.about();
            default -> "/stores/lots/" + hit.about();
        };
    }
}
