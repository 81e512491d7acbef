package app.velvetcrock.core.course;

import app.velvetcrock.core.charge.Charge;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Pace;
import app.velvetcrock.core.method.Stage;
import app.velvetcrock.core.planning.BatchPlan;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.Collection;
import java.util.Optional;

/**
 * Where a batch stands at a moment, derived from its plan and its log.
 *
 * @param day days since it was charged; the day of charging is 0
 * @param length what the plan gives the stage, in the stage's pace
 * @param charge what is really in the vessel: as weighed and poured, with every top-up
 * @param standsOut true when the last look found herb above the oil and nothing was done about it since
 */
public record Course(
        State state, Stage stage, Instant chargedAt, long day, int length, LocalDate strainOn, Optional<LocalDate> strainedOn, Charge charge,
        boolean standsOut, Optional<HeatCourse> heat) {

    /** What has become of a batch. */
    public enum State {
        STANDING,
        STRAINED,
        /** Thrown out before it was strained. */
        DISCARDED,
        /** The start itself was taken back. */
        NEVER_STARTED
    }

    /** Derives the course; entries may come in any order, and a day is the household's own. */
    public static Course of(BatchPlan plan, Collection<Entry> all, Instant now, ZoneId zone) {
        Log log = Log.of(all);
        var how = plan.request().circumstances();
        Stage stage = how.method().first();
        Optional<Instant> started = log.firstAt(Entry.Charged.class);
        Instant charged = started.orElseGet(() -> how.start().atTime(12, 0).atZone(zone).toInstant());
        LocalDate chargedOn = charged.atZone(zone).toLocalDate();
        Optional<LocalDate> strained = log.firstAt(Entry.Strained.class).map(at -> at.atZone(zone).toLocalDate());
        State state = started.isEmpty() ? State.NEVER_STARTED : strained.isPresent() ? State.STRAINED
                : log.last(Entry.Discarded.class).isPresent() ? State.DISCARDED : State.STANDING;
        LocalDate until = strained.orElse(now.atZone(zone).toLocalDate());
        LocalDate strainOn = stage.pace().after(charged, how.length(), zone).atZone(zone).toLocalDate();
        Optional<HeatCourse> heat = stage.isHeated() ? Optional.of(HeatCourse.of(stage, how.length(), charged, log)) : Optional.empty();
        return new Course(state, stage, charged, Math.max(0, ChronoUnit.DAYS.between(chargedOn, until)), how.length(), strainOn, strained,
                charge(plan.charge(), log), standsOut(log), heat);
    }

    /** Days past the day of straining; nothing while it still has time. */
    public long overdueDays() {
        return isDue() && stage.pace() == Pace.DAYS ? day - length : 0;
    }

    /** Tells whether the stage has had its time: its days, or its heat-hours. */
    public boolean isDue() {
        return state == State.STANDING && heat.map(HeatCourse::isEnough).orElse(day >= length);
    }

    /** How much of the stage is done, 0 to 1. */
    public double progress() {
        double done = heat.map(h -> h.trace().credited().minutes() / h.wanted().minutes()).orElse(day / (double) length);
        return state == State.STRAINED ? 1 : Math.max(0, Math.min(1, done));
    }

    private static Charge charge(Charge planned, Log log) {
        Charge really = log.last(Entry.Charged.class)
                .map(said -> new Charge(planned.herbs().times(said.herb().grams() / planned.herbs().mass().grams()), said.oil(), planned.vessel(), planned.headspace()))
                .orElse(planned);
        Volume added = log.all(Entry.ToppedUp.class).stream().map(Entry.ToppedUp::oil).reduce(Volume.ZERO, Volume::plus);
        return really.withOil(really.oil().plus(added));
    }

    private static boolean standsOut(Log log) {
        boolean out = false;
        for (Entry entry : log.entries()) {
            if (entry.what() instanceof Entry.Looked looked) {
                out = looked.look().standsOut();
            } else if (entry.what() instanceof Entry.ToppedUp || entry.what().task().filter(key -> key.kind() == TaskKind.PUSH_UNDER).isPresent()) {
                out = false;
            }
        }
        return out;
    }
}
