package app.velvetcrock.core.pan;

import app.velvetcrock.core.caution.Bearing;
import app.velvetcrock.core.caution.Caution;
import app.velvetcrock.core.caution.Cautions;
import app.velvetcrock.core.caution.ForWhom;
import app.velvetcrock.core.caution.Level;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.making.Ceilings;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.making.Kind;
import app.velvetcrock.core.materia.SupplyKind;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** Why a made thing may be neither given away nor sold (craft: making, essential oils; potent fixed oils; cautions). */
public final class KeptBack {

    /** How it is said of whatever is kept back, before the reason. */
    private static final String WORDS = "It is neither given away nor sold: ";

    /** Why something is kept back, in the one sentence every page says it in. */
    public static String said(String why) {
        return WORDS + why;
    }

    /** Of an oil in which nothing was weighed: that stays so. */
    public static final String BY_HAND =
            "its oil was charged by the handful, and nobody knows how much of what is in it.";

    /** Of an oil made against the rule of water, knowingly: that stays so. */
    public static final String OVERRIDDEN = "its oil was made against the rule of water.";

    private static final ForWhom TABLE = ForWhom.shipped();
    private static final double PERCENT = 100;
    private static final double SLACK = 1e-9;
    private static final String NEEM = "neem";

    private KeptBack() {}

    /**
     * How what goes into it stands.
     *
     * @param watery it keeps for days only
     * @param past something in it is past its own date
     * @param wrong what is found wrong with something in it, and not answered yet
     */
    public record Standing(boolean watery, boolean past, Optional<String> wrong) {}

    /** What is in it and whom it is for. */
    public record Made(Kind kind, Use use, Formula formula, List<SupplyKind> stirred, Ceilings ceilings) {}

    /** Whom it is judged for hears all of it: of several rows the strictest first, and the same once. */
    public static List<Caution> told(Cautions cautions, Set<String> borne, Kind kind, Use use) {
        return kind.judgedFor(use).stream()
                .flatMap(one -> cautions.of(borne, one).stream())
                .distinct()
                .sorted(Comparator.comparing(Caution::level))
                .toList();
    }

    /** What is refused is not weighed in; for those nobody else answers for, neither is what is over a ceiling. */
    public static List<String> refused(List<Caution> told, Made made) {
        boolean tender = made.kind().judgedFor(made.use()).stream().anyMatch(Use::isTender);
        return Stream.concat(
                        told.stream()
                                .filter(caution -> caution.level() == Level.REFUSE)
                                .map(caution -> "%s: %s".formatted(caution.head(), caution.text())),
                        forThem(made)
                                .filter(why -> tender)
                                .map(why -> why.substring(0, 1).toUpperCase(Locale.ROOT) + why.substring(1))
                                .stream())
                .distinct()
                .toList();
    }

    /** The reason, as it follows a colon; absent where it may be given and sold. */
    public static Optional<String> why(Made made, Standing standing) {
        if (standing.wrong().isPresent()) {
            return Optional.of(standing.wrong().get() + ", which is not answered yet.");
        }
        Optional<String> forNobody = forThem(made);
        if (forNobody.isPresent()) {
            return forNobody;
        }
        if (standing.past()) {
            return Optional.of("something in it is past its own date.");
        }
        return standing.watery()
                ? Optional.of("it has something watery in it and keeps for days only.")
                : Optional.empty();
    }

    /** Why it is not for whom it is made for, by what is in it and how much; absent where it may be. */
    public static Optional<String> forThem(Made made) {
        if (made.ceilings().isOver()) {
            return Optional.of("it has more essential oil than is held safe for %s."
                    .formatted(
                            made.kind().noEssentialOil()
                                    ? Use.NURSLING.word()
                                    : made.use().word()));
        }
        if (isTooMuchNeem(made)) {
            return Optional.of("neem is at most 1 %, and never for babies, in pregnancy or while nursing.");
        }
        return made.stirred().stream()
                .filter(one -> made.kind().judgedFor(made.use()).stream()
                        .anyMatch(use -> TABLE.isRefused(Bearing.supply(one), use)))
                .map(one -> "no %s for %s.".formatted(one.common().toLowerCase(Locale.ROOT), whom(made, one)))
                .findFirst();
    }

    private static String whom(Made made, SupplyKind one) {
        return TABLE.isRefused(Bearing.supply(one), made.use()) ? made.use().word() : Use.NURSLING.word();
    }

    private static boolean isTooMuchNeem(Made made) {
        double neem = PERCENT
                * made.formula().parts().stream()
                        .filter(part -> part.stuff().key().equals(NEEM))
                        .mapToDouble(made.formula()::shareOf)
                        .sum();
        return made.kind().judgedFor(made.use()).stream()
                .anyMatch(use -> neem > TABLE.most(Set.of(NEEM), use, PERCENT).orElse(PERCENT) + SLACK);
    }
}
