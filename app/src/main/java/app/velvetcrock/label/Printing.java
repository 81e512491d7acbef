package app.velvetcrock.label;

import app.velvetcrock.core.label.LabelLayout;
import app.velvetcrock.core.label.LabelLine;
import app.velvetcrock.core.label.Laid;
import app.velvetcrock.core.label.Paper;
import app.velvetcrock.cupboard.CupboardLabels;
import app.velvetcrock.tend.JarLabels;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Lays out what is to be printed. */
@Component
class Printing {

    private final JarLabels jars;
    private final CupboardLabels cupboard;

    Printing(JarLabels jars, CupboardLabels cupboard) {
        this.jars = jars;
        this.cupboard = cupboard;
    }

    /** A thing of the queue, laid out. */
    record Thing(Queue.Wanted wanted, String title, List<LabelLine> lines, LabelLayout.Result result) {}

    /** A label in its place: on which sheet, where on it, mm from its upper left corner. */
    record Placed(int sheet, int at, double x, double y, Laid label) {}

    /** All of it. */
    record Job(Paper paper, List<Thing> things, List<Placed> placed, int begin, int sheets) {}

    @Transactional(readOnly = true)
    Job job(Queue queue) {
        Paper paper = Paper.of(Queue.text(queue.paper()));
        double smallest = queue.isSale() ? LabelLayout.SMALLEST_FOR_SALE : LabelLayout.SMALLEST;
        List<Thing> things = new ArrayList<>();
        for (Queue.Wanted wanted : queue.wanted()) {
            List<LabelLine> lines = lines(wanted, queue);
            things.add(new Thing(
                    wanted,
                    lines.stream()
                            .filter(line -> line.role() == LabelLine.Role.TITLE)
                            .map(LabelLine::text)
                            .findFirst()
                            .orElse("not printed with those words"),
                    lines,
                    LabelLayout.of(lines, paper.label(), smallest)));
        }
        int begin = queue.begin(paper.on());
        int at = begin;
        List<Placed> placed = new ArrayList<>();
        for (Thing thing : things) {
            for (int copy = 0; copy < thing.wanted().copies(); copy++) {
                for (Laid label : thing.result().labels()) {
                    int on = at % paper.on();
                    placed.add(new Placed(
                            at / paper.on(),
                            on,
                            paper.x(on) + queue.offset(queue.right()),
                            paper.y(on) + queue.offset(queue.down()),
                            label));
                    at++;
                }
            }
        }
        return new Job(paper, things, placed, begin, (Math.max(1, at) + paper.on() - 1) / paper.on());
    }

    private List<LabelLine> lines(Queue.Wanted wanted, Queue queue) {
        if (wanted.batch()) {
            return jars.lines(wanted.id());
        }
        return cupboard.isGood(wanted.id())
                ? cupboard.good(wanted.id(), Queue.text(queue.title()), Queue.text(queue.words()))
                : cupboard.oil(wanted.id());
    }
}
