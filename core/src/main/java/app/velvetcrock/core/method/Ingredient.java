package app.velvetcrock.core.method;

import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Moisture;

/** A herb of a charge and the state it is in, as far as the choice of a method asks. */
public record Ingredient(HerbKind kind, Moisture moisture) {

    Ingredient in(Moisture other) {
        return new Ingredient(kind, other);
    }
}
