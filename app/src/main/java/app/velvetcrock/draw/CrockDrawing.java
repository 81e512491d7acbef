package app.velvetcrock.draw;

import app.velvetcrock.core.charge.Vessel;

/**
 * A warm crock round the vessel that stands in it, to the vessel's own scale.
 *
 * @param fillWidth how much of the bar of heat-hours is filled, in pixels
 */
public record CrockDrawing(
        double width,
        double height,
        String body,
        double rimY,
        double rimHeight,
        double barX,
        double barY,
        double barWidth,
        double fillWidth) {

    /** The crock stands so much wider and lower than the jar in it. */
    private static final double WIDER = 1.6;

    private static final double LEAST_WIDTH = 150;
    private static final double SQUAT = 0.72;
    private static final double HANDLE = 34;
    private static final double RIM = 14;
    private static final double SLANT = 0.05;

    /** Draws it at {@code scale} pixels to a millimetre; {@code progress} is 0 to 1. */
    public static CrockDrawing of(Vessel vessel, double scale, double progress) {
        double width = Math.max(LEAST_WIDTH, vessel.innerWidth().millimetres() * scale * WIDER);
        double depth = width * SQUAT;
        double top = HANDLE + RIM;
        double inset = width * SLANT;
        String body = Stroke.of(
                "M",
                inset,
                top,
                "L",
                inset * 1.8,
                top + depth - 12,
                "Q",
                inset * 1.8,
                top + depth,
                inset * 1.8 + 12,
                top + depth,
                "H",
                width - inset * 1.8 - 12,
                "Q",
                width - inset * 1.8,
                top + depth,
                width - inset * 1.8,
                top + depth - 12,
                "L",
                width - inset,
                top,
                "Z");
        double bar = width * 0.66;
        return new CrockDrawing(
                width, top + depth, body, HANDLE, RIM, (width - bar) / 2, top + depth * 0.76, bar, bar * progress);
    }

    /** The bow over the lid. */
    public String handle() {
        return Stroke.of("M", width * 0.08, rimY, "Q", width / 2, -rimY * 0.75, width * 0.92, rimY);
    }

    public double middle() {
        return width / 2;
    }
}
