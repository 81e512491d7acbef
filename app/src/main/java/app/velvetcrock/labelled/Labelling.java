package app.velvetcrock.labelled;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.condition.Conditions;
import app.velvetcrock.condition.Told;
import app.velvetcrock.core.label.Truth;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Goods;
import app.velvetcrock.stock.Oils;
import app.velvetcrock.stock.Stores;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.StringJoiner;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What wants a label: what came to be lately and has none, and whatever bears one that is no longer true. */
@Service
public class Labelling {

    /** [E] Of what is older without a label here, the household knows itself what it is. */
    private static final Duration LATELY = Duration.ofDays(14);

    private final Printings printings;
    private final Batches batches;
    private final Oils oils;
    private final Goods goods;
    private final Stores stores;
    private final Conditions conditions;
    private final Households households;
    private final Clock clock;

    Labelling(
            Printings printings,
            Batches batches,
            Oils oils,
            Goods goods,
            Stores stores,
            Conditions conditions,
            Households households,
            Clock clock) {
        this.printings = printings;
        this.batches = batches;
        this.oils = oils;
        this.goods = goods;
        this.stores = stores;
        this.conditions = conditions;
        this.households = households;
        this.clock = clock;
    }

    /**
     * A thing that wants a label.
     *
     * @param copies one for each piece
     * @param now what its label has to say
     * @param old the label it bears that is no longer true; absent where it has none
     */
    public record Due(Printed.Of of, String name, int copies, Truth now, Optional<Printed> old) {

        /** What of its label is no longer so; nothing where it has none. */
        public List<Truth.What> changed() {
            return old.map(label -> label.truth().changed(now)).orElse(List.of());
        }

        /** What of its label is no longer so, in words; nothing where it has none. */
        public String why(Function<LocalDate, String> date) {
            return changed().isEmpty() || old.isEmpty()
                    ? ""
                    : wrongOn(old.orElseThrow().truth(), now, changed(), date);
        }
    }

    private record Thing(Printed.Of of, String name, int copies, Truth now, boolean lately) {}

    /** The same for whoever has not read them yet. */
    @Transactional(readOnly = true)
    public List<Due> due() {
        return due(batches.standing(), oils.left());
    }

    /** Untrue labels first, then what has none; of jars those that stand, of oils, made things and herbs those that are not used up. */
    @Transactional(readOnly = true)
    public List<Due> due(List<BatchSheet> standing, List<Stock.OfOil> left) {
        House house = households.current();
        Instant since = clock.instant().minus(LATELY);
        List<Told> open = conditions.open();
        Set<UUID> fresh = goods.madeSince(since);
        List<Thing> things = new ArrayList<>();
        standing.stream()
                .map(sheet -> new Thing(
                        new Printed.Of(Printed.Kind.BATCH, sheet.id()),
                        sheet.name(),
                        1,
                        Truths.of(sheet, house),
                        !sheet.course().chargedAt().isBefore(since)))
                .forEach(things::add);
        left.stream()
                .map(oil -> new Thing(
                        new Printed.Of(Printed.Kind.LOT, oil.id()),
                        oil.name(),
                        1,
                        Truths.of(oil, open),
                        fresh.contains(oil.id())))
                .forEach(things::add);
        goods.inStock().stream()
                .filter(Stock.OfGood::inPieces)
                .map(good -> new Thing(
                        new Printed.Of(Printed.Kind.LOT, good.id()),
                        good.name(),
                        (int) good.left(),
                        Truths.of(good, open),
                        fresh.contains(good.id())))
                .forEach(things::add);
        // A bag somebody bought says itself what it is; what was gathered here says nothing.
        LocalDate day = house.dayOf(since);
        stores.herbLots().stream()
                .map(lot -> new Thing(
                        new Printed.Of(Printed.Kind.LOT, lot.id()),
                        lot.name(),
                        1,
                        Truths.of(lot.id(), lot.name(), lot.bestBefore(), open),
                        lot.origin().isPicked()
                                && lot.acquired()
                                        .filter(from -> !from.isBefore(day))
                                        .isPresent()))
                .forEach(things::add);
        Map<UUID, Printed> last =
                printings.last(things.stream().map(thing -> thing.of().id()).toList());
        return things.stream()
                .flatMap(thing ->
                        due(thing, Optional.ofNullable(last.get(thing.of().id()))))
                .sorted(Comparator.comparing((Due due) -> due.old().isEmpty()))
                .toList();
    }

    private static Stream<Due> due(Thing thing, Optional<Printed> last) {
        Due due = new Due(thing.of(), thing.name(), thing.copies(), thing.now(), last);
        return last.isPresent()
                ? Stream.of(due).filter(one -> !one.changed().isEmpty())
                : Stream.of(due).filter(one -> thing.lately());
    }

    /** What of a label is not so any more, in words. */
    public static String wrongOn(Truth label, Truth now, List<Truth.What> changed, Function<LocalDate, String> date) {
        StringJoiner words = new StringJoiner("; ");
        for (Truth.What what : changed) {
            words.add(
                    switch (what) {
                        case NAME -> "its label says “%s”".formatted(label.name());
                        case DAY -> "its label says %s, it is %s now"
                                .formatted(
                                        label.day().map(date).orElse("no day"),
                                        now.day().map(date).orElse("none"));
                        case CONDITION -> now.wrong().isEmpty()
                                ? "its label still says that something is wrong"
                                : "its label does not say what is wrong";
                    });
        }
        return words.toString();
    }
}
