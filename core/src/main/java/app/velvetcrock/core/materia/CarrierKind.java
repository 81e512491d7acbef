package app.velvetcrock.core.materia;

import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Temperature;
import java.util.Optional;
import java.util.Set;

/**
 * A kind of carrier oil or soft fat as the catalogue knows it.
 *
 * @param density g/mL at 20 °C
 * @param densityIsEstimate true where no published figure is held
 * @param monthsOpened [E] class of keeping once opened: 24, 15, 10, 6 or 3
 * @param melting where a solid fat is wholly melted; absent for oils
 * @param tint its own colour, as six hex digits after #
 */
public record CarrierKind(
        String key,
        String common,
        Density density,
        boolean densityIsEstimate,
        int monthsOpened,
        Optional<Temperature> melting,
        String tint,
        Set<String> traits) {

    /** A trait of an oil that had wilted, fresh or juicy herb in it before. */
    public static final String MOIST_BEFORE = "infused-moist";

    /** A trait of an oil blended here of others, which bears what they bear. */
    public static final String BLEND = "blend";

    public CarrierKind {
        traits = Set.copyOf(traits);
    }

    /** The same with other traits. */
    public CarrierKind withTraits(Set<String> others) {
        return new CarrierKind(key, common, density, densityIsEstimate, monthsOpened, melting, tint, others);
    }
}
