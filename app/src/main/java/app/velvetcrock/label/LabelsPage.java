package app.velvetcrock.label;

import app.velvetcrock.core.caution.Caution;
import app.velvetcrock.core.label.Claims;
import app.velvetcrock.core.label.LabelLayout;
import app.velvetcrock.core.label.LabelLine.Role;
import app.velvetcrock.core.label.Laid;
import app.velvetcrock.core.label.Mark;
import app.velvetcrock.core.label.Paper;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.labelled.Labelling;
import app.velvetcrock.labelled.LotWords;
import app.velvetcrock.labelled.Printed.Kind;
import app.velvetcrock.labelled.Saying;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.web.Fields;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/** The labels' page, worded and drawn before it is shown. */
final class LabelsPage {

    /** What is written by hand: the least that tells what it is, and what must not be left out. */
    private static final Set<Role> SHORT =
            EnumSet.of(Role.ALARM, Role.TITLE, Role.DATES, Role.CAUTIONS, Role.ALLERGENS, Role.BATCH);

    private LabelsPage() {}

    /** A run as SVG says it; {@code xs} where each sign begins. */
    record Text(String face, String size, String xs, String y, String text) {}

    /** A code as one path in modules, and how it is put in its place. */
    record Square(String path, String place) {}

    /** The household's mark: its path, or its picture. */
    record Badge(double x, double y, double width, double height, @Nullable String path, String place) {}

    /** A drawing of a label, mm. */
    record Drawing(
            double width,
            double height,
            List<Text> texts,
            List<Laid.Box> boxes,
            @Nullable Square code,
            @Nullable Badge badge) {}

    /** A label in its place on a sheet. */
    record Placed(double x, double y, Drawing drawing) {}

    /** A cell of the sheet: used up already, or the first that is printed on. */
    record Cell(int number, double x, double y, String mark, String href) {}

    /** A sheet of paper: its first, with the cells to begin at. */
    record Sheet(Paper paper, String words, List<Cell> cells, List<Placed> placed) {}

    /**
     * A thing of the queue.
     *
     * @param words how it fits; {@code lot} whose words may be changed, null where it has none of its own
     */
    record Row(
            String of,
            String title,
            String what,
            int copies,
            String paper,
            String to,
            String code,
            String words,
            String mark,
            List<Drawing> drawings,
            @Nullable UUID lot,
            String own,
            List<Claimed> claims,
            List<Caution> reacts,
            String missing,
            String without,
            String byHand,
            String extra,
            String extraWords) {}

    /**
     * A word that claims too much, where it stands.
     *
     * @param before what stands before it, and {@code after} behind
     * @param stem by which it is answered; empty where it cannot be
     */
    record Claimed(String before, String word, String after, String why, String stem, List<Offer> offers) {}

    /** Other words in its place, as both texts then are. */
    record Offer(String words, String title, String line) {}

    /** What wants a label. */
    record Due(String name, String why, String mark, String add, String byHand) {}

