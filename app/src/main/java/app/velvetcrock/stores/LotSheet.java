package app.velvetcrock.stores;

import app.velvetcrock.core.caution.Caution;
import app.velvetcrock.core.deed.MayAtStores;
import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.kitchen.KnownDensity;
import app.velvetcrock.core.larder.Origin;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Part;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.spirit.Strength;
import app.velvetcrock.core.water.WaterContent;
import app.velvetcrock.stock.LotStory;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/**
 * A lot as its own page shows it.
 *
 * @param known what a volume of it weighs; absent for what is counted in pieces
 * @param batchNumbers what the batches of its story are called
 * @param alike other lots of the same thing in the same state, which may be put together with it
 * @param onRack what it weighed last on the drying rack; absent where it does not lie there
 * @param madeFrom lots it came from, and {@code became} lots made of it
 */
public record LotSheet(
        LotStory story,
        Map<UUID, Integer> batchNumbers,
        Facts facts,
        Optional<HerbState> herb,
        Optional<KnownDensity> known,
        Optional<Life> life,
        List<Other> alike,
        List<Other> madeFrom,
        List<Other> became,
        List<Caution> cautions,
        Optional<Mass> onRack) {

    /** Where it came from, where it is, what it costs. */
    public record Facts(
            Origin origin,
            String cameFrom,
            String keptAt,
            Optional<Long> price,
            Optional<Long> costLeft,
            Optional<Double> minorPerGram,
            Optional<LocalDate> acquired,
            Optional<LocalDate> opened,
            Optional<LocalDate> bestBefore,
            Optional<Strength> strength,
            Optional<Double> dropsPerMillilitre,
            Set<MayAtStores.Own> measurable) {

        public boolean isMeasured(MayAtStores.Own own) {
            return measurable.contains(own);
        }
    }

    /** A herb's state, and what it would weigh dried. */
    public record HerbState(
            Part part, Cut cut, Moisture moisture, Density bulk, boolean weighedBulk, WaterContent water) {

        public Mass dried(Mass mass) {
            return water.equivalent(mass, WaterContent.DRIED);
        }

        /** What so much of it, dried, would weigh fresh. */
        public Mass fresh(Mass mass) {
            return water.equivalent(mass, WaterContent.of(part, cut, Moisture.FRESH));
        }
    }

    /** Another lot. */
    public record Other(UUID id, String name, String words) {}

    /**
     * How much of its time a bottle has left.
     *
     * @param share 1 when just opened, 0 at its end
     */
    public record Life(LocalDate end, long days, double share) {

        private static final double DAYS_PER_MONTH = 30.4;

        static Life of(Bottle bottle, LocalDate today) {
            LocalDate end = bottle.end(today);
            long days = java.time.temporal.ChronoUnit.DAYS.between(today, end);
            double whole = Math.max(1, bottle.monthsOpened() * DAYS_PER_MONTH);
            return new Life(end, days, Math.max(0, Math.min(1, days / whole)));
        }

        public boolean isPast() {
            return days < 0;
        }
    }
}
