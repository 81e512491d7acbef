package app.velvetcrock.core.drying;

import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.water.WaterContent;
import app.velvetcrock.core.working.Figure;
import app.velvetcrock.core.working.Working;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * How far a drying lot has come, by its weighings.
 *
 * @param water what it began with: as estimated, or corrected backwards once it is dry
 * @param waterNow share of water at the last weighing
 * @param rate k of the drying law, per day; absent until it has lost weight
 * @param ready when it will hold 12 % water; absent without a rate, and once it is dry
 * @param range earliest and latest for a start 4 % wetter or drier than thought; absent before the third weighing
 * @param curve the fitted weights, for drawing; empty without a rate, and where the air is too damp to follow it
 */
public record DryingCourse(
        State state,
        DryingStart start,
        List<WeighIn> weighIns,
        WaterContent water,
        double waterNow,
        Mass readyMass,
        Optional<Double> rate,
        Optional<Instant> ready,
        Optional<Range> range,
        List<Point> curve,
        Working working) {

    /** The start may be this much wetter or drier than thought [E]. */
    private static final double WATER_SPREAD = 0.04;

    /** So many weighings it takes for a range (craft: drying). */
    private static final int LEAST_FOR_RANGE = 3;

    /** Steady: under 1 % and under two steps of the scale over 20 hours or more (craft: drying). */
    private static final double STEADY_SHARE = 0.01;

    /** The same law, in steps of the scale. */
    private static final double STEADY_STEPS = 2;

    /** By hand it is believed to be dry up to this share of water by its weight (craft: drying). */
    private static final double BELIEVED = 0.20;

    /** Half a hundredth, as weights are rounded. */
    private static final double ROUNDING = 0.005;

    private static final Duration STEADY_FOR = Duration.ofHours(20);

    /** Of so many points the curve is drawn: no corner shows at the width of a page. */
    private static final int CURVE_POINTS = 24;

    /** Weighings nearer to each other than this count as one (craft: drying). */
    private static final Duration APART = Duration.ofHours(4);

    /** Slower than this a day, the law says nothing of when (craft: drying). */
    private static final double SLOWEST_A_DAY = 0.02;

    /** Where a drying lot stands. */
    public enum State {
        /** Nothing can be said before it was weighed again. */
        WEIGH_AGAIN,
        DRYING,
        /** By the sum it is ready; the hand has not said so yet. */
        TRY_IT,
        DRY,
        /** It loses no more, and still bends. */
        AIR_TOO_DAMP,
        /** The hand says it snaps, the weight that it is wet: one of the two is wrong. */
        CONTRADICTS
    }

    /** Earliest and latest moment. */
    public record Range(Instant earliest, Instant latest) {}

    /** A weight of the fitted curve. */
    public record Point(Instant at, Mass mass) {}

    public DryingCourse {
        weighIns = List.copyOf(weighIns);
        curve = List.copyOf(curve);
    }

    /**
     * Tells whether it has wilted by its weight: fresh herb of which so much water is gone that it holds no more than wilted herb is taken
     * to hold, and that is neither dry, by hand or by its weight, nor in doubt.
     */
    public boolean isWilted() {
        return !weighIns.isEmpty()
                && state != State.DRY
                && state != State.TRY_IT
                && state != State.CONTRADICTS
                && waterNow <= start.water().wilted().fraction() + ROUNDING;
    }

    /** Works it out; weighings may come in any order. */
    public static DryingCourse of(DryingStart start, List<WeighIn> all) {
        List<WeighIn> weighIns =
                all.stream().sorted(Comparator.comparing(WeighIn::at)).toList();
        DryingLaw law = DryingLaw.of(start);
        Mass now = weighIns.isEmpty() ? start.mass() : last(weighIns).mass();
        State state = state(law, weighIns);
        WaterContent water = state == State.DRY && isDryByWeight(law, weighIns) ? corrected(start, now) : start.water();
        DryingLaw known = DryingLaw.of(start, water.fraction());
        List<WeighIn> apart = apart(start, weighIns);
        Optional<Double> rate = known.rate(apart).filter(k -> k >= SLOWEST_A_DAY && isMoreThanRounding(start, apart));
        boolean goesOn = state == State.DRYING || state == State.TRY_IT;
        Optional<Instant> ready = goesOn ? rate.map(known::readyAt) : Optional.empty();
        Optional<Range> range =
                goesOn && rate.isPresent() && apart.size() >= LEAST_FOR_RANGE ? range(start, apart) : Optional.empty();
        return new DryingCourse(
                state,
                start,
                weighIns,
                water,
                known.waterAt(now),
                known.ready(),
                rate,
                ready,
                range,
                goesOn || state == State.DRY
                        ? rate.map(k -> curve(known, k, ready, weighIns)).orElse(List.of())
                        : List.of(),
                working(known, rate, ready, now));
    }

    /** A loss of a step or two of the scale may be none: each weight is rounded, and no pace is read off that. */
    private static boolean isMoreThanRounding(DryingStart start, List<WeighIn> apart) {
        double lost = start.mass().grams() - last(apart).mass().grams();
        return lost >= STEADY_STEPS * start.scaleStep().grams();
    }

    /** Of weighings near to each other the last alone, and none near the start, which was weighed itself. */
    private static List<WeighIn> apart(DryingStart start, List<WeighIn> weighIns) {
        List<WeighIn> apart = new ArrayList<>();
        Instant group = start.at();
        for (WeighIn weighIn : weighIns) {
            boolean near = Duration.between(group, weighIn.at()).compareTo(APART) < 0;
            if (near && !apart.isEmpty()) {
                apart.set(apart.size() - 1, weighIn);
            } else if (!near) {
                apart.add(weighIn);
                group = weighIn.at();
            }
        }
        return apart;
    }

    /** Tells whether it has lost weight, and too little to say when it will be dry. */
    public boolean losesTooLittle() {
        return rate.isEmpty() && !weighIns.isEmpty() && last(weighIns).mass().compareTo(start.mass()) < 0;
    }

    private static State state(DryingLaw law, List<WeighIn> weighIns) {
        if (weighIns.isEmpty()) {
            return State.WEIGH_AGAIN;
        }
        WeighIn last = last(weighIns);
        boolean steady = isSteady(law.start(), weighIns);
        return switch (last.snap()) {
            case SNAPS -> steady || law.waterAt(last.mass()) <= BELIEVED ? State.DRY : State.CONTRADICTS;
            case BENDS -> steady ? State.AIR_TOO_DAMP : State.DRYING;
            case NOT_TRIED -> last.mass().compareTo(law.settles()) <= 0
                    ? State.DRY
                    : steady || last.mass().compareTo(law.ready()) <= 0 ? State.TRY_IT : State.DRYING;
        };
    }

    /** Dry by its weight, so that the weight tells what water it began with; a snap alone tells only that it is dry. */
    private static boolean isDryByWeight(DryingLaw law, List<WeighIn> weighIns) {
        return last(weighIns).mass().compareTo(law.settles()) <= 0 || isSteady(law.start(), weighIns);
    }

    /** What it must have held at first, now that it has settled: dry matter is 0.91 of what it weighs. */
    private static WaterContent corrected(DryingStart start, Mass settled) {
        double water =
                1 - settled.grams() * DryingLaw.SETTLED_DRY_SHARE / start.mass().grams();
        return new WaterContent(Math.max(WaterContent.DRIEST, Math.min(WaterContent.WETTEST, water)));
    }

    private static boolean isSteady(DryingStart start, List<WeighIn> weighIns) {
        WeighIn last = last(weighIns);
        return weighIns.stream()
                .filter(earlier -> Duration.between(earlier.at(), last.at()).compareTo(STEADY_FOR) >= 0)
                .reduce((first, nearest) -> nearest)
                .filter(earlier -> {
                    double lost = Math.abs(earlier.mass().grams() - last.mass().grams());
                    return lost < STEADY_SHARE * earlier.mass().grams()
                            && lost < STEADY_STEPS * start.scaleStep().grams();
                })
                .isPresent();
    }

    private static Optional<Range> range(DryingStart start, List<WeighIn> weighIns) {
        double water = start.water().fraction();
        List<Instant> ends = Stream.of(water - WATER_SPREAD, water, water + WATER_SPREAD)
                .map(w -> DryingLaw.of(start, Math.max(WaterContent.DRIEST, Math.min(WaterContent.WETTEST, w))))
                .flatMap(law -> law.rate(weighIns).map(law::readyAt).stream())
                .sorted()
                .toList();
        return ends.isEmpty() ? Optional.empty() : Optional.of(new Range(ends.get(0), ends.get(ends.size() - 1)));
    }

    private static List<Point> curve(DryingLaw law, double rate, Optional<Instant> ready, List<WeighIn> weighIns) {
        Instant until = Stream.concat(ready.stream(), Stream.of(last(weighIns).at()))
                .max(Comparator.naturalOrder())
                .orElseThrow();
        Duration whole = Duration.between(law.start().at(), until);
        List<Point> points = new ArrayList<>();
        for (int i = 0; i <= CURVE_POINTS; i++) {
            Instant at = law.start().at().plus(whole.multipliedBy(i).dividedBy(CURVE_POINTS));
            points.add(new Point(at, law.massAt(at, rate)));
        }
        return points;
    }

    private static Working working(DryingLaw law, Optional<Double> rate, Optional<Instant> ready, Mass now) {
        Working.Builder sum = Working.of(
                        "days to dry = ln((fresh − settled) ÷ (ready − settled)) ÷ pace of drying, the pace from your weighings")
                .given("laid out", Figure.of(law.start().mass()))
                .estimate("water at first", Figure.ofPercent(law.start().water().fraction() * 100))
                .result(
                        "dry matter",
                        Figure.of(law.start().water().dryMatter(law.start().mass())))
                .estimate("settles in room air at", Figure.of(law.settles()))
                .result("ready at 12 % water", Figure.of(law.ready()))
                .given("weighs now", Figure.of(now))
                .result("water now", Figure.ofPercent(law.waterAt(now) * 100));
        rate.ifPresent(k -> sum.result("pace of drying, by least squares, a day", Figure.ofFactor(k)));
        ready.ifPresent(at -> sum.result("days from laying out to ready", Figure.ofDays(Math.round(law.days(at)))));
        return sum.build();
    }

    private static WeighIn last(List<WeighIn> weighIns) {
        return weighIns.get(weighIns.size() - 1);
    }
}
