package app.velvetcrock.core.charge;

import app.velvetcrock.core.measure.Check;
import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Mass;

/** How somebody says how much of a herb: by weight, as a part of a blend, or by how it lies in the vessel. */
public sealed interface HerbWish {

    /** Just this much. */
    record Weight(Mass mass) implements HerbWish {}

    /** So many parts of a blend, by weight or by loose volume. */
    record Parts(double parts, boolean byVolume) implements HerbWish {

        public Parts {
            Check.range("parts", parts, 0.01, 1000, "parts");
        }
    }

    /** Loosely fills so much of the vessel before the oil goes in: above nothing, up to all of it. */
    record Fill(double share) implements HerbWish {

        public Fill {
            Check.range("jar fill", share, 0.01, 1, "of the jar");
        }
    }

    /** Lies loosely so deep. */
    record Deep(Length depth) implements HerbWish {}
}
