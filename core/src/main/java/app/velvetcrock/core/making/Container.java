package app.velvetcrock.core.making;

import app.velvetcrock.core.measure.Check;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;

/**
 * A tin, jar or mould to pour into.
 *
 * @param brim what it holds when full to the brim
 * @param mould true for what is filled to the brim and emptied when set
 */
public record Container(String name, Volume brim, boolean mould) {

    /** [E] A lidded container is filled so far (craft: making, containers). */
    private static final double FILLED = 0.92;

    /** [E] A melt as it is poured, g/mL (craft: making, containers). */
    private static final double AT_POUR = 0.89;

    /** [E] A whipped butter, g/mL (craft: making, containers). */
    private static final double WHIPPED = 0.56;

    public Container {
        Check.range("container", brim.millilitres(), 1, 20_000, "mL");
    }

    /** What goes into it. */
    public Mass filled(boolean whipped) {
        return Mass.ofGrams(brim.millilitres() * (mould ? 1 : FILLED) * (whipped ? WHIPPED : AT_POUR));
    }
}
