package app.velvetcrock.core.drying;

import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.water.WaterContent;
import java.time.Instant;

/**
 * A lot as it was laid out to dry.
 *
 * @param water what it is thought to hold at first, until its dry weight says otherwise
 * @param scaleStep the smallest step of the scale it is weighed on
 */
public record DryingStart(Instant at, Mass mass, WaterContent water, Mass scaleStep) {}
