package app.velvetcrock.catalogue;

import app.velvetcrock.core.measure.Density;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** How quantities stand in columns: a density in g/mL, to four places; strengths and the like to a tenth. */
public final class Columns {

    private Columns() {}

    public static Optional<Density> density(@Nullable BigDecimal value) {
        return Optional.ofNullable(value).map(number -> Density.ofGramsPerMillilitre(number.doubleValue()));
    }

    public static BigDecimal tenths(double value) {
        return BigDecimal.valueOf(value).setScale(1, RoundingMode.HALF_UP);
    }

    public static BigDecimal decimal(Density density) {
        return BigDecimal.valueOf(density.gramsPerMillilitre()).setScale(4, RoundingMode.HALF_UP);
    }
}
