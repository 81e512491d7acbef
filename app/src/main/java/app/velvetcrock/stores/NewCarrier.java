package app.velvetcrock.stores;

import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.measure.Mass;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/** A carrier bottle to be stored; sealed when {@code opened} is null. */
public record NewCarrier(
        CarrierKind kind,
        Mass mass,
        @Nullable LocalDate opened,
        @Nullable LocalDate bestBefore,
        Provenance provenance,
        String typed) {}
