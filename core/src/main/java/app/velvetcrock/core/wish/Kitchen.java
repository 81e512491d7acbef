package app.velvetcrock.core.wish;

import app.velvetcrock.core.bench.BenchShelves;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.larder.Home;
import app.velvetcrock.core.making.Kind;
import app.velvetcrock.core.making.OwnRight;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Texture;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.melt.PanShelves;
import app.velvetcrock.core.strain.Pressing;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * All that a wish is planned among.
 *
 * @param bench what is charged: herbs, oils, vessels, sources of heat
 * @param pan what is melted, stirred in and filled
 * @param home when hands are there, and what stands already
 */
public record Kitchen(BenchShelves bench, PanShelves pan, Home home, Learned learned, Place place) {

    /** How warm it is there, how amounts and days are written, and the moment it is asked. */
    public record Place(Temperature pantry, Temperature room, Wording say, Instant now) {

        public LocalDate today() {
            return say.dayOf(now);
        }
    }

    /** What was learned there. */
    public interface Learned {

        /** Nothing yet. */
        Learned NOTHING = new Learned() {};

        /** What felt right of a kind of making. */
        default Optional<OwnRight> right(Kind kind) {
            return Optional.empty();
        }

        /** What a herb was measured to keep of its oil, mL per g. */
        default List<Double> retentions(HerbKind herb, Texture texture, Moisture moisture, Pressing pressing) {
            return List.of();
        }

        /** How many times as slowly melts cool there. */
        default Optional<Double> cooling() {
            return Optional.empty();
        }
    }

    Kitchen with(BenchShelves other) {
        return new Kitchen(other, pan, home, learned, place);
    }
}
