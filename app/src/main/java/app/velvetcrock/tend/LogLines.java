package app.velvetcrock.tend;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.core.course.Entry;
import app.velvetcrock.core.course.HeatCourse;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.heat.HeatReading;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.stillroom.House;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** The log of a batch as its page shows it: shakes and looks that found all well are folded, but for the latest. */
final class LogLines {

    /** So many that say no more than that all went its way are folded. */
    private static final int FOLDED = 4;

    /** The latest are read most, and corrected most: they stay as they are. */
    private static final int LATEST = 2;

    private final House house;

    LogLines(House house) {
        this.house = house;
    }

    /**
     * A line.
     *
     * @param typed as it was typed, where what was understood of it matters; empty where not
     * @param struck why it holds no longer; empty while it holds
     * @param correction how it is corrected; null where it cannot be
     */
    public record Shown(
            UUID id,
            String head,
            String words,
            String mark,
            String typed,
            String struck,
            boolean canTakeBack,
            @Nullable Correction correction) {}

    /** The form in which a line is corrected, filled with what it says: its id, which of its fields it asks for. */
    public record Correction(String id, String prefix, String asks, TendForm form) {}

    /** Lines folded into one, which {@code head} says; empty for a single line that is not. */
    public record Run(String head, List<Shown> lines) {

        Run turned() {
            List<Shown> other = new ArrayList<>(lines);
            Collections.reverse(other);
            return new Run(head, other);
        }
    }

    List<Run> of(BatchSheet sheet) {
        List<BatchSheet.Written> all =
                sheet.lines().stream().filter(line -> !line.isTakingBack()).toList();
        List<Run> runs = new ArrayList<>();
        List<BatchSheet.Written> routine = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            BatchSheet.Written line = all.get(i);
            if (isRoutine(line) && i < all.size() - LATEST) {
                routine.add(line);
            } else {
                add(runs, routine);
                routine = new ArrayList<>();
                runs.add(new Run("", List.of(shown(line, probed(line, sheet)))));
            }
        }
        add(runs, routine);
        // The newest first, in a fold too.
        return IntStream.range(0, runs.size())
                .mapToObj(i -> runs.get(runs.size() - 1 - i).turned())
                .toList();
    }

    /** What a probe read while it was in, in one line however often it spoke; empty for any other line. */
    private String probed(BatchSheet.Written line, BatchSheet sheet) {
        Instant out = sheet.log().entries().stream()
                .filter(entry ->
                        entry.line() instanceof Line.Probe && entry.happenedAt().isAfter(line.happenedAt()))
                .map(Entry::happenedAt)
                .findFirst()
                .orElse(Instant.MAX);
        List<HeatReading> read = !(line.entry().line() instanceof Line.Probe probe) || !probe.in() || line.gone()
                ? List.of()
                : sheet.course().heat().map(HeatCourse::readings).orElse(List.of()).stream()
                        .filter(reading -> reading.byProbe()
                                && !reading.at().isBefore(line.happenedAt())
                                && reading.at().isBefore(out))
                        .toList();
        Comparator<HeatReading> byHeat = Comparator.comparing(HeatReading::temperature);
        return read.isEmpty()
                ? ""
                : "; it read %s to %s, from %s to %s"
                        .formatted(
                                house.temperature(
                                        read.stream().min(byHeat).orElseThrow().temperature()),
                                house.temperature(
                                        read.stream().max(byHeat).orElseThrow().temperature()),
                                house.moment(read.get(0).at()),
                                house.moment(read.get(read.size() - 1).at()));
    }

    private static boolean isRoutine(BatchSheet.Written line) {
        return !line.gone()
                && (isShake(line.entry().line()) || isLook(line.entry().line()));
    }

    private static boolean isShake(Line line) {
        return line instanceof Line.Tended tended && tended.key().kind() == TaskKind.SHAKE;
    }

    private static boolean isLook(Line line) {
        return line instanceof Line.Looked looked && looked.look().signs().isEmpty();
    }

    private void add(List<Run> runs, List<BatchSheet.Written> routine) {
        List<Shown> lines = routine.stream().map(this::shown).toList();
        if (routine.size() < FOLDED) {
            lines.forEach(line -> runs.add(new Run("", List.of(line))));
            return;
        }
        long shakes =
                routine.stream().filter(line -> isShake(line.entry().line())).count();
        List<String> did = Stream.of(times("shaken", shakes), times("looked", routine.size() - shakes))
                .filter(words -> !words.isEmpty())
                .toList();
        String from = house.shortDay(house.dayOf(routine.get(0).happenedAt()));
        String to = house.shortDay(house.dayOf(routine.get(routine.size() - 1).happenedAt()));
        runs.add(new Run("%s to %s: %s, all well".formatted(from, to, String.join(", ", did)), lines));
    }

    private static String times(String did, long count) {
        return count == 0 ? "" : count == 1 ? did + " once" : did + " %d times".formatted(count);
    }

    private Shown shown(BatchSheet.Written line) {
        return shown(line, "");
    }

    private Shown shown(BatchSheet.Written line, String more) {
        return new Shown(
                line.id(),
                house.moment(line.happenedAt()) + ", " + line.by(),
                line.words() + more,
                line.gone() ? "struck" : "",
                line.typedFigure().map("typed “%s”"::formatted).orElse(""),
                line.gone() ? "(%s)".formatted(line.struck()) : "",
                line.canTakeBack(),
                line.correctable().map(says -> correction(line, says)).orElse(null));
    }

    private Correction correction(BatchSheet.Written line, Line says) {
        TendForm form = TendForm.of(
                null,
                Wording.written(
                        line.happenedAt().atZone(house.settings().zone()).toLocalDateTime()));
        String id = "correct-" + line.id();
        String prefix = "c-" + line.id() + "-";
        if (says instanceof Line.Heat heat) {
            return new Correction(id, prefix, "temperature", form.reading(house.temperature(heat.temperature())));
        } else if (says instanceof Line.Looked looked) {
            return new Correction(id, prefix, "look", form.looking(looked.look()));
        } else if (says instanceof Line.Noted note) {
            return new Correction(id, prefix, "words", form.saying(note.words()));
        } else if (says instanceof Line.Lesson lesson) {
            return new Correction(id, prefix, "words", form.saying(lesson.words()));
        }
        return new Correction(id, prefix, "when", form);
    }
}
