package app.velvetcrock.core.pan;

import app.velvetcrock.core.materia.SupplyKind;
import app.velvetcrock.core.spirit.Strength;
import app.velvetcrock.core.working.Figure;
import app.velvetcrock.core.working.Working;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * How long a made thing keeps: as long as its shortest ingredient, and no longer than what is watery in it allows (craft: keeping).
 *
 * @param limitedBy the shortest line, in words
 * @param limits all lines, the shortest first
 */
public record MadeKeeping(LocalDate date, String limitedBy, boolean notForSale, List<Limit> limits, Working working) {

    /** [E] Nothing is kept longer than this. */
    private static final int LONGEST_MONTHS = 24;

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
     */
    public record Limit(LocalDate date, String why, Optional<Integer> addition, boolean watery) {}

    /**
     * When an ingredient ends by itself.
     *
     * @param addition its place among what is stirred in; absent of what is melted
     */
    public record Ends(String name, LocalDate date, Optional<Integer> addition) {}

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

        private String why() {
            String name = kind.common().toLowerCase(Locale.ROOT);
            return !kind.hasStrength() || isCarried()
                    ? name
                    : strength.map(one -> "%s of %s".formatted(name, one.words()))
                            .orElse(name + " (strength not told)");
        }
    }

    private record Line(String name, Limit limit) {}

    /** Dates what is made on a day. */
    public static MadeKeeping of(LocalDate made, List<Ends> ingredients, List<Brings> additions) {
        List<Line> lines = new ArrayList<>();
        ingredients.forEach(one -> lines.add(
                new Line(one.name(), new Limit(one.date(), "limited by the " + one.name(), one.addition(), false))));
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
        lines.forEach(line -> sum.given(line.name(), Figure.of(line.limit().date())));
        List<Limit> limits = lines.stream().map(Line::limit).toList();
        return new MadeKeeping(
                limits.get(0).date(),
                limits.get(0).why(),
                limits.stream().anyMatch(Limit::watery),
                limits,
                sum.build());
    }
}
