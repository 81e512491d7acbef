package app.velvetcrock.core.course;

import app.velvetcrock.core.planning.BatchPlan;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What lists of many batches ask of each, derived from its plan and its log; nothing of it depends on the clock or on what was
 * learned since.
 *
 * @param herbs keys of its herbs, each once, in their order
 * @param carriers keys of its oils, each once, in their order
 * @param began the day herb met oil
 * @param ended the day it was strained or thrown out; absent while it stands
 * @param keepsUntil the day its oil is to be used by, as the log last says; absent before straining
 * @param settling true while something in it wants to be decanted
 */
public record Facts(
        Course.State state,
        List<String> herbs,
        List<String> carriers,
        Optional<LocalDate> began,
        Optional<LocalDate> ended,
        Optional<LocalDate> keepsUntil,
        boolean settling) {

    public Facts {
        herbs = List.copyOf(herbs);
        carriers = List.copyOf(carriers);
    }

    /** Derives them; days are the household's own. */
    public static Facts of(BatchPlan plan, Course course, Log log, ZoneId zone) {
        Optional<LocalDate> ended =
                switch (course.state()) {
                    case STRAINED -> course.strainedOn();
                    case DISCARDED -> log.firstAt(Line.Discarded.class)
                            .map(at -> at.atZone(zone).toLocalDate());
                    case STANDING, POURED, NEVER_STARTED -> Optional.empty();
                };
        return new Facts(
                course.state(),
                plan.request().herbs().stream()
                        .map(herb -> herb.kind().key())
                        .distinct()
                        .toList(),
                plan.request().carriers().parts().stream()
                        .map(part -> part.carrier().kind().key())
                        .distinct()
                        .toList(),
                log.firstAt(Line.Charged.class).map(at -> at.atZone(zone).toLocalDate()),
                ended,
                course.state() == Course.State.STRAINED ? keepsUntil(log) : Optional.empty(),
                isSettling(course, log));
    }

    /**
     * Tells whether water, powder or cloud in a strained oil still wants to settle and be decanted; food of anything moist never
     * stands.
     */
    public static boolean isSettling(Course course, Log log) {
        return course.state() == Course.State.STRAINED
                && !course.moistFood()
                && log.last(Line.Strained.class).filter(Line.Strained::settles).isPresent()
                && log.last(Line.Settled.class).isEmpty();
    }

    /** The last line that dated the oil as it was strained; what its bottles say is theirs. */
    public static Optional<LocalDate> keepsUntil(Log log) {
        return log.entries().stream()
                .flatMap(entry -> entry.line() instanceof Line.Strained strained
                        ? Stream.of(strained.keepUntil().date())
                        : entry.line() instanceof Line.Settled settled ? Stream.of(settled.useBy()) : Stream.empty())
                .reduce((first, last) -> last);
    }
}
