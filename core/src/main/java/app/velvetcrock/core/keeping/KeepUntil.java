package app.velvetcrock.core.keeping;

import app.velvetcrock.core.working.Working;
import java.time.LocalDate;

/**
 * The day an oil is to be used by.
 *
 * @param limitedBy the limiting line, first in the sum
 */
public record KeepUntil(LocalDate date, LimitedBy limitedBy, Working working) {

    /** What sets the date. */
    public enum LimitedBy {
        BOTTLE_OPENED("limited by when the bottle was opened"),
        BOTTLE_BEST_BEFORE("limited by the bottle's best before"),
        FIRST_OIL("limited by the oil it is made in, which has its own date"),
        CAP("limited by the longest such an oil may be kept"),
        WATER("limited by the water that lay under it: keep it in the refrigerator"),
        SCORCHED("limited by the heat it was given"),
        FOOD_RULE("limited by the food rule"),
        MOIST_FOOD("the rule for food: " + MoistFood.RULE);

        private final String words;

        LimitedBy(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }
}
