package app.velvetcrock.upkeep;

import app.velvetcrock.web.upkeep.Clears;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.EnableScheduling;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Clears away what nobody asks for any more, a little at a time, so that no clearing is ever long. */
@Component
@EnableScheduling
public class Clearing {

    private static final Logger LOG = LoggerFactory.getLogger(Clearing.class);

    private static final int AT_ONCE = 5_000;

    private final List<Clears> places;

    Clearing(List<Clears> places) {
        this.places = places;
    }

    /** Every hour, at most so many of each; the rest waits for the next. Two nodes at once clear the same or less. */
    @Scheduled(initialDelayString = "PT10M", fixedDelayString = "PT1H")
    void hourly() {
        int cleared = now();
        if (cleared > 0) {
            LOG.info("{} that were past their time are cleared away", cleared);
        }
    }

    public int now() {
        return places.stream().mapToInt(place -> place.clear(AT_ONCE)).sum();
    }
}
