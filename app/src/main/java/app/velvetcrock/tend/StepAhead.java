package app.velvetcrock.tend;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.core.course.TaskKey;
import app.velvetcrock.core.method.Pace;
import app.velvetcrock.core.rounds.Coming;
import app.velvetcrock.core.rounds.Foresight;
import app.velvetcrock.core.rounds.Task;
import app.velvetcrock.stillroom.House;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** A step still to come, when, and why it takes longer than its plain sum. */
public record StepAhead(String name, List<Stretch> spans, String why) {

    /** From when till when; either may be a task. */
    public record Stretch(Coming from, Coming to) {}

    static List<StepAhead> of(BatchSheet sheet, House house) {
        return sheet.foresight().parts().stream()
                .map(part -> new StepAhead(
                        part.name(),
                        part.stretches().stream()
                                .map(stretch -> stretch(sheet, stretch, house))
                                .toList(),
                        part.warmUp().map(StepAhead::warmUp).orElse("")))
                .toList();
    }

    private static String warmUp(Duration warmUp) {
        return "each time it is put on, %s of it warm it up and earn nothing"
                .formatted(Pace.MINUTES.words(warmUp.toMinutes()));
    }

    private static Stretch stretch(BatchSheet sheet, Foresight.Stretch stretch, House house) {
        Instant from = Coming.rounded(stretch.span().startInclusive());
        boolean now = stretch.begins().isEmpty()
                && stretch.span().startInclusive().equals(sheet.course().now());
        return new Stretch(
                coming(
                        sheet,
                        stretch.begins(),
                        stretch.span().startInclusive(),
                        at -> now ? "now" : house.dayAndTime(at)),
                coming(
                        sheet,
                        stretch.ends(),
                        stretch.span().endExclusive(),
                        at -> !now && house.dayOf(at).equals(house.dayOf(from))
                                ? house.time(at)
                                : house.dayAndTime(at)));
    }

    private static Coming coming(BatchSheet sheet, Optional<TaskKey> key, Instant at, Function<Instant, String> words) {
        return key.map(of -> sheet.coming(Task.open(of, at), words)).orElseGet(() -> Coming.of(at, words));
    }
}
