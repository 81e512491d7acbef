package app.velvetcrock.core.planning;

import app.velvetcrock.core.charge.HerbPortion;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Texture;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Mass;
import java.util.Optional;

/** A herb lot as a plan sees it: what it is, how it lies and how much of it goes in. */
public record PlannedHerb(HerbKind kind, Texture texture, Moisture moisture, Optional<Density> weighedBulk, Mass mass) {

    public HerbPortion portion() {
        return new HerbPortion(mass, texture, moisture, weighedBulk, kind.usualRatio());
    }

    public Cut cut() {
        return texture.cut();
    }
}
