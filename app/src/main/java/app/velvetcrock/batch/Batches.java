package app.velvetcrock.batch;

import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.course.Entry;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.course.Log;
import app.velvetcrock.core.pan.MakingLine;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.PerRequest;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Finds batches; what is done to them is a deed. */
@Service
public class Batches {

    private static final String STANDING = "standing";

    private final BatchRows rows;
    private final BatchReader reader;
    private final BatchLog log;
    private final Entries entries;
    private final LineCodec codec;
    private final Households households;
    private final Clock clock;

    Batches(
            BatchRows rows,
            BatchReader reader,
            BatchLog log,
            Entries entries,
            LineCodec codec,
            Households households,
            Clock clock) {
        this.households = households;
        this.clock = clock;
        this.entries = entries;
        this.codec = codec;
        this.rows = rows;
        this.reader = reader;
        this.log = log;
    }

    @Transactional(readOnly = true)
    public BatchSheet sheet(UUID id) {
        return log.sheet(id);
    }

    /** Every batch that stands in a vessel, by number. */
    @Transactional(readOnly = true)
    public List<BatchSheet> standing() {
        return PerRequest.of(STANDING, Current.person(), () -> standing(reader.read(unstrained())));
    }

    private static List<BatchSheet> standing(List<BatchSheet> all) {
        return all.stream()
                .filter(sheet -> sheet.course().state() == Course.State.STANDING)
                .toList();
    }

    /** What stands and some others besides, by number, read together. */
    @Transactional(readOnly = true)
    public List<BatchSheet> standingAnd(Collection<UUID> others) {
        List<BatchSheet> all = reader.read(rows.unstrainedAnd(others));
        PerRequest.keep(STANDING, Current.person(), standing(all));
        return all;
    }

    private List<BatchRows.Row> unstrained() {
        return PerRequest.of("unstrained", Current.person(), rows::unstrained);
    }

    /** Batches that stand, and makings in the pan. */
    @Transactional(readOnly = true)
    public List<UUID> unfinished() {
        return rows.unfinished();
    }

    /** How many of each size of jar, and of each pot, are in use. */
    @Transactional(readOnly = true)
    public Map<UUID, Long> inUse() {
        return unstrained().stream()
                .collect(Collectors.groupingBy(batch -> batch.stand().id(), Collectors.counting()));
    }

    /** Which batches have oil that wants to settle, or ended no earlier than a day. */
    @Transactional(readOnly = true)
    public List<UUID> settlingOrEnded(LocalDate from) {
        return rows.settlingOrEnded(from);
    }

    /** The latest batches that were strained or thrown out, the newest first. */
    @Transactional(readOnly = true)
    public List<BatchSheet> finished(Ended which, int most) {
        return reader.read(rows.finished(which, most));
    }

    /** The same, with what went in and came out of each, but nothing of what was seen and done in between. */
    @Transactional(readOnly = true)
    public List<BatchSheet> measured(Ended which, int most) {
        return reader.measured(rows.finished(which, most));
    }

    /**
     * Which ended batches a list shows.
     *
     * @param herb key of a herb in it; null for any
     * @param carrier key of an oil in it; null for any
     * @param year it ended in; null for any
     * @param state what became of it; null for either
     * @param before shows those of lower numbers; null for the newest
     */
    public record Ended(
            @Nullable String herb,
            @Nullable String carrier,
            @Nullable Integer year,
            @Nullable String state,
            @Nullable Integer before) {

        public static final Ended NEWEST = new Ended(null, null, null, null, null);
    }

    /** What ended batches were made of and when, for choosing among them. */
    @Transactional(readOnly = true)
    public Ends ends() {
        return rows.ends();
    }

    /** Keys of herbs and oils, and years, the newest first. */
    public record Ends(List<String> herbs, List<String> carriers, List<Integer> years) {}

    /**
     * A batch or a making to choose among.
     *
     * @param like whether it was begun with one of the herbs, or is of the kind, that was asked for
     */
    public record Named(UUID id, int number, String name, boolean making, boolean like, Optional<LocalDate> began) {}

