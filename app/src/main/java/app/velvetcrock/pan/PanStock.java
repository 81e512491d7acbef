package app.velvetcrock.pan;

import app.velvetcrock.catalogue.Catalogue;
import app.velvetcrock.catalogue.OwnCeilings;
import app.velvetcrock.condition.Conditions;
import app.velvetcrock.condition.HeldBack;
import app.velvetcrock.condition.Told;
import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.look.Held;
import app.velvetcrock.core.making.Container;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.SupplyKind;
import app.velvetcrock.core.materia.SupplyType;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.pan.MakingPlan;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stock.LotKind;
import app.velvetcrock.stock.Oils;
import app.velvetcrock.stock.Stock;
import app.velvetcrock.stock.Stores;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What the stores have for the pan, and what could be bought for it. */
@Component
public class PanStock {

    /** What is shown rounded and typed back is all there is. */
    private static final double NOTHING = 0.0005;

    private static final Set<LotKind> SUPPLIES =
            EnumSet.of(LotKind.WAX, LotKind.ANTIOXIDANT, LotKind.ESSENTIAL_OIL, LotKind.ADDITION, LotKind.SPIRIT);
    private static final Set<SupplyType> ADDED =
            EnumSet.of(SupplyType.ANTIOXIDANT, SupplyType.ESSENTIAL_OIL, SupplyType.ADDITION);

    private final Stores stores;
    private final Oils oils;
    private final Catalogue catalogue;
    private final OwnCeilings ceilings;
    private final Materia materia;
    private final Conditions conditions;

    PanStock(
            Stores stores,
            Oils oils,
            Catalogue catalogue,
            OwnCeilings ceilings,
            Materia materia,
            Conditions conditions) {
        this.conditions = conditions;
        this.ceilings = ceilings;
        this.stores = stores;
        this.oils = oils;
        this.catalogue = catalogue;
        this.materia = materia;
    }

    /**
     * What there is.
     *
     * @param oils of the cupboard and plain ones, the first to be used first
     * @param otherOils kinds that are not here
     * @param butters those here before those that are not
     * @param heldBack what is here and not offered, and why
     * @param today what ended before it is taken from only where it is named
     */
    public record Shelves(
            List<PanThing> oils,
            List<PanThing> otherOils,
            List<PanThing> waxes,
            List<PanThing> butters,
            List<PanThing> additions,
            List<Tin> containers,
            List<String> heldBack,
            LocalDate today) {

        public Optional<PanThing> oil(String name) {
            return Stream.concat(oils.stream(), otherOils.stream())
                    .filter(one -> one.isMeant(name))
                    .findFirst();
        }

        public Optional<PanThing> meltable(String name) {
            return Stream.of(oils, otherOils, butters, waxes)
                    .flatMap(List::stream)
                    .filter(one -> one.isMeant(name))
                    .findFirst();
        }

        /** So much of something to stir in, from a lot where that is here, else from another of its kind. */
        public record Stirring(String key, Optional<UUID> lot, Mass mass, boolean counted) {}

        /** Rows that stir it in by weight, each thing once; what was counted in the drops of the bottle that is here today. */
        public List<PanForm.Row> stirred(List<Stirring> all) {
            Map<String, PanForm.Row> rows = new LinkedHashMap<>();
            Map<String, Mass> sums = new HashMap<>();
            for (Stirring one : all) {
                Optional<PanThing> thing = one.lot()
                        .flatMap(lot -> addition(lot.toString()))
                        .or(() -> addition(PanThing.KIND + one.key()));
                String name = thing.map(PanThing::name).orElse(PanThing.KIND + one.key());
                Mass mass = sums.merge(name, one.mass(), Mass::plus);
                rows.put(
                        name,
                        new PanForm.Row(
                                name,
                                thing.filter(bottle -> one.counted())
                                        .map(bottle -> bottle.drops(mass))
                                        .filter(drops -> Math.round(drops.count()) > 0)
                                        .map(drops -> Decimals.upTo(drops.count(), 0) + " drops")
                                        .orElse(Decimals.upTo(mass.grams(), 2) + " g")));
            }
            return List.copyOf(rows.values());
        }

        public Optional<PanThing> addition(String name) {
            return additions.stream().filter(one -> one.isMeant(name)).findFirst();
        }

        /** What a part may be taken from: the lot named, then others of its kind; of an infused oil that oil alone. */
        public Stream<PanThing> lots(Optional<UUID> named, String key) {
            return Stream.of(oils, butters, waxes)
                    .flatMap(List::stream)
                    .filter(one -> one.isHere() && one.key().equals(key))
                    .filter(one -> one.lot().equals(named)
                            || one.ends().filter(end -> end.isBefore(today)).isEmpty())
                    .sorted(Comparator.comparing(one -> !one.lot().equals(named)));
        }

        /** So much of a thing taken from what there is of its kind, the lot named first; the rest of it from nowhere. */
        List<MakingPlan.Weighed> weighed(Formula.Part part, PanThing named) {
            List<MakingPlan.Weighed> weighed = new ArrayList<>();
            double wanted = part.mass().grams();
            for (PanThing one : lots(named.lot(), part.stuff().key()).toList()) {
                double from = Math.min(wanted, one.left().grams());
                boolean all = wanted - from <= NOTHING;
                if (from > 0) {
                    weighed.add(new MakingPlan.Weighed(part.stuff().of(Mass.ofGrams(all ? wanted : from)), one.lot()));
                    wanted = all ? 0 : wanted - from;
                }
                if (wanted <= 0) {
                    return weighed;
                }
            }
            weighed.add(new MakingPlan.Weighed(part.stuff().of(Mass.ofGrams(wanted)), named.lot()));
            return weighed;
        }

        /** The lot, or else the kind, of a key. */
        public Optional<PanThing> ofKey(String key) {
            return Stream.concat(butters.stream(), waxes.stream())
                    .filter(one -> one.key().equals(key))
                    .findFirst();
        }
    }

