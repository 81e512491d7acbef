package app.velvetcrock.press;

import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.measure.Decimals;
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
