package app.velvetcrock.core.charge;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Chooses a jar from those in stock. */
public final class JarChoice {

    private JarChoice() {}

    /**
     * Finds the smallest vessel that holds the charge and covers its herb, each with its own width: with the usual oil where any holds
     * that, else with what covers (craft: ratios).
     */
    public static Optional<Vessel> smallest(Collection<Vessel> stock, Charge charge, OilWish wish) {
        List<Vessel> able = stock.stream()
                .sorted(Comparator.comparing(Vessel::capacity))
                .filter(jar -> holdsAndCovers(charge.in(jar), wish))
                .toList();
        return able.stream()
                .filter(jar -> !wish.isReduced(charge.in(jar)))
                .findFirst()
                .or(() -> able.stream().findFirst());
    }

    private static boolean holdsAndCovers(Charge charge, OilWish wish) {
        Charge poured = charge.withOil(wish.oilFor(charge));
        return poured.fits() && poured.cover().isEnough();
    }
}
