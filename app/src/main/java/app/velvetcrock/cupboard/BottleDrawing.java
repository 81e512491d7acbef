package app.velvetcrock.cupboard;

import app.velvetcrock.stock.Stock;

/**
 * A bottle whose size follows what it held at first and whose level follows what is left.
 *
 * @param bodyTop top of the straight part, where the oil stood at first
 */
record BottleDrawing(double width, double height, double bodyTop, double floorY, double oilY, String oil) {

    private static final double FLOOR = 190;
    private static final double SMALLEST = 60;
    private static final double LARGEST = 140;
    /** Bottles of a litre and more are drawn at the largest size. */
    private static final double LARGEST_MILLILITRES = 1000;

    private static final double WIDTH_SHARE = 0.55;

    static BottleDrawing of(Stock.OfOil oil, String colour) {
        double first = oil.bottle()
                .map(bottle -> bottle.size())
                .orElseGet(() -> oil.density().volumeOf(oil.atFirst()))
                .millilitres();
        double share = Math.cbrt(Math.min(1, first / LARGEST_MILLILITRES));
        double body = SMALLEST + (LARGEST - SMALLEST) * share;
        double level =
                body * Math.min(1, oil.left().grams() / Math.max(oil.atFirst().grams(), 0.001));
        return new BottleDrawing(body * WIDTH_SHARE, FLOOR + 4, FLOOR - body, FLOOR, FLOOR - level, colour);
    }
}
