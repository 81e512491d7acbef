package app.velvetcrock.core.making;

import app.velvetcrock.core.measure.Mass;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.IntFunction;

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

    /** So many steps below the fullest way, others are looked at: what rounding up of many pieces makes of it. */
    private static final int LOOKED_AT = 5 * STEPS;

    /** [E] Grams nobody would take another container for. */
    private static final double A_LITTLE = 0.5;

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
        double[] each = kinds.stream()
                .mapToDouble(
                        kind -> topped(kind.container(), shrinkage, whipped).grams())
                .toArray();
        int[] pieces = new int[most + 1];
        Arrays.fill(pieces, NOT_REACHED);
        pieces[0] = 0;
        List<Lot> lots = lots(kinds, each, most);
        List<BitSet> taken = new ArrayList<>();
        for (Lot lot : lots) {
            BitSet here = new BitSet(most + 1);
            for (int at = most; at >= lot.steps(); at--) {
                int before = pieces[at - lot.steps()];
                if (before != NOT_REACHED && (pieces[at] == NOT_REACHED || before + lot.count() < pieces[at])) {
                    pieces[at] = before + lot.count();
                    here.set(at);
                }
            }
            taken.add(here);
        }
        return of(
                melt,
                kinds,
                fewest(pieces, each, at -> counts(lots, taken, at, each.length)),
                new Way(shrinkage, whipped));
    }

    /** So many pieces of one kind, taken together. */
    private record Lot(int kind, int count, int steps) {}

    /** All there is of each kind in lots of one, two, four and so on, so that any count can be put together of them. */
    private static List<Lot> lots(List<Stock> kinds, double[] each, int most) {
        List<Lot> lots = new ArrayList<>();
        for (int kind = 0; kind < each.length; kind++) {
            int steps = (int) Math.ceil(each[kind] * STEPS - SLACK);
            int left = Math.min(kinds.get(kind).pieces(), most / Math.max(1, steps));
            for (int count = 1; left > 0; count *= 2) {
                int some = Math.min(count, left);
                lots.add(new Lot(kind, some, some * steps));
                left -= some;
            }
        }
        return lots;
    }

    /** Of the fullest ways, those that leave within half a gram of the least, the one with the fewest pieces. */
    private static int[] fewest(int[] pieces, double[] each, IntFunction<int[]> counts) {
        int full = pieces.length - 1;
        while (pieces[full] == NOT_REACHED) {
            full--;
        }
        List<int[]> ways = new ArrayList<>();
        for (int at = full; at >= 0 && at >= full - LOOKED_AT; at--) {
            if (pieces[at] != NOT_REACHED) {
                ways.add(counts.apply(at));
            }
        }
        double fullest =
                ways.stream().mapToDouble(way -> grams(way, each)).max().orElse(0);
        return ways.stream()
                .filter(way -> grams(way, each) >= fullest - A_LITTLE)
                .min(Comparator.comparingInt(way -> Arrays.stream(way).sum()))
                .orElseThrow();
    }

    private static double grams(int[] counts, double[] each) {
        double sum = 0;
        for (int kind = 0; kind < each.length; kind++) {
            sum += counts[kind] * each[kind];
        }
        return sum;
    }

    private static int[] counts(List<Lot> lots, List<BitSet> taken, int at, int kinds) {
        int[] counts = new int[kinds];
        int left = at;
        for (int i = lots.size() - 1; i >= 0 && left > 0; i--) {
            if (taken.get(i).get(left)) {
                counts[lots.get(i).kind()] += lots.get(i).count();
                left -= lots.get(i).steps();
            }
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
