package app.velvetcrock.core.method;

import java.util.List;

/** A way of infusing: its stages in order. */
public record Method(String key, String name, List<Stage> stages) {

    /**
     * Cold and dark: 21-56 days at 15-22 °C, usually 35; shaken daily for 7 days then every 3, looked at daily for 7 days then
     * weekly (craft: methods).
     */
    public static final Method COLD_AND_DARK = new Method("cold-dark", "Cold and dark", List.of(new Stage(
            "stand", "standing", 21, 35, 56, Band.ofCelsius(15, 22), false, false,
            List.of(new Tending(Tending.Kind.SHAKE, 1, 7, 3), new Tending(Tending.Kind.LOOK, 1, 7, 7)))));

    public Method {
        stages = List.copyOf(stages);
    }

    public Stage first() {
        return stages.get(0);
    }
}
