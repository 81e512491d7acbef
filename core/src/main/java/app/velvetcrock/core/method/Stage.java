package app.velvetcrock.core.method;

import app.velvetcrock.core.measure.Check;
import java.util.List;

/**
 * One stretch of a method.
 *
 * @param leastDays shortest that is sensible
 * @param usualDays shipped default
 * @param mostDays longest that is sensible
 */
public record Stage(
        String key, String name, int leastDays, int usualDays, int mostDays, Band band, boolean inLight, boolean vented, List<Tending> tendings) {

    public Stage {
        Check.range("usual days", usualDays, leastDays, mostDays, "days");
        tendings = List.copyOf(tendings);
    }
}
