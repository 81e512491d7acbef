package app.velvetcrock.book;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.core.book.Beside;
import app.velvetcrock.core.book.Fact;
import app.velvetcrock.core.book.Shares;
import app.velvetcrock.core.book.WhyKept;
import app.velvetcrock.core.book.WhyYielded;
import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.course.Entry;
import app.velvetcrock.core.course.Facts;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.keeping.Aftermath;
import app.velvetcrock.core.keeping.Antioxidant;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.planning.Finish;
import app.velvetcrock.stillroom.House;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Two to five batches beside each other, worded and drawn before they are shown.
 *
 * @param heads one for each
 * @param alike what does not differ, folded away
 */
record ComparePage(
        String title,
        String lead,
        List<Head> heads,
        List<Group> groups,
        List<String> alike,
        List<Bar> bars,
        List<Why> whys) {

    private static final double WIDTH = 560;
    private static final double LABELLED = 90;
    private static final double ROW = 62;
    private static final double MOST_SHARE = 180;

    /** A batch at the head of its column; {@code without} leads to the same without it. */
    record Head(String called, String name, String when, String href, String without) {}

    /** What differs of one part of their story. */
    record Group(String part, List<Row> rows) {}

    /** A thing that differs. */
    record Row(String name, List<Cell> cells) {}

    /** How it was; {@code planned} beside it where that is something else. */
    record Cell(String done, String planned, String mark) {}

    /** A course on the scale of days that all have. */
    record Bar(
            String called,
            String month,
            double y,
            double x,
            double end,
            double planned,
            List<Double> ticks,
            String words,
            String mark,
            String under) {

        public double textY() {
            return y + 13;
        }

        public double underY() {
            return y + 45;
        }
    }

    /** Why an outcome differs: what each thing has to do with it. */
    record Why(String words, List<Part> parts, String sum) {}

    /** One thing's share, with a bar to the left or right of the middle. */
    record Part(String factor, String amount, double x, double width, String mark) {}

    public double height() {
        return ROW * bars.size() + 8;
    }

    static ComparePage of(List<Subjects.Subject> subjects, House house, String place) {
        Beside beside = Beside.of(subjects.stream().map(Subjects.Subject::facts).toList());
        List<Why> whys = subjects.size() == 2 ? whys(subjects, house) : List.of();
        return new ComparePage(
                title(subjects),
                "%s: %s alike, folded away below."
                        .formatted(
                                subjects.stream().map(Subjects.Subject::called).collect(Collectors.joining(" beside ")),
                                beside.alike().size() == 1
                                        ? "one thing is"
                                        : beside.alike().size() + " things are"),
                subjects.stream().map(one -> head(one, subjects, house, place)).toList(),
                groups(beside, subjects),
                beside.alike(),
                bars(subjects, house),
                whys);
    }

    /** The question the two raise: why one keeps longer, where it does. */
    private static String title(List<Subjects.Subject> subjects) {
        Optional<Long> first = kept(subjects.get(0));
        Optional<Long> second = kept(subjects.get(1));
        if (subjects.size() != 2 || first.isEmpty() || second.isEmpty() || first.equals(second)) {
            return "What was different?";
        }
        Subjects.Subject longer = first.orElseThrow() > second.orElseThrow() ? subjects.get(0) : subjects.get(1);
        return "Why does %s, batch %d, keep longer?".formatted(longer.name(), longer.number());
    }

    private static Optional<Long> kept(Subjects.Subject one) {
        BatchSheet sheet = one.sheet();
        return sheet == null
                ? Optional.empty()
                : Facts.keepsUntil(sheet.log())
                        .flatMap(until -> sheet.course().strainedOn().map(day -> ChronoUnit.DAYS.between(day, until)));
    }

    private static Head head(Subjects.Subject one, List<Subjects.Subject> all, House house, String place) {
        return new Head(
                one.called(),
                one.name(),
                house.date(one.began()),
                one.href(),
                place
                        + all.stream()
                                .filter(other -> !other.id().equals(one.id()))
                                .map(other -> "of=" + other.id())
                                .collect(Collectors.joining("&", "?", "")));
    }

    private static List<Group> groups(Beside beside, List<Subjects.Subject> subjects) {
        return Stream.of(Fact.Part.values())
                .map(part -> new Group(
                        part.word(),
                        beside.rows().stream()
                                .filter(row -> row.part() == part)
                                .map(row -> row(row, subjects))
                                .toList()))
                .filter(group -> !group.rows().isEmpty())
                .toList();
    }

    private static Row row(Beside.Row row, List<Subjects.Subject> subjects) {
        return new Row(
                row.name(),
                IntStream.range(0, subjects.size())
                        .mapToObj(at -> row.facts()
                                .get(at)
                                .map(ComparePage::cell)
                                .orElse(new Cell(missing(row, subjects.get(at)), "", "faint")))
                        .toList());
    }

    /** What a standing jar will show is not known yet; what is not written of another nobody wrote. */
    private static String missing(Beside.Row row, Subjects.Subject of) {
        BatchSheet sheet = of.sheet();
        return row.part() != Fact.Part.INPUT && sheet != null && sheet.course().state() == Course.State.STANDING
                ? "not yet"
                : "not written down";
    }

    private static Cell cell(Fact fact) {
        return new Cell(
                fact.done().isEmpty() ? "not written down" : fact.done(),
                !fact.off()
                        ? ""
                        : fact.part() == Fact.Part.OUTCOME ? "foretold " + fact.planned() : "planned " + fact.planned(),
                fact.off() ? "off" : fact.done().isEmpty() ? "faint" : "");
    }

    private static List<Bar> bars(List<Subjects.Subject> subjects, House house) {
        List<BatchSheet> sheets = subjects.stream()
                .map(Subjects.Subject::sheet)
                .filter(Objects::nonNull)
                .toList();
        long most = sheets.stream()
                .mapToLong(sheet -> Math.max(stood(sheet, house), planned(sheet)))
                .max()
                .orElse(0);
        List<Bar> bars = new ArrayList<>();
        for (BatchSheet sheet : sheets) {
            bars.add(bar(sheet, house, WIDTH / Math.max(1, most), bars.size() * ROW + 6));
        }
        return bars.size() < 2 ? List.of() : bars;
    }

    private static LocalDate charged(BatchSheet sheet, House house) {
        return house.dayOf(sheet.course().chargedAt());
    }

    private static long planned(BatchSheet sheet) {
        return ChronoUnit.DAYS.between(
                sheet.plan().request().circumstances().start(), sheet.plan().strainOn());
    }

    private static long stood(BatchSheet sheet, House house) {
        Instant now = sheet.course().now();
        LocalDate end = sheet.course()
                .strainedOn()
                .or(() -> sheet.log().firstAt(Line.Discarded.class).map(house::dayOf))
                .orElseGet(() -> house.dayOf(now));
        return ChronoUnit.DAYS.between(charged(sheet, house), end);
    }

    private static Bar bar(BatchSheet sheet, House house, double day, double y) {
        long stood = stood(sheet, house);
        long early = planned(sheet) - stood;
        boolean over = sheet.course().state() == Course.State.STRAINED;
        LocalDate charged = charged(sheet, house);
        List<Long> shaken = sheet.log().done(TaskKind.SHAKE).stream()
                .map(Entry::happenedAt)
                .map(at -> ChronoUnit.DAYS.between(charged, house.dayOf(at)))
                .distinct()
                .toList();
        return new Bar(
                "batch " + sheet.number(),
                house.date(charged),
                y,
                LABELLED,
                LABELLED + stood * day,
                LABELLED + planned(sheet) * day,
                shaken.stream().map(at -> LABELLED + Math.min(stood, at) * day).toList(),
                !over
                        ? sheet.course().state() == Course.State.STANDING ? "still stands" : "! thrown out"
                        : early > 0
                                ? "! strained %s early".formatted(house.days(early))
                                : early < 0 ? "strained %s late".formatted(house.days(-early)) : "strained as planned",
                !over && sheet.course().state() != Course.State.STANDING || over && early > 0 ? "off" : "",
                shaken.isEmpty()
                        ? "nobody shook it"
                        : "shaken on %d of %s".formatted(shaken.size(), house.days(Math.max(stood, shaken.size()))));
    }

    private static List<Why> whys(List<Subjects.Subject> subjects, House house) {
        BatchSheet one = subjects.get(0).sheet();
        BatchSheet other = subjects.get(1).sheet();
        if (one == null
                || other == null
                || one.strained().isEmpty()
                || other.strained().isEmpty()) {
            return List.of();
        }
        List<Why> whys = new ArrayList<>();
        WhyKept.of(oil(one), oil(other))
                .ifPresent(found -> whys.add(why(
                        found,
                        "%s keeps %s from its straining, %s %s."
                                .formatted(
                                        subjects.get(0).called(),
                                        house.days(Math.round(found.first())),
                                        subjects.get(1).called(),
                                        house.days(Math.round(found.second()))))));
        if (!one.log().isByHand() && !other.log().isByHand()) {
            WhyYielded.of(strained(one), strained(other))
                    .ifPresent(found -> whys.add(why(
                            found,
                            "Of %s %s mL came back, of %s %s mL."
                                    .formatted(
                                            subjects.get(0).called(),
                                            Decimals.upTo(found.first(), 1),
                                            subjects.get(1).called(),
                                            Decimals.upTo(found.second(), 1)))));
        }
        return whys;
    }

    /** As it really came to its end: with the water that lay under it. */
    private static WhyKept.Oil oil(BatchSheet sheet) {
        Finish finish = sheet.finish(sheet.course().strainedOn().orElseThrow());
        return new WhyKept.Oil(
                sheet.plan().request(),
                finish.kept(
                        finish.storage(),
                        new Aftermath(sheet.hadWater(), finish.after().scorched(), false, Antioxidant.NONE)));
    }

    private static WhyYielded.Strained strained(BatchSheet sheet) {
        Line.Strained gave = sheet.strained().orElseThrow();
        return new WhyYielded.Strained(
                sheet.course().charge().herbs(),
                sheet.oilIn(),
                gave.pressing(),
                sheet.plan().request().ownRetentions(),
                sheet.log().oilOut().orElse(gave.out()));
    }

    private static Why why(WhyKept.Difference found, String words) {
        double most = found.shares().stream()
                .mapToDouble(share -> Math.abs(share.amount()))
                .max()
                .orElse(1);
        return new Why(
                capital(words),
                found.shares().stream()
                        .map(share -> part(share, found.unit(), most))
                        .toList(),
                signed(found.whole(), found.unit()));
    }

    private static Part part(Shares.Share share, String unit, double most) {
        double width = Math.abs(share.amount()) / most * MOST_SHARE;
        return new Part(
                share.factor(),
                signed(share.amount(), unit),
                share.amount() < 0 ? MOST_SHARE - width : MOST_SHARE,
                width,
                share.amount() < 0 ? "less" : "more");
    }

    private static String signed(double amount, String unit) {
        return (amount < 0 ? "−" : "+") + Decimals.upTo(Math.abs(amount), 1) + " " + unit;
    }

    private static String capital(String words) {
        return words.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + words.substring(1);
    }
}
