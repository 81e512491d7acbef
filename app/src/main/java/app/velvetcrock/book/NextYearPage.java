package app.velvetcrock.book;

import app.velvetcrock.book.YearAhead.Ahead;
import app.velvetcrock.book.YearAhead.Known;
import app.velvetcrock.core.book.NextYear;
import app.velvetcrock.core.book.Pace;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.learned.Gatherings;
import app.velvetcrock.stillroom.House;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * What next year needs, as it is drawn: each thing on one scale of time, from today, until it runs out; its gathering on its day.
 *
 * @param few what was taken too few times to say anything, in words
 */
record NextYearPage(String lead, List<Month> months, List<Group> groups, List<String> few, double width) {

    private static final int MONTHS = 18;
    private static final double WIDTH = 420;
    private static final double A_MONTH = 365.25 / 12;
    private static final DateTimeFormatter SHORT = DateTimeFormatter.ofPattern("MMM", Locale.ENGLISH);

    /** Things of one sort, under one head. */
    record Group(String id, String head, List<Row> rows) {}

    /** A month's line; of a quarter with its name. */
    record Month(double x, String name) {}

    /**
     * A thing.
     *
     * @param end where it runs out, {@code gather} where it is gathered, below nothing where it is not
     * @param mark "off" where there is none between the two
     * @param want what to do, in one line
     * @param planned its gathering where it is in the calendar already, else null
     * @param button what the button to the calendar says
     */
    record Row(
            String kind,
            String key,
            String name,
            double end,
            double gather,
            String mark,
            String until,
            String want,
            List<String> sum,
            boolean toGather,
            boolean toBuy,
            @Nullable UUID planned,
            String button) {

        public boolean lacks() {
            return !mark.isEmpty();
        }
    }

    static NextYearPage of(Ahead ahead, List<Gatherings.Ahead> planned, House house) {
        Words words = new Words(ahead, planned, house);
        List<Group> groups = Stream.of(
                        new Group("herbs", "Herbs", words.rows(ahead.herbs())),
                        new Group("made", "Oils and what is made of them", words.rows(ahead.made())),
                        new Group("bought", "What is bought", words.rows(ahead.bought())))
                .filter(group -> !group.rows().isEmpty())
                .toList();
        List<Row> all = groups.stream().flatMap(group -> group.rows().stream()).toList();
        long soon = all.stream().filter(Row::lacks).count();
        return new NextYearPage(
                all.isEmpty()
                        ? "Nothing was taken often enough yet to say how long it lasts."
                        : soon == 0
                                ? "At the pace of the last year, nothing runs out before there is new of it."
                                : "At the pace of the last year, %d of %d %s before there is new of %s."
                                        .formatted(
                                                soon,
                                                all.size(),
                                                soon == 1 ? "runs out" : "run out",
                                                soon == 1 ? "it" : "them"),
                words.months(),
                groups,
                ahead.few().stream()
                        .map(one -> "%s (taken %s in %s)"
                                .formatted(one.name(), times(one.takings()), house.days(one.days())))
                        .toList(),
                WIDTH);
    }

    private static String times(int takings) {
        return takings == 1 ? "once" : takings == 2 ? "twice" : takings + " times";
    }

    /** What to gather of a herb, as the calendar says it. */
    static String toGather(Known one, House house) {
        return "%s dried, %s fresh"
                .formatted(
                        house.about(Mass.ofGrams(one.need().more())),
                        house.about(Mass.ofGrams(one.need().more() * one.fresh())));
    }

    /** What to buy of a thing, as the list says it. */
    static String toBuy(Known one, House house) {
        return "%s: %s%s"
                .formatted(
                        one.name(),
                        amount(one, one.need().more(), house),
                        one.lasting()
                                .until()
                                .map(day -> ", by " + house.date(day))
                                .orElse(""));
    }

    private static String amount(Known one, double some, House house) {
        return switch (one.measure()) {
            case GRAM -> house.about(Mass.ofGrams(some));
            case MILLILITRE -> house.about(Volume.ofMillilitres(some));
            case PIECE -> "about " + Decimals.upTo(some, some < 10 ? 1 : 0);
        };
    }

