package app.velvetcrock.core.melt;

import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.larder.Larder;
import app.velvetcrock.core.larder.LotKind;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.making.Container;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.SupplyKind;
import app.velvetcrock.core.materia.SupplyType;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Worded;
import app.velvetcrock.core.pan.MakingPlan;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What there is.
 *
 * @param oils of the cupboard and plain ones, the first to be used first
 * @param otherOils kinds that are not here
 * @param butters those here before those that are not
 * @param heldBack what is here and not offered, and why
 * @param today what ended before it is taken from only where it is named
 */
public record PanShelves(
        List<PanThing> oils,
        List<PanThing> otherOils,
        List<PanThing> waxes,
        List<PanThing> butters,
        List<PanThing> additions,
        List<Tin> containers,
        List<String> heldBack,
        LocalDate today) {

    /** What is shown rounded and typed back is all there is. */
    private static final double NOTHING = 0.0005;

    private static final Set<LotKind> SUPPLIES =
            EnumSet.of(LotKind.WAX, LotKind.ANTIOXIDANT, LotKind.ESSENTIAL_OIL, LotKind.ADDITION, LotKind.SPIRIT);
    private static final Set<SupplyType> ADDED =
            EnumSet.of(SupplyType.ANTIOXIDANT, SupplyType.ESSENTIAL_OIL, SupplyType.ADDITION);

    /** The same with an oil that is to come. */
    public PanShelves and(PanThing oil) {
        List<PanThing> more = new ArrayList<>(List.of(oil));
        more.addAll(oils);
        return new PanShelves(more, otherOils, waxes, butters, additions, containers, heldBack, today);
    }

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
    public List<MakingPlan.Weighed> weighed(Formula.Part part, PanThing named) {
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

    /** A container of the stores. */
    public record Tin(String name, String word, Container container, int left) implements Worded {

        /** Something that is filled through its neck. */
        public boolean isBottle() {
            return container.name().toLowerCase(Locale.ROOT).contains("bottle");
        }
    }

    /** What a larder has for the pan, and what could be bought for it. */
    public static PanShelves of(Larder larder, Wording say, LocalDate today) {
        List<PanThing> infused = larder.oils().stream()
                .filter(oil ->
                        !oil.useBy().isBefore(today) && larder.fromUse().isFree(Optional.of(oil.batch()), oil.id()))
                .map(oil -> PanThing.infused(oil, say).but(larder.fromGiving().why(Optional.of(oil.batch()), oil.id())))
                .toList();
        List<Stock.OfCarrier> carriers = larder.carriers().stream()
                .filter(one -> larder.fromUse().isFree(Optional.empty(), one.id()))
                // What is past its date is chosen by nobody but by hand.
                .sorted(Comparator.comparing(one -> isPast(one, today)))
                .toList();
        List<PanThing> plain = carriers.stream()
                .filter(one -> !isSolid(one.kind()))
                .map(one -> carrier(one, say, today).but(larder.fromGiving().why(Optional.empty(), one.id())))
                .toList();
        List<PanThing> solid = carriers.stream()
                .filter(one -> isSolid(one.kind()))
                .map(one -> carrier(one, say, today))
                .toList();
        List<Stock.OfSupply> all = larder.supplies(SUPPLIES).toList();
        List<PanThing> waxes = things(larder, all.stream().filter(one -> one.kind() == LotKind.WAX), say, today);
        List<PanThing> additions = things(larder, all.stream().filter(one -> one.kind() != LotKind.WAX), say, today);
        return new PanShelves(
                both(infused, plain),
                kinds(
                        plain,
                        larder.kinds().carriers().stream()
                                .filter(kind -> !isSolid(kind))
                                .map(PanThing::notHere)),
                both(waxes, kinds(waxes, unbought(larder, EnumSet.of(SupplyType.WAX)))),
                both(
                        solid,
                        kinds(
                                solid,
                                larder.kinds().carriers().stream()
                                        .filter(PanShelves::isSolid)
                                        .map(PanThing::notHere))),
                both(additions, kinds(additions, unbought(larder, ADDED))),
                larder.supplies(EnumSet.of(LotKind.CONTAINER))
                        .flatMap(one -> tin(one).stream())
                        .toList(),
                notOffered(larder, all, today),
                today);
    }

    private static List<PanThing> things(Larder larder, Stream<Stock.OfSupply> some, Wording say, LocalDate today) {
        return some.filter(one -> larder.fromUse().isFree(Optional.empty(), one.id()))
                .flatMap(one -> supply(larder, one, say, today).stream())
                .toList();
    }

    private static Stream<PanThing> unbought(Larder larder, Set<SupplyType> of) {
        return larder.kinds().supplies().stream()
                .filter(kind -> of.contains(kind.type()))
                .map(PanThing::notHere);
    }

    private static boolean isPast(Stock.OfCarrier one, LocalDate today) {
        return new Bottle(one.name(), one.kind().monthsOpened(), one.opened(), one.bestBefore())
                .end(today)
                .isBefore(today);
    }

    /** Oils that are past their date, and whatever an open condition holds back. */
    private static List<String> notOffered(Larder larder, List<Stock.OfSupply> supplies, LocalDate today) {
        Stream<String> past = larder.oils().stream()
                .filter(oil -> oil.useBy().isBefore(today))
                .map(oil -> oil.name() + ": past its date");
        Stream<String> oils =
                larder.oils().stream().flatMap(oil -> held(larder, oil.name(), Optional.of(oil.batch()), oil.id()));
        Stream<String> carriers =
                larder.carriers().stream().flatMap(one -> held(larder, one.name(), Optional.empty(), one.id()));
        Stream<String> others = supplies.stream().flatMap(one -> held(larder, one.name(), Optional.empty(), one.id()));
        return Stream.of(past, oils, carriers, others)
                .flatMap(some -> some)
                .distinct()
                .toList();
    }

    private static Stream<String> held(Larder larder, String name, Optional<UUID> batch, UUID lot) {
        return larder.fromUse().why(batch, lot).stream().map(why -> name + ": " + why);
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

    private static PanThing carrier(Stock.OfCarrier one, Wording say, LocalDate today) {
        String left = isSolid(one.kind()) ? say.mass(one.left()) : say.volume(one.volumeLeft());
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

    private static Optional<PanThing> supply(Larder larder, Stock.OfSupply one, Wording say, LocalDate today) {
        return larder.kinds()
                .supply(one.key())
                .map(kind -> new PanThing(
                        one.id().toString(),
                        "%s, %s".formatted(one.name(), say.mass(one.mass())),
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

    /** A container of the stores; absent of what holds nothing. */
    public static Optional<Tin> tin(Stock.OfSupply one) {
        return one.holds()
                .map(holds -> new Tin(
                        one.id().toString(),
                        "%s (%d here)".formatted(one.name(), one.left()),
                        new Container(one.name(), holds, isMould(one.name())),
                        (int) Math.min(Integer.MAX_VALUE, one.left())));
    }

    /** What is called a mould is one: it is filled to the brim and emptied when set. */
    private static boolean isMould(String name) {
        return name.toLowerCase(Locale.ROOT).contains("mould")
                || name.toLowerCase(Locale.ROOT).contains("mold");
    }
}
