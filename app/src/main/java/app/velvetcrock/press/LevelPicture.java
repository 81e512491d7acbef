package app.velvetcrock.press;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.strain.YieldForecast;
import app.velvetcrock.draw.JarDrawing;
import java.util.Optional;

/**
 * A measuring glass with what went in, the band of what is expected back and, once measured, what came out.
 *
 * @param inY top of the oil that went in
 * @param lowY lower end of what is expected
 * @param highY upper end
 * @param middleY the middle of the forecast
 * @param outY what came out
 * @param outLabelY where its words stand, clear of the forecast's
 */
record LevelPicture(
        double floorY,
        double inY,
        double lowY,
        double highY,
        double middleY,
        Optional<Double> outY,
        double outLabelY,
        JarDrawing.Look look) {

    private static final double FLOOR = 300;
    private static final double FULL = 260;
    private static final double LABEL = 46;

    static LevelPicture of(BatchSheet sheet) {
        YieldForecast forecast = sheet.forecast();
        Volume in = sheet.oilIn();
        double middle = y(forecast.expected(), in);
        Optional<Double> out = sheet.strained().map(strained -> y(strained.out(), in));
        return new LevelPicture(
                FLOOR,
                y(in, in),
                y(forecast.low(), in),
                y(forecast.high(), in),
                middle,
                out,
                out.map(y -> Math.max(y, y(in, in) + LABEL)).orElse(middle),
                JarDrawing.Look.of(sheet.plan(), 1));
    }

    /** The top of the oil as drawn: measured, or expected. */
    public double levelY() {
        return outY.orElse(middleY);
    }

    private static double y(Volume volume, Volume in) {
        return FLOOR - FULL * Math.min(1, volume.millilitres() / in.millilitres());
    }
}
