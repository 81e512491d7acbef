package app.velvetcrock.pan;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.batch.Makings;
import app.velvetcrock.core.caution.Caution;
import app.velvetcrock.core.caution.Cautions;
import app.velvetcrock.core.making.Ceilings;
import app.velvetcrock.core.making.Container;
import app.velvetcrock.core.making.Cooling;
import app.velvetcrock.core.making.Filling;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.making.Kind;
import app.velvetcrock.core.making.OwnRight;
import app.velvetcrock.core.making.Pouring;
import app.velvetcrock.core.making.Setting;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.pan.MadeKeeping;
import app.velvetcrock.core.pan.MakingLine;
import app.velvetcrock.core.pan.MakingPlan;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stock.Costs;
import app.velvetcrock.web.Fields;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Works the Pan's sentence out: what goes in, how firm, how it pours and keeps, what is missing. */
@Component
class PanPlanner {

    /** [E] A melt is so hot when it is clear. */
    static final Temperature CLEAR = Temperature.ofCelsius(75);

    private static final int PAST = 8;

    private final Makings makings;
    private final Batches batches;
    private final Costs costs;
    private final Cautions cautions = Cautions.shipped();
    private final Setting setting = Setting.shipped();
    private final List<Kind> kinds = Kind.shipped();

    PanPlanner(Makings makings, Batches batches, Costs costs) {
        this.makings = makings;
        this.batches = batches;
        this.costs = costs;
    }

    List<Kind> kinds() {
        return kinds;
    }

    Kind kind(@org.jspecify.annotations.Nullable String key) {
        return kinds.stream().filter(one -> one.key().equals(key)).findFirst().orElseGet(() -> kinds.stream()
                .filter(one -> one.key().equals("salve"))
                .findFirst()
                .orElseThrow());
    }

    /** One of the household's makings of this kind, on the scale. */
    record Past(int number, double firmness, String felt, LocalDate on) {}

    /**
     * The sentence worked out.
     *
     * @param filling how it fills the containers named; absent where it is told by weight alone
     * @param over why it may be neither given nor sold
     * @param missing what is not here, or not enough of it, as a list to buy by
     */
    record Planned(
            PanReading.Read read,
            Optional<Filling> filling,
            Optional<Pouring> pouring,
            Cooling cooling,
            Ceilings ceilings,
            MadeKeeping keeping,
            Optional<Costs.Cost> cost,
            List<Caution> cautions,
            Optional<String> over,
            List<Missing> missing) {

        Mass whole() {
            return read.stirred().stream()
                    .map(one -> one.addition().mass())
                    .reduce(read.melt().formula().total(), Mass::plus);
        }

        boolean canStart() {
            return missing.stream().noneMatch(Missing::stops);
        }
    }

    /** Something that is not enough: {@code stops} where its lot is named and cannot give so much. */
    record Missing(String words, boolean stops) {}

    /** What felt right for a kind, and the makings it was learned from, the newest first. */
    record Learned(Optional<OwnRight> right, List<Past> past) {}

    Learned learned(Kind kind, House house) {
        List<Makings.Sheet> made = makings.made(kind.key(), PAST);
        List<Past> past = new ArrayList<>();
        List<OwnRight.Test> tests = new ArrayList<>();
        for (Makings.Sheet sheet : made) {
            double now = sheet.course().formula().firmness().value();
            List<OwnRight.Test> own = new ArrayList<>(sheet.course().tests());
            sheet.holding().stream()
                    .filter(at -> at.line() instanceof MakingLine.TurnedOut)
                    .map(at -> new OwnRight.Test(now, ((MakingLine.TurnedOut) at.line()).felt()))
                    .forEach(own::add);
            if (!own.isEmpty()) {
                // A making counts by how it was felt last. The newest comes first here, and last where the latest five
                // are taken.
                OwnRight.Test last = own.get(own.size() - 1);
                tests.add(0, last);
                past.add(new Past(
                        sheet.number(),
                        last.firmness(),
                        last.felt().word(),
                        house.dayOf(
                                sheet.holding().get(sheet.holding().size() - 1).at())));
            }
        }
        return new Learned(OwnRight.of(tests), past);
    }

