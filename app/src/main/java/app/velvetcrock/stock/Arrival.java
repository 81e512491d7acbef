package app.velvetcrock.stock;

import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Part;
import app.velvetcrock.core.materia.SupplyKind;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import java.math.BigDecimal;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/** What comes into the stores, as it is written down. */
public final class Arrival {

    /** More of one lot than this, in grams, no household brings in. */
    public static final double MOST_GRAMS = 100_000;

    private Arrival() {}

    /** A herb to be stored; {@code typed} is its amount as written. */
    public record Herb(
            HerbKind kind,
            Part part,
            Cut cut,
            Moisture moisture,
            Mass mass,
            @Nullable LocalDate acquired,
            @Nullable LocalDate bestBefore,
            Provenance provenance,
            String typed) {}

    /** A carrier bottle to be stored; sealed when {@code opened} is null. */
    public record Carrier(
            CarrierKind kind,
            Mass mass,
            @Nullable LocalDate opened,
            @Nullable LocalDate bestBefore,
            Provenance provenance,
            String typed) {}

    /**
     * A wax, spirit, antioxidant, essential oil or addition to be stored.
     *
     * @param density of this very lot: of a spirit by its strength
     * @param abv strength of a spirit, percent by volume; null for all else
     */
    public record Supply(
            SupplyKind kind,
            Mass mass,
            Density density,
            @Nullable BigDecimal abv,
            @Nullable LocalDate opened,
            @Nullable LocalDate bestBefore,
            Provenance provenance,
            String typed) {}

    /** Containers to be stored: so many, each holding so much. */
    public record Container(String name, Volume holds, int pieces, Provenance provenance) {}
}
