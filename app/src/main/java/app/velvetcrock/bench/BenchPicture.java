package app.velvetcrock.bench;

import app.velvetcrock.draw.JarDrawing;

/**
 * The cut-away jar with its marks: where the jar stands and where each label goes, none over another.
 *
 * @param jarX left edge of the jar's own drawing
 * @param oilLabelY baseline of the oil's label
 * @param herbLabelY baseline of the herb's label
 * @param airMiddleY middle of the air above the oil
 * @param coverMiddleY middle of the cover above the herb
 */
record BenchPicture(
        JarDrawing jar, double width, double height, double jarX, double oilLabelY, double herbLabelY, double airMiddleY, double coverMiddleY) {

    private static final double MARGIN = 128;
    private static final double LABEL = 44;
    private static final double TOP = 24;

    static BenchPicture of(JarDrawing jar, double jarBox) {
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
                jar, width, Math.max(jar.height(), TOP + 2 * LABEL) + 4, (width - jar.width()) / 2,
                oilAbove ? upper : lower, oilAbove ? lower : upper, airLabel, Math.max(cover, airLabel + LABEL));
    }

    public double jarRight() {
        return jarX + jar.width();
    }
}
