package app.velvetcrock.core.drying;

import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.water.WaterContent;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * The thin-layer law m(t) = m_e + (m0 − m_e)·e^(−kt) [S: Lewis 1921] for one start.
 *
 * @param settles m_e, the weight it comes to in usual air
 * @param ready m_d/0.88, the weight at 12 % water, which counts as dry
 */
record DryingLaw(DryingStart start, Mass settles, Mass ready) {

    /** [E] Dry matter in the herb when it no longer loses weight in usual room air (craft: drying). */
    static final double SETTLED_DRY_SHARE = 0.91;

    /** 12 % water. */
    private static final double READY_DRY_SHARE = 0.88;

    private static final double SECONDS_PER_DAY = 86_400;

    static DryingLaw of(DryingStart start) {
        Mass dry = start.water().dryMatter(start.mass());
        return new DryingLaw(start, dry.times(1 / SETTLED_DRY_SHARE), dry.times(1 / READY_DRY_SHARE));
    }

    /** The same start with another share of water. */
    static DryingLaw of(DryingStart start, double water) {
        return of(new DryingStart(start.at(), start.mass(), new WaterContent(water), start.scaleStep()));
    }

    /** The share of water at a weight: all that is not dry matter. */
    double waterAt(Mass mass) {
        return Math.max(0, 1 - start.water().dryMatter(start.mass()).grams() / mass.grams());
    }

    /** k per day, by least squares through the origin of −ln((m − m_e)/(m0 − m_e)) on time; absent where nothing was lost. */
    Optional<Double> rate(List<WeighIn> weighIns) {
        double over = 0;
        double under = 0;
        double range = start.mass().grams() - settles.grams();
        for (WeighIn weighIn : weighIns) {
            double above = weighIn.mass().grams() - settles.grams();
            double days = days(weighIn.at());
            if (above > 0 && days > 0 && range > 0) {
                over += days * -Math.log(above / range);
                under += days * days;
            }
        }
        return under > 0 && over > 0 ? Optional.of(over / under) : Optional.empty();
    }

    /** When the ready weight is reached: t = ln((m0 − m_e)/(m_ready − m_e))/k; the start itself where it begins so dry. */
    Instant readyAt(double rate) {
        double range = start.mass().grams() - settles.grams();
        double rest = ready.grams() - settles.grams();
        double days = range <= rest ? 0 : Math.log(range / rest) / rate;
        return start.at().plus(Duration.ofSeconds(Math.round(days * SECONDS_PER_DAY)));
    }

    Mass massAt(Instant at, double rate) {
        double above = start.mass().grams() - settles.grams();
        return Mass.ofGrams(Math.max(0, settles.grams() + above * Math.exp(-rate * days(at))));
    }

    double days(Instant at) {
        return Duration.between(start.at(), at).toSeconds() / SECONDS_PER_DAY;
    }
}
