package app.velvetcrock.core.strain;

import app.velvetcrock.core.charge.HerbPortion;
import app.velvetcrock.core.charge.Herbs;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.working.Figure;
import app.velvetcrock.core.working.Origin;
import app.velvetcrock.core.working.Working;
import java.util.List;

/**
 * Oil to expect back: Y = V − r·m − film, never below nothing, as an 80 % interval.
 *
 * @param spread standard deviation in mL: √((s·m)² + 3²)
 * @param low lower end of the 80 % interval
 * @param high upper end; never above the oil poured
 * @param batches measured batches it has learned from, of its least known herb; 0 for shipped estimates alone
 */
public record YieldForecast(Volume expected, double spread, Volume low, Volume high, int batches, Working working) {

    /** [E] Oil that stays on cloth and vessel, 5 ± 3 mL. */
    public static final Volume FILM = Volume.ofMillilitres(5);

    private static final double FILM_SPREAD = 3;

    /** [E] Herb and oil by the handful are known to no better than this share of the oil. */
    private static final double HANDFUL = 0.25;

    /** [S] Standard deviations on either side of the middle 80 % of a normal distribution. */
    public static final double EIGHTY_PERCENT = 1.2816;

    /** Forecasts from shipped estimates. */
    public static YieldForecast of(Herbs herbs, Volume oil, Pressing pressing) {
        return of(
                herbs,
                oil,
                pressing,
                herbs.portions().stream().map(portion -> List.<Double>of()).toList());
    }

    /**
     * Forecasts from shipped estimates and what was measured.
     *
     * @param measuredOfEach the household's own retentions at this pressing, mL per g, for each of the herbs in their order
     */
    public static YieldForecast of(Herbs herbs, Volume oil, Pressing pressing, List<List<Double>> measuredOfEach) {
        double kept = 0;
        double variance = FILM_SPREAD * FILM_SPREAD;
        Working.Builder sum = Working.of("oil back = oil poured − what the herb keeps − what stays on cloth and vessel")
                .given("oil poured", Figure.of(oil));
        for (int i = 0; i < herbs.portions().size(); i++) {
            HerbPortion portion = herbs.portions().get(i);
            List<Double> measured = measuredOfEach.get(i);
            Retention shipped = Retention.shipped(portion.texture(), portion.moisture(), pressing);
            Retention retention = shipped.learning(measured, portion.moisture());
            double grams = portion.mass().grams();
            kept += retention.mean() * grams;
            variance += Math.pow(retention.spread() * grams, 2);
            sum.given("herb", Figure.of(portion.mass()));
            explain(sum, shipped, retention, measured, pressing);
        }
        double spread = Math.sqrt(variance);
        double middle = oil.millilitres() - kept - FILM.millilitres();
        Working working = sum.result("the herb keeps", Figure.of(Volume.ofMillilitres(kept)))
                .estimate("cloth and vessel keep", Figure.of(FILM))
                .result("spread, one standard deviation", Figure.of(Volume.ofMillilitres(spread)))
                .build();
        return new YieldForecast(
                within(middle, oil),
                spread,
                within(middle - EIGHTY_PERCENT * spread, oil),
                within(middle + EIGHTY_PERCENT * spread, oil),
                measuredOfEach.stream().mapToInt(List::size).min().orElse(0),
                working);
    }

    /** The same where nothing was weighed: a handful is another in every hand. */
    public YieldForecast byHand(Volume oil) {
        double wide = Math.hypot(spread, HANDFUL * oil.millilitres());
        return new YieldForecast(
                expected,
                wide,
                within(expected.millilitres() - EIGHTY_PERCENT * wide, oil),
                within(expected.millilitres() + EIGHTY_PERCENT * wide, oil),
                batches,
                working);
    }

    private static void explain(
            Working.Builder sum, Retention shipped, Retention learned, List<Double> measured, Pressing pressing) {
        sum.estimate("a gram keeps, " + pressing.word(), Figure.ofMillilitresPerGram(shipped.mean()));
        for (int i = 0; i < measured.size(); i++) {
            sum.add(
                    "a gram kept in batch %d of %d like this".formatted(i + 1, measured.size()),
                    Figure.ofMillilitresPerGram(measured.get(i)),
                    Origin.OWN);
        }
        if (!measured.isEmpty()) {
            sum.result("weighed together", Figure.ofMillilitresPerGram(learned.mean()));
        }
    }

    /** What it rests on: "an estimate", "from your last 3 batches". */
    public String basis() {
        if (batches == 0) {
            return "an estimate";
        }
        return batches == 1 ? "from your last batch" : "from your last %d batches".formatted(batches);
    }

    /** Tells whether a measured yield lies inside the interval. */
    public boolean holds(Volume out) {
        return out.compareTo(low) >= 0 && out.compareTo(high) <= 0;
    }

    private static Volume within(double millilitres, Volume oil) {
        return Volume.ofMillilitres(Math.min(Math.max(0, millilitres), oil.millilitres()));
    }
}