    Optional<Planned> plan(PanForm form, Kind kind, PanStock.Shelves shelves, Learned learned, At at) {
        return new PanReading(shelves, setting, at.house(), at.fields())
                .read(form, kind, learned.right())
                .map(read -> worked(read, at));
    }

    /** Where and when it is planned, and the fields what is wrong stands beside. */
    record At(House house, LocalDate today, Fields fields) {}

    private Planned worked(PanReading.Read read, At at) {
        Formula formula = read.melt().formula();
        boolean whipped = read.kind().whipped();
        Mass whole = read.stirred().stream().map(one -> one.addition().mass()).reduce(formula.total(), Mass::plus);
        Optional<Filling> filling = read.tin()
                .map(tin -> Filling.into(
                        whole,
                        new Filling.Stock(tin.container(), read.count().orElse(tin.left())),
                        read.melt().shrinkage(),
                        whipped));
        Mass others = Mass.ofGrams(whole.grams()
                - read.stirred().stream()
                        .flatMap(one -> one.drops().stream())
                        .mapToDouble(drops -> drops.mass().grams())
                        .sum());
        Ceilings ceilings = Ceilings.of(
                read.stirred().stream().flatMap(one -> one.drops().stream()).toList(),
                others,
                read.use(),
                read.kind().noEssentialOil());
        MadeKeeping keeping = keeping(read, whole, at.today());
        Set<String> traits = new HashSet<>(read.oil().traits());
        read.others().forEach(one -> traits.addAll(one.traits()));
        read.wax().ifPresent(one -> traits.addAll(one.traits()));
        read.stirred().forEach(one -> traits.addAll(one.thing().traits()));
        traits.addAll(herbTraits(read));
        List<Caution> told = cautions.of(traits, read.use());
        return new Planned(
                read,
                filling,
                Pouring.of(formula),
                Cooling.of(whole, CLEAR, read.room(), Cooling.Where.IN_AIR),
                ceilings,
                keeping,
                costs.of(taken(read, filling)),
                told,
                KeptBack.why(read, ceilings, keeping),
                missing(read, filling, at.house()));
    }

    /** Traits of the herbs in the oils, by the batches they came from. */
    private Set<String> herbTraits(PanReading.Read read) {
        List<UUID> from = Stream.concat(Stream.of(read.oil()), read.others().stream())
                .flatMap(one -> one.batch().stream())
                .toList();
        Set<String> traits = new HashSet<>();
        for (BatchSheet sheet : batches.among(from)) {
            sheet.plan()
                    .request()
                    .herbs()
                    .forEach(herb -> traits.addAll(herb.kind().traits()));
            sheet.plan()
                    .request()
                    .carriers()
                    .parts()
                    .forEach(part -> traits.addAll(part.carrier().kind().traits()));
        }
        return traits;
    }

    private static MadeKeeping keeping(PanReading.Read read, Mass whole, LocalDate today) {
        List<MadeKeeping.Ends> ends = Stream.concat(
                        Stream.concat(Stream.of(read.oil()), read.others().stream()),
                        read.stirred().stream().map(PanReading.Stirred::thing))
                .flatMap(one ->
                        one
                                .ends()
                                .map(date -> new MadeKeeping.Ends(one.common().toLowerCase(Locale.ROOT), date))
                                .stream())
                .toList();
        Stream<MadeKeeping.Ends> pads = read.kind().key().equals("compress-pads")
                ? Stream.of(new MadeKeeping.Ends("30 days such pads keep in the refrigerator", today.plusDays(30)))
                : Stream.empty();
        return MadeKeeping.of(
                today,
                Stream.concat(ends.stream(), pads).toList(),
                read.stirred().stream()
                        .map(one -> new MadeKeeping.Brings(
                                one.thing().supply().orElseThrow(),
                                one.addition().mass().grams() / whole.grams()))
                        .toList());
    }

