package app.velvetcrock.press;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.strain.YieldForecast;
import app.velvetcrock.draw.JarDrawing;

/**
 * A measuring glass with what went in and the band of what is expected back.
 *
 * @param inY top of the oil that went in
 * @param lowY lower end of what is expected
 * @param highY upper end
 * @param middleY the middle of the forecast
 */
record LevelPicture(double floorY, double inY, double lowY, double highY, double middleY, JarDrawing.Look look) {

    private static final double FLOOR = 300;
    private static final double FULL = 260;

    static LevelPicture of(BatchSheet sheet) {
        YieldForecast forecast = sheet.frozen().plan().yield();
        Volume in = sheet.oilIn();
        return new LevelPicture(
                FLOOR, y(in, in), y(forecast.low(), in), y(forecast.high(), in), y(forecast.expected(), in),
                JarDrawing.Look.of(sheet.frozen().plan(), 1));
    }

    private static double y(Volume volume, Volume in) {
        return FLOOR - FULL * volume.millilitres() / in.millilitres();
    }
}
