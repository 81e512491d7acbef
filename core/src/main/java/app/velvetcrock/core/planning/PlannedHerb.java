package app.velvetcrock.core.planning;

import app.velvetcrock.core.charge.HerbPortion;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Texture;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.method.Method;
import java.util.List;
import java.util.Optional;

/**
 * A herb lot as a plan sees it: what it is, how it lies and how much of it goes in.
 *
 * @param ownRetentions what the household measured of this herb, part, cut and pressing, mL per g
 */
public record PlannedHerb(
        HerbKind kind,
        Texture texture,
        Moisture moisture,
        Optional<Density> weighedBulk,
        Mass mass,
        List<Double> ownRetentions) {

    /** The middle of 1:7 to 1:8 (craft: ratios). */
    private static final double POWDER_AFTER_SPIRIT = 7.5;

    public PlannedHerb {
        ownRetentions = List.copyOf(ownRetentions);
    }

    /** As it goes into the vessel by a way: powder after spirit is usually charged 1:7 to 1:8, all else as its kind is. */
    public HerbPortion portion(Method way) {
        boolean powder = way.is(Method.SPIRIT_FIRST) && cut() == Cut.POWDER;
        return new HerbPortion(
                mass, texture, moisture, weighedBulk, powder ? POWDER_AFTER_SPIRIT : kind.usualRatio(cut()));
    }

    /** The same at another cut; a weighed cup of the old cut no longer holds, nor what it kept of the oil. */
    PlannedHerb at(Texture other) {
        return new PlannedHerb(kind, other, moisture, Optional.empty(), mass, List.of());
    }

    PlannedHerb times(double share) {
        return new PlannedHerb(kind, texture, moisture, weighedBulk, mass.times(share), ownRetentions);
    }

    public Cut cut() {
        return texture.cut();
    }
}
