package app.velvetcrock.batch;

import app.velvetcrock.batch.BatchEntry.Kind;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.course.Seen;
import app.velvetcrock.core.course.TaskKey;
import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.keeping.KeepUntil;
import app.velvetcrock.core.look.Look;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.planning.Take;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.plans.Json;
import app.velvetcrock.plans.LineShape;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.exc.InvalidTypeIdException;

/**
 * The one place that knows how lines of the log are stored: in their published shape (docs/formats/log.schema.json), which
 * {@link LineShape} keeps apart from core's records. What was stored once is read for good.
 */
@Component
class LineCodec {

    private final Json json;

    LineCodec(Json json) {
        this.json = json;
    }

    /**
     * A line as it is stored.
     *
     * @param task key of the task it does; null for none
     * @param corrects the entry it takes back or corrects; null for none
     * @param words what it says in words alone; null where that is the form's own text
     */
    record Stored(Kind kind, @Nullable String task, @Nullable UUID corrects, @Nullable String words, String value) {}

    private record Charged(Mass herb, Volume oil, List<Take> takes, @Nullable Boolean byHand) {}

    /** By the scale, as every release reads it. */
    private record Weighed(Mass herb, Volume oil, List<Take> takes) {}

    private record ToppedUp(Volume oil, Bottle bottle, Optional<Take> take) {}

    private record Strained(
            Volume out, Mass mass, Pressing pressing, KeepUntil keepUntil, UUID lot, boolean learned, Seen seen) {}

    private record Corrected(String kind, @Nullable String task, @Nullable String words, String value) {}

    Stored write(Line line) {
        return line.accept(new Writer());
    }

    /** What a line says; of one that a newer release wrote, that it did. */
    Line read(BatchEntry entry) {
        return kind(entry.kind)
                .flatMap(kind -> understood(() ->
                        read(kind, entry.task, entry.correctsId, entry.typed, LineShape.latest(entry.value, json))))
                .orElseGet(Line.Newer::new);
    }

    private static Optional<Kind> kind(String written) {
        return Stream.of(Kind.values())
                .filter(kind -> kind.name().equals(written))
                .findFirst();
    }

    /** A word for what was done that is not known here, and a version that is not, were written by a newer release. */
    private static Optional<Line> understood(Supplier<Line> reading) {
        try {
            return Optional.of(reading.get());
        } catch (LineShape.Newer | InvalidTypeIdException | InvalidFormatException newer) {
            return Optional.empty();
        }
    }

    private Line read(
            Kind kind, @Nullable String written, @Nullable UUID corrects, @Nullable String words, JsonNode value) {
        Optional<TaskKey> task = Optional.ofNullable(written).map(TaskKey::parse);
        String said = words == null ? "" : words;
        return switch (kind) {
            case CHARGED -> {
                Charged read = json.read(value, Charged.class);
                yield new Line.Charged(read.herb(), read.oil(), read.takes(), Boolean.TRUE.equals(read.byHand()));
            }
            case TOPPED_UP -> {
                ToppedUp read = json.read(value, ToppedUp.class);
                yield new Line.ToppedUp(read.oil(), read.bottle(), read.take());
            }
            case TENDED -> new Line.Tended(task.orElseThrow());
            case LOOKED -> new Line.Looked(task, json.read(value, Look.class));
            case TURNED -> json.read(value, Line.Turned.class);
            case PROBE -> json.read(value, Line.Probe.class);
            case HEAT -> new Line.Heat(task, json.read(value, Temperature.class));
            case STRAINED -> {
                Strained read = json.read(value, Strained.class);
                yield new Line.Strained(
                        read.out(),
                        read.mass(),
                        read.pressing(),
                        read.keepUntil(),
                        read.lot(),
                        read.learned(),
                        read.seen());
            }
            case SETTLED -> json.read(value, Line.Settled.class);
            case BOTTLED -> json.read(value, Line.Bottled.class);
            case SNIFFED -> json.read(value, Line.Sniffed.class);
            case DISCARDED -> json.read(value, Line.Discarded.class);
            case CONDITION -> json.read(value, Line.Found.class);
            case ANSWERED -> json.read(value, Line.Answered.class);
            case PLAN_CHANGED -> json.read(value, Line.PlanChanged.class);
            case PAN -> json.read(value, Line.Panned.class);
            case NOTED -> new Line.Noted(said);
            case LESSON -> new Line.Lesson(said);
            case CORRECTED -> {
                Corrected read = json.read(value, Corrected.class);
                Kind now = kind(read.kind()).orElseThrow(LineShape.Newer::new);
                yield new Line.Corrected(
                        target(corrects),
                        read(now, read.task(), null, read.words(), LineShape.latest(read.value(), json)));
            }
            case TAKEN_BACK -> new Line.TakenBack(target(corrects));
        };
    }