    /** What is taken of each lot, in milligrams. */
    private static List<Costs.Taken> taken(PanReading.Read read, Optional<Filling> filling) {
        Map<String, PanThing> byKey = things(read);
        List<Costs.Taken> taken = new ArrayList<>();
        read.melt().formula().parts().forEach(part -> Objects.requireNonNull(
                        byKey.get(part.stuff().key()))
                .lot()
                .ifPresent(lot -> taken.add(new Costs.Taken(lot, part.mass().toMilligrams()))));
        read.tin()
                .filter(tin -> !tin.container().mould())
                .ifPresent(tin -> taken.add(new Costs.Taken(
                        UUID.fromString(tin.name()), filling.map(Filling::count).orElse(0))));
        read.stirred().forEach(one -> one.thing()
                .lot()
                .ifPresent(lot ->
                        taken.add(new Costs.Taken(lot, one.addition().mass().toMilligrams()))));
        return taken;
    }

    static Map<String, PanThing> things(PanReading.Read read) {
        Map<String, PanThing> byKey = new LinkedHashMap<>();
        byKey.put(read.oil().key(), read.oil());
        read.others().forEach(one -> byKey.putIfAbsent(one.key(), one));
        read.wax().ifPresent(one -> byKey.putIfAbsent(one.key(), one));
        return byKey;
    }

    private static List<Missing> missing(PanReading.Read read, Optional<Filling> filling, House house) {
        Map<String, PanThing> byKey = things(read);
        List<Missing> missing = new ArrayList<>();
        read.melt().formula().parts().forEach(part -> lacks(
                        Objects.requireNonNull(byKey.get(part.stuff().key())), part.mass(), house)
                .ifPresent(missing::add));
        read.stirred()
                .forEach(one -> lacks(one.thing(), one.addition().mass(), house).ifPresent(missing::add));
        read.tin().ifPresent(tin -> {
            int wanted =
                    read.count().orElseGet(() -> filling.map(Filling::count).orElse(0));
            if (wanted > tin.left()) {
                missing.add(new Missing(
                        "%d more of %s: %d are here"
                                .formatted(wanted - tin.left(), tin.container().name(), tin.left()),
                        false));
            }
        });
        return missing;
    }

    private static Optional<Missing> lacks(PanThing thing, Mass wanted, House house) {
        if (!thing.isHere()) {
            return Optional.of(new Missing("%s of %s".formatted(house.mass(wanted), thing.common()), false));
        }
        // What is shown rounded and typed back is all there is.
        double more = wanted.grams() - thing.left().grams();
        return more <= 0.0005
                ? Optional.empty()
                : Optional.of(new Missing(
                        "%s more of %s: %s is here"
                                .formatted(house.mass(Mass.ofGrams(more)), thing.common(), house.mass(thing.left())),
                        true));
    }

    /** The plan to be frozen. */
    MakingPlan frozen(Planned planned, String name) {
        PanReading.Read read = planned.read();
        Map<String, PanThing> byKey = things(read);
        return new MakingPlan(
                MakingPlan.RULES,
                new MakingPlan.Made(
                        read.kind().key(),
                        read.kind().name(),
                        name,
                        read.kind().whipped(),
                        read.wax().isPresent()),
                read.firmness(),
                read.melt().formula().parts().stream()
                        .map(part -> new MakingPlan.Weighed(
                                part,
                                Objects.requireNonNull(byKey.get(part.stuff().key()))
                                        .lot()))
                        .toList(),
                read.stirred().stream()
                        .map(one -> new MakingPlan.Stirred(
                                one.addition(), one.thing().lot()))
                        .toList(),
                planned.filling().filter(filling -> filling.count() > 0).flatMap(filling -> read.tin()
                        .map(tin -> into(tin, filling))),
                read.use(),
                read.room(),
                planned.keeping().date(),
                planned.keeping().limitedBy(),
                planned.over(),
                planned.cautions().stream()
                        .filter(Caution::onLabel)
                        .map(Caution::head)
                        .distinct()
                        .toList());
    }

    private static MakingPlan.Into into(PanStock.Tin tin, Filling filling) {
        Container container = tin.container();
        return new MakingPlan.Into(container, filling.count(), Optional.of(UUID.fromString(tin.name())));
    }
}
