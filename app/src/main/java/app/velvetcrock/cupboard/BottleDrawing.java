package app.velvetcrock.cupboard;

import app.velvetcrock.core.keeping.Glass;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.draw.Stroke;

/**
 * A bottle whose size follows what it held at first and whose level follows what is left.
 *
 * @param bodyTop top of the straight part, where the oil stood at first
 * @param isJug whether it stands as it was strained, in no bottle
 * @param glass how its glass is drawn
 */
record BottleDrawing(
        double width,
        double height,
        double bodyTop,
        double floorY,
        double oilY,
        String oil,
        boolean isJug,
        String glass) {

    private static final double FLOOR = 190;
    private static final double SMALLEST = 60;
    private static final double LARGEST = 140;
    /** Bottles of a litre and more are drawn at the largest size. */
    private static final double LARGEST_MILLILITRES = 1000;

    private static final double WIDTH_SHARE = 0.55;
    private static final double NECK_LEFT = 0.36;

    static BottleDrawing of(Stock.OfOil oil, String colour) {
        double first = oil.bottle()
                .map(bottle -> bottle.size())
                .orElseGet(() -> oil.density().volumeOf(oil.atFirst()))
                .millilitres();
        double share = Math.cbrt(Math.min(1, first / LARGEST_MILLILITRES));
        double body = SMALLEST + (LARGEST - SMALLEST) * share;
        double level =
                body * Math.min(1, oil.left().grams() / Math.max(oil.atFirst().grams(), 0.001));
        return new BottleDrawing(
                body * WIDTH_SHARE,
                FLOOR + 4,
                FLOOR - body,
                FLOOR,
                FLOOR - level,
                colour,
                oil.bottle().isEmpty(),
                oil.bottle().filter(bottle -> bottle.glass() == Glass.DARK).isPresent() ? "glass dark-glass" : "glass");
    }

    /** The outline of a bottle: neck, shoulder, body. */
    public String outline() {
        double left = width * NECK_LEFT;
        double right = width - left;
        return Stroke.of("M", left, " ", bodyTop - 18, " V", bodyTop - 8)
                + Stroke.of(" Q0 ", bodyTop - 4, " 0 ", bodyTop + 10, " V", floorY - 4, " Q0 ", floorY, " 4 ", floorY)
                + Stroke.of(" H", width - 4, " Q", width, " ", floorY, " ", width, " ", floorY - 4, " V", bodyTop + 10)
                + Stroke.of(" Q", width, " ", bodyTop - 4, " ", right, " ", bodyTop - 8, " V", bodyTop - 18, " Z");
    }
}
