package app.velvetcrock.rounds;

import app.velvetcrock.batch.Deeds;
import app.velvetcrock.core.deed.Deed;
import app.velvetcrock.core.text.Linear;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.NotHere;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Takes back several lines at once: all of them, or, where one may not be taken back, none. */
@Component
class TakingBack {

    private final Deeds deeds;
    private final Clock clock;

    TakingBack(Deeds deeds, Clock clock) {
        this.deeds = deeds;
        this.clock = clock;
    }

    /** {@code entries}: each a batch and a line of its log, parted by a point, in the order they were written. */
    @Transactional
    public void all(List<String> entries) {
        for (int one = entries.size() - 1; one >= 0; one--) {
            String[] parts = Linear.split(entries.get(one), "\\.");
            if (parts.length != 2) {
                throw new NotHere("that line");
            }
            deeds.done(
                    id(parts[0]),
                    Current.doing(new Deed.TakeBack(id(parts[1])), UUID.randomUUID(), clock.instant(), ""));
        }
    }

    private static UUID id(String written) {
        try {
            return UUID.fromString(written);
        } catch (IllegalArgumentException none) {
            throw new NotHere("that line");
        }
    }
}
