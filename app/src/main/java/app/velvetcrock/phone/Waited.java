package app.velvetcrock.phone;

import com.google.re2j.Pattern;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** What may wait on a device for the network, how long, and when it was done. */
public final class Waited {

    /** Keys are remembered longer than that. */
    private static final Duration LONGEST = Duration.ofDays(60);

    public static final String TOO_LONG_AGO =
            "That is longer ago than 60 days. If it is still to be written, write it with its day.";

    /**
     * Forms of what is done with one's hands, standing: at the jars, the press, the pan, the cupboard, the stall and the stores. What is
     * planned, printed, set or searched for is done where the house answers. Written so that a browser reads it as this one does.
     */
    static final String FORMS =
            "^/(round|batch|conditions|press|pan|cupboard|pictures|stores/(lots|deeds|drying|to-buy|herbs|carriers|jars"
                    + "|supplies|containers|list))(/.*)?$";

    private static final String ELSEWHERE =
            "^/(batch/[^/]+/plan|pan/(begin|to-buy|recipes|waiting)|pan/recipes/.*|cupboard/(people|recall).*|press)$";

    private static final Pattern MAY = Pattern.compile(FORMS);
    private static final Pattern MAY_NOT = Pattern.compile(ELSEWHERE);

    private Waited() {}

    static boolean may(String path) {
        return MAY.matches(path) && !MAY_NOT.matches(path);
    }

    /** The forms that may not, of those that are named by {@link #FORMS}. */
    static String elsewhere() {
        return ELSEWHERE;
    }

    /**
     * When it was done by this house's clock: as long ago as it is by the device's, whatever that shows; never in the future. Empty where
     * either moment cannot be read.
     *
     * @param at when it was tapped, {@code sent} when it is sent, both by the device's clock
     */
    public static Optional<Instant> moment(@Nullable String at, @Nullable String sent, Instant now) {
        try {
            Duration ago = Duration.between(Instant.parse(String.valueOf(at)), Instant.parse(String.valueOf(sent)));
            return Optional.of(ago.isNegative() ? now : now.minus(ago));
        } catch (DateTimeException | ArithmeticException unreadable) {
            return Optional.empty();
        }
    }

    public static boolean isTooLongAgo(Instant at, Instant now) {
        return at.isBefore(now.minus(LONGEST));
    }
}
