package app.velvetcrock.core.strain;

import app.velvetcrock.core.charge.HerbPortion;
import app.velvetcrock.core.charge.Herbs;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.working.Figure;
import app.velvetcrock.core.working.Working;

/**
 * Oil to expect back: Y = V − r·m − film, never below nothing, as an 80 % interval.
 *
 * @param spread standard deviation in mL: √((s·m)² + 3²)
 * @param low lower end of the 80 % interval
 * @param high upper end; never above the oil poured
 */
public record YieldForecast(Volume expected, double spread, Volume low, Volume high, Working working) {

    /** [E] Oil that stays on cloth and vessel, 5 ± 3 mL. */
    public static final Volume FILM = Volume.ofMillilitres(5);

    private static final double FILM_SPREAD = 3;
    /** [S] Standard deviations on either side of the middle 80 % of a normal distribution. */
    private static final double EIGHTY_PERCENT = 1.2816;

    /** Forecasts from shipped estimates. */
    public static YieldForecast of(Herbs herbs, Volume oil, Pressing pressing) {
        double kept = 0;
        double variance = FILM_SPREAD * FILM_SPREAD;
        Working.Builder sum = Working.of("oil back = oil poured − what the herb keeps − what stays on cloth and vessel")
                .given("oil poured", Figure.of(oil));
        for (HerbPortion portion : herbs.portions()) {
            Retention retention = Retention.shipped(portion.texture(), portion.moisture(), pressing);
            double grams = portion.mass().grams();
            kept += retention.mean() * grams;
            variance += Math.pow(retention.spread() * grams, 2);
            sum.given("herb", Figure.of(portion.mass()))
                    .estimate("a gram keeps, " + pressing.word(), Figure.ofMillilitresPerGram(retention.mean()));
        }
        double spread = Math.sqrt(variance);
        double middle = oil.millilitres() - kept - FILM.millilitres();
        Working working = sum.result("the herb keeps", Figure.of(Volume.ofMillilitres(kept)))
                .estimate("cloth and vessel keep", Figure.of(FILM))
                .result("spread, one standard deviation", Figure.of(Volume.ofMillilitres(spread)))
                .build();
        return new YieldForecast(
                within(middle, oil), spread, within(middle - EIGHTY_PERCENT * spread, oil), within(middle + EIGHTY_PERCENT * spread, oil), working);
    }

    private static Volume within(double millilitres, Volume oil) {
        return Volume.ofMillilitres(Math.min(Math.max(0, millilitres), oil.millilitres()));
    }
}
