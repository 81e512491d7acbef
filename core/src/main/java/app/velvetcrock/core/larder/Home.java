package app.velvetcrock.core.larder;

import app.velvetcrock.core.charge.Charge;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.timetable.Booking;
import app.velvetcrock.core.timetable.HomeHours;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Supplier;

/**
 * When somebody is at home, and what is going on there.
 *
 * @param hours as they are where nothing is known of what heats
 * @param warming the same for a way, a vessel and what is in it: heat warms up as its source was seen to do
 * @param standing what stands already and takes hands or a source of heat
 * @param sources how many there are of each source of heat, by its name
 */
public record Home(HomeHours hours, Warming warming, Supplier<List<Booking>> standing, Map<String, Integer> sources) {

    /** How long what heats a way takes to warm a charge up. */
    @FunctionalInterface
    public interface Warming {
        HomeHours of(Method way, UUID stand, Charge charge);
    }
}