    /** A container of the stores. */
    public record Tin(String name, String word, Container container, int left)
            implements app.velvetcrock.core.measure.Worded {}

    public Shelves shelves(House house, LocalDate today) {
        List<Told> open = conditions.open();
        HeldBack held = HeldBack.from(Held.USE, open);
        HeldBack ungiven = HeldBack.from(Held.GIVE, open);
        List<Stock.OfOil> left = oils.left();
        List<PanThing> infused = left.stream()
                .filter(oil -> !oil.useBy().isBefore(today) && held.isFree(oil.batch(), oil.id()))
                .map(oil -> PanThing.infused(oil, house)
                        .but(ungiven.of(oil.batch(), oil.id()).map(told -> told.word())))
                .toList();
        List<Stock.OfCarrier> allCarriers = stores.carriers();
        List<Stock.OfCarrier> carriers = allCarriers.stream()
                .filter(one -> held.isFree(null, one.id()))
                // What is past its date is chosen by nobody but by hand.
                .sorted(Comparator.comparing(one -> isPast(one, today)))
                .toList();
        List<PanThing> plain = carriers.stream()
                .filter(one -> !isSolid(one.kind()))
                .map(one -> carrier(one, house, today)
                        .but(ungiven.of(null, one.id()).map(told -> told.word())))
                .toList();
        List<PanThing> solid = carriers.stream()
                .filter(one -> isSolid(one.kind()))
                .map(one -> carrier(one, house, today))
                .toList();
        List<Stock.OfSupply> allSupplies = stores.supplies(SUPPLIES);
        List<Stock.OfSupply> supplies =
                allSupplies.stream().filter(one -> held.isFree(null, one.id())).toList();
        List<PanThing> waxes = supplies.stream()
                .filter(one -> one.kind() == LotKind.WAX)
                .flatMap(one -> supply(one, house, today).stream())
                .toList();
        List<PanThing> additions = supplies.stream()
                .filter(one -> one.kind() != LotKind.WAX)
                .flatMap(one -> supply(one, house, today).stream())
                .toList();
        return new Shelves(
                both(infused, plain),
                kinds(
                        plain,
                        catalogue.carriers().stream()
                                .filter(kind -> !isSolid(kind))
                                .map(PanThing::notHere)),
                both(
                        waxes,
                        kinds(
                                waxes,
                                materia.supplies().stream()
                                        .filter(kind -> kind.type() == SupplyType.WAX)
                                        .map(PanThing::notHere))),
                both(
                        solid,
                        kinds(
                                solid,
                                catalogue.carriers().stream()
                                        .filter(PanStock::isSolid)
                                        .map(PanThing::notHere))),
                both(
                        additions,
                        kinds(
                                additions,
                                materia.supplies().stream()
                                        .filter(kind -> ADDED.contains(kind.type()))
                                        .map(ceilings::corrected)
                                        .map(PanThing::notHere))),
                stores.supplies(EnumSet.of(LotKind.CONTAINER)).stream()
                        .flatMap(one -> tin(one, house).stream())
                        .toList(),
                notOffered(
                        left,
                        Stream.concat(
                                allCarriers.stream().map(one -> new Named(one.name(), null, one.id())),
                                allSupplies.stream().map(one -> new Named(one.name(), null, one.id()))),
                        held,
                        today),
                today);
    }

