package app.velvetcrock.batch;

import app.velvetcrock.core.course.Entry;
import app.velvetcrock.core.course.TaskKey;
import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.look.Look;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.stillroom.House;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Reads the lines of a log: for the core as what was said, for people in words. */
@Component
class LogWords {

    private final Json json;

    LogWords(Json json) {
        this.json = json;
    }

    Entry.What what(BatchEntry entry) {
        Optional<TaskKey> task = Optional.ofNullable(entry.task).map(TaskKey::parse);
        return switch (entry.kind) {
            case CHARGED -> json.read(entry.value, Entry.Charged.class);
            case TOPPED_UP -> json.read(entry.value, Entry.ToppedUp.class);
            case TENDED -> new Entry.Tended(task.orElseThrow());
            case LOOKED -> new Entry.Looked(task, json.read(entry.value, Look.class));
            case HEAT -> new Entry.Heat(task, json.read(entry.value, Temperature.class));
            case STRAINED -> {
                StrainedValue value = json.read(entry.value, StrainedValue.class);
                yield new Entry.Strained(
                        value.out(), value.pressing(), !value.seen().signs().isEmpty());
            }
            case SETTLED -> {
                LogValue.Settled value = json.read(entry.value, LogValue.Settled.class);
                yield new Entry.Settled(value.left(), value.water());
            }
            case SNIFFED -> new Entry.Sniffed(
                    json.read(entry.value, LogValue.Sniffed.class).passed());
            case DISCARDED -> {
                LogValue.Discarded value = json.read(entry.value, LogValue.Discarded.class);
                yield new Entry.Discarded(value.ruin(), value.lesson());
            }
            case BOTTLED, NOTED -> new Entry.Noted(entry.typed);
            case TAKEN_BACK -> new Entry.TakenBack(entry.correctsId);
        };
    }

    String of(BatchEntry entry, House house) {
        return switch (entry.kind) {
            case CHARGED -> {
                Entry.Charged value = json.read(entry.value, Entry.Charged.class);
                yield "Charged: %s of herb, %s of oil".formatted(house.mass(value.herb()), house.volume(value.oil()));
            }
            case TOPPED_UP -> {
                Entry.ToppedUp value = json.read(entry.value, Entry.ToppedUp.class);
                yield "Topped up with %s from %s"
                        .formatted(house.volume(value.oil()), value.bottle().name());
            }
            case TENDED -> tended(TaskKey.parse(entry.task).kind());
            case LOOKED -> "Looked: " + json.read(entry.value, Look.class).words();
            case HEAT -> "Read " + house.temperature(json.read(entry.value, Temperature.class));
            case STRAINED -> strained(json.read(entry.value, StrainedValue.class), house);
            case SETTLED -> settled(json.read(entry.value, LogValue.Settled.class), house);
            case BOTTLED -> json.read(entry.value, LogValue.Bottled.class).words();
            case SNIFFED -> {
                LogValue.Sniffed value = json.read(entry.value, LogValue.Sniffed.class);
                yield value.passed()
                        ? "Sniffed and good: use by %s, %s".formatted(house.date(value.useBy()), value.why())
                        : "Sniffed, and not good";
            }
            case DISCARDED -> {
                LogValue.Discarded value = json.read(entry.value, LogValue.Discarded.class);
                yield "Thrown out: %s. %s"
                        .formatted(value.ruin().word(), value.lesson())
                        .strip();
            }
            case NOTED -> entry.typed;
            case TAKEN_BACK -> "Took a line back";
        };
    }

    private static String tended(TaskKind kind) {
        return switch (kind) {
            case SHAKE -> "Shaken";
            case PUSH_UNDER -> "Herb pushed under";
            case HEAT_ON -> "Heat on";
            case HEAT_OFF -> "Heat off";
            case NEXT -> "Next stage begun";
            default -> kind.word() + ": done";
        };
    }

    private static String strained(StrainedValue value, House house) {
        String words = "Strained, %s: %s came out".formatted(value.pressing().word(), house.volume(value.out()));
        String seen = "; %s, %s"
                .formatted(value.seen().clarity().word(), value.seen().smell().word());
        String water = value.seen().water().millilitres() > 0
                ? ", %s of water under it".formatted(house.volume(value.seen().water()))
                : "";
        return words
                + seen
                + water
                + (value.seen().colour().isBlank() ? "" : ", " + value.seen().colour());
    }

    private static String settled(LogValue.Settled value, House house) {
        return "Settled and decanted: %s left, %s of water under it"
                .formatted(house.volume(value.left()), house.volume(value.water()));
    }
}
