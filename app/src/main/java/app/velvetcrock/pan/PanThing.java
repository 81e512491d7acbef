package app.velvetcrock.pan;

import app.velvetcrock.core.making.Drops;
import app.velvetcrock.core.making.Formula.Role;
import app.velvetcrock.core.making.Formula.Stuff;
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

    /** Before the key of a kind that is not in the stores. */
    static final String KIND = PanForm.KIND;

    /**
     * What is told of one bottle.
     *
     * @param strength of a spirit or tincture
     * @param dropsPerMillilitre as counted
     */
    record Own(Optional<Strength> strength, Optional<Double> dropsPerMillilitre) {

        static final Own NOTHING = new Own(Optional.empty(), Optional.empty());
    }

    double dropsPerMillilitre() {
        return own.dropsPerMillilitre().orElse(Drops.USUAL);
    }

    /** So many of its drops, or of those that weigh so much. */
    Drops drops(double count) {
        return new Drops(supply.orElseThrow(), count, dropsPerMillilitre());
    }

    Drops drops(Mass mass) {
        return Drops.from(supply.orElseThrow(), mass, dropsPerMillilitre());
    }

    /** Tells whether it is meant by a name: its own, or that of its kind. */
    boolean isMeant(String said) {
        return name.equals(said) || said.equals(KIND + key);
    }

    Stuff stuff(Role role, double equivalent) {
        return new Stuff(key, common, role, equivalent);
    }

    boolean isHere() {
        return lot.isPresent();
    }
}
