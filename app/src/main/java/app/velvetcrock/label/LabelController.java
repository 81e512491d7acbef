package app.velvetcrock.label;

import app.velvetcrock.core.caution.Caution;
import app.velvetcrock.core.label.Paper;
import app.velvetcrock.cupboard.ForHer;
import app.velvetcrock.labelled.LabelLook;
import app.velvetcrock.labelled.LabelLooks;
import app.velvetcrock.labelled.Labelling;
import app.velvetcrock.labelled.OwnPapers;
import app.velvetcrock.labelled.Printings;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Refused;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;

/** Labels: what is to be printed, seen as it will be. The address holds all of it; what is printed is written down. */
@Controller
class LabelController {

    static final String PLACE = "/labels";

    private final Printing printing;
    private final Labelling labelling;
    private final OwnPapers papers;
    private final LabelLooks looks;
    private final Printings printings;
    private final Lines lines;
    private final ForHer forHer;
    private final Households households;

    LabelController(
            Printing printing,
            Labelling labelling,
            OwnPapers papers,
            LabelLooks looks,
            Printings printings,
            Lines lines,
            ForHer forHer,
            Households households) {
        this.printing = printing;
        this.labelling = labelling;
        this.papers = papers;
        this.looks = looks;
        this.printings = printings;
        this.lines = lines;
        this.forHer = forHer;
        this.households = households;
    }

    @GetMapping(PLACE)
    String labels(Queue queue, Model model) {
        return show(queue, model);
    }

    private String show(Queue queue, Model model) {
        Printing.Job job = printing.job(queue);
        Address address = Address.of(queue, job);
        model.addAttribute("queue", queue);
        model.addAttribute("address", address);
        model.addAttribute("papers", LabelsPage.papers(job.papers()));
        model.addAttribute("main", job.stacks().get(0).paper().key());
        model.addAttribute("rows", LabelsPage.rows(job, address, this::reacts));
        model.addAttribute("sheets", LabelsPage.sheets(job, address));
        model.addAttribute("sale", queue.wanted().stream().anyMatch(Queue.Wanted::sale));
        model.addAttribute("count", job.count());
        model.addAttribute("printWords", LabelsPage.printWords(job));
        model.addAttribute("offset", LabelsPage.offset(queue.right(job.look()), queue.down(job.look())));
        model.addAttribute("due", LabelsPage.due(labelling.due(), address, households.current()));
        return "label/labels";
    }

    private List<Caution> reacts(Queue.Wanted wanted) {
        return switch (wanted.kind()) {
            case BATCH -> forHer.whoReactsToBatch(wanted.id());
            case LOT -> forHer.whoReacts(wanted.id());
            case DOT, LID, SHEET -> List.of();
        };
    }

    /** What was printed lately, each with its code. */
    @GetMapping(PLACE + "/printed")
    String printed(Model model) {
        model.addAttribute("newest", printings.newest());
        return "label/printed";
    }

    /** Writes down what is printed, and leads to its sheets. */
    @PostMapping(PLACE + "/print")
    String print(Queue queue, @Nullable UUID key, Reply reply) {
        Fields fields = new Fields(households.current().reader());
        if (printing.job(queue).count() == 0) {
            fields.trouble(
                    "", "There is nothing to print: of what is in the queue nothing fits or may be printed.", "");
        }
        return reply.answer(
                new FormSent("l-", key == null ? UUID.randomUUID() : key, fields, PLACE),
                () -> show(queue, reply.model()),
                () -> {
                    UUID job = printing.keep(queue)
                            .orElseThrow(
                                    () -> new Refused(
                                            "There is nothing to print: of what is in the queue nothing fits or may be printed."));
                    remember(queue);
                    String at = PLACE + "/jobs/" + job;
                    return new Done(at, "Written down as printed. The sheets are below.", at + "/undo");
                });
    }

    /** The paper and the printer's place are the next time what they were. */
    private void remember(Queue queue) {
        LabelLook look = looks.look();
        String paper = Queue.text(queue.paper());
        LabelLook now = look.printedOn(
                queue.right(look),
                queue.down(look),
                papers.all().stream()
                        .map(Paper::key)
                        .filter(paper::equals)
                        .findFirst()
                        .or(look::paper));
        if (!now.equals(look)) {
            looks.keep(now);
        }
    }

    /** What is to be written by hand, in huge letters. */
    @GetMapping(PLACE + "/by-hand")
    String byHand(Queue queue, Model model) {
        List<Queue.Wanted> wanted = queue.wanted();
        if (wanted.isEmpty()) {
            return "redirect:" + PLACE;
        }
        Lines.Said said = lines.of(wanted.get(0), looks.look(), "");
        model.addAttribute("title", said.title());
        model.addAttribute("short", LabelsPage.byHand(said));
        model.addAttribute("of", wanted.get(0).said());
        return "label/by-hand";
    }

    @PostMapping(PLACE + "/by-hand")
    String labelled(Queue queue, @Nullable UUID key, Reply reply) {
        List<Queue.Wanted> wanted = queue.wanted();
        if (wanted.isEmpty()) {
            throw new NotHere("anything to label");
        }
        String name = lines.of(wanted.get(0), looks.look(), "").title();
        return reply.answer(
                new FormSent(
                        "h-",
                        key == null ? UUID.randomUUID() : key,
                        new Fields(households.current().reader()),
                        PLACE),
                () -> byHand(queue, reply.model()),
                () -> {
                    UUID job = printing.byHand(wanted.get(0));
                    return new Done(
                            PLACE,
                            "%s is labelled by hand.".formatted(name),
                            PLACE + "/jobs/%s/undo?to=labels".formatted(job));
                });
    }

    static Optional<String> one(@Nullable String said) {
        return Optional.ofNullable(said).map(String::strip).filter(word -> !word.isEmpty());
    }
}
