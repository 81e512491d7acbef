package app.velvetcrock.tend;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.label.Says;
import app.velvetcrock.core.rounds.Coming;
import app.velvetcrock.core.rounds.Task;
import app.velvetcrock.labelled.Saying;
import app.velvetcrock.labelled.Truths;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import java.time.Clock;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** What the labels of a jar on its way say, as its page says it. */
@Component
public class JarLabels {

    /** [E] A sheet goes along for so long; what comes later is on its oil's. */
    private static final Duration AHEAD = Duration.ofDays(120);

    private final Batches batches;
    private final Households households;
    private final Clock clock;

    JarLabels(Batches batches, Households households, Clock clock) {
        this.batches = batches;
        this.households = households;
        this.clock = clock;
    }

    public Saying jar(UUID batch) {
        BatchSheet sheet = batches.sheet(batch);
        return new Saying(jar(sheet), Truths.of(sheet, households.current()));
    }

    private Says.Jar jar(BatchSheet sheet) {
        JarLabel label = JarLabel.of(sheet, households.current());
        Coming until = label.until();
        return new Says.Jar(
                wrong(sheet),
                label.title(),
                label.herbs().stream()
                        .map(herb -> herb.share() + herb.botanical() + herb.state())
                        .toList(),
                label.carrier() + label.ratio(),
                label.amounts(),
                "Charged %s, %s%s"
                        .formatted(label.charged(), label.untilHead(), until == null ? "" : " " + until.words()),
                label.more().stream()
                        .map(more -> new Says.Told(more.strong(), more.words()))
                        .toList(),
                label.cautions(),
                label.number());
    }

    private static List<String> wrong(BatchSheet sheet) {
        return sheet.condition()
                .map(told -> List.of(told.word() + ": keep back"))
                .orElse(List.of());
    }

    /** For its lid. */
    public Saying dot(UUID batch) {
        BatchSheet sheet = batches.sheet(batch);
        House house = households.current();
        return new Saying(
                new Says.LidDot(
                        wrong(sheet),
                        sheet.name(),
                        house.date(sheet.strainOn(house)),
                        "batch %d".formatted(sheet.number())),
                Truths.of(sheet, house));
    }

    /** The sheet that goes along with it: what is still to come, with room to write. */
    public Saying sheet(UUID batch) {
        BatchSheet sheet = batches.sheet(batch);
        House house = households.current();
        // What is done every day is one line: its first.
        Map<TaskKind, Task> first = new LinkedHashMap<>();
        sheet.foresight()
                .until(clock.instant().plus(AHEAD))
                .forEach(task -> first.putIfAbsent(task.key().kind(), task));
        List<String> steps = first.values().stream()
                .map(task -> "%s, %s"
                        .formatted(
                                house.dayAndTime(task.due()), task.key().kind().word()))
                .toList();
        return new Saying(new Says.Sheet(jar(sheet), steps), Truths.of(sheet, house));
    }
}
