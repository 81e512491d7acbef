package app.velvetcrock.core.charge;

import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import java.util.List;
import java.util.function.Function;

/** The herbs of one charge together; sums run over all of them. */
public record Herbs(List<HerbPortion> portions) {

    public Herbs {
        portions = List.copyOf(portions);
        if (portions.isEmpty()) {
            throw new IllegalArgumentException("a charge has no herb; it needs at least one");
        }
    }

    public static Herbs of(HerbPortion portion) {
        return new Herbs(List.of(portion));
    }

    public Mass mass() {
        return portions.stream().map(HerbPortion::mass).reduce(Mass.ZERO, Mass::plus);
    }

    public Volume displacement() {
        return sum(HerbPortion::displacement);
    }

    public Volume looseBulk() {
        return sum(HerbPortion::looseBulk);
    }

    public Volume swollenLoose() {
        return sum(HerbPortion::swollenLoose);
    }

    public Volume swollenPressed() {
        return sum(HerbPortion::swollenPressed);
    }

    public Volume usualOil() {
        return sum(HerbPortion::usualOil);
    }

    public Herbs times(double factor) {
        return new Herbs(portions.stream().map(portion -> portion.times(factor)).toList());
    }

    private Volume sum(Function<HerbPortion, Volume> of) {
        return portions.stream().map(of).reduce(Volume.ZERO, Volume::plus);
    }
}