    /** Puts it into words and places. */
    private record Words(Ahead ahead, List<Gatherings.Ahead> planned, House house) {

        List<Month> months() {
            LocalDate first = ahead.today().withDayOfMonth(1).plusMonths(1);
            return IntStream.range(0, MONTHS)
                    .mapToObj(first::plusMonths)
                    .map(month -> new Month(
                            x(month),
                            month.getMonthValue() % 3 == 1
                                    ? month.getMonthValue() == 1 ? String.valueOf(month.getYear()) : SHORT.format(month)
                                    : ""))
                    .toList();
        }

        private double x(LocalDate day) {
            double days = ChronoUnit.DAYS.between(ahead.today(), day);
            return Math.max(0, Math.min(WIDTH, days * WIDTH / (MONTHS * A_MONTH)));
        }

        List<Row> rows(List<Known> all) {
            return all.stream().map(this::row).toList();
        }

        private Row row(Known one) {
            Optional<LocalDate> until = one.lasting().until();
            LocalDate from = one.need().from();
            boolean gathered = one.isGathered();
            boolean lacks = until.filter(gathered ? from::isAfter : ahead.today()::equals)
                    .isPresent();
            boolean wanted = one.isWanted();
            UUID there = gathered ? planned(one) : null;
            return new Row(
                    one.thing().kind().name(),
                    one.thing().key(),
                    one.name(),
                    until.map(this::x).orElse(WIDTH),
                    gathered ? x(from) : -1,
                    lacks ? "off" : "",
                    until.map(day -> day.equals(ahead.today()) ? "none is left" : "lasts until " + house.date(day))
                            .orElse("lasts for years"),
                    want(one),
                    sum(one),
                    gathered && wanted,
                    !gathered && !one.thing().isMade() && wanted,
                    there,
                    there == null ? "Into the calendar" : "Anew into the calendar");
        }

        private @Nullable UUID planned(Known one) {
            return planned.stream()
                    .filter(ahead -> ahead.kindKey().equals(one.thing().key())
                            && ahead.day().getYear() == one.need().from().getYear())
                    .findFirst()
                    .map(Gatherings.Ahead::id)
                    .orElse(null);
        }

        private String want(Known one) {
            if (!one.isWanted()) {
                return "enough for a year";
            }
            if (one.isGathered()) {
                return "from %s gather %s".formatted(house.date(one.need().from()), toGather(one, house));
            }
            String more = amount(one, one.need().more(), house);
            return one.thing().isMade() ? "make %s for a year".formatted(more) : "buy %s for a year".formatted(more);
        }

        private List<String> sum(Known one) {
            List<String> lines = new ArrayList<>();
            one.parts()
                    .forEach(part -> lines.add("%s: %s a month (n = %d)"
                            .formatted(part.what(), amount(one, part.perDay() * A_MONTH, house), part.takings())));
            lines.add("%s a month, by what was taken %s in %s"
                    .formatted(
                            amount(one, one.pace().perDay() * A_MONTH, house),
                            times(one.pace().takings()),
                            house.days(one.pace().days())));
            lines.add("there is %s%s%s"
                    .formatted(
                            amount(one, one.left(), house),
                            one.thing().isMade() || one.fresh() == 1 ? "" : ", counted as if dried",
                            one.lasting().lost() >= 0.5
                                    ? ", of which %s ends before it is used"
                                            .formatted(amount(one, one.lasting().lost(), house))
                                    : ""));
            if (one.isGathered()) {
                lines.add("first gathered here %s (n = %d)"
                        .formatted(
                                one.firsts().stream().map(house::date).collect(Collectors.joining(", ")),
                                one.firsts().size()));
            }
            NextYear need = one.need();
            lines.add("a year from %s takes %s; of what is there %s serves it"
                    .formatted(
                            house.date(need.from()),
                            amount(one, need.takes(), house),
                            need.there() < 0.5 ? "nothing" : amount(one, need.there(), house)));
            return lines;
        }
    }

    /** Fewer takings tell nothing. */
    public int fewest() {
        return Pace.FEWEST;
    }
}
