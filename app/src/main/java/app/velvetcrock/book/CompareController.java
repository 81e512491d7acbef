package app.velvetcrock.book;

import app.velvetcrock.batch.Batches;
import app.velvetcrock.core.book.Beside;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Two to five batches beside each other; the address holds which. */
@Controller
class CompareController {

    static final String PLACE = "/book/compare";

    /** So many are offered to be laid beside; the rest is found by its own page. */
    private static final int OFFERED = 80;

    private final Subjects subjects;
    private final Batches batches;
    private final Households households;

    CompareController(Subjects subjects, Batches batches, Households households) {
        this.subjects = subjects;
        this.batches = batches;
        this.households = households;
    }

    /** One to choose. */
    record Choice(UUID id, String words) {}

    @GetMapping(PLACE)
    @Transactional(readOnly = true)
    public String compare(@RequestParam(required = false) @Nullable List<String> of, Model model) {
        House house = households.current();
        List<UUID> ids = ids(of);
        List<Subjects.Subject> chosen = subjects.of(ids);
        model.addAttribute("of", ids);
        model.addAttribute("full", chosen.size() == Beside.MOST);
        model.addAttribute("page", chosen.size() < Beside.LEAST ? null : ComparePage.of(chosen, house, PLACE));
        model.addAttribute(
                "alone",
                chosen.size() == 1
                        ? "%s, batch %d"
                                .formatted(chosen.get(0).name(), chosen.get(0).number())
                        : null);
        List<String> like =
                chosen.stream().flatMap(one -> one.like().stream()).distinct().toList();
        model.addAttribute(
                "choices",
                batches.newest(like, OFFERED).stream()
                        .filter(one -> !ids.contains(one.id()))
                        .filter(one -> isAlike(one, chosen))
                        .map(one -> new Choice(
                                one.id(),
                                "%d: %s%s"
                                        .formatted(
                                                one.number(),
                                                one.name(),
                                                one.began()
                                                        .map(day -> ", " + house.date(day))
                                                        .orElse(""))))
                        .toList());
        return "book/compare";
    }

    /** A making is laid beside makings, an oil beside oils. */
    private static boolean isAlike(Batches.Named one, List<Subjects.Subject> chosen) {
        return chosen.isEmpty() || one.making() == (chosen.get(0).sheet() == null);
    }

    private static List<UUID> ids(@Nullable List<String> of) {
        Set<UUID> ids = new LinkedHashSet<>();
        for (String said : of == null ? List.<String>of() : of) {
            id(said).ifPresent(ids::add);
        }
        return new ArrayList<>(ids).subList(0, Math.min(Beside.MOST, ids.size()));
    }

    private static Optional<UUID> id(String said) {
        try {
            return Optional.of(UUID.fromString(said.strip()));
        } catch (IllegalArgumentException no) {
            return Optional.empty();
        }
    }
}
