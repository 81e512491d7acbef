package app.velvetcrock.stores;

import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Part;
import app.velvetcrock.core.measure.Mass;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/** A herb to be stored; {@code typed} is its amount as written. */
public record NewHerb(
        HerbKind kind,
        Part part,
        Cut cut,
        Moisture moisture,
        Mass mass,
        @Nullable LocalDate acquired,
        @Nullable LocalDate bestBefore,
        Provenance provenance,
        String typed) {}