    private static UUID target(@Nullable UUID corrects) {
        if (corrects == null) {
            throw new IllegalStateException("a line that takes back or corrects names no other line");
        }
        return corrects;
    }

    private String shaped(Object value) {
        return LineShape.of(value, json);
    }

    private final class Writer implements Line.Visitor<Stored> {

        private Stored of(Kind kind, Object value) {
            return new Stored(kind, null, null, null, shaped(value));
        }

        private Stored task(Kind kind, Line line, Object value) {
            return new Stored(kind, line.task().map(TaskKey::toString).orElse(null), null, null, shaped(value));
        }

        private Stored words(Kind kind, String words) {
            return new Stored(kind, null, null, words, LineShape.EMPTY);
        }

        @Override
        public Stored charged(Line.Charged line) {
            return line.byHand()
                    ? of(Kind.CHARGED, line)
                    : of(Kind.CHARGED, new Weighed(line.herb(), line.oil(), line.takes()));
        }

        @Override
        public Stored toppedUp(Line.ToppedUp line) {
            return of(Kind.TOPPED_UP, line);
        }

        @Override
        public Stored tended(Line.Tended line) {
            return new Stored(Kind.TENDED, line.key().toString(), null, null, LineShape.EMPTY);
        }

        @Override
        public Stored looked(Line.Looked line) {
            return task(Kind.LOOKED, line, line.look());
        }

        @Override
        public Stored heat(Line.Heat line) {
            return task(Kind.HEAT, line, line.temperature());
        }

        @Override
        public Stored probe(Line.Probe line) {
            return of(Kind.PROBE, line);
        }

        @Override
        public Stored turned(Line.Turned line) {
            return of(Kind.TURNED, line);
        }

        @Override
        public Stored strained(Line.Strained line) {
            return of(Kind.STRAINED, line);
        }

        @Override
        public Stored settled(Line.Settled line) {
            return of(Kind.SETTLED, line);
        }

        @Override
        public Stored bottled(Line.Bottled line) {
            return of(Kind.BOTTLED, line);
        }

        @Override
        public Stored sniffed(Line.Sniffed line) {
            return of(Kind.SNIFFED, line);
        }

        @Override
        public Stored discarded(Line.Discarded line) {
            return of(Kind.DISCARDED, line);
        }

        @Override
        public Stored found(Line.Found line) {
            return of(Kind.CONDITION, line);
        }

        @Override
        public Stored answered(Line.Answered line) {
            return of(Kind.ANSWERED, line);
        }

        @Override
        public Stored planChanged(Line.PlanChanged line) {
            return of(Kind.PLAN_CHANGED, line);
        }

        @Override
        public Stored panned(Line.Panned line) {
            return of(Kind.PAN, line);
        }

        @Override
        public Stored noted(Line.Noted line) {
            return words(Kind.NOTED, line.words());
        }

        @Override
        public Stored lesson(Line.Lesson line) {
            return words(Kind.LESSON, line.words());
        }

        @Override
        public Stored corrected(Line.Corrected line) {
            Stored now = line.now().accept(this);
            return new Stored(
                    Kind.CORRECTED,
                    now.task(),
                    line.entry(),
                    null,
                    shaped(new Corrected(now.kind().name(), now.task(), now.words(), now.value())));
        }

        @Override
        public Stored takenBack(Line.TakenBack line) {
            return new Stored(Kind.TAKEN_BACK, null, line.entry(), null, LineShape.EMPTY);
        }

        @Override
        public Stored newer(Line.Newer line) {
            throw new IllegalStateException("what a newer release wrote is not written again");
        }
    }
}
