package app.velvetcrock.batch;

import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.course.LineWords;
import app.velvetcrock.core.course.Log;
import app.velvetcrock.core.deed.Doing;
import app.velvetcrock.core.deed.May;
import app.velvetcrock.core.pan.MakingCourse;
import app.velvetcrock.core.pan.MakingLine;
import app.velvetcrock.core.pan.MakingPlan;
import app.velvetcrock.live.Changes;
import app.velvetcrock.plans.MakingShape;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stillroom.People;
import app.velvetcrock.stock.Ledger;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.PerRequest;
import java.sql.Date;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Batches that make something of an oil: their frozen plans and their logs. What is done to them is the pan's. */
@Service
public class Makings {

    private final BatchRepository batches;
    private final EntryRepository repository;
    private final Entries entries;
    private final LineCodec codec;
    private final MakingShape shape;
    private final Ledger ledger;
    private final Households households;
    private final People people;
    private final Changes changes;
    private final JdbcClient sql;
    private final Clock clock;

    Makings(
            BatchRepository batches,
            EntryRepository repository,
            Entries entries,
            LineCodec codec,
            MakingShape shape,
            Ledger ledger,
            Households households,
            People people,
            Changes changes,
            JdbcClient sql,
            Clock clock) {
        this.batches = batches;
        this.repository = repository;
        this.entries = entries;
        this.codec = codec;
        this.shape = shape;
        this.ledger = ledger;
        this.households = households;
        this.people = people;
        this.changes = changes;
        this.sql = sql;
        this.clock = clock;
    }

    /** A line as it is shown. */
    public record Written(UUID id, Instant at, String by, String words, Line line, String typed, boolean gone) {}

    /** A making as it stands. */
    public record Sheet(
            UUID id, int number, String name, MakingPlan plan, List<Written> lines, List<MakingCourse.At> holding) {

        public MakingCourse course() {
            return MakingCourse.of(plan, holding);
        }

        /** The newest line that holds; absent where even its beginning was taken back. */
        public Optional<Written> last() {
            return lines.stream()
                    .filter(line -> !line.gone() && line.line() instanceof Line.Panned)
                    .reduce((first, then) -> then);
        }

        /** The day it was weighed in; that of another moment while it was not. */
        public LocalDate begunOn(House house, Instant otherwise) {
            return house.dayOf(
                    holding.stream().findFirst().map(MakingCourse.At::at).orElse(otherwise));
        }

        public boolean isBegun() {
            return !holding.isEmpty();
        }
    }

    /** Freezes a plan under the next number; its first line is yet to be written. */
    @Transactional(propagation = Propagation.MANDATORY)
    public UUID begin(MakingPlan plan) {
        households.oneAtATime();
        return batches.saveAndFlush(
                        Batch.making(batches.nextNumber(), plan.made().name(), shape.write(plan), clock.instant()))
                .id;
    }

    /** Writes the line a deed leaves; its making is locked. */
    @Transactional(propagation = Propagation.MANDATORY)
    public UUID write(UUID id, Line line, Doing<?> doing) {
        if (sheet(id).lines().stream().anyMatch(written -> written.line() instanceof Line.Newer && !written.gone())) {
            throw new app.velvetcrock.web.Refused(May.ahead().orElseThrow());
        }
        BatchEntry entry =
                new BatchEntry(id, doing.at(), codec.write(line), new BatchEntry.Said(doing.key(), doing.typed()));
        entry.accountId = doing.by();
        entry.recordedAt = clock.instant();
        UUID written = repository.saveAndFlush(entry).id;
        keepFacts(sheet(id));
        changes.batch(id);
        return written;
    }

