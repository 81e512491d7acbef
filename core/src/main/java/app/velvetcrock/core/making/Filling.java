package app.velvetcrock.core.making;

import app.velvetcrock.core.measure.Mass;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * How a melt is spread over containers, so that the least is left over.
 *
 * @param pours one for each kind of container that is filled
 * @param holdBack of what is poured, kept warm to top the hollows
 * @param left what stays in the pan
 */
public record Filling(List<Pour> pours, Mass holdBack, Mass left) {

    /** [E] How much of its volume any melt loses on setting, and what wax and hard butters add to that, by share (craft: making). */
    private static final double SHRINKS = 0.02;

    private static final double OF_WAX = 0.12;
    private static final double OF_BUTTER = 0.05;

    /** Kinds beyond this are not tried together; nobody pours into more. */
    private static final int MOST_KINDS = 12;

    private static final int MOST_GRAMS = 20_000;

    /** It is reckoned in tenths of a gram, so that a lip balm's tube is not rounded away. */
    private static final int STEPS = 10;

    private static final double SLACK = 1e-6;
    private static final int NOT_REACHED = -1;

    public Filling {
        pours = List.copyOf(pours);
    }

    /** So many of one kind, each with so much in it once its hollow is topped. */
    public record Pour(Container container, int count, Mass each) {}

    /** So many of a kind there are. */
    public record Stock(Container container, int pieces) {}

    /** What share of its volume a melt loses on setting, 0 to 1: a salve 0.038, a lip balm 0.053, a bar 0.077. */
    public static double shrinkage(Formula formula) {
        double hard = formula.parts().stream()
                .filter(part -> part.stuff().role() == Formula.Role.BUTTER
                        && part.stuff().equivalent() >= Setting.HARD_BUTTER)
                .mapToDouble(formula::shareOf)
                .sum();
        return SHRINKS + OF_WAX * formula.shareOf(Formula.Role.WAX) + OF_BUTTER * hard;
    }

    /** What so many containers take, their hollows topped; a whipped butter does not sink. */
    public static Mass wanted(int count, Container container, double shrinkage, boolean whipped) {
        return Mass.ofGrams(count * topped(container, shrinkage, whipped).grams());
    }

    private static Mass topped(Container container, double shrinkage, boolean whipped) {
        return container.filled(whipped).times(whipped ? 1 : 1 + shrinkage);
    }

    /** Fills so many of one kind, and no more than the melt fills. */
    public static Filling into(Mass melt, Stock stock, double shrinkage, boolean whipped) {
        double each = topped(stock.container(), shrinkage, whipped).grams();
        int count = (int) Math.min(stock.pieces(), Math.floor(melt.grams() / each + SLACK));
        return of(melt, List.of(stock), new int[] {count}, new Way(shrinkage, whipped));
    }

    /** Chooses counts of what there is so that the least is left over, large ones first. */
    public static Filling best(Mass melt, List<Stock> stock, double shrinkage, boolean whipped) {
        List<Stock> kinds = stock.stream()
                .filter(kind -> kind.pieces() > 0)
                .sorted(Comparator.comparing((Stock kind) -> kind.container().brim())
                        .reversed())
                .limit(MOST_KINDS)
                .toList();
        int most = (int) Math.floor(Math.min(MOST_GRAMS, melt.grams()) * STEPS + SLACK);
        int[] last = new int[most + 1];
        Arrays.fill(last, NOT_REACHED);
        last[0] = kinds.size();
        int[] each = kinds.stream()
                .mapToInt(kind -> (int)
                        Math.ceil(topped(kind.container(), shrinkage, whipped).grams() * STEPS - SLACK))
                .toArray();
        for (int kind = 0; kind < each.length; kind++) {
            int[] used = new int[most + 1];
            for (int at = each[kind]; at <= most; at++) {
                int before = at - each[kind];
                boolean goesOn = last[at] == NOT_REACHED && last[before] != NOT_REACHED;
                if (goesOn && used[before] < kinds.get(kind).pieces()) {
                    last[at] = kind;
                    used[at] = used[before] + 1;
                }
            }
        }
        return of(melt, kinds, fewest(last, each), new Way(shrinkage, whipped));
    }

    /** Of the fullest ways, those within half a gram of the best, the one with the fewest pieces. */
    private static int[] fewest(int[] last, int[] each) {
        int full = last.length - 1;
        while (last[full] == NOT_REACHED) {
            full--;
        }
        int[] best = counts(last, each, full);
        for (int at = full - 1; at >= 0 && at >= full - STEPS / 2; at--) {
            int[] counts = last[at] == NOT_REACHED ? best : counts(last, each, at);
            best = Arrays.stream(counts).sum() < Arrays.stream(best).sum() ? counts : best;
        }
        return best;
    }

    private static int[] counts(int[] last, int[] each, int full) {
        int[] counts = new int[each.length];
        for (int at = full; at > 0; at -= each[last[at]]) {
            counts[last[at]]++;
        }
        return counts;
    }

    private record Way(double shrinkage, boolean whipped) {}

    private static Filling of(Mass melt, List<Stock> kinds, int[] counts, Way way) {
        List<Pour> pours = new ArrayList<>();
        double poured = 0;
        double top = 0;
        for (int kind = 0; kind < counts.length; kind++) {
            if (counts[kind] > 0) {
                Container container = kinds.get(kind).container();
                Mass each = topped(container, way.shrinkage(), way.whipped());
                pours.add(new Pour(container, counts[kind], each));
                poured += counts[kind] * each.grams();
                top += counts[kind]
                        * (each.grams() - container.filled(way.whipped()).grams());
            }
        }
        return new Filling(pours, Mass.ofGrams(top), Mass.ofGrams(Math.max(0, melt.grams() - poured)));
    }

    /** How many containers are filled. */
    public int count() {
        return pours.stream().mapToInt(Pour::count).sum();
    }

    /** The largest of some kinds that what is left still fills by at least half: a smaller tin, or a mould for it. */
    public Optional<Container> forTheRest(List<Stock> stock, boolean whipped) {
        return stock.stream()
                .map(Stock::container)
                .filter(container -> left.grams() >= container.filled(whipped).grams() / 2)
                .max(Comparator.comparing(Container::brim));
    }
}
