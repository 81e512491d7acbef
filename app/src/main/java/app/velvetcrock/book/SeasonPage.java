package app.velvetcrock.book;

import app.velvetcrock.core.larder.LotKind;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stock.Cause;
import app.velvetcrock.stock.GatheringDays;
import app.velvetcrock.stock.flows.Flows;
import app.velvetcrock.stock.flows.Measure;
import app.velvetcrock.stock.flows.Season;
import app.velvetcrock.stock.flows.Thing;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.StringJoiner;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * One year, herb by herb and thing by thing.
 *
 * @param sorts herbs, oils and made things, each with what became of it
 * @param firsts the day each herb was first gathered, year by year
 */
record SeasonPage(
        int year, SeasonRing ring, List<Sort> sorts, List<First> firsts, List<Integer> years, List<String> money) {

    private static final double FIRSTS_WIDTH = 300;
    private static final int DAYS = 366;

    /** What a column tells of a thing. */
    private enum Column {
        GATHERED("gathered"),
        BOUGHT("bought"),
        DRIED("dried to"),
        INTO_BATCHES("into batches"),
        OIL_MADE("oil made"),
        AS_IT_IS("drawn, given, sold"),
        STRAINED("strained"),
        INTO_MAKINGS("into makings"),
        DRAWN("drawn"),
        POURED("poured"),
        USED("used"),
        GIVEN("given"),
        SOLD("sold"),
        THROWN_OUT("thrown out");

        private final String word;

        Column(String word) {
            this.word = word;
        }
    }

    record Sort(String id, String head, List<String> columns, List<Row> rows) {}

    /** A thing, with a cell for each column. */
    record Row(String name, List<String> cells) {}

    /** A herb's first days; newest last, so that it lies on top. */
    record First(String name, List<Dot> dots, String words) {}

    record Dot(double x, String mark, String words) {}

    /**
     * What the page is made of.
     *
     * @param prices of a gram of each herb, where it was bought
     * @param bought what a bought one of a made thing costs, by its name in lower case
     */
    record Read(
            int year,
            LocalDate today,
            List<Season.Moved> moved,
            List<Flows.Made> made,
            Map<String, Double> prices,
            Map<String, Long> bought,
            List<GatheringDays.Day> firsts,
            Map<String, String> names) {}

    static SeasonPage of(Read read, House house) {
        Words words = new Words(read, house);
        List<Sort> sorts = Stream.of(
                        words.sort(
                                "herbs",
                                "Herbs",
                                LotKind.HERB,
                                List.of(
                                        Column.GATHERED,
                                        Column.BOUGHT,
                                        Column.DRIED,
                                        Column.INTO_BATCHES,
                                        Column.OIL_MADE,
                                        Column.AS_IT_IS,
                                        Column.THROWN_OUT)),
                        words.sort(
                                "oils",
                                "Oils",
                                LotKind.INFUSED_OIL,
                                List.of(
                                        Column.STRAINED,
                                        Column.INTO_MAKINGS,
                                        Column.DRAWN,
                                        Column.GIVEN,
                                        Column.SOLD,
                                        Column.THROWN_OUT)),
                        words.sort(
                                "made",
                                "What was made of them",
                                LotKind.MADE,
                                List.of(Column.POURED, Column.USED, Column.GIVEN, Column.SOLD, Column.THROWN_OUT)))
                .filter(sort -> !sort.rows().isEmpty())
                .toList();
        return new SeasonPage(
                read.year(), SeasonRing.of(read.moved()), sorts, words.firsts(), words.years(), words.money());
    }

    /** Where the quarters of a year begin, over the first days. */
    public List<String> quarters() {
        return List.of("Jan", "Apr", "Jul", "Oct");
    }

    /** Puts it into words. */
    private record Words(Read read, House house) {

        Sort sort(String id, String head, LotKind kind, List<Column> columns) {
            Map<Thing, List<Season.Moved>> things = read.moved().stream()
                    .filter(one -> one.thing().kind() == kind)
                    .collect(Collectors.groupingBy(Season.Moved::thing, LinkedHashMap::new, Collectors.toList()));
            List<Row> rows = things.entrySet().stream()
                    .map(one -> new Row(
                            kind == LotKind.HERB
                                    ? read.names()
                                            .getOrDefault(
                                                    one.getKey().key(),
                                                    one.getValue().get(0).name())
                                    : one.getValue().get(0).name(),
                            columns.stream()
                                    .map(column -> cell(column, one.getKey(), one.getValue()))
                                    .toList()))
                    .filter(row -> row.cells().stream().anyMatch(cell -> !cell.isEmpty()))
                    .sorted(Comparator.comparing(Row::name))
                    .toList();
            // A column nothing is in says nothing.
            List<Integer> full = IntStream.range(0, columns.size())
                    .filter(at ->
                            rows.stream().anyMatch(row -> !row.cells().get(at).isEmpty()))
                    .boxed()
                    .toList();
            return new Sort(
                    id,
                    head,
                    full.stream().map(at -> columns.get(at).word).toList(),
                    rows.stream()
                            .map(row -> new Row(
                                    row.name(),
                                    full.stream().map(row.cells()::get).toList()))
                            .toList());
        }

        private String cell(Column column, Thing thing, List<Season.Moved> of) {
            return switch (column) {
                case GATHERED -> first(of, Cause.GATHERED);
                case BOUGHT -> sum(of, Set.of(Cause.BOUGHT));
                case DRIED -> sum(of, Set.of(Cause.DRIED));
                case INTO_BATCHES, INTO_MAKINGS -> sum(of, Set.of(Cause.USED));
                case OIL_MADE -> oil(thing.key());
                case AS_IT_IS -> sum(of, Set.of(Cause.DRAWN, Cause.GIVEN, Cause.SOLD));
                case STRAINED -> first(of, Cause.STRAINED);
                case POURED -> first(of, Cause.POURED);
                case USED -> sum(of, Set.of(Cause.DRAWN, Cause.USED));
                case DRAWN -> sum(of, Set.of(Cause.DRAWN));
                case GIVEN -> sum(of, Set.of(Cause.GIVEN));
                case SOLD -> sum(of, Set.of(Cause.SOLD));
                case THROWN_OUT -> thrown(of);
            };
        }

        private String sum(List<Season.Moved> of, Set<Cause> causes) {
            List<Season.Moved> these =
                    of.stream().filter(one -> causes.contains(one.cause())).toList();
            return these.isEmpty()
                    ? ""
                    : amount(
                            these.get(0).measure(),
                            these.stream().mapToDouble(Season.Moved::amount).sum());
        }

        /** How much, and when it began: "480 g, first 8 Jun, 3 times". */
        private String first(List<Season.Moved> of, Cause cause) {
            List<Season.Moved> these =
                    of.stream().filter(one -> one.cause() == cause).toList();
            if (these.isEmpty()) {
                return "";
            }
            int times = these.stream().mapToInt(Season.Moved::times).sum();
            LocalDate day = these.stream()
                    .map(Season.Moved::first)
                    .min(Comparator.naturalOrder())
                    .orElseThrow();
            return "%s, %s%s"
                    .formatted(
                            sum(of, Set.of(cause)),
                            times == 1 ? "" : "%d times, first ".formatted(times),
                            house.shortDay(day));
        }

        private String thrown(List<Season.Moved> of) {
            String amount = sum(of, Set.of(Cause.DISCARDED));
            String notes = of.stream()
                    .map(Season.Moved::notes)
                    .filter(note -> !note.isEmpty())
                    .distinct()
                    .collect(Collectors.joining("; "));
            return amount.isEmpty() || notes.isEmpty() ? amount : "%s: %s".formatted(amount, notes);
        }

        private String oil(String herb) {
            double millilitres = read.made().stream()
                    .filter(one -> one.herb().equals(herb))
                    .collect(Collectors.toMap(Flows.Made::oil, Flows.Made::millilitres, (one, same) -> one))
                    .values()
                    .stream()
                    .mapToDouble(Double::doubleValue)
                    .sum();
            return millilitres == 0 ? "" : amount(Measure.MILLILITRE, millilitres);
        }

        private String amount(Measure measure, double some) {
            return switch (measure) {
                case GRAM -> house.mass(Mass.ofGrams(some));
                case MILLILITRE -> house.volume(Volume.ofMillilitres(some));
                case PIECE -> Decimals.upTo(some, 0);
            };
        }

        /** What was paid, and what what was gathered would have cost, bought as dear as it ever was here. */
        List<String> money() {
            double paid = read.moved().stream().mapToDouble(Season.Moved::paid).sum();
            List<String> lines = new ArrayList<>();
            if (paid > 0) {
                lines.add("%s was paid for what was bought, where its price is known".formatted(money(paid)));
            }
            double spared = 0;
            StringJoiner unknown = new StringJoiner(", ");
            Map<String, Double> gathered = new TreeMap<>();
            read.moved().stream()
                    .filter(one -> one.cause() == Cause.GATHERED)
                    .forEach(one -> gathered.merge(one.thing().key(), one.amount(), Double::sum));
            for (Map.Entry<String, Double> one : gathered.entrySet()) {
                Optional<Double> price = Optional.ofNullable(read.prices().get(one.getKey()));
                spared += price.map(each -> each * one.getValue()).orElse(0.0);
                if (price.isEmpty()) {
                    unknown.add(read.names().getOrDefault(one.getKey(), one.getKey()));
                }
            }
            if (spared > 0) {
                lines.add("what was gathered would have cost %s, at what was paid for the same herbs here"
                        .formatted(money(spared)));
            }
            made().ifPresent(lines::add);
            if (unknown.length() > 0) {
                lines.add("never bought here, so no price is known: " + unknown);
            }
            return lines;
        }

        /** What was poured, beside what the household says that a bought one of its kind costs. */
        private Optional<String> made() {
            Map<String, List<Season.Moved>> poured = read.moved().stream()
                    .filter(one -> one.cause() == Cause.POURED
                            && one.measure() == Measure.PIECE
                            && read.bought().containsKey(one.thing().key()))
                    .collect(Collectors.groupingBy(Season.Moved::name, TreeMap::new, Collectors.toList()));
            double all = 0;
            StringJoiner each = new StringJoiner(", ");
            for (Map.Entry<String, List<Season.Moved>> one : poured.entrySet()) {
                double pieces = one.getValue().stream()
                        .mapToDouble(Season.Moved::amount)
                        .sum();
                long price = Objects.requireNonNull(
                        read.bought().get(one.getValue().get(0).thing().key()));
                all += pieces * price;
                each.add("%s × %s at %s".formatted(Decimals.upTo(pieces, 0), one.getKey(), money(price)));
            }
            return poured.isEmpty()
                    ? Optional.empty()
                    : Optional.of("what was made would have cost %s, bought: %s".formatted(money(all), each));
        }

        private String money(double minor) {
            return house.money(Math.round(minor));
        }

        List<First> firsts() {
            Map<String, List<LocalDate>> by = new TreeMap<>();
            read.firsts().forEach(day -> by.computeIfAbsent(
                            read.names().getOrDefault(day.kindKey(), day.kindKey()), key -> new ArrayList<>())
                    .add(day.on()));
            return by.entrySet().stream()
                    .map(one -> new First(
                            one.getKey(),
                            one.getValue().stream().map(this::dot).toList(),
                            one.getValue().stream().map(house::date).collect(Collectors.joining(", "))))
                    .toList();
        }

        private Dot dot(LocalDate day) {
            return new Dot(
                    Math.round(day.getDayOfYear() * FIRSTS_WIDTH / DAYS),
                    day.getYear() == read.year() ? "now" : "",
                    house.date(day));
        }

        /** The year before, and the one after where it has begun. */
        List<Integer> years() {
            return Stream.of(read.year() - 1, read.year() + 1)
                    .filter(year -> year <= read.today().getYear() && year >= SeasonController.EARLIEST)
                    .toList();
        }
    }
}
