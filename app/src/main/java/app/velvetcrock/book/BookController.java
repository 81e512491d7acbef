package app.velvetcrock.book;

import app.velvetcrock.batch.Batches;
import app.velvetcrock.learned.TwinPairs;
import app.velvetcrock.parting.Persons;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** The Book's first page: its questions, each with what there is to answer it from. */
@Controller
class BookController {

    private static final int LOOKED_AT = 60;
    private static final int OFFERED = 5;
    private static final int LESSONS = 8;

    private final Batches batches;
    private final TwinPairs twins;
    private final TwinPages pages;
    private final Persons persons;

    BookController(Batches batches, TwinPairs twins, TwinPages pages, Persons persons) {
        this.batches = batches;
        this.twins = twins;
        this.pages = pages;
        this.persons = persons;
    }

    /** Two of one name, to be laid beside each other. */
    record Pair(String href, String words) {}

    @GetMapping("/book")
    @Transactional(readOnly = true)
    public String book(Model model) {
        model.addAttribute("pairs", pairs());
        List<TwinPairs.Pair> all = twins.all();
        model.addAttribute(
                "twins", all.isEmpty() ? List.of() : pages.rows(all.subList(0, Math.min(OFFERED, all.size()))));
        model.addAttribute("together", pages.together(all));
        model.addAttribute("people", persons.all());
        model.addAttribute("lessons", batches.lessons(List.of(), LESSONS));
        return "book/book";
    }

    /** The newest of each name beside the one before it. */
    private List<Pair> pairs() {
        List<Batches.Named> newest = batches.newest(List.of(), LOOKED_AT);
        List<Pair> pairs = new ArrayList<>();
        Set<String> seen = new HashSet<>();
        for (Batches.Named one : newest) {
            if (pairs.size() < OFFERED && seen.add(one.name())) {
                newest.stream()
                        .filter(other -> other.number() < one.number()
                                && other.making() == one.making()
                                && other.name().equals(one.name()))
                        .findFirst()
                        .ifPresent(before -> pairs.add(new Pair(
                                "%s?of=%s&of=%s".formatted(CompareController.PLACE, before.id(), one.id()),
                                "%s: batch %d and batch %d".formatted(one.name(), before.number(), one.number()))));
            }
        }
        return pairs;
    }
}
