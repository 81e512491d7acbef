package app.velvetcrock.core.method;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.spirit.Strength;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * What a method is chosen for.
 *
 * @param pantry what an unheated jar stands at
 * @param spirit the strongest spirit to hand; absent for none
 */
public record Situation(HerbKind herb, Moisture moisture, CarrierKind carrier, Temperature pantry, Use use, Optional<Strength> spirit) {

    Situation with(Moisture other) {
        return new Situation(herb, other, carrier, pantry, use, spirit);
    }

    Situation with(CarrierKind other) {
        return new Situation(herb, moisture, other, pantry, use, spirit);
    }

    Situation inPantry(Temperature other) {
        return new Situation(herb, moisture, carrier, other, use, spirit);
    }

    Situation with(Strength other) {
        return new Situation(herb, moisture, carrier, pantry, use, Optional.of(other));
    }

    /** The same with an oil that pours everywhere. */
    Situation withLiquidOil() {
        return with(new CarrierKind(carrier.key(), carrier.common(), carrier.density(), carrier.densityIsEstimate(), carrier.monthsOpened(), Optional.empty(), carrier.tint(), carrier.traits()));
    }

    /** The same with an oil that bears heat. */
    Situation withSturdyOil() {
        Set<String> traits = new TreeSet<>(carrier.traits());
        traits.remove("fragile");
        return with(new CarrierKind(carrier.key(), carrier.common(), carrier.density(), carrier.densityIsEstimate(), carrier.monthsOpened(), carrier.melting(), carrier.tint(), traits));
    }

    boolean is(String trait) {
        return herb.traits().contains(trait);
    }

    boolean isFragile() {
        return carrier.traits().contains("fragile");
    }
}
