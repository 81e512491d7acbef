package app.velvetcrock.core.keeping;

import java.time.Duration;

/**
 * The rule for food oil of anything moist: garlic, chilli, any herb above 12 % water [S: US extension and FDA consumer guidance
 * on botulism in oil]. The poison has no smell, so
 * nothing lengthens it and nobody overrides it.
 */
public final class MoistFood {

    /** Days it may be used in, from the moment herb meets oil; or it is frozen within them. */
    public static final int DAYS = 4;

    /** It is as cold as a refrigerator this soon after the pan. */
    public static final Duration COLD_WITHIN = Duration.ofHours(2);

    /** [E] Cooled in cold water, so that it is strained and cold in time. */
    public static final Duration COOLING = Duration.ofMinutes(30);

    public static final String RULE =
            "at 4 °C (39 °F) or colder within 2 hours, used or frozen within 4 days of herb meeting oil";

    private MoistFood() {}
}
