package app.velvetcrock.core.keeping;

import java.time.LocalDate;
import java.util.Optional;

/**
 * A carrier bottle's dates.
 *
 * @param monthsOpened its class of keeping once opened, in months
 * @param opened when it was first opened; a sealed bottle counts from the day its oil is poured
 */
public record Bottle(String name, int monthsOpened, Optional<LocalDate> opened, Optional<LocalDate> bestBefore) {

    LocalDate openedEnd(LocalDate poured) {
        return opened.orElse(poured).plusMonths(monthsOpened);
    }

    /** The oil's own end: the earlier of best before and opened + its class. */
    public LocalDate end(LocalDate poured) {
        LocalDate byOpening = openedEnd(poured);
        return bestBefore.filter(date -> date.isBefore(byOpening)).orElse(byOpening);
    }

    boolean endsByBestBefore(LocalDate poured) {
        return bestBefore.filter(date -> date.isBefore(openedEnd(poured))).isPresent();
    }
}
