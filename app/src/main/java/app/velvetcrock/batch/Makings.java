package app.velvetcrock.batch;

import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.course.Entry;
import app.velvetcrock.core.course.Facts;
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
    private final BatchLog log;
    private final BatchFacts facts;
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
            BatchLog log,
            BatchFacts facts,
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
        this.log = log;
        this.facts = facts;
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

        /** The line that weighed it in, where that holds. */
        public Optional<UUID> beginning() {
            return lines.stream()
                    .filter(line -> !line.gone()
                            && line.line() instanceof Line.Panned panned
                            && panned.step() instanceof MakingLine.Begun)
                    .map(Written::id)
                    .findFirst();
        }

        public boolean has(UUID entry) {
            return lines.stream().anyMatch(line -> line.id().equals(entry));
        }

        /** Tells whether a line was taken back already. */
        public boolean isGone(UUID entry) {
            return lines.stream().anyMatch(line -> line.id().equals(entry) && line.gone());
        }
    }

    /** The line a deed left: of which batch, and by what it can be taken back. */
    public record Said(UUID batch, UUID entry) {}

    /** What a deed with this key did, where it is done already: whoever says it, it is done once. */
    @Transactional(propagation = Propagation.MANDATORY)
    public Optional<Said> said(UUID key) {
        return entries.by(key).map(entry -> new Said(entry.batchId, entry.id));
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
        UUID written = log.write(id, line, doing);
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
        return kept(id).or(() -> among(List.of(id)).stream().findFirst()).orElseThrow(() -> new NotHere("that making"));
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
                "f.state = 'POURED' and (cast(:kind as text) is null or f.herbs = array[cast(:kind as text)]) order by f.number desc",
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

    private static Optional<Sheet> kept(UUID id) {
        return PerRequest.kept("making", List.of(Current.person(), id));
    }

    /** Some makings, by number. */
    @Transactional(readOnly = true)
    public List<Sheet> among(Collection<UUID> ids) {
        List<Sheet> sheets = read(ids);
        sheets.forEach(sheet -> PerRequest.keep("making", List.of(Current.person(), sheet.id()), sheet));
        return sheets;
    }

    private List<Sheet> read(Collection<UUID> ids) {
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
        List<Entry> said = log.stream()
                .map(entry -> new Entry(entry.id, entry.happenedAt, codec.read(entry)))
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

    /** What lists ask of it: begun, poured when, kept until when; a kind of thing stands where a batch has its herbs. */
    private Facts facts(Sheet sheet) {
        House house = households.current();
        Optional<LocalDate> poured = sheet.holding().stream()
                .filter(at -> at.line() instanceof MakingLine.Poured)
                .map(at -> house.dayOf(at.at()))
                .findFirst();
        return new Facts(
                !sheet.isBegun()
                        ? Course.State.NEVER_STARTED
                        : poured.isPresent() ? Course.State.POURED : Course.State.STANDING,
                List.of(sheet.plan().made().kind()),
                List.of(),
                sheet.holding().stream().findFirst().map(at -> house.dayOf(at.at())),
                sheet.isBegun() ? poured : Optional.empty(),
                Optional.of(sheet.course().keeps().date()),
                false);
    }

    private void keepFacts(Sheet sheet) {
        facts.keep(sheet.id(), facts(sheet));
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
            if (!facts.kept(sheet.id()).filter(facts(sheet)::equals).isPresent()) {
                otherwise.add(sheet.number());
                if (mend) {
                    keepFacts(sheet);
                }
            }
        }
        return new BatchFacts.Compared(next.size(), last, otherwise);
    }
}
