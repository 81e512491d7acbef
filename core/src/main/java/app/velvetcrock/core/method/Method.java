package app.velvetcrock.core.method;

import app.velvetcrock.core.charge.Charge;
import app.velvetcrock.core.measure.Temperature;
import java.util.List;
import java.util.Optional;

/** A way of infusing: its stages in order. */
public record Method(String key, String name, List<Stage> stages) {

    /**
     * Cold and dark: 21-56 days at 15-22 °C, usually 35; shaken daily for 7 days then every 3, looked at daily for 7 days then
     * weekly (craft: methods).
     */
    public static final Method COLD_AND_DARK = new Method("cold-dark", "Cold and dark", List.of(new Stage(
            "stand", "standing", Pace.DAYS, 21, 35, 56, Band.ofCelsius(15, 22), Optional.empty(), false, false,
            List.of(new Tending(Tending.Kind.SHAKE, 1, 7, 3), new Tending(Tending.Kind.LOOK, 1, 7, 7)))));

    /** Slow warm: 8-72 hours at 40-52 °C under a ceiling of 60; read each hour for 4 hours, then each 4 (craft: methods). */
    public static final Method SLOW_WARM = new Method("slow-warm", "Slow warm", List.of(new Stage(
            "warm", "on the heat", Pace.HOURS, 8, 8, 72, Band.ofCelsius(40, 52), Optional.of(Temperature.ofCelsius(60)), false, false,
            List.of(new Tending(Tending.Kind.READ, 1, 4, 4)))));

    public Method {
        stages = List.copyOf(stages);
    }

    public static List<Method> shipped() {
        return List.of(COLD_AND_DARK, SLOW_WARM);
    }

    public static Optional<Method> of(String key) {
        return shipped().stream().filter(method -> method.key.equals(key)).findFirst();
    }

    public Stage first() {
        return stages.get(0);
    }

    public boolean isHeated() {
        return stages.stream().anyMatch(Stage::isHeated);
    }

    /** Share of the vessel to be left empty. */
    public double headspace() {
        return isHeated() ? Charge.HEATED_HEADSPACE : Charge.COLD_HEADSPACE;
    }
}
