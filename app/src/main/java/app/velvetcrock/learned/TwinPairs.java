package app.velvetcrock.learned;

import app.velvetcrock.core.book.Twins;
import app.velvetcrock.core.book.Twins.Cup;
import app.velvetcrock.core.book.Twins.Question;
import app.velvetcrock.core.book.Twins.Sense;
import app.velvetcrock.core.book.Twins.Verdict;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Refused;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Twins, and what was said of them. */
@Service
public class TwinPairs {

    private static final int MOST = 200;

    private static final String PAIRS =
            """
            select t.id, t.question, t.first_batch, t.second_batch, t.planned_at, j.id as judging, j.smell, j.colour, j.feel,
                j.judged_at, j.first_stood_left
            from twin t left join twin_judging j on j.stillroom_id = t.stillroom_id and j.twin_id = t.id and j.dropped_at is null
            where t.stillroom_id = :stillroom and t.dropped_at is null\s""";

    private final JdbcClient sql;
    private final Clock clock;

    TwinPairs(JdbcClient sql, Clock clock) {
        this.sql = sql;
        this.clock = clock;
    }

    /**
     * A pair; {@code first} has more of what they differ in.
     *
     * @param said absent until somebody judged the cups
     */
    public record Pair(UUID id, Question question, UUID first, UUID second, Instant planned, Optional<Said> said) {

        public boolean isOf(UUID batch) {
            return first.equals(batch) || second.equals(batch);
        }

        /** What was said of it, where the cups were turned over. */
        public Optional<Verdict> verdict(Sense sense) {
            return said.flatMap(one -> one.firstStoodLeft().map(left -> Twins.verdict(one.cup(sense), left)));
        }
    }

    /** What was said of the cups; {@code firstStoodLeft} is absent until they were turned over. */
    public record Said(UUID id, Map<Sense, Cup> cups, Instant at, Optional<Boolean> firstStoodLeft) {

        public Cup cup(Sense sense) {
            return cups.getOrDefault(sense, Cup.NEITHER);
        }
    }

    /** All of them, the newest first. */
    @Transactional(readOnly = true)
    public List<Pair> all() {
        return sql.sql(PAIRS + "order by t.planned_at desc, t.id limit " + MOST)
                .param("stillroom", Current.stillroom())
                .query((row, at) -> pair(row))
                .list();
    }

    /** Those that some batches are one of. */
    @Transactional(readOnly = true)
    public Map<UUID, Pair> of(Collection<UUID> batches) {
        Map<UUID, Pair> pairs = new HashMap<>();
        if (!batches.isEmpty()) {
            sql.sql(PAIRS + "and (t.first_batch in (:batches) or t.second_batch in (:batches)) order by t.planned_at")
                    .param("stillroom", Current.stillroom())
                    .param("batches", batches)
                    .query((row, at) -> pair(row))
                    .list()
                    .forEach(pair -> {
                        pairs.put(pair.first(), pair);
                        pairs.put(pair.second(), pair);
                    });
        }
        return pairs;
    }

    @Transactional(readOnly = true)
    public Pair find(UUID id) {
        return sql.sql(PAIRS + "and t.id = :id")
                .param("stillroom", Current.stillroom())
                .param("id", id)
                .query((row, at) -> pair(row))
                .optional()
                .orElseThrow(() -> new NotHere("those twins"));
    }

    private static Pair pair(ResultSet row) throws SQLException {
        UUID judging = row.getObject("judging", UUID.class);
        return new Pair(
                row.getObject("id", UUID.class),
                Question.valueOf(row.getString("question")),
                row.getObject("first_batch", UUID.class),
                row.getObject("second_batch", UUID.class),
                row.getTimestamp("planned_at").toInstant(),
                judging == null ? Optional.empty() : Optional.of(said(row, judging)));
    }

