package app.velvetcrock.core.planning;

import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.materia.CarrierKind;

/** A carrier bottle as a plan sees it. */
public record PlannedCarrier(CarrierKind kind, Bottle bottle) {}