    private static boolean isPast(Stock.OfCarrier one, LocalDate today) {
        return new Bottle(one.name(), one.kind().monthsOpened(), one.opened(), one.bestBefore())
                .end(today)
                .isBefore(today);
    }

    private record Named(String name, @Nullable UUID batch, UUID lot) {}

    /** Oils that are past their date, and whatever an open condition holds back. */
    private static List<String> notOffered(
            List<Stock.OfOil> left, Stream<Named> others, HeldBack held, LocalDate today) {
        Stream<String> past =
                left.stream().filter(oil -> oil.useBy().isBefore(today)).map(oil -> oil.name() + ": past its date");
        Stream<Named> oils = left.stream().map(oil -> new Named(oil.name(), oil.batch(), oil.id()));
        Stream<String> found = Stream.concat(oils, others)
                .flatMap(one -> held.of(one.batch(), one.lot()).stream().map(told -> one.name() + ": " + told.word()));
        return Stream.concat(past, found).distinct().toList();
    }

    private static boolean isSolid(CarrierKind kind) {
        return kind.melting().isPresent();
    }

    private static List<PanThing> both(List<PanThing> here, List<PanThing> elsewhere) {
        List<PanThing> all = new ArrayList<>(here);
        all.addAll(elsewhere);
        return all;
    }

    /** Kinds none of which is here. */
    private static List<PanThing> kinds(List<PanThing> here, Stream<PanThing> all) {
        Set<String> keys = here.stream().map(PanThing::key).collect(Collectors.toSet());
        return all.filter(kind -> !keys.contains(kind.key())).toList();
    }

    private static PanThing carrier(Stock.OfCarrier one, House house, LocalDate today) {
        String left = isSolid(one.kind()) ? house.mass(one.left()) : house.volume(one.volumeLeft());
        return new PanThing(
                one.id().toString(),
                "%s, %s".formatted(one.name(), left),
                one.kind().key(),
                one.kind().common(),
                Optional.of(one.id()),
                one.density(),
                Optional.empty(),
                one.left(),
                Optional.of(
                        new Bottle(one.name(), one.kind().monthsOpened(), one.opened(), one.bestBefore()).end(today)),
                one.kind().traits(),
                Optional.empty(),
                Optional.empty(),
                PanThing.Own.NOTHING);
    }

    private Optional<PanThing> supply(Stock.OfSupply one, House house, LocalDate today) {
        return materia.supply(one.key())
                .map(ceilings::corrected)
                .map(kind -> new PanThing(
                        one.id().toString(),
                        "%s, %s".formatted(one.name(), house.mass(one.mass())),
                        kind.key(),
                        kind.common(),
                        Optional.of(one.id()),
                        one.density().orElse(kind.density()),
                        kind.bulk(),
                        one.mass(),
                        ends(kind, one, today),
                        kind.traits(),
                        Optional.of(kind),
                        Optional.empty(),
                        new PanThing.Own(
                                one.strength(), one.dropsPerMillilitre(), Optional.empty(), Optional.empty())));
    }

    private static Optional<LocalDate> ends(SupplyKind kind, Stock.OfSupply one, LocalDate today) {
        Optional<LocalDate> byOpening =
                kind.monthsOpened().map(months -> one.opened().orElse(today).plusMonths(months));
        return Stream.of(byOpening, one.bestBefore()).flatMap(Optional::stream).min(LocalDate::compareTo);
    }

    static Optional<Tin> tin(Stock.OfSupply one, House house) {
        return one.holds()
                .map(holds -> new Tin(
                        one.id().toString(),
                        "%s (%d here)".formatted(one.name(), one.left()),
                        new Container(one.name(), holds, isMould(one.name())),
                        (int) Math.min(Integer.MAX_VALUE, one.left())));
    }

    /** What is called a mould is one: it is filled to the brim and emptied when set. */
    static boolean isMould(String name) {
        return name.toLowerCase(Locale.ROOT).contains("mould")
                || name.toLowerCase(Locale.ROOT).contains("mold");
    }
}
