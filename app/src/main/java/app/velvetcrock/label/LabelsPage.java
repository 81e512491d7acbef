package app.velvetcrock.label;

import app.velvetcrock.core.label.LabelLayout;
import app.velvetcrock.core.label.Laid;
import app.velvetcrock.core.label.Paper;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.web.Fields;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** The labels' page, worded and drawn before it is shown. */
final class LabelsPage {

    private LabelsPage() {}

    /** A run as SVG says it; {@code xs} where each sign begins. */
    record Text(String face, String size, String xs, String y, String text) {}

    /** A drawing of a label, mm. */
    record Drawing(double width, double height, List<Text> texts, List<Laid.Box> boxes) {}

    /** A label in its place on the first sheet. */
    record Placed(double x, double y, Drawing drawing) {}

    /** A cell of the sheet: used up already, or the first that is printed on. */
    record Cell(int number, double x, double y, String mark, String href) {}

    /** A thing of the queue. */
    record Row(String title, int copies, String words, String mark, List<Drawing> drawings) {}

    static Drawing drawing(Laid laid) {
        return new Drawing(
                laid.of().width(),
                laid.of().height(),
                laid.runs().stream()
                        .map(run -> new Text(
                                "label-" + run.face().file(),
                                number(run.size()),
                                run.xs().stream().map(LabelsPage::number).collect(Collectors.joining(" ")),
                                number(run.y()),
                                run.text()))
                        .toList(),
                laid.boxes());
    }

    private static String number(double millimetres) {
        return String.format(Locale.ROOT, "%.3f", millimetres);
    }

    static List<Placed> firstSheet(Printing.Job job) {
        return job.placed().stream()
                .filter(one -> one.sheet() == 0)
                .map(one -> new Placed(one.x(), one.y(), drawing(one.label())))
                .toList();
    }

    static List<Cell> cells(Printing.Job job, String address) {
        Paper paper = job.paper();
        return IntStream.range(0, paper.on())
                .mapToObj(at -> new Cell(
                        at + 1,
                        paper.x(at),
                        paper.y(at),
                        at < job.begin() ? "used" : at == job.begin() ? "first" : "",
                        address + "&from=" + (at + 1)))
                .toList();
    }

    static Row row(Printing.Thing thing) {
        LabelLayout.Result result = thing.result();
        String lacks = result.lacks().isEmpty()
                ? ""
                : " Not in these letters, and drawn as an empty box: %s.".formatted(String.join(" ", result.lacks()));
        if (thing.lines().isEmpty()) {
            return new Row(
                    thing.title(),
                    thing.wanted().copies(),
                    "Not printed with those words: a claim to heal, cure or treat makes a medicine of it everywhere.",
                    "REFUSE",
                    List.of());
        }
        if (!result.isPossible()) {
            return new Row(
                    thing.title(),
                    thing.wanted().copies(),
                    "Not on this paper: its name and its cautions do not fit in letters that can be read. Take a larger one."
                            + lacks,
                    "REFUSE",
                    List.of());
        }
        String high = "Letters %s mm high"
                .formatted(Decimals.upTo(result.labels().get(0).xHeight(), 1));
        return new Row(
                thing.title(),
                thing.wanted().copies(),
                (result.fits()
                                ? high + ": all of it fits."
                                : "%s: it takes %d labels; the second goes on with the rest."
                                        .formatted(high, result.labels().size()))
                        + lacks,
                result.fits() ? "NOTE" : "WARN",
                result.labels().stream().map(LabelsPage::drawing).toList());
    }

    static List<Fields.Option> papers() {
        return Paper.COMMON.stream()
                .map(paper -> new Fields.Option(
                        paper.key(),
                        paper.on() == 1
                                ? "roll, %s × %s mm"
                                        .formatted(
                                                Decimals.upTo(paper.label().width(), 1),
                                                Decimals.upTo(paper.label().height(), 1))
                                : "sheet of %d × %d, %s × %s mm"
                                        .formatted(
                                                paper.across(),
                                                paper.down(),
                                                Decimals.upTo(paper.label().width(), 1),
                                                Decimals.upTo(paper.label().height(), 1))))
                .toList();
    }
}
