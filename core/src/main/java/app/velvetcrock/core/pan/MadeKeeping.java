package app.velvetcrock.core.pan;

import app.velvetcrock.core.materia.SupplyKind;
import app.velvetcrock.core.working.Figure;
import app.velvetcrock.core.working.Working;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

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

    /** [E] Honey, or a tincture of 40 % and more, up to this share of the mass; more is as any water. */
    private static final double MOST = 0.05;

    /** When an ingredient ends by itself. */
    public record Ends(String name, LocalDate date) {}

    /** Something stirred in, and what share of the whole it is. */
    public record Brings(SupplyKind kind, double share) {}

    private record Line(String name, LocalDate date, String why) {}

    /** Dates what is made on a day. */
    public static MadeKeeping of(LocalDate made, List<Ends> ingredients, List<Brings> additions) {
        List<Line> lines = new ArrayList<>();
        ingredients.forEach(one -> lines.add(new Line(one.name(), one.date(), "limited by the " + one.name())));
        boolean watery = false;
        for (Brings one : additions) {
            if (one.kind().watery()) {
                boolean little =
                        (one.kind().key().equals("honey") || one.kind().key().equals("tincture"))
                                && one.share() <= MOST;
                watery |= !little;
                lines.add(
                        little
                                ? new Line(
                                        one.kind().common(),
                                        made.plusMonths(HONEY_MONTHS),
                                        "limited by the %s: three months, cool"
                                                .formatted(one.kind().common().toLowerCase(java.util.Locale.ROOT)))
                                : new Line(
                                        one.kind().common(),
                                        made.plusDays(WATERY_DAYS),
                                        "limited by the %s, which brings water: 7 days in the refrigerator"
                                                .formatted(one.kind().common().toLowerCase(java.util.Locale.ROOT))));
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
