package app.velvetcrock.core.heat;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** When the water of a bath is looked at next: as long after the last time as it lasted before, less a fifth (craft: heat, water bath). */
public final class BathWater {

    /** [E] Until it was topped up once. */
    private static final Duration AT_FIRST = Duration.ofMinutes(45);

    private static final double LESS = 0.8;

    private BathWater() {}

    /**
     * When to look.
     *
     * @param on when the heat was put on
     * @param toppedUp since then, in order
     * @param seen when somebody last looked without having to; absent for never
     * @param before how long a bath of the household's last lasted before this one; absent for never yet
     */
    public static Instant nextLook(
            Instant on, List<Instant> toppedUp, Optional<Instant> seen, Optional<Duration> before) {
        Instant last = toppedUp.isEmpty() ? on : toppedUp.get(toppedUp.size() - 1);
        Duration lasts = lasted(on, toppedUp)
                .or(() -> before)
                .map(time -> Duration.ofSeconds(Math.round(LESS * time.toSeconds())))
                .orElse(AT_FIRST);
        Instant from = Stream.concat(Stream.of(last), seen.stream())
                .max(Instant::compareTo)
                .orElse(last);
        return from.plus(lasts.compareTo(LEAST) < 0 ? LEAST : lasts);
    }

    /** How long the water lasted before it was last topped up; absent while it never was. */
    public static Optional<Duration> lasted(Instant on, List<Instant> toppedUp) {
        if (toppedUp.isEmpty()) {
            return Optional.empty();
        }
        Instant before = toppedUp.size() < 2 ? on : toppedUp.get(toppedUp.size() - 2);
        return Optional.of(Duration.between(before, toppedUp.get(toppedUp.size() - 1)));
    }

    /** [E] Two top-ups one after the other are one. */
    private static final Duration LEAST = Duration.ofMinutes(10);
}
