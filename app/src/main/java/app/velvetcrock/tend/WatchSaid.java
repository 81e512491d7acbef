package app.velvetcrock.tend;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.core.course.HeatCourse;
import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.rounds.Coming;
import app.velvetcrock.core.rounds.Task;
import app.velvetcrock.stillroom.House;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** What the watch says is to be done, sentence by sentence. */
final class WatchSaid {

    private static final double MINUTES = 60;

    private WatchSaid() {}

    /** What to do now, where nothing is wrong. */
    static List<Watch.Said> of(BatchSheet sheet, HeatCourse heat, House house, Instant now) {
        if (sheet.course().isDue()) {
            return heat.on()
                    ? List.of(new Watch.Said(
                            "It has had its heat-hours: take it off the heat, lid off until it is cool.", null))
                    : said(
                            List.of(new Watch.Said("It has had its heat-hours.", null)),
                            cooling(heat, house),
                            sheet.foresight()
                                    .straining()
                                    .filter(task -> sheet.isCooling())
                                    .map(task -> new Watch.Said("Strain it about", sheet.coming(task, house::time)))
                                    .or(() -> Optional.of(new Watch.Said("Strain it.", null))));
        }
        if (!heat.on()) {
            return said(
                    List.of(new Watch.Said("The heat is off.", null)),
                    cooling(heat, house),
                    Optional.of(new Watch.Said(
                            "%s h are still to go."
                                    .formatted(Decimals.upTo(heat.left().toMinutes() / MINUTES, 1)),
                            null)));
        }
        Optional<Task> read = due(sheet, TaskKind.READ);
        boolean late = read.filter(task -> now.isAfter(task.due())).isPresent();
        Optional<Watch.Said> reading = read.map(task -> new Watch.Said(
                late ? "Read it now: it was to be read by" : "Read it again by", sheet.coming(task, house::time)));
        Optional<Watch.Said> water = water(sheet, house);
        return said(
                late ? List.of() : List.of(new Watch.Said("Nothing to do.", null)),
                reading,
                water,
                reading.isEmpty() && water.isEmpty()
                        ? Optional.of(new Watch.Said("Stay near it.", null))
                        : Optional.empty());
    }

    /** What is wrong, and when to look at the water besides. */
    static List<Watch.Said> alarm(String words, BatchSheet sheet, House house) {
        return said(List.of(new Watch.Said(words, null)), water(sheet, house));
    }

    @SafeVarargs
    private static List<Watch.Said> said(List<Watch.Said> first, Optional<Watch.Said>... then) {
        return Stream.concat(first.stream(), Stream.of(then).flatMap(Optional::stream))
                .toList();
    }

    /** When to look at the water; absent where the heat is off or there is none. */
    private static Optional<Watch.Said> water(BatchSheet sheet, House house) {
        return due(sheet, TaskKind.WATER)
                .map(task -> new Watch.Said(
                        sheet.course()
                                .heat()
                                .flatMap(HeatCourse::water)
                                .flatMap(HeatCourse.Water::topped)
                                .map(at ->
                                        "The water was last topped up at %s: look at it by".formatted(house.time(at)))
                                .orElse("Look at the water by"),
                        sheet.coming(task, house::time)));
    }

    private static Optional<Watch.Said> cooling(HeatCourse heat, House house) {
        return heat.lidFrom().map(at -> new Watch.Said("Cool enough for a lid about", Coming.of(at, house::time)));
    }

    static Optional<Task> due(BatchSheet sheet, TaskKind kind) {
        return sheet.open().stream().filter(task -> task.key().kind() == kind).findFirst();
    }
}
