package app.velvetcrock.rounds;

import app.velvetcrock.batch.Makings;
import app.velvetcrock.condition.Conditions;
import app.velvetcrock.core.pan.MakingCourse;
import app.velvetcrock.core.rounds.AtThePan;
import app.velvetcrock.core.rounds.Coming;
import app.velvetcrock.pan.PanWaiting;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What is to be done at the pan: the next step of each making, and in the calendar those whose time is known. */
@Component
class PanTasks {

    private final Makings makings;
    private final Conditions conditions;
    private final PanWaiting waiting;
    private final Households households;
    private final Clock clock;

    PanTasks(Makings makings, Conditions conditions, PanWaiting waiting, Households households, Clock clock) {
        this.makings = makings;
        this.conditions = conditions;
        this.waiting = waiting;
        this.households = households;
        this.clock = clock;
    }

    /** The next step of each making, as rows. */
    List<Row> rows() {
        House house = households.current();
        Instant now = clock.instant();
        List<Row> rows = new ArrayList<>();
        for (Makings.Sheet sheet : makings.inThePan()) {
            sheet.course().next().ifPresent(step -> rows.add(row(sheet, step, wrong(sheet), house, now)));
        }
        waiting.all().stream()
                .filter(PanWaiting.Waits::ready)
                .map(waits -> new Row(
                        waits.batch(),
                        AtThePan.WAITING,
                        Row.State.DUE,
                        now,
                        false,
                        "",
                        "Make " + waits.what(),
                        "batch %d".formatted(waits.number()),
                        waits.small(),
                        waits.href(),
                        null))
                .forEach(rows::add);
        return rows;
    }

    /** What is wrong with what is in the pan, before all else: "! in it: Yarrow oil, batch 4, smells off; ". */
    private String wrong(Makings.Sheet sheet) {
        return conditions.open().stream()
                .filter(told -> told.isOfBatch(sheet.id()))
                .map(told -> "! %s; ".formatted(told.at(sheet.id(), null).word()))
                .collect(Collectors.joining());
    }

    private static Row row(Makings.Sheet sheet, MakingCourse.Step step, String wrong, House house, Instant now) {
        boolean late = step.isLate(now);
        boolean later = step.from().filter(now::isBefore).isPresent();
        Instant at = step.from().orElse(now);
        LocalDate today = house.dayOf(now);
        Row.State state = late
                ? Row.State.LATE
                : !later ? Row.State.DUE : house.dayOf(at).equals(today) ? Row.State.LATER : Row.State.COMING;
        return new Row(
                sheet.id(),
                AtThePan.key(sheet.course(), step),
                state,
                at,
                step.from().isPresent(),
                step.from().map(house::time).orElse("now"),
                what(step, sheet.course()),
                sheet.name(),
                wrong
                        + step.until()
                                .map(until -> (late ? "sets in the pan since " : "till ") + house.time(until))
                                .orElse("in the pan"),
                "/pan/" + sheet.id(),
                null);
    }

    private static String what(MakingCourse.Step step, MakingCourse course) {
        String word = step.addition().map(one -> "stir in " + one.spoken()).orElse(course.word(step.step()));
        return word.substring(0, 1).toUpperCase(Locale.ROOT) + word.substring(1);
    }

    /** The steps whose moment is known, each an event of its own identity. */
    List<CalendarFile.AtThePan> events() {
        List<CalendarFile.AtThePan> events = new ArrayList<>();
        for (Makings.Sheet sheet : makings.inThePan()) {
            for (MakingCourse.Step step : sheet.course().steps()) {
                AtThePan.task(sheet.course(), step)
                        .ifPresent(task -> events.add(new CalendarFile.AtThePan(
                                Coming.named(sheet.id(), task.key()),
                                "/pan/" + sheet.id(),
                                task.due(),
                                "%s%s: %s, batch %d"
                                        .formatted(
                                                wrong(sheet), what(step, sheet.course()), sheet.name(), sheet.number()),
                                sheet.lines().size())));
            }
        }
        return events;
    }
}
