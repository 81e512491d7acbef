package app.velvetcrock.core.kitchen;

import app.velvetcrock.core.measure.Dimension;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import java.util.List;

/** What became of a typed amount: understood, to be asked about, or not understood. The typed text is always kept. */
public sealed interface Reading {

    String typed();

    /** A clear reading; {@code echo} says it back: "1½ cups → 355 mL". */
    record Understood(String typed, Amount amount, String echo) implements Reading {

        /** The quantity as a weight; only for readings whose unit is one. */
        public Mass mass() {
            return (Mass) amount.middle();
        }

        public Volume volume() {
            return (Volume) amount.middle();
        }

        public Dimension dimension() {
            return amount.unit().dimension();
        }
    }

    /** Two or more sensible readings; each one's {@code typed} can be typed instead and is then clear. */
    record Unsure(String typed, String why, List<Understood> readings) implements Reading {
        public Unsure {
            readings = List.copyOf(readings);
        }
    }

    /** No reading; {@code wrong} says what the trouble is and {@code instead} what to type. */
    record NotUnderstood(String typed, String wrong, String instead) implements Reading {}
}
