package app.velvetcrock.core.method;

import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Part;

/** A herb of a charge: the part of it that goes in and the state that is in, as far as the choice of a method asks. */
public record Ingredient(HerbKind kind, Part part, Moisture moisture) {

    private static final String RESINOUS = "resinous";

    /** Whether what goes in is hard resin: the part decides, whatever else of the plant is resinous. */
    boolean isHardResin() {
        return part == Part.RESIN;
    }

    /** Whether what goes in is resinous: the part its kind is known for, its buds, and the resin itself; of no other part is it known. */
    boolean isResinous() {
        return isHardResin() || kind.traits().contains(RESINOUS) && (part == kind.part() || part == Part.BUD);
    }

    /** Resinous buds hold water however dry they look (craft: keeping). */
    public boolean isResinousBud() {
        return part == Part.BUD && isResinous();
    }

    Ingredient in(Moisture other) {
        return new Ingredient(kind, part, other);
    }
}
