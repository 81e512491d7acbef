package app.velvetcrock.batch;

import app.velvetcrock.core.keeping.KeepUntil;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.strain.Pressing;
import java.util.UUID;

/** What straining gave, as it is kept: the oil out at 20 °C, the lot it became and how long that keeps. */
public record StrainedValue(Volume out, Mass mass, Pressing pressing, KeepUntil keepUntil, UUID lot) {}
