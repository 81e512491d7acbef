package app.velvetcrock.core.charge;

import java.util.Collection;
import java.util.Comparator;
import java.util.Optional;

/** Chooses a jar from those in stock. */
public final class JarChoice {

    private JarChoice() {}

    /** Finds the smallest jar that holds the charge and covers its herb, each jar with its own width. */
    public static Optional<Vessel> smallest(Collection<Vessel> stock, Charge charge, OilWish wish) {
        return stock.stream()
                .sorted(Comparator.comparing(Vessel::capacity))
                .filter(jar -> holdsAndCovers(charge.in(jar), wish))
                .findFirst();
    }

    private static boolean holdsAndCovers(Charge charge, OilWish wish) {
        Charge poured = charge.withOil(wish.oilFor(charge));
        return poured.fits() && poured.cover().isEnough();
    }
}
