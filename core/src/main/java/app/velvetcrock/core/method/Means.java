package app.velvetcrock.core.method;

import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.spirit.Strength;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * What a household has to work with.
 *
 * @param pantry what an unheated jar stands at
 * @param spirit the spirit to hand, as it would go on the herb; absent for none
 * @param kit sources of heat it has listed; empty where it listed none, which says nothing
 */
public record Means(Temperature pantry, Optional<Strength> spirit, Set<Source> kit) {

    public Means {
        kit = new TreeSet<>(kit);
    }

    /** A household that has told nothing of its kit. */
    public static Means of(Temperature pantry, Optional<Strength> spirit) {
        return new Means(pantry, spirit, Set.of());
    }

    Means at(Temperature other) {
        return new Means(other, spirit, kit);
    }

    Means with(Strength other) {
        return new Means(pantry, Optional.of(other), kit);
    }
}
