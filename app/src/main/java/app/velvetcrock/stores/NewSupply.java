package app.velvetcrock.stores;

import app.velvetcrock.core.materia.SupplyKind;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Mass;
import java.math.BigDecimal;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * A wax, spirit, antioxidant, essential oil or addition to be stored.
 *
 * @param density of this very lot: of a spirit by its strength
 * @param abv strength of a spirit, percent by volume; null for all else
 */
public record NewSupply(
        SupplyKind kind,
        Mass mass,
        Density density,
        @Nullable BigDecimal abv,
        @Nullable LocalDate opened,
        @Nullable LocalDate bestBefore,
        Provenance provenance,
        String typed) {}