    /** All of them: {@code all} puts them all into the queue. */
    record Dues(List<Due> due, String all) {}

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
                laid.boxes(),
                laid.code().map(LabelsPage::square).orElse(null),
                laid.badge()
                        .map(badge -> new Badge(
                                badge.at().x(),
                                badge.at().y(),
                                badge.at().width(),
                                badge.at().height(),
                                badge.mark().map(Mark::path).orElse(null),
                                "translate(%s %s) scale(%s)"
                                        .formatted(
                                                number(badge.at().x()),
                                                number(badge.at().y()),
                                                number(badge.at().height() / 100))))
                        .orElse(null));
    }

    private static Square square(Laid.Square square) {
        StringBuilder path = new StringBuilder();
        square.code()
                .runs()
                .forEach(run ->
                        path.append("M%d %dh%dv1h-%dz".formatted(run.column(), run.row(), run.length(), run.length())));
        return new Square(
                path.toString(),
                "translate(%s %s) scale(%s)"
                        .formatted(number(square.at().x()), number(square.at().y()), number(square.module())));
    }

    private static String number(double millimetres) {
        return String.format(Locale.ROOT, "%.3f", millimetres);
    }

    static List<Placed> on(Printing.Stack stack, int sheet) {
        return stack.placed().stream()
                .filter(one -> one.sheet() == sheet)
                .map(one -> new Placed(one.x(), one.y(), drawing(one.label())))
                .toList();
    }

    static List<Sheet> sheets(Printing.Job job, Address address) {
        return job.stacks().stream()
                .map(stack -> new Sheet(stack.paper(), stack.paper().words(), cells(stack, address), on(stack, 0)))
                .toList();
    }

    private static List<Cell> cells(Printing.Stack stack, Address address) {
        Paper paper = stack.paper();
        return IntStream.range(0, paper.on())
                .mapToObj(at -> new Cell(
                        at + 1,
                        paper.x(at),
                        paper.y(at),
                        at < stack.begin() ? "used" : at == stack.begin() ? "first" : "",
                        address.begun(paper, at)))
                .toList();
    }

    /** {@code reacts}: who is known to react to what a label is for. */
    static List<Row> rows(Printing.Job job, Address address, Function<Queue.Wanted, List<Caution>> reacts) {
        return job.things().stream()
                .sorted((one, other) -> Integer.compare(one.at(), other.at()))
                .map(thing -> row(thing, address, reacts.apply(thing.wanted())))
                .toList();
    }

    private static Row row(Printing.Thing thing, Address address, List<Caution> reacts) {
        Queue.Wanted wanted = thing.wanted();
        LabelLayout.Result result = thing.result();
        String bare = "%s.%s".formatted(wanted.kind().name().toLowerCase(Locale.ROOT), wanted.id());
        boolean refused = !thing.refused().isEmpty();
        Kind extra = wanted.kind() == Kind.BATCH ? Kind.DOT : Kind.LID;
        return new Row(
                bare,
                thing.title(),
                what(wanted),
                wanted.copies(),
                wanted.paper(),
                wanted.sale() ? Queue.SALE : "",
                thing.code(),
                refused ? thing.refused() : fit(result),
                refused || !result.isPossible() ? "REFUSE" : result.fits() ? "NOTE" : "WARN",
                result.labels().stream().map(LabelsPage::drawing).toList(),
                wanted.kind() == Kind.LOT ? wanted.id() : null,
                thing.words(),
                thing.saying().claims().stream().map(one -> claimed(one, thing)).toList(),
                reacts,
                wanted.sale() ? String.join("; ", thing.saying().missing()) : "",
                address.without(wanted),
                "%s/by-hand?of=%s.%d".formatted(LabelController.PLACE, bare, wanted.copies()),
                wanted.kind().isLabel()
                        ? address.with(List.of(new Queue.Wanted(extra, wanted.id(), wanted.copies(), "", false)))
                        : "",
                wanted.kind() == Kind.BATCH ? "a dot for the lid too" : "dots for the lids too");
    }

    private static Claimed claimed(Saying.Claimed one, Printing.Thing thing) {
        Claims.Claim claim = one.claim();
        LotWords.Own own = new LotWords.Own(thing.saying().says().name(), thing.words());
        return new Claimed(
                one.text().substring(0, claim.start()),
                claim.word(),
                one.text().substring(claim.end()),
                claim.why(),
                claim.never() ? "" : claim.stem(),
                claim.instead().stream()
                        .map(other -> {
                            LotWords.Own anew = one.with(own, other);
                            return new Offer(other, anew.title(), anew.words());
                        })
                        .toList());
    }

    private static String what(Queue.Wanted wanted) {
        String what =
                switch (wanted.kind()) {
                    case BATCH -> "for the jar";
                    case LOT -> wanted.sale() ? "for sale" : "for the shelf, or a gift";
                    case DOT, LID -> "for the lid, an extra";
                    case SHEET -> "the sheet that goes along";
                };
        return wanted.paper().isEmpty() ? what : what + ", on a paper of its own";
    }

    private static String fit(LabelLayout.Result result) {
        String lacks = result.lacks().isEmpty()
                ? ""
                : " Not in these letters, and drawn as an empty box: %s.".formatted(String.join(" ", result.lacks()));
        if (!result.isPossible()) {
            return "Not on this paper: its name and its cautions do not fit in letters that can be read. Take a larger one."
                    + lacks;
        }
        String high = "Letters %s mm high"
                .formatted(Decimals.upTo(result.labels().get(0).xHeight(), 1));
        return (result.fits()
                        ? high + ": all of it fits."
                        : "%s: it takes %d labels; the second goes on with the rest."
                                .formatted(high, result.labels().size()))
                + lacks;
    }

    static String printWords(Printing.Job job) {
        return "Print %d on %s".formatted(job.count(), job.sheets() == 1 ? "one sheet" : job.sheets() + " sheets");
    }

    /** "your printer sits 0.7 mm high: made up for". */
    static String offset(double right, double down) {
        List<String> said = new ArrayList<>();
        if (right != 0) {
            said.add("%s mm too far %s".formatted(Decimals.upTo(Math.abs(right), 1), right > 0 ? "left" : "right"));
        }
        if (down != 0) {
            said.add("%s mm too %s".formatted(Decimals.upTo(Math.abs(down), 1), down > 0 ? "high" : "low"));
        }
        return said.isEmpty() ? "" : "Your printer sits %s: made up for.".formatted(String.join(" and ", said));
    }

    static Dues due(List<Labelling.Due> due, Address address, House house) {
        List<Queue.Wanted> all = due.stream().map(LabelsPage::wanted).toList();
        return new Dues(
                due.stream()
                        .map(one -> new Due(
                                one.copies() > 1 ? "%d × %s".formatted(one.copies(), one.name()) : one.name(),
                                why(one, house),
                                one.old().isPresent() ? "untrue" : "",
                                address.with(List.of(wanted(one))),
                                "%s/by-hand?of=%s"
                                        .formatted(
                                                LabelController.PLACE,
                                                wanted(one).said())))
                        .toList(),
                all.isEmpty() ? "" : address.with(all));
    }

    static Queue.Wanted wanted(Labelling.Due due) {
        return new Queue.Wanted(due.of().kind(), due.of().id(), Math.min(due.copies(), Queue.MOST), "", false);
    }

    private static String why(Labelling.Due due, House house) {
        return due.old().isEmpty() ? "no label yet" : due.why(house::date);
    }

    static List<String> byHand(Lines.Said said) {
        return said.lines().stream()
                .filter(line -> SHORT.contains(line.role()) && !line.text().isBlank())
                .map(line -> line.text())
                .toList();
    }

    static List<Fields.Option> papers(List<Paper> all) {
        return all.stream()
                .map(paper -> new Fields.Option(paper.key(), paper.words()))
                .toList();
    }
}
