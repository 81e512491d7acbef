package app.velvetcrock.stall;

import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.parting.StallTally;
import app.velvetcrock.parting.Leaving;
import app.velvetcrock.parting.Leavings;
import app.velvetcrock.parting.StallDays;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Costs;
import app.velvetcrock.stock.Stores;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** A day at the stall, worded, with its till; months and years beside what was spent. */
@Component
class StallBoards {

    private static final int YEARS = 12;
    private static final int MONTHS = 3;
    private static final String FORMULA = "=+-@\t\r";

    private final StallDays days;
    private final Leavings leavings;
    private final Stores stores;
    private final Costs costs;
    private final Households households;
    private final Clock clock;

    StallBoards(StallDays days, Leavings leavings, Stores stores, Costs costs, Households households, Clock clock) {
        this.days = days;
        this.leavings = leavings;
        this.stores = stores;
        this.costs = costs;
        this.households = households;
        this.clock = clock;
    }

    /** A thing on the stall. */
    record Thing(
            UUID lot,
            String name,
            String price,
            String offer,
            StallTally tally,
            String left,
            boolean gone,
            String typed) {}

    /** Something that left, newest first; {@code refund} whether money can be given back. */
    record Out(UUID movement, UUID lot, String when, String words, String paid, boolean refund) {}

    /** All of a day. */
    record Board(
            StallDays.Day day,
            String date,
            List<Thing> things,
            List<Out> outs,
            String takings,
            String cash,
            String card,
            String box,
            String counted,
            boolean off) {}

    /** A month's takings beside what the things had cost. */
    record Month(String name, String taken, String cost, int pieces) {}

    static StallTally tally(StallDays.Thing thing, Collection<Leaving> all) {
        return new StallTally(
                thing.brought(),
                count(thing, all, Leaving.Kind.SOLD),
                count(thing, all, Leaving.Kind.GIVEN),
                count(thing, all, Leaving.Kind.OPENED),
                count(thing, all, Leaving.Kind.BROKEN));
    }

    private static int count(StallDays.Thing thing, Collection<Leaving> all, Leaving.Kind kind) {
        return all.stream()
                .filter(one -> one.lot().equals(thing.lot()) && one.kind() == kind)
                .mapToInt(one -> one.pieces().orElse(1))
                .sum();
    }

    @Transactional(readOnly = true)
    Board of(StallDays.Day day) {
        House house = households.current();
        List<StallDays.Thing> things = days.things(day.id());
        List<Leaving> all = leavings.ofStall(day.id());
        Map<UUID, String> names =
                names(things.stream().map(StallDays.Thing::lot).collect(Collectors.toSet()));
        long cash = all.stream()
                .filter(one -> !one.card())
                .mapToLong(Leaving::taken)
                .sum();
        long card = all.stream().filter(Leaving::card).mapToLong(Leaving::taken).sum();
        StallTally.Till till = new StallTally.Till(day.begunWith(), cash, card);
        return new Board(
                day,
                house.date(day.day()),
                things.stream()
                        .map(thing -> thing(thing, names, all, house))
                        .sorted(Comparator.comparing(Thing::name))
                        .toList(),
                all.stream()
                        .sorted(Comparator.comparing(Leaving::at)
                                .thenComparing(Leaving::movement)
                                .reversed())
                        .map(one -> out(one, names, house))
                        .toList(),
                house.money(till.takings()),
                house.money(cash),
                house.money(card),
                house.money(till.inTheBox()),
                day.counted().map(counted -> counted(till, counted, house)).orElse(""),
                day.counted().filter(counted -> till.over(counted) != 0).isPresent());
    }

    private static String counted(StallTally.Till till, long counted, House house) {
        long over = till.over(counted);
        return over == 0
                ? "%s counted: just right".formatted(house.money(counted))
                : "%s counted: %s %s"
                        .formatted(
                                house.money(counted), house.money(Math.abs(over)), over > 0 ? "too much" : "missing");
    }

    private Map<UUID, String> names(Collection<UUID> lots) {
        return stores.among(lots).stream().collect(Collectors.toMap(Stock.OfLot::id, Stock.OfLot::name));
    }

    private static Thing thing(StallDays.Thing thing, Map<UUID, String> names, List<Leaving> all, House house) {
        StallTally tally = tally(thing, all);
        return new Thing(
                thing.lot(),
                names.getOrDefault(thing.lot(), ""),
                house.money(thing.offer().each()),
                thing.offer().forSome() == 0
                        ? ""
                        : "%d for %s"
                                .formatted(
                                        thing.offer().forSome(),
                                        house.money(thing.offer().together())),
                tally,
                tally.home() == 1 ? "1 left" : "%d left".formatted(tally.home()),
                tally.home() <= 0,
                told(tally));
    }

    private static String told(StallTally tally) {
        List<String> words = new ArrayList<>();
        words.add("%d brought".formatted(tally.brought()));
        add(words, tally.sold(), "sold");
        add(words, tally.given(), "given");
        add(words, tally.opened(), "opened");
        add(words, tally.broken(), "broken");
        return String.join(", ", words);
    }

