package app.velvetcrock.press;

import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.course.Log;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.method.Pace;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The heat a batch has had in all its stages, as it is told when it is strained. */
record HeatHad(Course course) {

    private static final double MINUTES_PER_HOUR = 60;

    /** Tells whether it should have been heated and shows none of it. */
    boolean isNone() {
        return course.method().isHeated()
                && course.traces().stream().allMatch(trace -> trace.credited().minutes() <= 0);
    }

    /** What it was given where that is less than its plan: "2.4 of its 8 heat-hours", "9 of its 35 days"; empty where it had its time. */
    Optional<String> cutShort(Log log) {
        if (course.heat().isPresent()) {
            boolean said = log.all(Line.Noted.class).stream()
                    .anyMatch(note -> note.words().equals(Line.WARMED_UNSEEN));
            return course.heat().filter(heat -> !said && !heat.isEnough()).map(heat -> "%s of its %s heat-hours"
                    .formatted(
                            Decimals.upTo(heat.trace().credited().minutes() / MINUTES_PER_HOUR, 1),
                            Decimals.upTo(heat.wanted().minutes() / MINUTES_PER_HOUR, 1)));
        }
        return course.stage().pace() == Pace.DAYS && course.day() < course.length()
                ? Optional.of("%d of its %d days".formatted(course.day(), course.length()))
                : Optional.empty();
    }

    /** What of its heat was over its ceiling or seen by nobody; empty where nothing was. */
    Optional<String> overOrUnseen() {
        double over = course.traces().stream()
                .mapToDouble(trace -> trace.aboveCeiling().minutes())
                .sum();
        double unseen = course.traces().stream()
                .mapToDouble(trace -> trace.unwatched().minutes())
                .sum();
        String words = Stream.of(
                        over < 1 ? "" : "%s min above the ceiling".formatted(Decimals.upTo(over, 0)),
                        unseen < 1 ? "" : "%s h nobody watched".formatted(Decimals.upTo(unseen / MINUTES_PER_HOUR, 1)))
                .filter(part -> !part.isEmpty())
                .collect(Collectors.joining(", "));
        return words.isEmpty() ? Optional.empty() : Optional.of(words);
    }
}
