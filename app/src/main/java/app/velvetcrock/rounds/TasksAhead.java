package app.velvetcrock.rounds;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.condition.Conditions;
import app.velvetcrock.condition.HeldBack;
import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.look.Held;
import app.velvetcrock.core.rounds.AfterStraining;
import app.velvetcrock.core.rounds.Rounds;
import app.velvetcrock.core.rounds.Task;
import app.velvetcrock.core.timetable.HomeHours;
import app.velvetcrock.hours.Hours;
import app.velvetcrock.stock.Oils;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Every task of the next ninety days, and those that will not be asked any more since their batch has ended. */
@Component
class TasksAhead {

    static final Duration HORIZON = Duration.ofDays(90);

    /** Of so many batches that ended what was still to come is called off. */
    private static final int LATEST_ENDED = 40;

    private final Batches batches;
    private final Oils oils;
    private final Conditions conditions;
    private final Hours hours;
    private final Clock clock;

    TasksAhead(Batches batches, Oils oils, Conditions conditions, Hours hours, Clock clock) {
        this.batches = batches;
        this.oils = oils;
        this.conditions = conditions;
        this.hours = hours;
        this.clock = clock;
    }

    /** Of the whole household. */
    @Transactional(readOnly = true)
    public List<CalendarFile.Event> all() {
        List<BatchSheet> sheets = new ArrayList<>(batches.standing());
        sheets.addAll(batches.finished(Batches.Ended.NEWEST, LATEST_ENDED));
        List<CalendarFile.Event> events = new ArrayList<>(of(sheets));
        Map<UUID, Stock.OfOil> first = new HashMap<>();
        HeldBack held = HeldBack.from(Held.USE, conditions.open());
        oils.left().stream()
                .filter(oil -> held.isFree(oil.batch(), oil.id()))
                .forEach(oil -> first.putIfAbsent(oil.batch(), oil));
        HomeHours home = hours.home();
        for (BatchSheet sheet : batches.among(first.keySet())) {
            AfterStraining.useFirst(
                            sheet.plan(),
                            sheet.log(),
                            Objects.requireNonNull(first.get(sheet.id())).useBy(),
                            home.zone())
                    .filter(task -> !task.due().isAfter(until()))
                    .ifPresent(task -> events.add(new CalendarFile.Event(sheet, task, false)));
        }
        return events;
    }

    /** Of some batches. */
    @Transactional(readOnly = true)
    public List<CalendarFile.Event> of(List<BatchSheet> sheets) {
        HomeHours home = hours.home();
        List<CalendarFile.Event> events = new ArrayList<>();
        for (BatchSheet sheet : sheets) {
            List<Task> wanted = sheet.foresight().until(until());
            wanted.forEach(task -> events.add(new CalendarFile.Event(
                    sheet, task, sheet.holding(task.held()).isPresent())));
            if (sheet.course().state() != Course.State.STANDING) {
                Set<String> kept =
                        wanted.stream().map(task -> task.key().toString()).collect(Collectors.toSet());
                Rounds.calledOff(sheet.course(), sheet.log(), home).stream()
                        .filter(task -> !kept.contains(task.key().toString()))
                        .forEach(task -> events.add(new CalendarFile.Event(sheet, task, true)));
            }
        }
        return events;
    }

    private Instant until() {
        return clock.instant().plus(HORIZON);
    }
}
