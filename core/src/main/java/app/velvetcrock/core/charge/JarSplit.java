package app.velvetcrock.core.charge;

import app.velvetcrock.core.measure.Volume;
import java.util.Comparator;
import java.util.List;

/** Divides a charge that no single jar takes over several of like size, as few as will do (craft: ratios). */
public final class JarSplit {

    /** More jars than this are a shelf, not a batch. */
    private static final int MOST_JARS = 12;

    private JarSplit() {}

    /** What one jar takes: its part of all herb and oil, above 0 and below 1. */
    public record Share(Vessel vessel, double share) {}

    /**
     * Finds the fewest jars, of these the smallest, that hold and cover the charge between them; each takes herb by its capacity.
     *
     * @param stock every free jar, a size as often as there is one
     * @return the shares, which add up to 1; empty where even all of them will not do
     */
    public static List<Share> of(List<Vessel> stock, Charge charge, OilWish wish) {
        List<Vessel> jars =
                stock.stream().sorted(Comparator.comparing(Vessel::capacity)).toList();
        for (int count = 2; count <= Math.min(MOST_JARS, jars.size()); count++) {
            for (int from = 0; from + count <= jars.size(); from++) {
                List<Share> shares = byCapacity(jars.subList(from, from + count));
                if (shares.stream().allMatch(share -> holds(share, charge, wish))) {
                    return shares;
                }
            }
        }
        return List.of();
    }

    /** The part of a charge that a jar takes, with its oil. */
    public static Charge part(Charge whole, OilWish wish, Share share) {
        Charge part = new Charge(whole.herbs().times(share.share()), Volume.ZERO, share.vessel(), whole.headspace());
        return part.withOil(wish.times(share.share()).oilFor(part));
    }

    private static List<Share> byCapacity(List<Vessel> jars) {
        double all =
                jars.stream().mapToDouble(jar -> jar.capacity().millilitres()).sum();
        return jars.stream()
                .map(jar -> new Share(jar, jar.capacity().millilitres() / all))
                .toList();
    }

    private static boolean holds(Share share, Charge charge, OilWish wish) {
        Charge part = part(charge, wish, share);
        return part.fits() && part.cover().isEnough();
    }
}
