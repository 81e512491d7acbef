package app.velvetcrock.core.rounds;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * A round from jar to jar: in the order they stand, which is that of their numbers, suspects last, so that nothing is carried from a bad
 * jar to a good one (craft: look before you shake).
 */
public record Round(List<Stop> stops) {

    public Round {
        stops = stops.stream()
                .sorted(Comparator.comparing(Stop::isSuspect).thenComparing(Stop::number))
                .toList();
    }

    /**
     * A jar on the way.
     *
     * @param isSuspect something is found wrong with it and not answered
     * @param isDone all that was asked of it today is done
     */
    public record Stop(UUID batch, int number, boolean isSuspect, boolean isDone) {}

    public Optional<Stop> at(UUID batch) {
        return stops.stream().filter(stop -> stop.batch().equals(batch)).findFirst();
    }

    /** Where to go on after a jar, or begin: the next that still wants somebody, round about; absent where none does. */
    public Optional<Stop> after(Optional<UUID> batch) {
        int from = batch.map(this::place).orElse(-1);
        for (int step = 1; step <= stops.size(); step++) {
            Stop stop = stops.get(Math.floorMod(from + step, stops.size()));
            if (!stop.isDone() && batch.filter(stop.batch()::equals).isEmpty()) {
                return Optional.of(stop);
            }
        }
        return Optional.empty();
    }

    /** The one beside a jar, done or not, without going round. */
    public Optional<Stop> beside(UUID batch, int step) {
        int place = place(batch) + step;
        return place(batch) < 0 || place < 0 || place >= stops.size()
                ? Optional.empty()
                : Optional.of(stops.get(place));
    }

    /** Its place, counted from 0; −1 where it is not on the way. */
    public int place(UUID batch) {
        for (int at = 0; at < stops.size(); at++) {
            if (stops.get(at).batch().equals(batch)) {
                return at;
            }
        }
        return -1;
    }

    public long done() {
        return stops.stream().filter(Stop::isDone).count();
    }
}
