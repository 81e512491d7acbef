package app.velvetcrock.draw;

import app.velvetcrock.core.charge.Charge;
import app.velvetcrock.core.charge.Levels;
import app.velvetcrock.core.kitchen.HouseholdUnits;
import app.velvetcrock.core.measure.Unit;
import app.velvetcrock.core.measure.UnitSystem;
import app.velvetcrock.core.measure.Volume;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/**
 * The cut-away jar with its marks: where the jar stands and where each label goes, none over another.
 *
 * @param jarX left edge of the jar's own drawing
 * @param oilLabelY baseline of the oil's label
 * @param herbLabelY baseline of the herb's label
 * @param airMiddleY middle of the air above the oil
 * @param coverMiddleY middle of the cover above the herb
 * @param oilMap which y of the jar's drawing means how much oil, as "y:mL" knots from the floor up; a dragged mark reads it
 */
public record BenchPicture(
        JarDrawing jar,
        double width,
        double height,
        double jarX,
        double oilLabelY,
        double herbLabelY,
        double airMiddleY,
        double coverMiddleY,
        String oilMap) {

    private static final double MARGIN = 128;
    private static final double LABEL = 44;
    private static final double TOP = 24;
    private static final int KNOTS = 16;

    /** Just under the oil that covers pushed-under herb, where the level springs up. */
    private static final double HAIR = 0.01;

    public static BenchPicture of(JarDrawing jar, Charge charge, double jarBox) {
        double width = jarBox + 2 * MARGIN;
        double oil = Math.max(TOP, jar.oilY());
        double herb = Math.max(TOP, jar.herbY());
        double middle = (oil + herb) / 2;
        boolean oilAbove = oil <= herb;
        boolean crowded = Math.abs(oil - herb) < LABEL;
        double upper = crowded ? Math.max(TOP, middle - LABEL / 2) : Math.min(oil, herb);
        double lower = crowded ? upper + LABEL : Math.max(oil, herb);
        double air = (jar.brimY() + jar.oilY()) / 2;
        double cover = (jar.oilY() + jar.herbY()) / 2;
        double airLabel = Math.max(TOP, Math.min(air, cover - LABEL));
        return new BenchPicture(
                jar,
                width,
                Math.max(jar.height(), TOP + 2 * LABEL) + 4,
                (width - jar.width()) / 2,
                oilAbove ? upper : lower,
                oilAbove ? lower : upper,
                airLabel,
                Math.max(cover, airLabel + LABEL),
                oilMap(jar, charge));
    }

    private static String oilMap(JarDrawing jar, Charge charge) {
        double most = charge.vessel().capacity().millilitres();
        List<Double> knots = new ArrayList<>(List.of(
                charge.pressedNeed().millilitres() - HAIR,
                charge.pressedNeed().millilitres(),
                charge.looseNeed().millilitres()));
        for (int i = 0; i <= KNOTS; i++) {
            knots.add(most * i / KNOTS);
        }
        return knots.stream()
                .filter(oil -> oil >= 0 && oil <= most)
                .sorted()
                .map(oil -> Stroke.of(jar.floorY()
                                - Levels.of(charge.withOil(Volume.ofMillilitres(oil)))
                                                .oil()
                                                .millimetres()
                                        * jar.scale())
                        + ":" + Stroke.of(oil))
                .collect(Collectors.joining(" "));
    }

    public double jarRight() {
        return jarX + jar.width();
    }

    /**
     * What a dragged mark writes into the sentence: its unit, how many millilitres or grams that is, and its step.
     */
    public record Marks(
            String oilUnit, double oilPer, double oilStep, String herbUnit, double herbPer, double herbStep) {

        private static final Marks METRIC = new Marks("mL", 1, 5, "g", 1, 1);
        private static final double QUARTER = 0.25;
        private static final double TWENTIETH = 0.05;

        public static Marks of(HouseholdUnits units) {
            return units.system() == UnitSystem.METRIC
                    ? METRIC
                    : new Marks(
                            "fl oz",
                            units.cups().fluidOunce().millilitres(),
                            QUARTER,
                            "oz",
                            Unit.OUNCE.factor(),
                            TWENTIETH);
        }
    }
}