    /** The newest of all that were begun, those like these before the others. */
    @Transactional(readOnly = true)
    public List<Named> newest(Collection<String> like, int most) {
        return rows.newest(like, most);
    }

    /**
     * What a batch taught, to do otherwise the next time, or how a making turned out.
     *
     * @param asked of how many batches it was said whether they heeded it, and {@code heeded} how many did
     * @param here whether the one it is told to did; absent where nobody said
     */
    public record Taught(
            UUID batch,
            boolean making,
            int number,
            String name,
            Instant at,
            String words,
            int heeded,
            int asked,
            Optional<Boolean> here) {

        public String page() {
            return (making ? "/pan/" : "/batch/") + batch;
        }

        /** "heeded 2 of 3 times"; empty where nobody said yet. */
        public String often() {
            return asked == 0 ? "" : "heeded %d of %s".formatted(heeded, asked == 1 ? "1 time" : asked + " times");
        }

        public boolean isHeeded() {
            return here.orElse(false);
        }

        public boolean isNotHeeded() {
            return here.isPresent() && !isHeeded();
        }
    }

    /** What the newest batches of some herbs or kinds taught, or of any where none is named; what was taken back taught nothing. */
    @Transactional(readOnly = true)
    public List<Taught> lessons(Collection<String> like, int most) {
        return taught(like, null, clock.instant(), most);
    }

    /** The same as it is told at a batch, by what was said there of each, and of what was learned {@code until} then. */
    @Transactional(readOnly = true)
    public List<Taught> lessonsAt(UUID batch, Collection<String> like, Instant until, int most) {
        return taught(like, batch, until, most);
    }

    private List<Taught> taught(Collection<String> like, @Nullable UUID at, Instant until, int most) {
        List<BatchRows.Teacher> teachers = rows.withLessons(like, at, most);
        if (teachers.isEmpty()) {
            return List.of();
        }
        Map<UUID, List<BatchEntry>> logs =
                entries.ofBatches(teachers.stream().map(one -> one.row().id()).toList()).stream()
                        .collect(Collectors.groupingBy(entry -> entry.batchId));
        return teachers.stream()
                .flatMap(one -> taught(one, logs.getOrDefault(one.row().id(), List.of())))
                .filter(one -> !one.at().isAfter(until))
                .limit(most)
                .toList();
    }

    private Stream<Taught> taught(BatchRows.Teacher one, List<BatchEntry> lines) {
        List<Entry> said = lines.stream()
                .map(entry -> new Entry(entry.id, entry.happenedAt, codec.read(entry)))
                .toList();
        return Log.of(said).entries().stream().flatMap(entry -> lesson(entry.line())
                .map(words -> new Taught(
                        one.row().id(),
                        one.making(),
                        one.row().number(),
                        one.row().name(),
                        entry.happenedAt(),
                        words,
                        one.heeded(),
                        one.asked(),
                        Optional.ofNullable(one.here()))));
    }

    private Stream<String> lesson(Line line) {
        String words = line instanceof Line.Lesson lesson
                ? lesson.words()
                : line instanceof Line.Discarded gone
                        ? gone.lesson()
                        : line instanceof Line.Panned panned
                                        && panned.step() instanceof MakingLine.TurnedOut out
                                        && out.teaches()
                                ? out.words(households.current().wording())
                                : "";
        return Stream.of(words).filter(one -> !one.isBlank());
    }

    /** Says whether what one batch taught was heeded at another. */
    @Transactional
    public void heed(UUID taughtBy, UUID batch, boolean heeded) {
        Map<UUID, Integer> there = numbers(List.of(taughtBy, batch));
        if (!there.containsKey(taughtBy) || !there.containsKey(batch) || taughtBy.equals(batch)) {
            throw new NotHere("that lesson");
        }
        rows.heed(taughtBy, batch, heeded, clock.instant());
    }

    /** What some batches are numbered. */
    @Transactional(readOnly = true)
    public Map<UUID, Integer> numbers(Collection<UUID> ids) {
        return rows.numbers(ids);
    }

    @Transactional(readOnly = true)
    public List<BatchSheet> among(Collection<UUID> ids) {
        return reader.among(ids);
    }
}
