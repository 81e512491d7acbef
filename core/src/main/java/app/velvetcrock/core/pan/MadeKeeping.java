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
 */
public record MadeKeeping(LocalDate date, String limitedBy, boolean notForSale, Working working) {

    /** [E] Nothing is kept longer than this. */
    private static final int LONGEST_MONTHS = 24;

    private static final int HONEY_MONTHS = 3;
    private static final int WATERY_DAYS = 7;

    /** [E] Honey and tincture together, up to this share of the mass; more is as any water. */
    private static final double MOST = 0.05;

    /** [E] A tincture so strong counts as none of it; a weaker one, or one whose strength is not told, is as any water. */
    public static final Strength STRONG = new Strength(40);

    /** When an ingredient ends by itself. */
    public record Ends(String name, LocalDate date) {}

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

    private record Line(String name, LocalDate date, String why) {}

    /** Dates what is made on a day. */
    public static MadeKeeping of(LocalDate made, List<Ends> ingredients, List<Brings> additions) {
        List<Line> lines = new ArrayList<>();
        ingredients.forEach(one -> lines.add(new Line(one.name(), one.date(), "limited by the " + one.name())));
        double carried = additions.stream()
                .filter(Brings::isCarried)
                .mapToDouble(Brings::share)
                .sum();
        boolean watery = false;
        for (Brings one : additions) {
            if (one.kind().watery()) {
                boolean little = one.isCarried() && carried <= MOST + 1e-9;
                watery |= !little;
                lines.add(
                        little
                                ? new Line(
                                        one.kind().common(),
                                        made.plusMonths(HONEY_MONTHS),
                                        "limited by the %s: three months, cool".formatted(one.why()))
                                : new Line(
                                        one.kind().common(),
                                        made.plusDays(WATERY_DAYS),
                                        "limited by the %s, which brings water: 7 days in the refrigerator"
                                                .formatted(one.why())));
            }
        }
        lines.add(new Line("nothing is kept longer", made.plusMonths(LONGEST_MONTHS), "the longest anything is kept"));
        lines.sort(Comparator.comparing(Line::date));
        Working.Builder sum =
                Working.of("use by = the shortest of what is in it").given("made", Figure.of(made));
        lines.forEach(line -> sum.given(line.name(), Figure.of(line.date())));
        return new MadeKeeping(lines.get(0).date(), lines.get(0).why(), watery, sum.build());
    }
}
