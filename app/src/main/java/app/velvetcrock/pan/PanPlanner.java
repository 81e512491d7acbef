package app.velvetcrock.pan;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.batch.OwnRights;
import app.velvetcrock.core.caution.Caution;
import app.velvetcrock.core.caution.Cautions;
import app.velvetcrock.core.making.Ceilings;
import app.velvetcrock.core.making.Cooling;
import app.velvetcrock.core.making.Filling;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.making.Kind;
import app.velvetcrock.core.making.Pouring;
import app.velvetcrock.core.making.Setting;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.pan.KeptBack;
import app.velvetcrock.core.pan.MadeKeeping;
import app.velvetcrock.core.pan.MakingCourse;
import app.velvetcrock.core.pan.MakingPlan;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stock.Costs;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.PerRequest;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Works the Pan's sentence out: what goes in, how firm, how it pours and keeps, what is missing. */
@Component
public class PanPlanner {

    private final OwnRights rights;
    private final Batches batches;
    private final Costs costs;
    private final Cautions cautions = Cautions.shipped();
    private final Setting setting = Setting.shipped();
    private final List<Kind> kinds = Kind.shipped();

    PanPlanner(OwnRights rights, Batches batches, Costs costs) {
        this.rights = rights;
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

    /**
     * The sentence worked out.
     *
     * @param filling how it fills the containers named; absent where it is told by weight alone
     * @param ownCooling how many times as slowly this household's melts cool; absent while that is not known
     * @param over why it may be neither given nor sold
     * @param refused why it is not weighed in at all, whoever asks; empty where it may be
     * @param missing what is not here, or not enough of it, as a list to buy by
     * @param weighed what is taken of each lot; of one kind from several where one is not enough
     * @param tins what it may be poured into
     */
    record Planned(
            PanReading.Read read,
            Optional<Filling> filling,
            Optional<Pouring> pouring,
            Cooling cooling,
            Optional<Double> ownCooling,
            Ceilings ceilings,
            MadeKeeping keeping,
            Optional<Costs.Cost> cost,
            List<Caution> cautions,
            Optional<String> over,
            List<String> refused,
            List<Missing> missing,
            List<MakingPlan.Weighed> weighed,
            List<PanStock.Tin> tins,
            LocalDate today) {

        Mass whole() {
            return read.stirred().stream()
                    .map(one -> one.addition().mass())
                    .reduce(read.melt().formula().total(), Mass::plus);
        }

        /** Whether something in it is past its own date. */
        boolean isPast() {
            return keeping.date().isBefore(today);
        }

        /** Tells whether something of it has no lot here to be taken from. */
        boolean isFromNowhere() {
            return weighed.stream().anyMatch(one -> one.lot().isEmpty())
                    || read.stirred().stream().anyMatch(one -> !one.thing().isHere());
        }

        boolean canStart() {
            return refused.isEmpty() && missing.stream().noneMatch(Missing::stops);
        }
    }

    /** Something that is not enough: {@code stops} where its lot is named and cannot give so much; {@code buy} as on a list. */
    record Missing(String words, boolean stops, String buy) {}

    OwnRights.Learned learned(Kind kind, House house) {
        return rights.of(kind.key(), house);
    }

    Optional<Planned> plan(PanForm form, Kind kind, PanStock.Shelves shelves, OwnRights.Learned learned, At at) {
        return new PanReading(shelves, setting, this::fats, at.house(), at.fields())
                .read(form, kind, learned.right())
                .map(read -> worked(read, shelves, at));
    }

    /** Where and when it is planned, and the fields what is wrong stands beside. */
    record At(House house, LocalDate today, Fields fields) {}

    private Planned worked(PanReading.Read read, PanStock.Shelves shelves, At at) {
        Formula formula = read.melt().formula();
        Map<String, PanThing> things = things(read);
        List<MakingPlan.Weighed> weighed = formula.parts().stream()
                .flatMap(part -> shelves
                        .weighed(
                                part,
                                Objects.requireNonNull(things.get(part.stuff().key())))
                        .stream())
                .toList();
        boolean whipped = read.kind().whipped();
        Optional<Double> own = rights.cooling(Cooling.Where.IN_AIR);
        Mass whole = read.stirred().stream().map(one -> one.addition().mass()).reduce(formula.total(), Mass::plus);
        Optional<Filling> filling = read.tin()
                .map(tin -> Filling.into(
                        whole,
                        new Filling.Stock(tin.container(), read.count().orElse(tin.left())),
                        read.melt().shrinkage(),
                        whipped))
                .or(() -> best(read, whole, shelves));
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
        List<UUID> from = Stream.concat(Stream.of(read.oil()), read.others().stream())
                .flatMap(one -> one.batch().stream())
                .toList();
        List<BatchSheet> batchesOf = among(from);
        MadeKeeping keeping = PanKeeping.keeping(read, whole, at.today(), batchesOf);
        List<Caution> told = KeptBack.told(cautions, PanKeeping.borne(read, batchesOf), read.kind(), read.use());
        KeptBack.Made made = new KeptBack.Made(
                read.kind(),
                read.use(),
                formula,
                read.stirred().stream()
                        .flatMap(one -> one.thing().supply().stream())
                        .toList(),
                ceilings);
        return new Planned(
                read,
                filling,
                Pouring.of(formula),
                Cooling.of(whole, MakingCourse.CLEAR, read.room(), Cooling.Where.IN_AIR)
                        .times(own.orElse(1.0)),
                own,
                ceilings,
                keeping,
                costs.of(taken(read, weighed, emptied(read, filling, shelves))),
                told,
                KeptBack.why(
                        made,
                        new KeptBack.Standing(
                                keeping.notForSale(), keeping.date().isBefore(at.today()), wrong(read))),
                KeptBack.refused(told, made),
                PanLacks.of(read, filling, shelves, at.house()),
                weighed,
                read.tin().map(List::of).orElseGet(() -> tins(read.kind(), shelves)
                        .toList()),
                at.today());
    }

    private static Optional<String> wrong(PanReading.Read read) {
        return Stream.concat(Stream.of(read.oil()), read.others().stream())
                .flatMap(one -> one.own().wrong().map(what -> one.common() + ": " + what).stream())
                .findFirst();
    }

    /** What an oil that was infused in fats sets like, in a room so warm: a gram of it in grams of beeswax; else nothing. */
    double fats(PanThing oil, Temperature room) {
        return oil.batch().stream()
                .flatMap(batch -> among(List.of(batch)).stream())
                .flatMap(sheet -> sheet.plan().request().carriers().parts().stream())
                .mapToDouble(part ->
                        part.share() * setting.equivalent(part.carrier().kind().key(), room))
                .sum();
    }

    private List<BatchSheet> among(List<UUID> from) {
        return PerRequest.of("pan's batches " + from, Current.person(), () -> batches.among(from));
    }

    /** Where it is left to what there is: the counts of tins, or of moulds for a bar, that leave the least over. */
    private static Optional<Filling> best(PanReading.Read read, Mass whole, PanStock.Shelves shelves) {
        Kind kind = read.kind();
        boolean poured = kind.makes(Volume.ofMillilitres(1)).isEmpty();
        List<Filling.Stock> stock = tins(kind, shelves)
                .map(tin -> new Filling.Stock(tin.container(), tin.left()))
                .toList();
        return poured && !stock.isEmpty()
                ? Optional.of(Filling.best(whole, stock, read.melt().shrinkage(), kind.whipped()))
                : Optional.empty();
    }

    private static Stream<PanStock.Tin> tins(Kind kind, PanStock.Shelves shelves) {
        return shelves.containers().stream()
                .filter(tin -> tin.left() > 0
                        && !PanDesk.isBottle(tin)
                        && tin.container().mould() == kind.isMoulded());
    }

    /** The lots that are filled, each with how many of it. */
    private static List<Costs.Taken> emptied(
            PanReading.Read read, Optional<Filling> filling, PanStock.Shelves shelves) {
        return filling.stream()
                .flatMap(all -> all.pours().stream())
                .filter(pour -> !pour.container().mould())
                .flatMap(pour -> read
                        .tin()
                        .or(() -> tins(read.kind(), shelves)
                                .filter(tin -> tin.container().equals(pour.container()))
                                .findFirst())
                        .map(tin -> new Costs.Taken(UUID.fromString(tin.name()), pour.count()))
                        .stream())
                .toList();
    }

    /** What is taken of each lot, in milligrams. */
    private static List<Costs.Taken> taken(
            PanReading.Read read, List<MakingPlan.Weighed> weighed, List<Costs.Taken> emptied) {
        List<Costs.Taken> taken = new ArrayList<>();
        weighed.forEach(one -> one.lot()
                .ifPresent(
                        lot -> taken.add(new Costs.Taken(lot, one.part().mass().toMilligrams()))));
        taken.addAll(emptied);
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

    /** The plan to be frozen. */
    MakingPlan frozen(Planned planned, String name) {
        PanReading.Read read = planned.read();
        return new MakingPlan(
                        MakingPlan.RULES,
                        new MakingPlan.Made(
                                read.kind().key(),
                                read.kind().name(),
                                name,
                                read.kind().whipped(),
                                read.wax().isPresent()),
                        read.firmness(),
                        planned.weighed(),
                        read.stirred().stream()
                                .map(one -> new MakingPlan.Stirred(
                                        one.addition(), one.thing().lot()))
                                .toList(),
                        planned.filling().filter(filling -> filling.count() > 0).map(filling -> into(planned, filling)),
                        read.use(),
                        read.room(),
                        planned.keeping().date(),
                        planned.keeping().limitedBy(),
                        planned.over(),
                        planned.cautions().stream()
                                .filter(Caution::onLabel)
                                .map(Caution::head)
                                .distinct()
                                .toList())
                .with(planned.keeping().limits(), List.of());
    }

    /** What is taken where some of it was weighed otherwise than planned; in the order of the melt, absent where it was not. */
    List<MakingPlan.Weighed> really(Planned planned, List<Optional<Mass>> weighed, PanStock.Shelves shelves) {
        List<Formula.Part> parts = planned.read().melt().formula().parts();
        Map<String, PanThing> byKey = things(planned.read());
        List<MakingPlan.Weighed> really = new ArrayList<>();
        for (int i = 0; i < parts.size(); i++) {
            Formula.Part part = parts.get(i);
            Mass mass = i < weighed.size() ? weighed.get(i).orElse(part.mass()) : part.mass();
            really.addAll(shelves.weighed(
                    part.stuff().of(mass),
                    Objects.requireNonNull(byKey.get(part.stuff().key()))));
        }
        return really;
    }

    /** The first kind of container it fills; the others are counted when it is poured. */
    private static MakingPlan.Into into(Planned planned, Filling filling) {
        Filling.Pour first = filling.pours().get(0);
        return new MakingPlan.Into(
                first.container(),
                first.count(),
                planned.tins().stream()
                        .filter(tin -> tin.container().equals(first.container()))
                        .map(tin -> UUID.fromString(tin.name()))
                        .findFirst());
    }
}
