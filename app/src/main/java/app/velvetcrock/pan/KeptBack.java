package app.velvetcrock.pan;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.making.Ceilings;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.pan.MadeKeeping;
import java.util.EnumSet;
import java.util.Locale;
import java.util.Optional;

/** Why a made thing may be neither given away nor sold (craft: making, essential oils; potent fixed oils; cautions). */
final class KeptBack {

    private static final double MOST_NEEM = 0.01;
    private static final String NEEM = "neem";

    private KeptBack() {}

    /** The reason, as it follows a colon; absent where it may be given and sold. */
    static Optional<String> why(PanReading.Read read, Ceilings ceilings, MadeKeeping keeping) {
        if (ceilings.isOver()) {
            return Optional.of("it has more essential oil than is held safe for %s."
                    .formatted(
                            read.kind().noEssentialOil()
                                    ? "a nursling's mouth"
                                    : read.use().word()));
        }
        if (isTooMuchNeem(read)) {
            return Optional.of("neem is at most 1 %, and never for babies, in pregnancy or while nursing.");
        }
        boolean mouth = read.kind().noEssentialOil() || read.use() == Use.BABY;
        Optional<String> licked = read.stirred().stream()
                .flatMap(one -> one.thing().supply().stream())
                .filter(kind -> mouth && (kind.key().equals("honey") || kind.hasStrength()))
                .map(kind -> kind.common().toLowerCase(Locale.ROOT))
                .findFirst();
        if (licked.isPresent()) {
            return Optional.of("no %s where a baby may lick it.".formatted(licked.get()));
        }
        return keeping.notForSale()
                ? Optional.of("it has something watery in it and keeps for days only.")
                : Optional.empty();
    }

    private static boolean isTooMuchNeem(PanReading.Read read) {
        Formula formula = read.melt().formula();
        double neem = formula.parts().stream()
                .filter(part -> part.stuff().key().equals(NEEM))
                .mapToDouble(formula::shareOf)
                .sum();
        boolean tender = EnumSet.of(Use.BABY, Use.PREGNANCY, Use.NURSING).contains(read.use())
                || read.kind().noEssentialOil();
        return neem > MOST_NEEM + 1e-9 || neem > 0 && tender;
    }
}
