package app.velvetcrock.core.method;

import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Part;

/** A herb of a charge and the state it is in, as far as the choice of a method asks. */
public record Ingredient(HerbKind kind, Moisture moisture) {

    /** Whether what goes in is hard resin: the part decides, whatever else of the plant is resinous. */
    boolean isHardResin() {
        return kind.part() == Part.RESIN;
    }

    Ingredient in(Moisture other) {
        return new Ingredient(kind, other);
    }
}
