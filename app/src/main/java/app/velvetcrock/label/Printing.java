package app.velvetcrock.label;

import app.velvetcrock.core.label.Code;
import app.velvetcrock.core.label.LabelLayout;
import app.velvetcrock.core.label.LabelLine;
import app.velvetcrock.core.label.Laid;
import app.velvetcrock.core.label.Paper;
import app.velvetcrock.core.label.Says;
import app.velvetcrock.core.label.Truth;
import app.velvetcrock.labelled.LabelLook;
import app.velvetcrock.labelled.LabelLooks;
import app.velvetcrock.labelled.Labelling;
import app.velvetcrock.labelled.OwnPapers;
import app.velvetcrock.labelled.Printed;
import app.velvetcrock.labelled.Printings;
import app.velvetcrock.labelled.Saying;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Lays out what is to be printed, and what was. */
@Component
public class Printing {

    private final Lines lines;
    private final Printings printings;
    private final OwnPapers papers;
    private final LabelLooks looks;
    private final Codes codes;
    private final Foreseen foreseen;

    Printing(Foreseen foreseen, Lines lines, Printings printings, OwnPapers papers, LabelLooks looks, Codes codes) {
        this.foreseen = foreseen;
        this.lines = lines;
        this.printings = printings;
        this.papers = papers;
        this.looks = looks;
        this.codes = codes;
    }

    /** A thing of the queue, laid out; {@code at} its place in it, {@code refused} why it is not printed so, empty where it is. */
    record Thing(
            int at,
            Queue.Wanted wanted,
            String title,
            String code,
            Truth truth,
            List<LabelLine> lines,
            LabelLayout.Result result,
            String refused,
            Saying saying) {

        /** The household's own line on it. */
        String words() {
            return saying.says() instanceof Says.Bottle bottle
                    ? bottle.words()
                    : saying.says() instanceof Says.Tin tin
                            ? tin.made().words()
                            : saying.says() instanceof Says.Bar bar ? bar.made().words() : "";
        }
    }

    /** A label in its place: on which sheet, where on it, mm from its upper left corner; {@code of} which thing, counted. */
    record Placed(int sheet, int at, double x, double y, Laid label, int of) {}

    /** All that goes on one paper. */
    record Stack(Paper paper, List<Thing> things, List<Placed> placed, int begin) {

        int sheets() {
            return placed.stream().mapToInt(Placed::sheet).max().orElse(0) + 1;
        }

        /** Where on the stack the first label of a thing stands, counted from the first of its first sheet. */
        int first(int thing) {
            return placed.stream()
                    .filter(one -> one.of() == thing)
                    .mapToInt(one -> one.sheet() * paper.on() + one.at())
                    .min()
                    .orElse(begin);
        }
    }

    /** All of it, paper by paper. */
    record Job(List<Stack> stacks, LabelLook look, List<Paper> papers) {

        List<Thing> things() {
            return stacks.stream().flatMap(stack -> stack.things().stream()).toList();
        }

        int count() {
            return stacks.stream().mapToInt(stack -> stack.placed().size()).sum();
        }

        int sheets() {
            return stacks.stream()
                    .filter(stack -> !stack.placed().isEmpty())
                    .mapToInt(Stack::sheets)
                    .sum();
        }
    }

    @Transactional(readOnly = true)
    Job job(Queue queue) {
        foreseen.ask();
        LabelLook look = looks.look();
        List<Paper> all = papers.all();
        Paper main = paper(all, Queue.text(queue.paper()), look.paper().orElse(""));
        Map<Paper, List<Thing>> sorted = new LinkedHashMap<>();
        sorted.put(main, new ArrayList<>());
        List<Queue.Wanted> wanted = queue.wanted();
        lines.ahead(wanted);
        for (int at = 0; at < wanted.size(); at++) {
            Queue.Wanted one = wanted.get(at);
            Paper on =
                    switch (one.kind()) {
                        case DOT, LID -> paper(all, one.paper(), Paper.DOTS.key());
                        case SHEET -> paper(all, one.paper(), Paper.WHOLE.key());
                        case BATCH, LOT -> paper(all, one.paper(), main.key());
                    };
            String code = queue.code(at).flatMap(Printings::code).orElseGet(printings::newCode);
            sorted.computeIfAbsent(on, paper -> new ArrayList<>()).add(thing(at, one, on, code, look));
        }
        List<Stack> stacks = new ArrayList<>();
        sorted.forEach((paper, things) -> {
            if (!things.isEmpty() || sorted.size() == 1) {
                stacks.add(stack(paper, things, queue.begin(paper.key(), paper.equals(main), paper.on()), queue, look));
            }
        });
        return new Job(stacks, look, all);
    }

