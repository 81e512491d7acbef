package app.velvetcrock.core.melt;

import app.velvetcrock.core.kitchen.KnownDensity;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.making.Drops;
import app.velvetcrock.core.making.Formula.Role;
import app.velvetcrock.core.making.Formula.Stuff;
import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.SupplyKind;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Worded;
import app.velvetcrock.core.spirit.Strength;
import java.time.LocalDate;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/**
 * Something that can go into the pan: a lot of the stores, or a kind that is not here.
 *
 * @param name as it is sent: a lot's id, or "kind:shea"
 * @param word as it is read in a list
 * @param key in the catalogue
 * @param bulk as scooped; absent for what is poured
 * @param ends when it ends by itself
 * @param supply what is known of an addition; absent for oils and butters
 * @param batch an infused oil's
 * @param own what the household found out of this bottle
 */
public record PanThing(
        String name,
        String word,
        String key,
        String common,
        Optional<UUID> lot,
        Density density,
        Optional<Density> bulk,
        Mass left,
        Optional<LocalDate> ends,
        Set<String> traits,
        Optional<SupplyKind> supply,
        Optional<UUID> batch,
        Own own)
        implements Worded {

    /** Stands for the lot, and the batch, of an oil whose jar is not charged yet. */
    public static final UUID TO_COME = new UUID(0, 3);

    /** Before the key of a kind that is not in the stores. */
    public static final String KIND = "kind:";

    /**
     * What is told of one bottle.
     *
     * @param strength of a spirit or tincture
     * @param dropsPerMillilitre as counted
     * @param wrong what is found wrong with it and not answered yet: it may be used, but what comes of it not given
     * @param oil where it is kept, of an infused one
     */
    public record Own(
            Optional<Strength> strength,
            Optional<Double> dropsPerMillilitre,
            Optional<String> wrong,
            Optional<Stock.OfOil> oil) {

        public static final Own NOTHING =
                new Own(Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());
    }

    /** The same, with something found wrong. */
    public PanThing but(Optional<String> wrong) {
        return new PanThing(
                name,
                word,
                key,
                common,
                lot,
                density,
                bulk,
                left,
                ends,
                traits,
                supply,
                batch,
                new Own(own.strength(), own.dropsPerMillilitre(), wrong, own.oil()));
    }

    /** What a spoonful or a cup of it weighs: pellets as they are scooped, all else as it is poured. */
    public KnownDensity known() {
        return bulk.map(KnownDensity::ofPellets).orElseGet(() -> KnownDensity.ofOil(density));
    }

    public double dropsPerMillilitre() {
        return own.dropsPerMillilitre().orElse(Drops.USUAL);
    }

    /** So many of its drops, or of those that weigh so much. */
    public Drops drops(double count) {
        return new Drops(supply.orElseThrow(), count, dropsPerMillilitre());
    }

    public Drops drops(Mass mass) {
        return Drops.from(supply.orElseThrow(), mass, dropsPerMillilitre());
    }

    /** Tells whether it is meant by a name: its own, or that of its kind. */
    public boolean isMeant(String said) {
        return name.equals(said) || said.equals(KIND + key);
    }

    public Stuff stuff(Role role, double equivalent) {
        return new Stuff(key, common, role, equivalent);
    }

    public boolean isHere() {
        return lot.isPresent();
    }

    /** An infused oil of the Cupboard. */
    public static PanThing infused(Stock.OfOil oil, Wording say) {
        return new PanThing(
                oil.id().toString(),
                "%s, %s, till %s".formatted(oil.name(), say.volume(oil.volumeLeft()), say.shortDay(oil.useBy())),
                "infused:" + oil.id(),
                oil.name(),
                Optional.of(oil.id()),
                oil.density(),
                Optional.empty(),
                oil.left(),
                Optional.of(oil.useBy()),
                Set.of(),
                Optional.empty(),
                Optional.of(oil.batch()),
                new Own(Optional.empty(), Optional.empty(), Optional.empty(), Optional.of(oil)));
    }

    /** A kind none of which is here. */
    public static PanThing notHere(CarrierKind kind) {
        return new PanThing(
                KIND + kind.key(),
                kind.common() + " (not here)",
                kind.key(),
                kind.common(),
                Optional.empty(),
                kind.density(),
                Optional.empty(),
                Mass.ZERO,
                Optional.empty(),
                kind.traits(),
                Optional.empty(),
                Optional.empty(),
                Own.NOTHING);
    }

    /** The same, of anything else. */
    public static PanThing notHere(SupplyKind kind) {
        return new PanThing(
                KIND + kind.key(),
                kind.common() + " (not here)",
                kind.key(),
                kind.common(),
                Optional.empty(),
                kind.density(),
                kind.bulk(),
                Mass.ZERO,
                Optional.empty(),
                kind.traits(),
                Optional.of(kind),
                Optional.empty(),
                Own.NOTHING);
    }
}