    private static Said said(ResultSet row, UUID id) throws SQLException {
        Map<Sense, Cup> cups = new EnumMap<>(Sense.class);
        cups.put(Sense.SMELL, Cup.valueOf(row.getString("smell")));
        cups.put(Sense.COLOUR, Cup.valueOf(row.getString("colour")));
        cups.put(Sense.FEEL, Cup.valueOf(row.getString("feel")));
        return new Said(
                id,
                cups,
                row.getTimestamp("judged_at").toInstant(),
                Optional.ofNullable(row.getObject("first_stood_left", Boolean.class)));
    }

    /** Keeps two as twins. */
    @Transactional
    public UUID keep(Question question, UUID first, UUID second) {
        UUID id = UUID.randomUUID();
        try {
            sql.sql("insert into twin (stillroom_id, id, question, first_batch, second_batch, planned_at) "
                            + "values (:stillroom, :id, :question, :first, :second, :at)")
                    .param("stillroom", Current.stillroom())
                    .param("id", id)
                    .param("question", question.name())
                    .param("first", first)
                    .param("second", second)
                    .param("at", Timestamp.from(clock.instant()))
                    .update();
        } catch (DuplicateKeyException there) {
            throw new Refused("These two are twins already.");
        }
        return id;
    }

    /** They are twins no more, or again. */
    @Transactional
    public void drop(UUID id, boolean dropped) {
        try {
            int there = sql.sql("update twin set dropped_at = :at where stillroom_id = :stillroom and id = :id")
                    .param("stillroom", Current.stillroom())
                    .param("id", id)
                    .param("at", dropped ? Timestamp.from(clock.instant()) : null)
                    .update();
            if (there == 0) {
                throw new NotHere("those twins");
            }
        } catch (DuplicateKeyException there) {
            throw new Refused("These two are twins again already.");
        }
    }

    /** Writes down what was said of the cups, by somebody who does not know which is which. */
    @Transactional
    public void judge(UUID twin, Map<Sense, Cup> cups) {
        find(twin);
        try {
            sql.sql("insert into twin_judging (stillroom_id, id, twin_id, smell, colour, feel, judged_at, account_id) "
                            + "values (:stillroom, :id, :twin, :smell, :colour, :feel, :at, :account)")
                    .param("stillroom", Current.stillroom())
                    .param("id", UUID.randomUUID())
                    .param("twin", twin)
                    .param("smell", cups.getOrDefault(Sense.SMELL, Cup.NEITHER).name())
                    .param(
                            "colour",
                            cups.getOrDefault(Sense.COLOUR, Cup.NEITHER).name())
                    .param("feel", cups.getOrDefault(Sense.FEEL, Cup.NEITHER).name())
                    .param("at", Timestamp.from(clock.instant()))
                    .param("account", Current.person().account())
                    .update();
        } catch (DuplicateKeyException there) {
            throw new Refused("These cups were judged already.");
        }
    }

    /** Says which cup was whose: then what was said cannot be said anew. */
    @Transactional
    public void open(UUID twin, boolean firstStoodLeft) {
        int there = sql.sql(
                        "update twin_judging set first_stood_left = :left, opened_at = :at "
                                + "where stillroom_id = :stillroom and twin_id = :twin and dropped_at is null and opened_at is null")
                .param("stillroom", Current.stillroom())
                .param("twin", twin)
                .param("left", firstStoodLeft)
                .param("at", Timestamp.from(clock.instant()))
                .update();
        if (there == 0) {
            throw new Refused("The cups were turned over already, or nobody judged them yet.");
        }
    }

    /** Takes back what was said of the cups, and that they were turned over. */
    @Transactional
    public void forget(UUID twin) {
        sql.sql("update twin_judging set dropped_at = :at where stillroom_id = :stillroom "
                        + "and twin_id = :twin and dropped_at is null")
                .param("stillroom", Current.stillroom())
                .param("twin", twin)
                .param("at", Timestamp.from(clock.instant()))
                .update();
    }
}
