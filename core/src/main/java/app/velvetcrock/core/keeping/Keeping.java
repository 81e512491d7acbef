package app.velvetcrock.core.keeping;

import app.velvetcrock.core.keeping.KeepUntil.LimitedBy;
import app.velvetcrock.core.working.Figure;
import app.velvetcrock.core.working.Working;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;

/**
 * Works out how long an oil keeps: strained + (days to the oil's own end) × factor, rounded down to a day, then the caps.
 *
 * <p>Months and factors are [E] (craft: keeping). Claims in circulation range from a month to three years; this sides with the
 * short end.
 */
public final class Keeping {

    /** [E] Nothing is kept longer than this after straining. */
    private static final int LONGEST_MONTHS = 24;

    private static final int WILTED_MONTHS = 9;
    private static final int FRESH_MONTHS = 6;
    private static final int JUICY_DAYS = 30;
    private static final int DRIED_FOOD_MONTHS = 3;
    private static final int WATERY_MONTHS = 3;
    private static final int SCORCHED_MONTHS = 6;
    private static final double SCORCHED = 0.5;
    private static final double ANTIOXIDANT = 1.2;
    private static final double CLEAR_GLASS = 0.7;
    private static final double LIGHT = 0.8;

    private Keeping() {}

    /**
     * Dates an oil from the day of straining.
     *
     * @param poured the day the bottle's oil went over the herb
     * @throws IllegalArgumentException for food of anything but dried herb, whose rule counts from another moment
     */
    public static KeepUntil of(
            Bottle bottle, LocalDate poured, LocalDate strained, Treatment treatment, Storage storage) {
        if (treatment.food() && !treatment.moisture().isDried()) {
            throw new IllegalArgumentException(
                    "food oil of %s herb is dated from the moment herb meets oil, not from straining"
                            .formatted(treatment.moisture().word()));
        }
        double factor = factor(treatment, storage);
        LocalDate end = bottle.end(poured);
        long days = Math.max(0, ChronoUnit.DAYS.between(strained, end));
        // An oil past its end before it was strained gets no date after that end.
        LocalDate byOil = end.isBefore(strained) ? end : strained.plusDays((long) Math.floor(days * factor + 1e-9));
        LocalDate cap = cap(treatment, strained);
        boolean capped = cap.isBefore(byOil);
        LimitedBy limit = capped
                ? capLimit(treatment)
                : bottle.endsByBestBefore(poured) ? LimitedBy.BOTTLE_BEST_BEFORE : LimitedBy.BOTTLE_OPENED;
        Working working = working(bottle, poured, strained, treatment, storage, cap);
        return new KeepUntil(capped ? cap : byOil, limit, working);
    }

    /**
     * Dates food oil of anything moist: four days from the moment herb meets oil, cold, or frozen within them [S: US extension
     * and FDA consumer guidance on botulism in oil]. Nothing lengthens it.
     */
    public static KeepUntil ofMoistFood(LocalDate met) {
        Working working = Working.of("use by = herb meets oil + 4 days, at 4 °C or colder within 2 hours, or frozen")
                .given("herb met oil", Figure.of(met))
                .standard("food oil of moist herb keeps", Figure.ofDays(MoistFood.DAYS))
                .build();
        return new KeepUntil(met.plusDays(MoistFood.DAYS), LimitedBy.MOIST_FOOD, working);
    }

    /** The last day nothing may lengthen beyond: the oil's own end, or its cap where that is earlier. */
    public static LocalDate latest(Bottle bottle, LocalDate poured, LocalDate strained, Treatment treatment) {
        LocalDate end = bottle.end(poured);
        LocalDate cap = cap(treatment, strained);
        return cap.isBefore(end) ? cap : end;
    }

    private static LimitedBy capLimit(Treatment treatment) {
        if (treatment.food()) {
            return LimitedBy.FOOD_RULE;
        }
        return treatment.after().waterDecanted()
                ? LimitedBy.WATER
                : treatment.after().scorched() ? LimitedBy.SCORCHED : LimitedBy.CAP;
    }

    /** min(1, penalties × bonuses): bonuses only make up for penalties. */
    static double factor(Treatment treatment, Storage storage) {
        double factor = treatment.heatFactor() * treatment.herbFactor() * storage.factor();
        factor *= treatment.inLight() ? LIGHT : 1;
        factor *= treatment.after().clearGlassInLight() ? CLEAR_GLASS : 1;
        factor *= treatment.after().antioxidant() != Antioxidant.NONE ? ANTIOXIDANT : 1;
        return Math.min(1, factor) * (treatment.after().scorched() ? SCORCHED : 1);
    }

    private static LocalDate cap(Treatment treatment, LocalDate strained) {
        LocalDate byState = capByState(treatment, strained);
        int months = treatment.after().waterDecanted()
                ? WATERY_MONTHS
                : treatment.after().scorched() ? SCORCHED_MONTHS : LONGEST_MONTHS;
        LocalDate byFate = strained.plusMonths(months);
        return byFate.isBefore(byState) ? byFate : byState;
    }

    private static LocalDate capByState(Treatment treatment, LocalDate strained) {
        if (treatment.food()) {
            return strained.plusMonths(DRIED_FOOD_MONTHS);
        }
        return switch (treatment.moisture()) {
            case DRIED -> strained.plusMonths(LONGEST_MONTHS);
            case WILTED -> strained.plusMonths(WILTED_MONTHS);
            case FRESH -> strained.plusMonths(FRESH_MONTHS);
            case JUICY -> strained.plusDays(JUICY_DAYS);
        };
    }

    private static Working working(
            Bottle bottle, LocalDate poured, LocalDate strained, Treatment treatment, Storage storage, LocalDate cap) {
        LocalDate end = bottle.end(poured);
        Working.Builder sum =
                Working.of("use by = strained + days left to the oil's own end × factor, no later than the cap");
        if (bottle.endsByBestBefore(poured)) {
            sum.given("bottle's best before, which ends it", Figure.of(end));
        } else {
            sum.given(
                            bottle.opened().isPresent() ? "bottle opened" : "sealed bottle opened for this",
                            Figure.of(bottle.opened().orElse(poured)))
                    .estimate("such an oil keeps once opened", Figure.ofWords(bottle.monthsOpened() + " months"))
                    .result("the oil's own end", Figure.of(end));
        }
        sum.given("strained", Figure.of(strained))
                .result(
                        "days from straining to that end",
                        Figure.ofDays(Math.max(0, ChronoUnit.DAYS.between(strained, end))))
                .estimate("heat it has had", Figure.ofFactor(treatment.heatFactor()));
        if (treatment.inLight()) {
            sum.estimate("stood in light", Figure.ofFactor(LIGHT));
        }
        sum.estimate(treatment.herbWord(), Figure.ofFactor(treatment.herbFactor()))
                .estimate("kept " + storage.word(), Figure.ofFactor(storage.factor()));
        if (treatment.after().clearGlassInLight()) {
            sum.estimate("clear glass in light", Figure.ofFactor(CLEAR_GLASS));
        }
        if (treatment.after().antioxidant() != Antioxidant.NONE) {
            sum.estimate("with " + treatment.after().antioxidant().word(), Figure.ofFactor(ANTIOXIDANT));
        }
        if (treatment.after().scorched()) {
            sum.estimate("hot enough to scorch", Figure.ofFactor(SCORCHED));
        }
        return sum.result("factor, never above 1", Figure.ofFactor(factor(treatment, storage)))
                .estimate("cap after straining", Figure.of(cap))
                .build();
    }
}
