package app.velvetcrock.core.timetable;

import java.time.Duration;

/** One stretch of the work as a timetable places it. */
public sealed interface Step {

    /** Names it within its batch; a stage's own key for a stage. */
    String key();

    /** In words: "straining". */
    String name();

    /** [E] What somebody who is home can always do between two other things. */
    Duration A_HAND = Duration.ofMinutes(5);

    /** Somebody's hands for so long, without a break. */
    record Hands(String key, String name, Duration length) implements Step {}

    /**
     * So much time that nobody need be there for.
     *
     * @param byHand true where hands begin it, and so it waits for them
     */
    record Wait(String key, String name, Duration length, boolean byHand) implements Step {

        public Wait(String key, String name, Duration length) {
            this(key, name, length, false);
        }
    }

    /**
     * So many calendar days in the household's zone; over on the morning of the last.
     *
     * @param byHand true where hands begin it, and so it waits for them
     */
    record Days(String key, String name, int days, boolean byHand) implements Step {

        public Days(String key, String name, int days) {
            this(key, name, days, false);
        }
    }

    /**
     * So much heat, in one session or several.
     *
     * @param heat heat-hours to earn; each session pays its warm-up besides
     * @param wet true for herb that turns when it is tepid too long
     * @param alone true where it may run on while nobody is there or awake
     * @param attended true where hands are beside it throughout
     */
    record Heat(String key, String name, Duration heat, boolean wet, boolean alone, boolean attended) implements Step {}
}
