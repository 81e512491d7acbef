package app.velvetcrock.core.timetable;

import java.time.Duration;
import java.util.List;
import java.util.Optional;

/**
 * Whether wet herb is tepid too long when its heat is cut into sessions: every hour between 10 and 40 °C after charging counts,
 * and four are the most
 * (craft: heat).
 *
 * @param sessions how many times it is put on the heat
 * @param tepid time it spends between 10 and 40 °C with the refrigerator between sessions
 */
public record WetHerb(int sessions, Duration tepid) {

    private static final Duration MOST = Duration.ofHours(4);

    /** [E] From the band down past 10 °C, moved to the refrigerator at once. */
    private static final Duration COOLING = Duration.ofMinutes(60);

    /**
     * Judges the wet heat of a timetable; empty where nothing wet is heated.
     *
     * @param warmUp what each session pays
     */
    public static Optional<WetHerb> of(Timetable timetable, Duration warmUp) {
        return timetable.placed().stream()
                .filter(placed -> placed.step() instanceof Step.Heat heat && heat.wet())
                .findFirst()
                .map(placed -> {
                    int sessions = placed.spans().size();
                    return new WetHerb(
                            sessions, warmUp.multipliedBy(sessions).plus(COOLING.multipliedBy(sessions - 1L)));
                });
    }

    /** The most sessions that stay within four hours. */
    public static int mostSessions(Duration warmUp) {
        int sessions = 1;
        while (warmUp.multipliedBy(sessions + 1L)
                        .plus(COOLING.multipliedBy(sessions))
                        .compareTo(MOST)
                <= 0) {
            sessions++;
        }
        return sessions;
    }

    /** Tells whether no days these hours have can give its heat in few enough sessions, so that none need be tried. */
    static boolean alwaysTurns(List<Step> steps, HomeHours hours) {
        Duration earns = hours.longest().minus(hours.warmUp());
        int sessions = mostSessions(hours.warmUp());
        return steps.stream()
                .anyMatch(step -> step instanceof Step.Heat heat
                        && heat.wet()
                        && !heat.alone()
                        && (earns.isNegative() || earns.multipliedBy(sessions).compareTo(heat.heat()) < 0));
    }

    public boolean isTooLong() {
        return tepid.compareTo(MOST) > 0;
    }

    /** Tells whether it must go into the refrigerator between sessions. */
    public boolean wantsRefrigerator() {
        return sessions > 1;
    }

    /** The hours of somebody at home that each of so many sessions wants, so that they are few enough. */
    public static Duration hoursEach(Duration heat, Duration warmUp) {
        return heat.dividedBy(mostSessions(warmUp)).plus(warmUp);
    }
}
