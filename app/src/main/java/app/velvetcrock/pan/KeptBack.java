package app.velvetcrock.pan;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.making.Ceilings;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.making.Kind;
import app.velvetcrock.core.materia.SupplyKind;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Why a made thing may be neither given away nor sold (craft: making, essential oils; potent fixed oils; cautions). */
final class KeptBack {

    private static final double MOST_NEEM = 0.01;
    private static final String NEEM = "neem";

    private KeptBack() {}

    /**
     * How what goes into it stands.
     *
     * @param watery it keeps for days only
     * @param past something in it is past its own date
     * @param wrong what is found wrong with something in it, and not answered yet
     */
    record Standing(boolean watery, boolean past, Optional<String> wrong) {}

    /** The reason, as it follows a colon; absent where it may be given and sold. */
    static Optional<String> why(
            Kind kind, Use use, Formula formula, List<SupplyKind> stirred, Ceilings ceilings, Standing standing) {
        if (standing.wrong().isPresent()) {
            return Optional.of(standing.wrong().get() + ", which is not answered yet.");
        }
        if (ceilings.isOver()) {
            return Optional.of("it has more essential oil than is held safe for %s."
                    .formatted(kind.noEssentialOil() ? "a nursling's mouth" : use.word()));
        }
        if (isTooMuchNeem(kind, use, formula)) {
            return Optional.of("neem is at most 1 %, and never for babies, in pregnancy or while nursing.");
        }
        boolean mouth = kind.noEssentialOil() || use == Use.BABY;
        Optional<String> licked = stirred.stream()
                .filter(one -> mouth && (one.key().equals("honey") || one.hasStrength()))
                .map(one -> one.common().toLowerCase(Locale.ROOT))
                .findFirst();
        if (licked.isPresent()) {
            return Optional.of("no %s where a baby may lick it.".formatted(licked.get()));
        }
        if (standing.past()) {
            return Optional.of("something in it is past its own date.");
        }
        return standing.watery()
                ? Optional.of("it has something watery in it and keeps for days only.")
                : Optional.empty();
    }

    private static boolean isTooMuchNeem(Kind kind, Use use, Formula formula) {
        double neem = formula.parts().stream()
                .filter(part -> part.stuff().key().equals(NEEM))
                .mapToDouble(formula::shareOf)
                .sum();
        boolean tender = EnumSet.of(Use.BABY, Use.PREGNANCY, Use.NURSING).contains(use) || kind.noEssentialOil();
        return neem > MOST_NEEM + 1e-9 || neem > 0 && tender;
    }
}
