package app.velvetcrock.batch;

import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.measure.Volume;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/** A batch as other places and its own page see it. */
public record BatchSheet(UUID id, int number, String name, UUID jar, FrozenPlan frozen, Course course, List<Line> lines) {

    public BatchSheet {
        lines = List.copyOf(lines);
    }

    /**
     * One line of the log in words.
     *
     * @param takenBack true when a later line says that this one does not hold
     * @param canTakeBack true when it can still be taken back from here
     */
    public record Line(
            UUID id, Instant happenedAt, Instant recordedAt, String words, String typed, boolean takenBack, boolean canTakeBack,
            Optional<StrainedValue> strained) {}

    /** What straining gave, when it was strained and that holds. */
    public Optional<StrainedValue> strained() {
        return lines.stream().filter(line -> !line.takenBack()).flatMap(line -> line.strained().stream()).findFirst();
    }

    public Volume oilIn() {
        return frozen.plan().charge().oil();
    }

    /** The word the jar's tag carries. */
    public String tagWord() {
        if (course.overdueDays() > 0) {
            return "strain: %d d over".formatted(course.overdueDays());
        }
        return course.isDue() ? "strain today" : "day %d of %d".formatted(course.day(), course.ofDays());
    }
}
