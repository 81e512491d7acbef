package app.velvetcrock.core.keeping;

import java.time.LocalDate;
import java.util.Optional;

/**
 * What a passed sniff test does to a date (craft: keeping).
 *
 * @param useBy the date that holds from now on
 * @param why in words, what came of it
 */
public record SniffTest(LocalDate useBy, boolean lengthened, String why) {

    /** A pass counts only this near the date, and using it comes first from then on (craft: keeping). */
    public static final int LAST_DAYS = 14;

    /**
     * Applies a pass: in the last 14 days before the date it becomes the later of the date and a month from the test, once a
     * month, never past {@code latest}.
     *
     * @param latest the oil's own end or its cap, whichever is earlier
     * @param never true for food, juicy, watery, decanted and overridden oils
     */
    public static SniffTest passed(
            LocalDate useBy, LocalDate today, LocalDate latest, Optional<LocalDate> lastPass, boolean never) {
        if (never) {
            return new SniffTest(useBy, false, "no smell makes this kind of oil keep longer");
        }
        if (today.isAfter(useBy)) {
            return new SniffTest(useBy, false, "its date is past, and a smell does not bring it back");
        }
        if (today.isBefore(useBy.minusDays(LAST_DAYS))) {
            return new SniffTest(
                    useBy, false, "it is more than %d days from its date; smell it again then".formatted(LAST_DAYS));
        }
        if (lastPass.filter(day -> day.plusMonths(1).isAfter(today)).isPresent()) {
            return new SniffTest(useBy, false, "it was lengthened less than a month ago");
        }
        LocalDate wanted = today.plusMonths(1);
        LocalDate to = wanted.isAfter(latest) ? latest : wanted;
        return to.isAfter(useBy)
                ? new SniffTest(to, true, "a month from today, within the oil's own end")
                : new SniffTest(useBy, false, "the oil itself ends then");
    }
}