    /** The paper of a key, else the one of another, else the first. */
    private static Paper paper(List<Paper> all, String key, String otherwise) {
        return all.stream()
                .filter(one -> one.key().equals(key))
                .findFirst()
                .or(() ->
                        all.stream().filter(one -> one.key().equals(otherwise)).findFirst())
                .orElse(Paper.COMMON.get(0));
    }

    private Thing thing(int at, Queue.Wanted wanted, Paper paper, String code, LabelLook look) {
        Lines.Said said = lines.of(wanted, look, code);
        Optional<Code> square = paper.round() ? Optional.empty() : Optional.of(codes.of(code));
        return new Thing(
                at,
                wanted,
                said.title(),
                code,
                said.truth(),
                said.lines(),
                LabelLayout.of(said.lines(), paper.inner(), look.smallest(wanted.sale()), look.decor(), square),
                said.refused(),
                said.saying());
    }

    private static Stack stack(Paper paper, List<Thing> things, int begin, Queue queue, LabelLook look) {
        Printed.Start start = new Printed.Start(begin, queue.right(look), queue.down(look));
        List<Placed> placed = new ArrayList<>();
        int at = begin;
        for (Thing thing : things) {
            if (thing.refused().isEmpty()) {
                at = place(
                        placed,
                        paper,
                        thing.result().labels(),
                        new Copies(thing.at(), thing.wanted().copies(), at),
                        start);
            }
        }
        return new Stack(paper, things, placed, begin);
    }

    private record Copies(int thing, int count, int from) {}

    private static int place(List<Placed> placed, Paper paper, List<Laid> labels, Copies copies, Printed.Start start) {
        int at = copies.from();
        for (int copy = 0; copy < copies.count(); copy++) {
            for (Laid label : labels) {
                int on = at % paper.on();
                placed.add(new Placed(
                        at / paper.on(),
                        on,
                        paper.x(on) + start.right() + paper.innerX(),
                        paper.y(on) + start.down() + paper.innerY(),
                        label,
                        copies.thing()));
                at++;
            }
        }
        return at;
    }

    /** What was printed, laid out as it was. */
    @Transactional(readOnly = true)
    List<Stack> printed(List<Printed> printed, LabelLook look) {
        Map<Paper, List<Placed>> stacks = new LinkedHashMap<>();
        Map<Paper, Integer> begins = new LinkedHashMap<>();
        for (int i = 0; i < printed.size(); i++) {
            Printed one = printed.get(i);
            if (one.paper().isPresent()) {
                Paper paper = one.paper().orElseThrow();
                begins.putIfAbsent(paper, one.start().first());
                place(
                        stacks.computeIfAbsent(paper, key -> new ArrayList<>()),
                        paper,
                        layout(one, paper, look).labels(),
                        new Copies(i, one.copies(), one.start().first()),
                        one.start());
            }
        }
        List<Stack> all = new ArrayList<>();
        stacks.forEach((paper, placed) -> all.add(new Stack(paper, List.of(), placed, begins.getOrDefault(paper, 0))));
        return all;
    }

    LabelLayout.Result layout(Printed one, Paper paper, LabelLook look) {
        return LabelLayout.of(
                one.lines(),
                paper.inner(),
                look.smallest(one.sale()),
                look.decor(),
                paper.round() ? Optional.empty() : Optional.of(codes.of(one.code())));
    }

    /** Writes down what is printed now, of what may be printed; nothing where there is none. */
    @Transactional
    Optional<UUID> keep(Queue queue) {
        Job job = job(queue);
        List<Printings.New> labels = new ArrayList<>();
        for (Stack stack : job.stacks()) {
            for (Thing thing : stack.things()) {
                if (thing.refused().isEmpty() && thing.result().isPossible()) {
                    labels.add(new Printings.New(
                            new Printed.Of(thing.wanted().kind(), thing.wanted().id()),
                            thing.wanted().copies(),
                            stack.paper(),
                            new Printed.Start(stack.first(thing.at()), queue.right(job.look()), queue.down(job.look())),
                            thing.wanted().sale(),
                            thing.truth(),
                            thing.lines(),
                            thing.code()));
                }
            }
        }
        return labels.isEmpty() ? Optional.empty() : Optional.of(printings.keep(labels));
    }

    /** Prints what wants a label, each on the paper the household prints on. */
    @Transactional
    public void print(List<Labelling.Due> due) {
        List<String> of = due.stream().map(one -> LabelsPage.wanted(one).said()).toList();
        keep(new Queue(of, null, null, null, null, null, null, null, null));
    }

    /** Writes down that a thing was labelled by hand. */
    @Transactional
    UUID byHand(Queue.Wanted wanted) {
        Lines.Said said = lines.of(wanted, looks.look(), "");
        return printings.keep(List.of(new Printings.New(
                new Printed.Of(wanted.kind(), wanted.id()),
                wanted.copies(),
                null,
                new Printed.Start(0, 0, 0),
                wanted.sale(),
                said.truth(),
                said.lines(),
                printings.newCode())));
    }
}
