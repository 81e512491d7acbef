package app.velvetcrock.core.larder;

import java.util.List;

/**
 * What a charge can lie in.
 *
 * @param jars those with at least one free, in so many pieces as are free
 * @param pots pots and inserts a charge can lie in, free ones
 * @param pans every pot there is, for standing a jar in
 */
public record Vessels(List<OfJar> jars, List<OfJar> pots, List<OfJar> pans) {

    public Vessels {
        jars = List.copyOf(jars);
        pots = List.copyOf(pots);
        pans = List.copyOf(pans);
    }
}
