package app.velvetcrock.draw;

import app.velvetcrock.core.charge.Levels;
import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.materia.Form;
import app.velvetcrock.core.planning.BatchPlan;
import java.util.Locale;

/**
 * A jar drawn from its numbers. Every y follows one rule: floor − depth in mm × scale, so a level read off the drawing is the
 * level computed. Neck and lid stand above the brim and hold nothing.
 *
 * @param scale pixels to a millimetre
 * @param floorY the inner floor
 * @param brimY the brim of the straight part
 * @param oilY top of the oil, not above the brim
 * @param herbY top of the herb, not above the brim
 */
public record JarDrawing(
        double scale,
        double width,
        double height,
        double left,
        double right,
        double floorY,
        double brimY,
        double oilY,
        double herbY,
        boolean standsOut,
        boolean runsOver,
        String outline,
        Lid lid,
        Look look) {

    private static final double GLASS = 2;
    private static final double SHOULDER = 10;
    private static final double LID_HEIGHT = 14;
    private static final double NECK_SHARE = 0.82;
    private static final double ROUND = 9;

    /** The lid's rectangle. */
    public record Lid(double x, double y, double width, double height) {}

    /**
     * What a charge looks like.
     *
     * @param oil colour of the oil
     * @param herb colour of the herb layer
     * @param texture name of the pattern its pieces are drawn with
     */
    public record Look(String oil, String herb, String texture) {

        /** How far a herb's own colour shows in the layer; the rest is what its form usually looks like. */
        private static final double OWN_TINT = 0.4;

        /** The look of a plan's charge: herb by its form, oil tinted further the longer it has stood, {@code progress} 0 to 1. */
        public static Look of(BatchPlan plan, double progress) {
            var herb = plan.request().herb();
            Form form = herb.cut().isFine() ? Form.POWDER : herb.kind().part().form();
            String tint = tint(plan);
            String oil = Tint.mix(plan.request().carrier().kind().tint(), tint, 0.1 + 0.4 * progress);
            return new Look(
                    oil,
                    Tint.mix(herbColour(form), tint, OWN_TINT),
                    "herb-" + form.name().toLowerCase(Locale.ROOT));
        }

        /** The colour its herbs give together, each by its weight. */
        private static String tint(BatchPlan plan) {
            String mixed = plan.request().herbs().get(0).kind().tint();
            double grams = 0;
            for (var herb : plan.request().herbs()) {
                grams += herb.mass().grams();
                mixed = Tint.mix(mixed, herb.kind().tint(), herb.mass().grams() / grams);
            }
            return mixed;
        }

        private static String herbColour(Form form) {
            return switch (form) {
                case LEAF -> "#76853f";
                case FLOWER -> "#d8c27a";
                case BUD -> "#8f5f33";
                case ROOT -> "#a67c4e";
                case POWDER -> "#94804f";
            };
        }
    }

    /** Draws a vessel with its levels at a scale. */
    public static JarDrawing of(Vessel vessel, Levels levels, Look look, double scale) {
        double inner = thousandth(vessel.innerWidth().millimetres() * scale);
        double depth = thousandth(vessel.height().millimetres() * scale);
        double left = GLASS;
        double right = left + inner;
        double brim = GLASS + LID_HEIGHT + SHOULDER;
        double floor = brim + depth;
        double oil = thousandth(floor - levels.oil().millimetres() * scale);
        double herb = thousandth(floor - levels.herb().millimetres() * scale);
        double neck = thousandth(inner * (1 - NECK_SHARE) / 2);
        Lid lid = new Lid(left + neck - 2, GLASS, inner - 2 * neck + 4, LID_HEIGHT);
        return new JarDrawing(
                scale,
                inner + 2 * GLASS,
                floor + GLASS,
                left,
                right,
                floor,
                brim,
                Math.max(brim, oil),
                Math.max(brim, herb),
                levels.standsOut(),
                Math.min(oil, herb) < brim,
                outline(left, right, brim, floor, neck),
                lid,
                look);
    }

    /** No eye sees more of a pixel, and a dragged mark asks for the drawing again and again. */
    private static double thousandth(double pixels) {
        return Math.round(pixels * 1000) / 1000.0;
    }

    /** The scale at which a vessel is as high and as wide as may be within a box of pixels. */
    public static double scaleToFit(Vessel vessel, double width, double height) {
        return Math.min(
                (width - 2 * GLASS) / vessel.innerWidth().millimetres(),
                (height - 2 * GLASS - LID_HEIGHT - SHOULDER) / vessel.height().millimetres());
    }

    private static String outline(double left, double right, double brim, double floor, double neck) {
        double top = brim - SHOULDER;
        return Stroke.of(
                "M",
                left + neck,
                top,
                "C",
                left + neck,
                brim - 3,
                left,
                brim - 4,
                left,
                brim,
                "V",
                floor - ROUND,
                "Q",
                left,
                floor,
                left + ROUND,
                floor,
                "H",
                right - ROUND,
                "Q",
                right,
                floor,
                right,
                floor - ROUND,
                "V",
                brim,
                "C",
                right,
                brim - 4,
                right - neck,
                brim - 3,
                right - neck,
                top);
    }

    /** Height of the oil standing above whatever is under it: what is seen as pure oil. */
    public double oilHeight() {
        return floorY - oilY;
    }

    public double herbHeight() {
        return floorY - herbY;
    }
}
