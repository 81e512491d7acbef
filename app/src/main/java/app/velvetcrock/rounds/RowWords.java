package app.velvetcrock.rounds;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.core.charge.Cover;
import app.velvetcrock.core.course.HeatCourse;
import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.keeping.MoistFood;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.method.Pace;
import app.velvetcrock.core.method.Stage;
import app.velvetcrock.core.method.Variants;
import app.velvetcrock.core.rounds.Coming;
import app.velvetcrock.core.rounds.Task;
import app.velvetcrock.core.spirit.SpiritFire;
import app.velvetcrock.stillroom.House;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/** Puts tasks into the few words of a row. */
final class RowWords {

    private static final double MINUTES_PER_HOUR = 60;

    private final House house;
    private final RoundsService.Today today;
    private final Map<UUID, Stock.OfOil> firstToEnd;

    /** Names that more than one batch of these rows goes by. */
    private final Set<String> repeated;

    RowWords(House house, RoundsService.Today today, Map<UUID, Stock.OfOil> firstToEnd, Set<String> repeated) {
        this.repeated = repeated;
        this.house = house;
        this.today = today;
        this.firstToEnd = firstToEnd;
    }

    /** A task with its batch and where it stands in time. */
    record Found(BatchSheet sheet, Task task, Row.State state) {}

    Row row(Found found) {
        Task task = found.task();
        BatchSheet sheet = found.sheet();
        return new Row(
                sheet.id(),
                task.key(),
                found.state(),
                task.due(),
                true,
                when(found),
                what(found),
                repeated.contains(sheet.name()) ? sheet.name() + " " + sheet.number() : sheet.name(),
                why(found),
                leadsTo(found).orElse(null),
                task.entry().orElse(null));
    }

    private String when(Found found) {
        Task task = found.task();
        LocalDate due = house.dayOf(task.due());
        if (task.key().kind() == TaskKind.USE_FIRST
                && firstToEnd.containsKey(found.sheet().id())) {
            return house.shortDay(firstToEnd.get(found.sheet().id()).useBy());
        }
        return switch (found.state()) {
            case LATE -> {
                long days = ChronoUnit.DAYS.between(due, today.date());
                yield days == 0 ? time(task) : days + " d late";
            }
            case COMING -> found.sheet().course().stage().pace() == Pace.HOURS
                    ? house.weekday(due) + " " + time(task)
                    : house.weekday(due);
            case DONE -> house.time(task.due());
            case DUE, LATER -> time(task);
        };
    }

    private String time(Task task) {
        return house.time(Coming.rounded(task));
    }

    private String what(Found found) {
        TaskKind kind = found.task().key().kind();
        boolean turn = kind == TaskKind.SHAKE && found.sheet().plan().found().cover() == Cover.COVERS_PUSHED_UNDER;
        if (kind == TaskKind.USE_FIRST && daysLeft(found.sheet()) < 0) {
            return "Past its date";
        }
        if (kind == TaskKind.NEXT) {
            return "Next: " + found.sheet().course().next().map(Stage::name).orElse("strain");
        }
        if (kind == TaskKind.SHAKE && found.sheet().course().stage().key().equals(Variants.WINDOW_STAGE)) {
            return "Loosen and shake, three times today";
        }
        return turn
                ? "Shake, turn under"
                : kind == TaskKind.READ && isProbed(found)
                        ? "Too hot"
                        : kind == TaskKind.READ && isUnseen(found) ? "Look at it now" : kind.word();
    }

    private static boolean isUnseen(Found found) {
        return found.state() != Row.State.DONE
                && found.sheet().course().heat().flatMap(HeatCourse::unseen).isPresent();
    }

    /** Tells whether a probe reads it, so that nobody is asked what it reads, but to do something about it. */
    private static boolean isProbed(Found found) {
        return found.state() != Row.State.DONE
                && found.sheet()
                        .course()
                        .heat()
                        .flatMap(heat -> heat.probe().speaks())
                        .isPresent();
    }

    /** Why it is asked, and of spirit at every step what its vapour does. */
    private String why(Found found) {
        String why = asked(found);
        return found.sheet().course().spirit() && found.state() != Row.State.DONE
                ? why + (why.isEmpty() ? "" : "; ") + SpiritFire.SHORT
                : why;
    }

