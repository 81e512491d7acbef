package app.velvetcrock.core.planning;

import app.velvetcrock.core.charge.HerbPortion;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Texture;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Mass;
import java.util.List;
import java.util.Optional;

/**
 * A herb lot as a plan sees it: what it is, how it lies and how much of it goes in.
 *
 * @param ownRetentions what the household measured of this herb, part, cut and pressing, mL per g
 */
public record PlannedHerb(
        HerbKind kind, Texture texture, Moisture moisture, Optional<Density> weighedBulk, Mass mass, List<Double> ownRetentions) {

    public PlannedHerb {
        ownRetentions = List.copyOf(ownRetentions);
    }

    public HerbPortion portion() {
        return new HerbPortion(mass, texture, moisture, weighedBulk, kind.usualRatio());
    }

    PlannedHerb times(double share) {
        return new PlannedHerb(kind, texture, moisture, weighedBulk, mass.times(share), ownRetentions);
    }

    public Cut cut() {
        return texture.cut();
    }
}
