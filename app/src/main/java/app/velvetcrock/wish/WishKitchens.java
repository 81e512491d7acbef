package app.velvetcrock.wish;

import app.velvetcrock.batch.OwnRights;
import app.velvetcrock.batch.Retentions;
import app.velvetcrock.bench.BenchStock;
import app.velvetcrock.bench.BenchTime;
import app.velvetcrock.core.making.Cooling;
import app.velvetcrock.core.making.Kind;
import app.velvetcrock.core.making.OwnRight;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Texture;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.core.wish.Kitchen;
import app.velvetcrock.pan.PanStock;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.web.PerRequest;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Fills a kitchen from what the household has stored. */
@Component
class WishKitchens {

    private final BenchStock bench;
    private final PanStock pan;
    private final BenchTime time;
    private final OwnRights rights;
    private final Retentions retentions;

    WishKitchens(BenchStock bench, PanStock pan, BenchTime time, OwnRights rights, Retentions retentions) {
        this.bench = bench;
        this.pan = pan;
        this.time = time;
        this.rights = rights;
        this.retentions = retentions;
    }

    Kitchen of(House house, Instant now) {
        LocalDate today = house.dayOf(now);
        return new Kitchen(
                bench.read(house, today),
                pan.shelves(house, today),
                time.home(),
                new Learned(house),
                new Kitchen.Place(house.settings().pantry(), house.settings().room(), house.wording(), now));
    }

    /** What the household's own batches and makings showed. */
    private final class Learned implements Kitchen.Learned {

        private final House house;

        Learned(House house) {
            this.house = house;
        }

        @Override
        public Optional<OwnRight> right(Kind kind) {
            return PerRequest.of("right " + kind.key(), Current.person(), () -> rights.of(kind.key(), house)
                    .right());
        }

        @Override
        public List<Double> retentions(HerbKind herb, Texture texture, Moisture moisture, Pressing pressing) {
            return retentions.of(herb.key(), texture, moisture, pressing);
        }

        @Override
        public Optional<Double> cooling() {
            return rights.cooling(Cooling.Where.IN_AIR);
        }
    }
}
