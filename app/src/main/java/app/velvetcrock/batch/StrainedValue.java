package app.velvetcrock.batch;

import app.velvetcrock.core.keeping.KeepUntil;
import app.velvetcrock.core.look.Clarity;
import app.velvetcrock.core.look.Condition;
import app.velvetcrock.core.look.Sign;
import app.velvetcrock.core.look.Smell;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.strain.Pressing;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;

/**
 * What straining gave, as it is kept: the oil out at 20 °C, the lot it became and how long that keeps.
 *
 * @param learned true when the next forecast may learn from it
 */
public record StrainedValue(
        Volume out, Mass mass, Pressing pressing, KeepUntil keepUntil, UUID lot, boolean learned, Seen seen) {

    /** What of that stays open until it is answered. */
    static List<Condition> conditions(Seen seen) {
        return seen.signs().stream().flatMap(sign -> sign.condition().stream()).toList();
    }

    /** What the oil looked and smelled like; {@code colour} in words, against a plain sample. */
    public record Seen(Clarity clarity, Smell smell, Volume water, String colour) {

        /** What that is a sign of, the gravest first; empty for a clear, dry, good oil. */
        public List<Sign> signs() {
            List<Sign> signs = new ArrayList<>();
            smell.sign().ifPresent(signs::add);
            if (water.millilitres() > 0) {
                signs.add(Sign.WATER);
            }
            clarity.sign().ifPresent(signs::add);
            return signs;
        }
    }
}
