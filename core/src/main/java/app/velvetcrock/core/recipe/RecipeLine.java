package app.velvetcrock.core.recipe;

import app.velvetcrock.core.kitchen.Contradiction;
import app.velvetcrock.core.measure.Mass;
import java.util.List;

/** What became of one line: understood, or asked about. The line as written is always kept. */
public sealed interface RecipeLine {

    String written();

    /**
     * A clear line.
     *
     * @param echo what the amount was understood as
     * @param byVolume true where the weight rests on a density
     */
    record Clear(String written, Thing thing, Mass mass, String echo, boolean byVolume) implements RecipeLine {}

    /** A line to be asked about: what is wrong, and lines to write instead. */
    record Asked(String written, String wrong, List<Instead> instead) implements RecipeLine {
        public Asked {
            instead = List.copyOf(instead);
        }
    }

    /** A weight and a volume that do not go together. */
    record Contradicting(String written, Thing thing, Contradiction found, List<Instead> instead)
            implements RecipeLine {
        public Contradicting {
            instead = List.copyOf(instead);
        }
    }

    /** A line that would be clear, and why one would write it. */
    record Instead(String line, String words) {}
}
