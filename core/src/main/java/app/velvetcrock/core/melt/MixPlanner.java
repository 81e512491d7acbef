package app.velvetcrock.core.melt;

import app.velvetcrock.core.caution.Caution;
import app.velvetcrock.core.caution.Cautions;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.larder.Infused;
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
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Works a mix out: what goes in, how firm, how it pours and keeps, what is missing, and who it is not for. */
public final class MixPlanner {

    private final Cautions cautions = Cautions.shipped();
    private final Setting setting = Setting.shipped();
    private final List<Kind> kinds = Kind.shipped();

    /** Asked for the batches some oils came from. */
    @FunctionalInterface
    public interface Infusions {
        List<Infused> of(List<UUID> batches);
    }

    /**
     * What a mix is worked out among.
     *
     * @param cooling how many times as slowly this household's melts cool; absent while that is not known
     */
    public record Around(PanShelves shelves, Infusions infusions, Optional<Double> cooling, Wording say) {}

    public Setting setting() {
        return setting;
    }

    public List<Kind> kinds() {
        return kinds;
    }

    /** The kind of a key; a salve where there is none such. */
    public Kind kind(@Nullable String key) {
        return kinds.stream().filter(one -> one.key().equals(key)).findFirst().orElseGet(() -> kinds.stream()
                .filter(one -> one.key().equals("salve"))
                .findFirst()
                .orElseThrow());
    }

    /** Works it out. */
    public MixPlan plan(Mix read, Around around) {
        PanShelves shelves = around.shelves();
        Formula formula = read.melt().formula();
        Map<String, PanThing> things = read.things();
        List<MakingPlan.Weighed> weighed = formula.parts().stream()
                .flatMap(part -> shelves
                        .weighed(
                                part,
                                Objects.requireNonNull(things.get(part.stuff().key())))
                        .stream())
                .toList();
        boolean whipped = read.kind().whipped();
        Optional<Double> own = around.cooling();
        Mass whole = read.whole();
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
        List<UUID> from = read.fats().flatMap(one -> one.batch().stream()).toList();
        List<Infused> batchesOf = around.infusions().of(from);
        MadeKeeping keeping = MixKeeping.keeping(read, whole, shelves.today(), batchesOf);
        List<Caution> told = KeptBack.told(cautions, MixKeeping.borne(read, batchesOf), read.kind(), read.use());
        KeptBack.Made made = new KeptBack.Made(
                read.kind(),
                read.use(),
                formula,
                read.stirred().stream()
                        .flatMap(one -> one.thing().supply().stream())
                        .toList(),
                ceilings);
        return new MixPlan(
                read,
                filling,
                Pouring.of(formula),
                Cooling.of(whole, MakingCourse.CLEAR, read.room(), Cooling.Where.IN_AIR)
                        .times(own.orElse(1.0)),
                own,
                ceilings,
                keeping,
                told,
                KeptBack.why(
                                made,
                                new KeptBack.Standing(
                                        keeping.notForSale(), keeping.date().isBefore(shelves.today()), wrong(read)))
                        .or(() -> batchesOf.stream().anyMatch(Infused::byHand)
                                ? Optional.of(KeptBack.BY_HAND)
                                : batchesOf.stream().anyMatch(one -> one.request()
                                                .circumstances()
                                                .knowingly()
                                                .isPresent())
                                        ? Optional.of(KeptBack.OVERRIDDEN)
                                        : Optional.empty()),
                KeptBack.refused(told, made),
                MixLacks.of(read, filling, shelves, around.say()),
                weighed,
                read.tin().map(List::of).orElseGet(() -> tins(read.kind(), shelves)
                        .toList()),
                taken(read, weighed, emptied(read, filling, shelves)),
                shelves.today());
    }

    private static Optional<String> wrong(Mix read) {
        return read.fats()
                .flatMap(one -> one.own().wrong().map(what -> one.common() + ": " + what).stream())
                .findFirst();
    }

    /** What an oil that was infused in fats sets like, in a room so warm: a gram of it in grams of beeswax; else nothing. */
    public double fats(PanThing oil, Temperature room, Infusions infusions) {
        return oil.batch().stream()
                .flatMap(batch -> infusions.of(List.of(batch)).stream())
                .flatMap(infused -> infused.request().carriers().parts().stream())
                .mapToDouble(part ->
                        part.share() * setting.equivalent(part.carrier().kind().key(), room))
                .sum();
    }

    /** Where it is left to what there is: the counts of tins, or of moulds for a bar, that leave the least over. */
    private static Optional<Filling> best(Mix read, Mass whole, PanShelves shelves) {
        Kind kind = read.kind();
        boolean poured = kind.makes(Volume.ofMillilitres(1)).isEmpty();
        List<Filling.Stock> stock = tins(kind, shelves)
                .map(tin -> new Filling.Stock(tin.container(), tin.left()))
                .toList();
        return poured && !stock.isEmpty()
                ? Optional.of(Filling.best(whole, stock, read.melt().shrinkage(), kind.whipped()))
                : Optional.empty();
    }

    private static Stream<PanShelves.Tin> tins(Kind kind, PanShelves shelves) {
        return shelves.containers().stream()
                .filter(tin ->
                        tin.left() > 0 && !tin.isBottle() && tin.container().mould() == kind.isMoulded());
    }

    /** The lots that are filled, each with how many of it. */
    private static List<MixPlan.Taken> emptied(Mix read, Optional<Filling> filling, PanShelves shelves) {
        return filling.stream()
                .flatMap(all -> all.pours().stream())
                .filter(pour -> !pour.container().mould())
                .flatMap(pour -> read
                        .tin()
                        .or(() -> tins(read.kind(), shelves)
                                .filter(tin -> tin.container().equals(pour.container()))
                                .findFirst())
                        .map(tin -> new MixPlan.Taken(UUID.fromString(tin.name()), pour.count()))
                        .stream())
                .toList();
    }

    /** What is taken of each lot, in milligrams. */
    private static List<MixPlan.Taken> taken(Mix read, List<MakingPlan.Weighed> weighed, List<MixPlan.Taken> emptied) {
        List<MixPlan.Taken> taken = new ArrayList<>();
        weighed.forEach(one -> one.lot()
                .ifPresent(lot ->
                        taken.add(new MixPlan.Taken(lot, one.part().mass().toMilligrams()))));
        taken.addAll(emptied);
        read.stirred().forEach(one -> one.thing()
                .lot()
                .ifPresent(lot ->
                        taken.add(new MixPlan.Taken(lot, one.addition().mass().toMilligrams()))));
        return taken;
    }
}