    /** Moves back what a line moved; the log keeps both lines. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void takeBack(UUID id, UUID entry, Doing<?> doing) {
        ledger.takeBack(entry);
        write(id, new Line.TakenBack(entry), doing);
    }

    @Transactional(readOnly = true)
    public Sheet sheet(UUID id) {
        return among(List.of(id)).stream().findFirst().orElseThrow(() -> new NotHere("that making"));
    }

    /** Tells whether a batch is something made of an oil. */
    @Transactional(readOnly = true)
    public boolean isMaking(UUID id) {
        return !among(List.of(id)).isEmpty();
    }

    /** Lets only one at a time write about a making, and reads it as it then stands. */
    @Transactional(propagation = Propagation.MANDATORY)
    public Sheet locked(UUID id) {
        batches.lock(id).orElseThrow(() -> new NotHere("that making"));
        return sheet(id);
    }

    /** Those in the pan now, the oldest first. */
    @Transactional(readOnly = true)
    public List<Sheet> inThePan() {
        return among(ids("f.state = 'STANDING' order by f.number", null, 50));
    }

    /** Those poured, the newest first, of one kind or of all. */
    @Transactional(readOnly = true)
    public List<Sheet> made(@Nullable String kind, int most) {
        List<Sheet> sheets = among(ids(
                "f.state = 'STRAINED' and (cast(:kind as text) is null or f.herbs = array[cast(:kind as text)]) order by f.number desc",
                kind,
                most));
        return sheets.stream()
                .sorted((one, other) -> Integer.compare(other.number(), one.number()))
                .toList();
    }

    /** The latest dozen poured, of whatever kind; read once a request. */
    @Transactional(readOnly = true)
    public List<Sheet> latest() {
        return PerRequest.of("makings, the latest", Current.person(), () -> made(null, 12));
    }

    private List<UUID> ids(String which, @Nullable String kind, int most) {
        return sql.sql(
                        "select f.batch_id from batch_facts f where f.stillroom_id = :stillroom and f.kind = 'MAKING' and "
                                + which + " limit :most")
                .param("stillroom", Current.stillroom())
                .param("kind", kind)
                .param("most", most)
                .query(UUID.class)
                .list();
    }

    private record Row(UUID id, int number, String name, String plan) {}

    /** Some makings, by number. */
    @Transactional(readOnly = true)
    public List<Sheet> among(Collection<UUID> ids) {
        if (ids.isEmpty()) {
            return List.of();
        }
        List<Row> rows = sql.sql(
                        "select id, number, name, plan from batch where stillroom_id = :stillroom and kind = 'MAKING' "
                                + "and id in (:ids) order by number")
                .param("stillroom", Current.stillroom())
                .param("ids", ids)
                .query((row, at) ->
                        new Row(row.getObject(1, UUID.class), row.getInt(2), row.getString(3), row.getString(4)))
                .list();
        if (rows.isEmpty()) {
            return List.of();
        }
        Map<UUID, List<BatchEntry>> logs = entries
                .ofBatches(rows.stream().map(Row::id).toList())
                .stream()
                .collect(Collectors.groupingBy(entry -> entry.batchId));
        Map<UUID, String> names = people.namesHere();
        LineWords words = new LineWords(households.current().wording());
        return rows.stream()
                .map(row -> sheet(row, logs.getOrDefault(row.id(), List.of()), names, words))
                .toList();
    }

    private Sheet sheet(Row row, List<BatchEntry> log, Map<UUID, String> names, LineWords words) {
        List<app.velvetcrock.core.course.Entry> said = log.stream()
                .map(entry -> new app.velvetcrock.core.course.Entry(entry.id, entry.happenedAt, codec.read(entry)))
                .toList();
        Set<UUID> gone = Log.gone(said);
        List<Written> lines = new ArrayList<>();
        for (int i = 0; i < log.size(); i++) {
            BatchEntry entry = log.get(i);
            lines.add(new Written(
                    entry.id,
                    entry.happenedAt,
                    names.getOrDefault(entry.accountId, "somebody"),
                    said.get(i).line().accept(words),
                    said.get(i).line(),
                    entry.typed == null ? "" : entry.typed,
                    gone.contains(entry.id)));
        }
        return new Sheet(
                row.id(),
                row.number(),
                row.name(),
                shape.read(row.plan()),
                lines,
                lines.stream()
                        .filter(line -> !line.gone() && line.line() instanceof Line.Panned)
                        .map(line -> new MakingCourse.At(line.at(), ((Line.Panned) line.line()).step()))
                        .toList());
    }

