package app.velvetcrock.jot;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.batch.Makings;
import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.jot.said.Thing;
import app.velvetcrock.core.larder.LotKind;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.hob.MeltLine;
import app.velvetcrock.rack.Rack;
import app.velvetcrock.stock.Goods;
import app.velvetcrock.stock.Oils;
import app.velvetcrock.stock.Stores;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What a line may be about: all that stands, is in the pan, on the rack, in the Cupboard and in the stores, by what it is called. */
@Component
class JotThings {

    /** What is weighed and poured; what is counted is drawn on its page. */
    private static final Set<LotKind> POURED =
            EnumSet.of(LotKind.WAX, LotKind.SPIRIT, LotKind.ANTIOXIDANT, LotKind.ESSENTIAL_OIL, LotKind.ADDITION);

    private final Batches batches;
    private final Makings makings;
    private final Oils oils;
    private final Goods goods;
    private final Rack rack;
    private final Stores stores;

    JotThings(Batches batches, Makings makings, Oils oils, Goods goods, Rack rack, Stores stores) {
        this.batches = batches;
        this.makings = makings;
        this.oils = oils;
        this.goods = goods;
        this.rack = rack;
        this.stores = stores;
    }

    private record Finished(UUID lot, Thing.Kind kind, String name, UUID batch) {}

    @Transactional(readOnly = true)
    public List<Thing> all() {
        List<Rack.OnRack> onRack = rack.drying();
        return Stream.of(standing(), melts(), finished(), drying(onRack), stored(onRack))
                .flatMap(List::stream)
                .toList();
    }

    private List<Thing> standing() {
        return batches.standing().stream()
                .map(sheet -> new Thing(
                        sheet.id(),
                        sheet.course().heat().isPresent() ? Thing.Kind.HEATED : Thing.Kind.JAR,
                        sheet.number(),
                        sheet.name(),
                        called(sheet)))
                .toList();
    }

    /** What is in the pan goes by its last word, and is the melt. */
    private List<Thing> melts() {
        return makings.inThePan().stream()
                .filter(Makings.Sheet::isBegun)
                .map(sheet -> new Thing(
                        sheet.id(),
                        Thing.Kind.MELT,
                        sheet.number(),
                        sheet.name(),
                        Stream.concat(Stream.of("melt", "pan"), lastWord(sheet.name()).stream())
                                .toList(),
                        parts(sheet)))
                .toList();
    }

    private static List<Thing.Part> parts(Makings.Sheet sheet) {
        Stream<Thing.Part> melted = MeltLine.meltable(sheet).stream()
                .map(stuff -> new Thing.Part(
                        stuff.key(),
                        stuff.name().toLowerCase(Locale.ROOT),
                        stuff.role() == Formula.Role.OIL
                                ? List.of()
                                : List.of(stuff.role().word()),
                        false));
        Stream<Thing.Part> stirred = IntStream.range(0, sheet.plan().additions().size())
                .mapToObj(at -> new Thing.Part(
                        String.valueOf(at),
                        sheet.plan().additions().get(at).addition().name(),
                        List.of(),
                        true));
        return Stream.concat(melted, stirred).toList();
    }

    /** Of several bottles of one batch the one that was begun is meant; of the tins of a making those there are most of. */
    private List<Thing> finished() {
        Map<UUID, Finished> finished = new LinkedHashMap<>();
        oils.left().stream()
                .sorted(Comparator.comparing(Stock.OfOil::left))
                .forEach(oil -> finished.putIfAbsent(
                        oil.batch(), new Finished(oil.id(), Thing.Kind.OIL, oil.name(), oil.batch())));
        goods.inStock().stream()
                .filter(Stock.OfGood::inPieces)
                .sorted(Comparator.comparing(Stock.OfGood::left).reversed())
                .forEach(good -> finished.putIfAbsent(
                        good.batch(), new Finished(good.id(), Thing.Kind.GOOD, good.name(), good.batch())));
        Map<UUID, Integer> numbers = batches.numbers(List.copyOf(finished.keySet()));
        return finished.values().stream()
                .map(one -> new Thing(
                        one.lot(),
                        one.kind(),
                        numbers.getOrDefault(one.batch(), 0),
                        one.name(),
                        one.kind() == Thing.Kind.GOOD ? lastWord(one.name()) : List.of()))
                .toList();
    }

    private static List<Thing> drying(List<Rack.OnRack> onRack) {
        return onRack.stream()
                .map(lot -> new Thing(lot.id(), Thing.Kind.RACK, 0, lot.name(), List.of()))
                .toList();
    }

    /** A bag of herb goes by its state too, so that it is told from the jar it was taken for. */
    private List<Thing> stored(List<Rack.OnRack> onRack) {
        Set<UUID> lie = onRack.stream().map(Rack.OnRack::lot).collect(Collectors.toSet());
        List<Thing> all = new ArrayList<>();
        stores.herbs().stream()
                .filter(herb -> !lie.contains(herb.id()))
                .forEach(herb -> all.add(new Thing(
                        herb.id(),
                        Thing.Kind.HERB,
                        0,
                        begun("%s %s"
                                .formatted(herb.moisture().word(), herb.name().toLowerCase(Locale.ROOT))),
                        List.of(herb.name()))));
        stores.carriers()
                .forEach(oil -> all.add(new Thing(oil.id(), Thing.Kind.STORE, 0, oil.name(), shorter(oil.name()))));
        stores.supplies(POURED)
                .forEach(one -> all.add(new Thing(one.id(), Thing.Kind.STORE, 0, one.name(), shorter(one.name()))));
        return all;
    }

    private static String begun(String words) {
        return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }

    /** "Cold-pressed rapeseed" is the rapeseed, and "sweet almond oil" the almond. */
    private static List<String> shorter(String name) {
        String bare = name.toLowerCase(Locale.ROOT).endsWith(" oil")
                ? name.substring(0, name.length() - " oil".length())
                : name;
        return Stream.of(bare, bare.substring(bare.lastIndexOf(' ') + 1))
                .filter(one -> !one.equals(name))
                .distinct()
                .toList();
    }

    /** A salve goes by what it is as well: "firm tin salve of rapeseed" by "salve", not by what it is of. */
    private static List<String> lastWord(String name) {
        int of = Math.max(name.indexOf(" of "), name.indexOf(" in "));
        String what = of > 0 ? name.substring(0, of) : name;
        int space = what.lastIndexOf(' ');
        return space > 0 ? List.of(what.substring(space + 1)) : List.of();
    }

    /** What is on heat is the crock, as on the Shelf; it goes by the name of what it stands in, a pot by the last word of that. */
    private static List<String> called(BatchSheet sheet) {
        Vessel vessel = sheet.plan().request().vessel();
        String name = vessel.name();
        List<String> all = new ArrayList<>();
        if (sheet.course().heat().isPresent()) {
            all.addAll(List.of("pot", "crock"));
        }
        if (vessel.open()) {
            all.add(name.substring(name.lastIndexOf(' ') + 1));
        }
        // A jar that goes by its measure alone has no name of its own.
        if (vessel.open() || name.chars().noneMatch(Character::isDigit)) {
            all.add(name);
        }
        return all;
    }
}
