package app.velvetcrock.core.pan;

import app.velvetcrock.core.materia.SupplyKind;
import app.velvetcrock.core.materia.SupplyType;
import app.velvetcrock.core.spirit.Strength;
import app.velvetcrock.core.working.Figure;
import app.velvetcrock.core.working.Working;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * How long a made thing keeps: as long as its shortest ingredient, and no longer than what is watery in it allows (craft: keeping).
 *
 * @param limitedBy the shortest line, in words
 * @param limits all lines, the shortest first
 */
public record MadeKeeping(LocalDate date, String limitedBy, boolean notForSale, List<Limit> limits, Working working) {

    /** [E] Nothing is kept longer than this. */
    private static final int LONGEST_MONTHS = 24;

    /** What a share may be off by, weighed to a tenth of a gram or counted in drops. */
    private static final double ROUNDED = 0.00005;

    private static final int HONEY_MONTHS = 3;
    private static final int WATERY_DAYS = 7;

    /** [E] Honey and tincture together, up to this share of the mass; more is as any water. */
    private static final double MOST = 0.05;

    /** [E] A tincture so strong counts as none of it; a weaker one, or one whose strength is not told, is as any water. */
    public static final Strength STRONG = new Strength(40);

    public MadeKeeping {
        limits = List.copyOf(limits);
    }

    /**
     * How long one of the things in it lets it be kept.
     *
     * @param addition its place among what is stirred in; absent of what is melted, and of what holds for anything
     * @param watery whether it keeps for days only, and is not for sale
     * @param unless the place of what makes it keep longer, among what is stirred in: it holds only where that is left out
     */
    public record Limit(
            LocalDate date, String why, Optional<Integer> addition, boolean watery, Optional<Integer> unless) {

        public Limit {
            // Limits from before that was kept say nothing of it.
            unless = unless == null ? Optional.empty() : unless;
        }

        public Limit(LocalDate date, String why, Optional<Integer> addition, boolean watery) {
            this(date, why, addition, watery, Optional.empty());
        }
    }

    /**
     * When an ingredient ends by itself.
     *
     * @param addition its place among what is stirred in; absent of what is melted
     * @param guarded when it ends with vitamin E or rosemary extract in it; absent where these do nothing for it
     */
    public record Ends(String name, LocalDate date, Optional<Integer> addition, Optional<LocalDate> guarded) {

        public Ends(String name, LocalDate date, Optional<Integer> addition) {
            this(name, date, addition, Optional.empty());
        }
    }

    /**
     * Something stirred in, and what share of the whole it is.
     *
     * @param strength of a tincture or spirit; absent where it is not told
     */
    public record Brings(SupplyKind kind, double share, Optional<Strength> strength) {

        /** Honey, or spirit enough that nothing grows in a little of it. */
        private boolean isCarried() {
            return kind.key().equals("honey")
                    || kind.hasStrength()
                            && strength.filter(one -> one.percent() >= STRONG.percent())
                                    .isPresent();
        }

        /** Mixed tocopherols at 0.1 to 0.5 %, rosemary extract at 0.02 to 0.1 % (craft: keeping). */
        private boolean isGuarding() {
            boolean tocopherols = kind.key().equals("vitamin-e");
            double least = tocopherols ? 0.001 : 0.0002;
            double most = tocopherols ? 0.005 : 0.001;
            return share >= least - ROUNDED && share <= most + ROUNDED;
        }

        private String why() {
            String name = kind.common().toLowerCase(Locale.ROOT);
            return !kind.hasStrength() || isCarried()
                    ? name
                    : strength.map(one -> "%s of %s".formatted(name, one.words()))
                            .orElse(name + " (strength not told)");
        }
    }

    private record Line(String name, Limit limit) {}

    private static Line plain(Ends one, Optional<Integer> unless) {
        return new Line(
                one.name(), new Limit(one.date(), "limited by the " + one.name(), one.addition(), false, unless));
    }

    /** Two lines of one oil: with what guards it, and without, should that be left out after all. */
    private static List<Line> guarded(Ends one, Optional<Integer> guard, List<Brings> additions) {
        String with = one.name() + " with "
                + additions.get(guard.orElseThrow()).kind().common().toLowerCase(Locale.ROOT);
        return List.of(
                plain(one, guard),
                new Line(with, new Limit(one.guarded().orElseThrow(), "limited by the " + with, guard, false)));
    }

    /** What guards its oils from going rancid, by its place: one of the two, in the share that does (craft: keeping). */
    private static Optional<Integer> guard(List<Brings> additions) {
        List<Integer> guards = IntStream.range(0, additions.size())
                .filter(at -> additions.get(at).kind().type() == SupplyType.ANTIOXIDANT)
                .boxed()
                .toList();
        return guards.size() == 1 && additions.get(guards.get(0)).isGuarding()
                ? Optional.of(guards.get(0))
                : Optional.empty();
    }

    /** Dates what is made on a day. */
    public static MadeKeeping of(LocalDate made, List<Ends> ingredients, List<Brings> additions) {
        List<Line> lines = new ArrayList<>();
        Optional<Integer> guard = guard(additions);
        ingredients.forEach(one -> lines.addAll(
                guard.isPresent() && one.guarded().filter(one.date()::isBefore).isPresent()
                        ? guarded(one, guard, additions)
                        : List.of(plain(one, Optional.empty()))));
        double carried = additions.stream()
                .filter(Brings::isCarried)
                .mapToDouble(Brings::share)
                .sum();
        for (int i = 0; i < additions.size(); i++) {
            Brings one = additions.get(i);
            if (one.kind().watery()) {
                boolean watery = !one.isCarried() || carried > MOST + 1e-9;
                lines.add(new Line(
                        one.kind().common(),
                        new Limit(
                                watery ? made.plusDays(WATERY_DAYS) : made.plusMonths(HONEY_MONTHS),
                                (watery
                                                ? "limited by the %s, which brings water: 7 days in the refrigerator"
                                                : "limited by the %s: three months, cool")
                                        .formatted(one.why()),
                                Optional.of(i),
                                watery)));
            }
        }
        lines.add(new Line(
                "nothing is kept longer",
                new Limit(made.plusMonths(LONGEST_MONTHS), "the longest anything is kept", Optional.empty(), false)));
        lines.sort(Comparator.comparing(line -> line.limit().date()));
        Working.Builder sum =
                Working.of("use by = the shortest of what is in it").given("made", Figure.of(made));
        lines.stream()
                .filter(line -> line.limit().unless().isEmpty())
                .forEach(line -> sum.given(line.name(), Figure.of(line.limit().date())));
        List<Limit> limits = lines.stream().map(Line::limit).toList();
        Limit shortest = limits.stream()
                .filter(limit -> limit.unless().isEmpty())
                .findFirst()
                .orElseThrow();
        return new MadeKeeping(
                shortest.date(), shortest.why(), limits.stream().anyMatch(Limit::watery), limits, sum.build());
    }
}