    private String asked(Found found) {
        BatchSheet sheet = found.sheet();
        return switch (found.task().key().kind()) {
            case SHAKE -> sheet.course().stage().pace() == Pace.DAYS
                    ? "day %d of %d"
                            .formatted(sheet.course().day(), sheet.course().length())
                    : "in its %s"
                            .formatted(sheet.course()
                                    .stage()
                                    .pace()
                                    .words(sheet.course().length()));
            case LOOK -> "smell, cover, mould";
            case PUSH_UNDER -> "stood out of the oil " + ago(found);
            case HEAT_ON -> sheet.course().heat().map(RowWords::left).orElse("");
            case READ -> sheet.heatAlarm(house)
                    .orElseGet(() -> sheet.course().heat().map(this::heat).orElse(""));
            case WATER -> sheet.course()
                    .heat()
                    .flatMap(HeatCourse::water)
                    .map(water -> water.topped()
                            .map(at -> "topped up last at " + house.time(at))
                            .orElse("not topped up yet"))
                    .orElse("");
            case HEAT_OFF -> sheet.course()
                            .heat()
                            .map(heat -> left(heat) + paused(found))
                            .orElse("") + "; no lid until cool";
            case NEXT -> "%s has had its time".formatted(sheet.course().stage().name());
            case STRAIN -> sheet.course().overdueDays() > 0
                    ? "%s over; %s back"
                            .formatted(
                                    house.days(sheet.course().overdueDays()),
                                    house.about(sheet.forecast().expected()))
                    : house.about(sheet.forecast().expected()) + " back";
            case DECANT -> "settled a day; measure again";
            case USE_FIRST -> useFirst(sheet);
            case FRIDGE_IN -> "wet herb breeds germs while it is tepid: cold till it is heated again";
            case FRIDGE_OUT -> "to be put on the heat again";
            case SPIRIT_GONE -> "by weight and by smell";
            case PAN -> "";
        };
    }

    /** Nobody is home for the rest of it, so it comes off before it is done. */
    private static String paused(Found found) {
        return found.sheet()
                        .foresight()
                        .heatDone()
                        .filter(last ->
                                last.key().ordinal() > found.task().key().ordinal())
                        .isPresent()
                ? ", in another session"
                : "";
    }

    private String ago(Found found) {
        long days = ChronoUnit.DAYS.between(house.dayOf(found.task().due()), today.date());
        return days == 0 ? "today" : days == 1 ? "yesterday" : days + " days ago";
    }

    private String heat(HeatCourse heat) {
        String last = heat.latest()
                .map(reading -> house.temperature(reading.temperature()) + " last, ")
                .orElse("");
        return last
                + "%s of %s h"
                        .formatted(
                                hours(heat.trace().credited().minutes()),
                                hours(heat.wanted().minutes()));
    }

    private static String left(HeatCourse heat) {
        return hours(heat.left().toMinutes()) + " h still to go";
    }

    private static String hours(double minutes) {
        return Decimals.upTo(minutes / MINUTES_PER_HOUR, 1);
    }

    private String useFirst(BatchSheet sheet) {
        long days = daysLeft(sheet);
        String food = sheet.plan().isMoistFood()
                ? "food, in the refrigerator: use or freeze it; day %d of %d; "
                        .formatted(MoistFood.DAYS - days, MoistFood.DAYS)
                : "";
        return "batch %d; ".formatted(sheet.number()) + food + whenToUse(days);
    }

    private long daysLeft(BatchSheet sheet) {
        return ChronoUnit.DAYS.between(
                today.date(), Objects.requireNonNull(firstToEnd.get(sheet.id())).useBy());
    }

    private String whenToUse(long days) {
        return days < 0
                ? "by %s: not on skin, throw it out".formatted(house.days(-days))
                : days == 0 ? "its last day" : house.days(days) + " left";
    }

    private Optional<String> leadsTo(Found found) {
        UUID batch = found.sheet().id();
        return switch (found.task().key().kind()) {
            case STRAIN, DECANT -> Optional.of("/press/" + batch);
            case USE_FIRST -> Optional.ofNullable(firstToEnd.get(batch)).map(oil -> "/cupboard/" + oil.id());
            case READ -> isProbed(found) ? Optional.of("/batch/" + batch + "/watch") : Optional.empty();
            default -> Optional.empty();
        };
    }
}
