package app.velvetcrock.core.spirit;

import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.working.Figure;
import app.velvetcrock.core.working.Working;

/**
 * The spirit that moistens a ground herb before the oil (craft: spirit).
 *
 * @param strength as it goes on the herb
 * @param water what of it is water, and stays
 * @param fromBottle spirit to take from the bottle: all of it, or less where it is thinned
 * @param added water to thin it with; nothing where it is taken as it is
 */
public record Moistening(Strength strength, Mass spirit, Volume volume, Mass water, Mass fromBottle, Mass added) {

    private static final double PERCENT = 100;

    /** Moistens so much herb with spirit of a strength. */
    public static Moistening of(Mass herb, Strength strength, Dosing dosing) {
        Mass spirit = herb.times(dosing.perGram());
        Mass bottle = dosing.thinnedFrom()
                .map(from -> spirit.times(strength.ethanolByMass() / from.ethanolByMass()))
                .orElse(spirit);
        return new Moistening(
                strength,
                spirit,
                strength.density().volumeOf(spirit),
                strength.waterIn(spirit),
                bottle,
                Mass.ofGrams(spirit.grams() - bottle.grams()));
    }

    /** How it is worked out for so much herb. */
    public Working working(Mass herb) {
        Working.Builder sum = Working.of("spirit = herb × dose; its water = spirit × (1 − ethanol by mass)")
                .given("herb", Figure.of(herb))
                .result("spirit", Figure.of(spirit))
                .standard("its density", Figure.of(strength.density()))
                .standard("ethanol by mass", Figure.ofPercent(strength.ethanolByMass() * PERCENT))
                .result("water it brings", Figure.of(water));
        return (added.grams() > 0
                        ? sum.result("from the bottle", Figure.of(fromBottle))
                                .result("water to thin it with", Figure.of(added))
                        : sum)
                .build();
    }

    /** Water to add to so much of it to thin it, by mass, since volumes shrink: m·(w1/w2 − 1). */
    public static Mass waterToThin(Mass spirit, Strength from, Strength to) {
        if (to.percent() >= from.percent() || to.percent() == 0) {
            throw new IllegalArgumentException("thinned from %s to %s %%; it must become weaker and stay a spirit"
                    .formatted(from.percent(), to.percent()));
        }
        return spirit.times(from.ethanolByMass() / to.ethanolByMass() - 1);
    }
}
