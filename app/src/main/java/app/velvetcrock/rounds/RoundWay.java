package app.velvetcrock.rounds;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.rounds.Round;
import app.velvetcrock.core.rounds.Rounds;
import app.velvetcrock.core.rounds.Task;
import app.velvetcrock.stillroom.Households;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The way of today's round: the jars that want a look or a shake, or had it today, and whatever is suspect. */
@Component
class RoundWay {

    /** What is done jar by jar, standing before it; heat has its watch. */
    static final Set<TaskKind> AT_THE_JAR = Set.of(TaskKind.SHAKE, TaskKind.LOOK, TaskKind.PUSH_UNDER);

    private final Batches batches;
    private final Households households;
    private final Clock clock;

    RoundWay(Batches batches, Households households, Clock clock) {
        this.batches = batches;
        this.households = households;
        this.clock = clock;
    }

    /**
     * The way with its jars.
     *
     * @param open what is asked of each today and may be done
     */
    record Way(Round round, Map<UUID, BatchSheet> sheets, Map<UUID, List<Task>> open) {

        Optional<Task> task(UUID batch, TaskKind kind) {
            return open.getOrDefault(batch, List.of()).stream()
                    .filter(task -> task.key().kind() == kind)
                    .findFirst();
        }

        /** Its name, with its number where another goes by the same. */
        String called(BatchSheet sheet) {
            boolean alone = sheets.values().stream()
                            .filter(other -> other.name().equals(sheet.name()))
                            .count()
                    == 1;
            return alone ? sheet.name() : "%s %d".formatted(sheet.name(), sheet.number());
        }
    }

    /** {@code all}: every jar that stands, whether it asks for anything or not. */
    @Transactional(readOnly = true)
    public Way way(boolean all) {
        RoundsService.Today today = RoundsService.Today.of(clock.instant(), households.current());
        Map<UUID, BatchSheet> sheets = new LinkedHashMap<>();
        Map<UUID, List<Task>> open = new LinkedHashMap<>();
        List<Round.Stop> stops = new ArrayList<>();
        for (BatchSheet sheet : batches.standing()) {
            List<Task> asked = sheet.open().stream()
                    .filter(task -> AT_THE_JAR.contains(task.key().kind())
                            && task.due().isBefore(today.end())
                            && sheet.holding(task.held()).isEmpty())
                    .toList();
            boolean done = isDone(sheet, today);
            boolean suspect = sheet.condition().isPresent();
            sheets.put(sheet.id(), sheet);
            open.put(sheet.id(), asked);
            if (all || done || suspect || !asked.isEmpty()) {
                stops.add(new Round.Stop(
                        sheet.id(), sheet.number(), suspect, asked.isEmpty() && (done || suspect || !all)));
            }
        }
        return new Way(new Round(stops), sheets, open);
    }

    /** Seen to today: by what was asked, or by a look nobody had asked for. */
    private static boolean isDone(BatchSheet sheet, RoundsService.Today today) {
        return Rounds.doneBetween(sheet.log(), today.start(), today.end()).stream()
                        .anyMatch(task -> AT_THE_JAR.contains(task.key().kind()))
                || sheet.log().entries().stream()
                        .anyMatch(entry -> entry.line() instanceof Line.Looked
                                && !entry.happenedAt().isBefore(today.start()));
    }
}