    private static void add(List<String> words, int count, String word) {
        if (count > 0) {
            words.add("%d %s".formatted(count, word));
        }
    }

    private static Out out(Leaving one, Map<UUID, String> names, House house) {
        return new Out(
                one.movement(),
                one.lot(),
                house.time(one.at()),
                "%s%s %s"
                        .formatted(
                                one.pieces().map(pieces -> pieces + " × ").orElse(""),
                                names.getOrDefault(one.lot(), ""),
                                one.kind().word()),
                one.price()
                        .map(price -> house.money(price)
                                + (one.card() ? " by card" : "")
                                + (one.refunded() > 0 ? ", %s given back".formatted(house.money(one.refunded())) : ""))
                        .orElse(""),
                one.kind() == Leaving.Kind.SOLD && one.taken() > 0);
    }

    /** Month by month, the newest first: of a year, or the last few; with what the things sold had cost where that is known. */
    @Transactional(readOnly = true)
    List<Month> months(Optional<Integer> year) {
        House house = households.current();
        Map<YearMonth, List<Leaving>> sorted = new TreeMap<>(Comparator.reverseOrder());
        sold(house, year)
                .forEach(one -> sorted.computeIfAbsent(YearMonth.from(house.dayOf(one.at())), key -> new ArrayList<>())
                        .add(one));
        Map<UUID, Stock.OfLot> lots = stores
                .among(sorted.values().stream()
                        .flatMap(List::stream)
                        .map(Leaving::lot)
                        .collect(Collectors.toSet()))
                .stream()
                .collect(Collectors.toMap(Stock.OfLot::id, Function.identity()));
        List<Month> months = new ArrayList<>();
        sorted.forEach((month, all) -> months.add(new Month(
                "%s %d".formatted(month.getMonth().getDisplayName(TextStyle.FULL, Locale.UK), month.getYear()),
                house.money(all.stream().mapToLong(Leaving::taken).sum()),
                cost(all, lots).map(cost -> house.money(Math.round(cost))).orElse("not known"),
                all.stream().mapToInt(one -> one.pieces().orElse(1)).sum())));
        return months;
    }

    private static Optional<Double> cost(List<Leaving> all, Map<UUID, Stock.OfLot> lots) {
        double sum = 0;
        for (Leaving one : all) {
            Stock.OfLot lot = lots.get(one.lot());
            Optional<Double> cost =
                    lot == null ? Optional.empty() : lot.costOf(one.pieces().orElse(1));
            if (cost.isEmpty()) {
                return Optional.empty();
            }
            sum += cost.get();
        }
        return Optional.of(sum);
    }

    private List<Leaving> sold(House house, Optional<Integer> year) {
        LocalDate today = house.dayOf(clock.instant());
        LocalDate from = year.map(one -> LocalDate.of(one, 1, 1))
                .orElse(today.withDayOfMonth(1).minusMonths(MONTHS - 1L));
        return leavings.sold(
                start(from, house), start(year.map(one -> from.plusYears(1)).orElse(today.plusDays(1)), house));
    }

    private static Instant start(LocalDate day, House house) {
        return day.atStartOfDay(house.settings().zone()).toInstant();
    }

    /** The years before this one of which a page can be asked. */
    List<Integer> years() {
        int year = households.current().dayOf(clock.instant()).getYear();
        return IntStream.range(0, YEARS).mapToObj(back -> year - back).toList();
    }

    /** Every sale of a year as a line of a table. */
    @Transactional(readOnly = true)
    String csv(int year) {
        House house = households.current();
        List<Leaving> all = sold(house, Optional.of(year));
        Map<UUID, String> names = names(all.stream().map(Leaving::lot).collect(Collectors.toSet()));
        StringWriter text = new StringWriter();
        try (CSVPrinter lines = new CSVPrinter(text, CSVFormat.RFC4180)) {
            lines.printRecord("day", "what", "pieces", "paid", "given back", "currency", "how");
            for (Leaving one : all) {
                lines.printRecord(
                        house.dayOf(one.at()),
                        plain(names.getOrDefault(one.lot(), "")),
                        one.pieces().map(String::valueOf).orElse(""),
                        one.price().map(price -> amount(price, house)).orElse(""),
                        one.refunded() == 0 ? "" : amount(one.refunded(), house),
                        house.money().getCurrencyCode(),
                        one.card() ? "card" : "cash");
            }
        } catch (IOException cannot) {
            throw new UncheckedIOException(cannot);
        }
        return text.toString();
    }

    private static String amount(long minor, House house) {
        return BigDecimal.valueOf(minor, Math.max(0, house.money().getDefaultFractionDigits()))
                .toPlainString();
    }

    /** A sheet reads what begins so as a formula; with a sign before it it is text. */
    private static String plain(String cell) {
        return !cell.isEmpty() && FORMULA.indexOf(cell.charAt(0)) >= 0 ? "'" + cell : cell;
    }
}
