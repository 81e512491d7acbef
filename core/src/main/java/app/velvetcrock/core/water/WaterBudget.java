package app.velvetcrock.core.water;

import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.working.Figure;
import app.velvetcrock.core.working.Working;
import java.util.List;

/**
 * The water of a charge, as it stands before any heating (craft: water): free = max(0, W − bound − 0.001·oil).
 *
 * @param brought all water in herb and spirit
 * @param bound what dry matter holds at 12 % moisture
 * @param dissolved what the oil itself takes up
 * @param free what is left: it sinks, and there things grow
 * @param shareOfOil free water for each gram of oil
 */
public record WaterBudget(Mass brought, Mass bound, Mass dissolved, Mass free, double shareOfOil, Working working) {

    /** Herb of 12 % moisture counts as dry: 0.12 of water to 0.88 of dry matter. */
    private static final double BOUND = 0.12 / 0.88;

    /** Of its own mass an oil dissolves this share of water (craft: water budget). */
    private static final double DISSOLVED = 0.001;
    /** [E] Free water under half a hundredth of the oil is within the error of the moistures, and not spoken of. */
    private static final double LEAST_SAID = 0.005;

    /** Some herb and the share of water in it. */
    public record Wet(Mass mass, WaterContent water) {}

    /** Works it out; evaporation is never credited by estimate. */
    public static WaterBudget of(List<Wet> herbs, Mass spiritWater, Mass oil) {
        double dry = herbs.stream()
                .mapToDouble(herb -> herb.water().dryMatter(herb.mass()).grams())
                .sum();
        double inHerb = herbs.stream().mapToDouble(herb -> herb.mass().grams()).sum() - dry;
        double brought = inHerb + spiritWater.grams();
        double bound = Math.min(brought, BOUND * dry);
        double dissolved = Math.min(brought - bound, DISSOLVED * oil.grams());
        double free = Math.max(0, brought - bound - dissolved);
        Working working = Working.of(
                        "free water = all water − what dry matter binds − what oil dissolves, before any heating")
                .estimate("water in the herb", Figure.of(Mass.ofGrams(inHerb)))
                .result("water in the spirit", Figure.of(spiritWater))
                .standard("dry matter binds 12 % moisture", Figure.of(Mass.ofGrams(bound)))
                .estimate("the oil dissolves", Figure.of(Mass.ofGrams(dissolved)))
                .result("free water", Figure.of(Mass.ofGrams(free)))
                .build();
        return new WaterBudget(
                Mass.ofGrams(brought),
                Mass.ofGrams(bound),
                Mass.ofGrams(dissolved),
                Mass.ofGrams(free),
                oil.grams() == 0 ? 0 : free / oil.grams(),
                working);
    }

    /** Less than this is within what the estimates can tell. */
    public boolean isWorthSaying() {
        return shareOfOil >= LEAST_SAID;
    }

    public boolean isFree() {
        return free.grams() > 0;
    }
}
