package app.velvetcrock.core.making;

import app.velvetcrock.core.caution.ForWhom;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.materia.SupplyKind;
import app.velvetcrock.core.measure.Mass;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What share of essential oils a made thing may have, by whom it is for (craft: making, essential oils).
 *
 * <p>Ceilings of the sum [E] by use; of each oil the lesser of that and its own dermal maximum [S: Tisserand & Young, Essential Oil
 * Safety, 2nd ed. 2014]. Where no figure is held: 0.5 % on a grown-up body, nothing elsewhere; for those of which only the sum applies,
 * the sum. Phototoxic oils together: Σ c/max at most 1.
 *
 * @param lines one for each oil
 * @param sum of all, percent of the whole
 * @param ceiling of the sum, percent
 * @param photo Σ c/max of the phototoxic, absent where there are none
 * @param within the most drops that would be within, oil for oil
 */
public record Ceilings(List<Line> lines, double sum, double ceiling, Optional<Double> photo, List<Drops> within) {

    private static final ForWhom TABLE = ForWhom.shipped();
    private static final double PERCENT = 100;
    private static final String PHOTOTOXIC = "phototoxic";
    private static final Set<String> SMALL_BREATH = Set.of("menthol", "camphor");

    private static final double SLACK = 1e-9;
    private static final int HALVINGS = 40;

    public Ceilings {
        lines = List.copyOf(lines);
        within = List.copyOf(within);
    }

    /**
     * One oil of one bottle: its percent of the whole, and the most it may have, with what that rests on.
     *
     * @param together percent of that oil from all its bottles: by this it is within or over
     */
    public record Line(Drops drops, double percent, double together, double most, String why) {

        public boolean isOver() {
            return together > most + SLACK;
        }
    }

    /** Checks what is added to so much of all else; {@code noneAtAll} where the kind takes none whoever it is for. */
    public static Ceilings of(List<Drops> drops, Mass rest, Use use, boolean noneAtAll) {
        double whole = whole(drops, rest);
        double ceiling = noneAtAll ? 0 : ceiling(use);
        List<Line> lines = lines(drops, whole, use, ceiling);
        return new Ceilings(
                lines,
                lines.stream().mapToDouble(Line::percent).sum(),
                ceiling,
                photo(lines),
                within(drops, rest, use, ceiling));
    }

    /** Whether it would be within for one kind of user. */
    public record User(Use use, double ceiling, boolean within) {}

    /** The sum by user, the strictest last: who it may be for as it is. */
    public static List<User> byUser(List<Drops> drops, Mass rest, boolean noneAtAll) {
        return Stream.of(Use.values())
                .filter(use -> use.isSkin())
                .map(use -> new User(
                        use,
                        noneAtAll ? 0 : ceiling(use),
                        !of(drops, rest, use, noneAtAll).isOver()))
                .sorted(Comparator.comparing(User::ceiling).reversed())
                .toList();
    }

    /** Percent of the whole that all together may have. */
    public static double ceiling(Use use) {
        return TABLE.sum(use);
    }

    public boolean isOver() {
        return sum > ceiling + 1e-9
                || lines.stream().anyMatch(Line::isOver)
                || photo.filter(sums -> sums > 1 + 1e-9).isPresent();
    }

    private static double whole(List<Drops> drops, Mass rest) {
        return Math.max(
                1e-9,
                rest.grams()
                        + drops.stream().mapToDouble(one -> one.mass().grams()).sum());
    }

    private static List<Line> lines(List<Drops> drops, double whole, Use use, double ceiling) {
        return drops.stream()
                .map(one -> new Line(
                        one,
                        PERCENT * one.mass().grams() / whole,
                        PERCENT * together(drops, one.oil()) / whole,
                        most(one.oil(), use, ceiling),
                        why(one.oil(), use, ceiling)))
                .toList();
    }

    /** Grams of one oil, from however many bottles. */
    private static double together(List<Drops> drops, SupplyKind oil) {
        return drops.stream()
                .filter(one -> one.oil().key().equals(oil.key()))
                .mapToDouble(one -> one.mass().grams())
                .sum();
    }

    /** The least of what the sum allows, its own maximum on skin and what its traits mean for the use. */
    private static double most(SupplyKind oil, Use use, double ceiling) {
        double own = own(oil, use, ceiling);
        return Math.min(
                ceiling, Math.min(own, TABLE.most(oil.traits(), use, own).orElse(own)));
    }

    private static double own(SupplyKind oil, Use use, double ceiling) {
        return oil.dermalMost().orElse(oil.traits().contains(SupplyKind.SUM_ONLY) ? ceiling : TABLE.withoutFigure(use));
    }

    private static String why(SupplyKind oil, Use use, double ceiling) {
        if (ceiling == 0) {
            return "none for " + use.word();
        }
        if (TABLE.isRefused(oil.traits(), use)) {
            return oil.traits().stream().anyMatch(SMALL_BREATH::contains)
                    ? "not near small children"
                    : "none of it for " + use.word();
        }
        if (TABLE.most(oil.traits(), use, 1).isPresent()) {
            return "half its own ceiling to fourteen";
        }
        if (oil.dermalMost().filter(own -> own <= ceiling).isPresent()) {
            return "its own ceiling on skin";
        }
        return oil.dermalMost().isPresent() || oil.traits().contains(SupplyKind.SUM_ONLY)
                ? "the sum's ceiling"
                : "no figure is held of it";
    }

    private static Optional<Double> photo(List<Line> lines) {
        List<Line> sunny = lines.stream()
                .filter(line -> line.drops().oil().traits().contains(PHOTOTOXIC)
                        && line.drops().oil().dermalMost().isPresent())
                .toList();
        return sunny.isEmpty()
                ? Optional.empty()
                : Optional.of(sunny.stream()
                        .mapToDouble(line ->
                                line.percent() / line.drops().oil().dermalMost().orElseThrow())
                        .sum());
    }

    /**
     * Each cut down to what it may have by itself, then all alike until the sums hold; whole drops. So much of it has a share c of the
     * whole as weighs c·rest/(1 − c); what else is in it only makes that less. Bottles of one oil are cut down alike.
     */
    private static List<Drops> within(List<Drops> drops, Mass rest, Use use, double ceiling) {
        List<Drops> alone = drops.stream()
                .map(one -> {
                    double most = most(one.oil(), use, ceiling) / PERCENT;
                    double there = together(drops, one.oil());
                    double fits = most * rest.grams() / (1 - most);
                    return there <= fits ? one.times(1) : one.times(fits / there);
                })
                .toList();
        double most = 1;
        double least = 0;
        for (int i = 0; i < HALVINGS && !holds(scaled(alone, most), rest, use, ceiling); i++) {
            double middle = (least + most) / 2;
            if (holds(scaled(alone, middle), rest, use, ceiling)) {
                least = middle;
            } else {
                most = middle;
            }
        }
        return holds(scaled(alone, most), rest, use, ceiling) ? scaled(alone, most) : scaled(alone, least);
    }

    private static List<Drops> scaled(List<Drops> drops, double factor) {
        return drops.stream().map(one -> one.times(factor)).toList();
    }

    private static boolean holds(List<Drops> drops, Mass rest, Use use, double ceiling) {
        double whole = whole(drops, rest);
        List<Line> lines = lines(drops, whole, use, ceiling);
        return lines.stream().mapToDouble(Line::percent).sum() <= ceiling + 1e-9
                && lines.stream().noneMatch(Line::isOver)
                && photo(lines).filter(sums -> sums > 1 + 1e-9).isEmpty();
    }
}
