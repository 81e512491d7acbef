package app.velvetcrock.core.course;

import app.velvetcrock.core.planning.BatchPlan;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;

/**
 * Where a batch stands on a day, derived from its plan and its log.
 *
 * @param day days since it was charged; the day of charging is 0
 * @param ofDays days the plan gives the stand
 */
public record Course(State state, long day, int ofDays, LocalDate strainOn, Optional<LocalDate> strainedOn) {

    /** What has become of a batch. */
    public enum State {
        STANDING,
        STRAINED,
        /** The start itself was taken back. */
        NEVER_STARTED
    }

    /** Derives the course; entries may come in any order, and a day is the household's own. */
    public static Course of(BatchPlan plan, Collection<Entry> log, LocalDate today, ZoneId zone) {
        List<Entry> valid = standing(log);
        LocalDate charged = day(valid, Entry.Charged.class, zone).orElse(plan.request().circumstances().start());
        Optional<LocalDate> strained = day(valid, Entry.Strained.class, zone);
        boolean started = valid.stream().anyMatch(entry -> entry.what() instanceof Entry.Charged);
        State state = !started ? State.NEVER_STARTED : strained.isPresent() ? State.STRAINED : State.STANDING;
        LocalDate until = strained.orElse(today);
        int days = plan.request().circumstances().days();
        return new Course(state, Math.max(0, ChronoUnit.DAYS.between(charged, until)), days, charged.plusDays(days), strained);
    }

    /** The entries that hold: none that was taken back, and none that takes back. */
    public static List<Entry> standing(Collection<Entry> log) {
        Set<UUID> takenBack = log.stream()
                .map(Entry::what)
                .filter(Entry.TakenBack.class::isInstance)
                .map(what -> ((Entry.TakenBack) what).entry())
                .collect(Collectors.toSet());
        return log.stream()
                .filter(entry -> !(entry.what() instanceof Entry.TakenBack) && !takenBack.contains(entry.id()))
                .toList();
    }

    /** Days past the day of straining; nothing while it still has time. */
    public long overdueDays() {
        return state == State.STANDING ? Math.max(0, day - ofDays) : 0;
    }

    public boolean isDue() {
        return state == State.STANDING && day >= ofDays;
    }

    private static Optional<LocalDate> day(List<Entry> log, Class<?> what, ZoneId zone) {
        return log.stream()
                .filter(entry -> what.isInstance(entry.what()))
                .map(entry -> entry.happenedAt().atZone(zone).toLocalDate())
                .findFirst();
    }
}
