package app.velvetcrock.core.kitchen;

import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;

/** A weight and a volume said of the same thing: "2½ cups, 20 oz" or "1 cup (8 oz)". */
public record Both(String typed, Amount weight, Amount volume) {

    public Mass mass() {
        return (Mass) weight.middle();
    }

    public Volume poured() {
        return (Volume) volume.middle();
    }
}
