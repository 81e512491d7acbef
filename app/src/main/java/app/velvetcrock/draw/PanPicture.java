package app.velvetcrock.draw;

import app.velvetcrock.core.making.Cooling;
import app.velvetcrock.core.making.Firmness;
import app.velvetcrock.core.making.FirmnessBand;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.making.Pouring;
import app.velvetcrock.core.measure.Temperature;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** The Pan's drawings: the melt as strata by mass, the firmness scale, the cooling curve. Geometry alone; words come from the page. */
public final class PanPicture {

    private static final double LABEL = 38;

    private PanPicture() {}

    /** Whole pixels do for drawing, and keep the markup short. */
    private static double px(double value) {
        return Math.round(value * 10) / 10.0;
    }

    /** Moves labels apart so that none lies over another: the given heights in order, each at least a gap under the one before. */
    static List<Double> apart(List<Double> wanted, double gap, double top, double bottom) {
        List<Double> placed = new ArrayList<>();
        double next = top;
        for (double y : wanted) {
            next = Math.max(next, y);
            placed.add(next);
            next += gap;
        }
        double over = placed.isEmpty() ? 0 : placed.get(placed.size() - 1) - bottom;
        for (int i = placed.size() - 1; i >= 0 && over > 0; i--) {
            double most = i == placed.size() - 1 ? bottom : placed.get(i + 1) - gap;
            placed.set(i, Math.min(placed.get(i), most));
        }
        return placed.stream().map(PanPicture::px).toList();
    }

    /**
     * One stratum.
     *
     * @param at which part of the formula it is
     * @param y its upper edge
     * @param role "oil", "butter" or "wax", which its texture goes by
     * @param labelY baseline of its label's first line
     */
    public record Stratum(int at, double y, double height, String role, double labelY) {}

    /** The melt in its vessel, the wax at the bottom, the oil on top. */
    public record Melt(
            double width, double height, double left, double right, double top, double bottom, List<Stratum> strata) {

        private static final double HIGH = 270;
        private static final double WIDE = 210;
        private static final double RIM = 26;

        public static Melt of(Formula formula) {
            List<Integer> order = new ArrayList<>();
            for (Formula.Role role : List.of(Formula.Role.OIL, Formula.Role.BUTTER, Formula.Role.WAX)) {
                for (int i = 0; i < formula.parts().size(); i++) {
                    if (formula.parts().get(i).stuff().role() == role) {
                        order.add(i);
                    }
                }
            }
            double bottom = HIGH - 8;
            double deep = bottom - RIM;
            double y = RIM;
            List<double[]> edges = new ArrayList<>();
            for (int at : order) {
                double high = deep * formula.shareOf(formula.parts().get(at));
                edges.add(new double[] {y, high});
                y += high;
            }
            List<Double> labels =
                    apart(edges.stream().map(edge -> edge[0] + edge[1] / 2 + 4).toList(), LABEL, RIM + 12, bottom - 16);
            List<Stratum> strata = new ArrayList<>();
            for (int i = 0; i < order.size(); i++) {
                strata.add(new Stratum(
                        order.get(i),
                        px(edges.get(i)[0]),
                        px(edges.get(i)[1]),
                        formula.parts().get(order.get(i)).stuff().role().name().toLowerCase(Locale.ROOT),
                        labels.get(i)));
            }
            return new Melt(WIDE + 230, HIGH, 12, WIDE, RIM, bottom, strata);
        }
    }

    /** A mark beside the scale: a figure and what it is. */
    public record Mark(double firmness, String words, boolean main) {}

    /** A mark where it is drawn. */
    public record Placed(double y, double labelY, String words, boolean main) {}

    /** A band of the scale. */
    public record Band(double y, double height, String word, boolean here, double labelY) {}

    /**
     * The firmness scale, soft below.
     *
     * @param right upper and lower edge of what felt right in this household; absent while nobody said
     */
    public record Scale(double height, List<Band> bands, List<Placed> marks, double @Nullable [] right) {

        private static final double HIGH = 260;
        private static final double GAP = 18;

