package app.velvetcrock.core.wish;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.making.Container;
import app.velvetcrock.core.making.Kind;
import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Texture;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import java.time.Instant;
import java.util.Optional;

/**
 * What somebody has and wants.
 *
 * @param making what is made of the oil; absent where the oil itself is wanted
 * @param by when it is needed; absent where there is no hurry
 */
public record Wish(Herb herb, CarrierKind oil, Optional<Kind> making, Much much, Use use, Optional<Instant> by) {

    /**
     * The herb, as it is there or could be had.
     *
     * @param mass all of it that there is; absent where as much is taken as it needs
     */
    public record Herb(HerbKind kind, Texture texture, Moisture moisture, Optional<Mass> mass) {

        Herb at(Texture other) {
            return new Herb(kind, other, moisture, mass);
        }
    }

    /** How much is wanted. */
    public sealed interface Much {

        /** Whatever the herb gives. */
        record AllThereIs() implements Much {}

        /** So much oil. */
        record OfOil(Volume volume) implements Much {}

        /** So much of what is made. */
        record Weight(Mass mass) implements Much {}

        /** So many containers of it. */
        record Filled(int count, Container container) implements Much {}
    }

    Wish with(Herb other) {
        return new Wish(other, oil, making, much, use, by);
    }

    Wish withoutHurry() {
        return new Wish(herb, oil, making, much, use, Optional.empty());
    }
}
