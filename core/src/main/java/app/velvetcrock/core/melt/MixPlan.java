package app.velvetcrock.core.melt;

import app.velvetcrock.core.caution.Caution;
import app.velvetcrock.core.larder.Infused;
import app.velvetcrock.core.making.Ceilings;
import app.velvetcrock.core.making.Cooling;
import app.velvetcrock.core.making.Filling;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.making.Pouring;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.pan.MadeKeeping;
import app.velvetcrock.core.pan.MakingPlan;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;

/**
 * A mix worked out.
 *
 * @param filling how it fills the containers named; absent where it is told by weight alone
 * @param ownCooling how many times as slowly this household's melts cool; absent while that is not known
 * @param over why it may be neither given nor sold
 * @param refused why it is not weighed in at all, whoever asks; empty where it may be
 * @param missing what is not here, or not enough of it, as a list to buy by
 * @param weighed what is taken of each lot; of one kind from several where one is not enough
 * @param tins what it may be poured into
 * @param taken what is taken of each lot, in its own unit
 */
public record MixPlan(
        Mix read,
        Optional<Filling> filling,
        Optional<Pouring> pouring,
        Cooling cooling,
        Optional<Double> ownCooling,
        Ceilings ceilings,
        MadeKeeping keeping,
        List<Caution> cautions,
        Optional<String> over,
        List<String> refused,
        List<Missing> missing,
        List<MakingPlan.Weighed> weighed,
        List<PanShelves.Tin> tins,
        List<Taken> taken,
        LocalDate today) {

    public Mass whole() {
        return read.whole();
    }

    /** The batches its oils came of. */
    public List<UUID> batches() {
        return read.fats().flatMap(one -> one.batch().stream()).toList();
    }

    /** Keys of the kinds it is put together of, as they stand on the shelf. */
    public List<String> kindKeys() {
        return Stream.concat(
                        read.things().values().stream(), read.stirred().stream().map(Mix.Stirred::thing))
                .map(PanThing::key)
                .distinct()
                .toList();
    }

    /** What it bears of the table of who it is for, with what its oils bear. */
    public Set<String> borne(List<Infused> from) {
        return MixKeeping.borne(read, from);
    }

    /** Whether something in it is past its own date. */
    public boolean isPast() {
        return keeping.date().isBefore(today);
    }

    /** Tells whether something of it has no lot here to be taken from. */
    public boolean isFromNowhere() {
        return weighed.stream().anyMatch(one -> one.lot().isEmpty())
                || read.stirred().stream().anyMatch(one -> !one.thing().isHere());
    }

    /** Tells whether any of it is the oil of a jar which is not charged yet. */
    public boolean isToCome() {
        return read.fats()
                .anyMatch(one -> one.lot().filter(PanThing.TO_COME::equals).isPresent());
    }

    public boolean canStart() {
        return refused.isEmpty() && missing.stream().noneMatch(Missing::stops);
    }

    /** Something that is not enough: {@code stops} where its lot is named and cannot give so much; {@code buy} as on a list. */
    public record Missing(String words, boolean stops, String buy) {}

    /** So much of a lot: milligrams, or pieces. */
    public record Taken(UUID lot, long amount) {}

    /** The plan to be frozen. */
    public MakingPlan frozen(String name) {
        return new MakingPlan(
                        MakingPlan.RULES,
                        new MakingPlan.Made(
                                read.kind().key(),
                                read.kind().name(),
                                name,
                                read.kind().whipped(),
                                read.wax().isPresent()),
                        read.firmness(),
                        weighed(),
                        read.stirred().stream()
                                .map(one -> new MakingPlan.Stirred(
                                        one.addition(), one.thing().lot()))
                                .toList(),
                        filling().filter(filling -> filling.count() > 0).map(filling -> into(filling)),
                        read.use(),
                        read.room(),
                        keeping().date(),
                        keeping().limitedBy(),
                        over(),
                        cautions().stream()
                                .filter(Caution::onLabel)
                                .map(Caution::head)
                                .distinct()
                                .toList())
                .with(keeping().limits(), List.of());
    }

    /** What is taken where some of it was weighed otherwise than planned; in the order of the melt, absent where it was not. */
    public List<MakingPlan.Weighed> really(List<Optional<Mass>> weighed, PanShelves shelves) {
        List<Formula.Part> parts = read.melt().formula().parts();
        Map<String, PanThing> byKey = read.things();
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
    private MakingPlan.Into into(Filling filling) {
        Filling.Pour first = filling.pours().get(0);
        return new MakingPlan.Into(
                first.container(),
                first.count(),
                tins.stream()
                        .filter(tin -> tin.container().equals(first.container()))
                        .map(tin -> UUID.fromString(tin.name()))
                        .findFirst());
    }
}