        public static Scale of(double firmness, List<Mark> marks, Optional<double[]> right) {
            List<Band> bands = new ArrayList<>();
            FirmnessBand[] all = FirmnessBand.values();
            for (int i = 0; i < all.length - 1; i++) {
                double top = y(all[i + 1].startInclusive());
                double bottom = y(all[i].startInclusive());
                boolean here = firmness >= all[i].startInclusive() && firmness < all[i + 1].startInclusive();
                bands.add(new Band(px(top), px(bottom - top), all[i].word(), here, px((top + bottom) / 2 + 4)));
            }
            List<Mark> sorted = marks.stream()
                    .sorted(Comparator.comparing(Mark::firmness).reversed())
                    .toList();
            List<Double> labels =
                    apart(sorted.stream().map(mark -> y(mark.firmness()) + 4).toList(), GAP, 12, HIGH + 4);
            List<Placed> placed = new ArrayList<>();
            for (int i = 0; i < sorted.size(); i++) {
                placed.add(new Placed(
                        px(y(sorted.get(i).firmness())),
                        labels.get(i),
                        sorted.get(i).words(),
                        sorted.get(i).main()));
            }
            return new Scale(
                    HIGH + 10,
                    bands,
                    placed,
                    right.map(ends -> new double[] {px(y(ends[1])), px(y(ends[0]))})
                            .orElse(null));
        }

        private static double y(double firmness) {
            return 4 + HIGH * (1 - Math.min(Firmness.HARDEST, Math.max(0, firmness)) / Firmness.HARDEST);
        }
    }

    /** A line across the cooling picture. */
    public record Tick(double at, String word) {}

    /**
     * How it cools, from the moment it is off the heat.
     *
     * @param curve points of the polyline
     * @param pour left edge and width of the stretch it is poured in; absent where it is not known where it congeals
     * @param late left edge of where it sets in the pan
     * @param now where it is; absent while it is on the heat
     */
    public record Cool(
            double width,
            double height,
            String curve,
            double @Nullable [] pour,
            @Nullable Double late,
            double @Nullable [] now,
            List<Tick> minutes,
            List<Tick> degrees) {

        private static final double WIDE = 330;
        private static final double HIGH = 120;
        private static final double LEFT = 44;
        private static final double TOP = 8;
        private static final int POINTS = 40;

        public static Cool of(Cooling cooling, Optional<Pouring> pouring, Optional<Duration> now) {
            Optional<Pouring.Window> window = pouring.flatMap(at -> at.window(cooling));
            double least = window.map(one -> one.until().toMillis() * 1.5)
                    .orElse(cooling.tau().toMillis() * 1.0);
            double span = Math.max(least, now.map(at -> at.toMillis() * 1.15).orElse(0.0));
            double minutes = Math.max(10, Math.ceil(span / 60_000 / 10) * 10);
            double hottest = Math.max(80, cooling.from().celsius() + 5);
            double coolest = Math.min(20, cooling.room().celsius());
            Axes axes = new Axes(minutes, hottest, coolest);
            StringBuilder curve = new StringBuilder();
            for (int i = 0; i <= POINTS; i++) {
                double minute = minutes * i / POINTS;
                Temperature at = cooling.at(Duration.ofMillis(Math.round(minute * 60_000)));
                curve.append(axes.x(minute))
                        .append(',')
                        .append(axes.y(at.celsius()))
                        .append(' ');
            }
            List<Tick> across = new ArrayList<>();
            double step = minutes <= 60 ? 10 : minutes <= 150 ? 30 : 60 * Math.ceil(minutes / 360);
            for (double at = 0; at <= minutes + 1e-6; at += step) {
                across.add(new Tick(axes.x(at), String.valueOf(Math.round(at))));
            }
            List<Tick> up = new ArrayList<>();
            for (int at = 20; at <= hottest; at += 20) {
                up.add(new Tick(axes.y(at), String.valueOf(at)));
            }
            return new Cool(
                    LEFT + WIDE + 10,
                    TOP + HIGH + 24,
                    curve.toString().strip(),
                    window.map(one -> axes.stretch(one)).orElse(null),
                    window.map(one -> axes.x(minutes(one.until()))).orElse(null),
                    now.filter(at -> minutes(at) <= minutes)
                            .map(at -> new double[] {
                                axes.x(minutes(at)), axes.y(cooling.at(at).celsius())
                            })
                            .orElse(null),
                    across,
                    up);
        }

        private static double minutes(Duration duration) {
            return duration.toMillis() / 60_000.0;
        }

        private record Axes(double minutes, double hottest, double coolest) {

            double x(double minute) {
                return px(LEFT + WIDE * Math.min(1, minute / minutes));
            }

            /** Left edge and width of a stretch. */
            double[] stretch(Pouring.Window window) {
                double left = x(Cool.minutes(window.from()));
                return new double[] {left, px(x(Cool.minutes(window.until())) - left)};
            }

            double y(double celsius) {
                return px(TOP + HIGH * (1 - (celsius - coolest) / (hottest - coolest)));
            }
        }
    }
}
