package app.velvetcrock.core.label;

import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Unit;
import app.velvetcrock.core.measure.Worded;
import java.util.List;

/** The net weight on a label: metric and US, each rounded down, so that no buyer gets less than it says (craft: making). */
public final class NetWeight {

    /** Under so many grams, or ounces, a place more is said. */
    private static final double FEW = 10;

    private static final double SLACK = 1e-9;

    private NetWeight() {}

    /** Where a rule says how high a net weight's figures are. */
    public enum Region implements Worded {
        /** Craft, what a label says: 2 mm to 50 g, 3 to 200 g, 4 to 1 kg; [E] 6 above. */
        EU_UK("EU or UK", List.of(new Step(50, 2), new Step(200, 3), new Step(1000, 4), new Step(Double.MAX_VALUE, 6))),
        ELSEWHERE("elsewhere: no height held", List.of());

        private final String word;
        private final List<Step> steps;

        Region(String word, List<Step> steps) {
            this.word = word;
            this.steps = steps;
        }

        @Override
        public String word() {
            return word;
        }
    }

    private record Step(double grams, double millimetres) {}

    /** How high its figures are at least, mm; nought where no rule is held. Of an oil by its millilitres. */
    public static double figures(Region region, double much) {
        return region.steps.stream()
                .filter(step -> much <= step.grams())
                .mapToDouble(Step::millimetres)
                .findFirst()
                .orElse(0);
    }

    /** Both in words: "51 g (1.79 oz)", of little "4.6 g (0.16 oz)". */
    public static String of(Mass net) {
        double ounces = net.grams() / Unit.OUNCE.factor();
        return "%s g (%s oz)"
                .formatted(down(net.grams(), net.grams() < FEW ? 1 : 0), down(ounces, ounces < FEW ? 2 : 1));
    }

    private static String down(double value, int places) {
        double step = Math.pow(10, places);
        return Decimals.upTo(Math.floor(value * step + SLACK) / step, places);
    }
}