    /** What lists ask of it: begun, poured when, kept until when. */
    private record Facts(String state, Optional<LocalDate> began, Optional<LocalDate> ended, LocalDate keepsUntil) {

        static Facts of(Sheet sheet, House house) {
            Optional<LocalDate> poured = sheet.holding().stream()
                    .filter(at -> at.line() instanceof MakingLine.Poured)
                    .map(at -> house.dayOf(at.at()))
                    .findFirst();
            return new Facts(
                    !sheet.isBegun() ? "NEVER_STARTED" : poured.isPresent() ? "STRAINED" : "STANDING",
                    sheet.holding().stream().findFirst().map(at -> house.dayOf(at.at())),
                    sheet.isBegun() ? poured : Optional.empty(),
                    sheet.course().keeps().date());
        }
    }

    private void keepFacts(Sheet sheet) {
        Facts facts = Facts.of(sheet, households.current());
        sql.sql(
                        """
                        insert into batch_facts
                        (stillroom_id, batch_id, number, kind, state, herbs, carriers, began_on, ended_on, keeps_until, settling)
                        values (:stillroom, :batch, :number, 'MAKING', :state, array[cast(:kind as text)], array[]::text[], :began, :ended,
                        :keeps, false)
                        on conflict (stillroom_id, batch_id) do update set state = excluded.state, began_on = excluded.began_on,
                        ended_on = excluded.ended_on, keeps_until = excluded.keeps_until""")
                .param("stillroom", Current.stillroom())
                .param("batch", sheet.id())
                .param("number", sheet.number())
                .param("state", facts.state())
                .param("kind", sheet.plan().made().kind())
                .param("began", facts.began().map(Date::valueOf).orElse(null))
                .param("ended", facts.ended().map(Date::valueOf).orElse(null))
                .param("keeps", Date.valueOf(facts.keepsUntil()))
                .update();
    }

    /** Compares what is kept of the next makings with their plans and logs, as of other batches, and writes it anew where asked. */
    @Transactional(propagation = Propagation.MANDATORY)
    public BatchFacts.Compared compare(int after, int most, boolean mend) {
        List<UUID> next = sql.sql("select id from batch where stillroom_id = :stillroom and kind = 'MAKING' "
                        + "and number > :after order by number limit :most")
                .param("stillroom", Current.stillroom())
                .param("after", after)
                .param("most", most)
                .query(UUID.class)
                .list();
        List<Integer> otherwise = new ArrayList<>();
        int last = after;
        for (Sheet sheet : among(next)) {
            last = sheet.number();
            if (!kept(sheet.id())
                    .filter(Facts.of(sheet, households.current())::equals)
                    .isPresent()) {
                otherwise.add(sheet.number());
                if (mend) {
                    keepFacts(sheet);
                }
            }
        }
        return new BatchFacts.Compared(next.size(), last, otherwise);
    }

    private Optional<Facts> kept(UUID batch) {
        return sql.sql("select state, began_on, ended_on, keeps_until from batch_facts "
                        + "where stillroom_id = :stillroom and batch_id = :batch")
                .param("stillroom", Current.stillroom())
                .param("batch", batch)
                .query((row, at) -> new Facts(
                        row.getString(1),
                        Optional.ofNullable(row.getDate(2)).map(Date::toLocalDate),
                        Optional.ofNullable(row.getDate(3)).map(Date::toLocalDate),
                        row.getDate(4).toLocalDate()))
                .optional();
    }
}
