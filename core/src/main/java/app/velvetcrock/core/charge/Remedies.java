package app.velvetcrock.core.charge;

import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;

/** Finds what would make a charge cover its herb and fit its jar, in the order of the craft: other vessels, a finer cut, less herb. */
public final class Remedies {

    /** Oil is measured out to 5 mL, herb to half a gram; a remedy rounds to the safe side. */
    private static final double OIL_STEP = 5;

    private static final double HERB_STEP = 0.5;
    private static final int HALVINGS = 40;

    private Remedies() {}

    /**
     * Lists remedies for a charge that does not cover or does not fit; empty for a good one.
     *
     * @param stock every free vessel that suits the way, a size as often as there is one; what is divided stands in jars
     * @param finer its herbs taken to each finer cut, the coarsest first; none where they cannot be cut finer
     */
    public static List<Remedy> of(Charge charge, OilWish wish, List<Vessel> stock, SortedMap<Cut, Herbs> finer) {
        List<Remedy> remedies = new ArrayList<>();
        if (isGood(charge)) {
            return remedies;
        }
        moreOil(charge).ifPresent(remedies::add);
        Optional<Vessel> jar = JarChoice.smallest(stock, charge, wish);
        jar.filter(other -> !other.equals(charge.vessel()))
                .ifPresent(other -> remedies.add(new Remedy.OtherJar(other)));
        List<JarSplit.Share> split = jar.isPresent()
                ? List.of()
                : JarSplit.of(stock.stream().filter(vessel -> !vessel.open()).toList(), charge, wish);
        if (!split.isEmpty()) {
            remedies.add(new Remedy.SplitOver(split));
        }
        // The coarsest that covers: what is cut finer gives more than its oil, and clouds it.
        finer.entrySet().stream()
                .filter(cut -> isGood(with(charge, wish, cut.getValue())))
                .findFirst()
                .ifPresent(cut -> remedies.add(new Remedy.FinerCut(cut.getKey())));
        lessHerb(charge, wish).ifPresent(remedies::add);
        return remedies;
    }

    private static Optional<Remedy> moreOil(Charge charge) {
        double oil = Math.ceil(charge.pressedNeed().millilitres() / OIL_STEP) * OIL_STEP;
        Charge poured = charge.withOil(Volume.ofMillilitres(oil));
        return charge.cover().isEnough() || !poured.fits()
                ? Optional.empty()
                : Optional.of(new Remedy.MoreOil(poured.oil(), poured.ratio()));
    }

    /** Searches the largest herb that is good, by halving: both rules ease steadily as herb is taken away. */
    private static Optional<Remedy> lessHerb(Charge charge, OilWish wish) {
        double bad = 1;
        double good = 0;
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (good + bad) / 2;
            if (isGood(scaled(charge, wish, middle))) {
                good = middle;
            } else {
                bad = middle;
            }
        }
        double grams = Math.floor(charge.herbs().mass().grams() * good / HERB_STEP) * HERB_STEP;
        boolean holds = grams > 0
                && isGood(scaled(charge, wish, grams / charge.herbs().mass().grams()));
        return holds ? Optional.of(new Remedy.LessHerb(Mass.ofGrams(grams))) : Optional.empty();
    }

    private static Charge with(Charge charge, OilWish wish, Herbs herbs) {
        Charge finer = new Charge(herbs, charge.oil(), charge.vessel(), charge.headspace());
        return finer.withOil(wish.oilFor(finer));
    }

    private static Charge scaled(Charge charge, OilWish wish, double factor) {
        Charge less = new Charge(charge.herbs().times(factor), charge.oil(), charge.vessel(), charge.headspace());
        return less.withOil(wish.oilFor(less));
    }

    private static boolean isGood(Charge charge) {
        return charge.cover().isEnough() && charge.fits();
    }
}
