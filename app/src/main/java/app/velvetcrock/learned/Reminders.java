package app.velvetcrock.learned;

import app.velvetcrock.core.book.FirstDays;
import app.velvetcrock.core.book.Twins.Question;
import app.velvetcrock.stillroom.Current;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What of the Book still wants somebody: twins nobody judged yet, skin that is to be looked at again, herbs that are to be gathered. */
@Service
public class Reminders {

    private static final int MOST = 60;
    private static final int WEEK = 7;

    private final JdbcClient sql;

    Reminders(JdbcClient sql) {
        this.sql = sql;
    }

    /** Two jars nobody judged yet. */
    public record Pair(UUID id, Question question, UUID first, UUID second) {

        /** The other of the two; the same where it is neither. */
        public UUID other(UUID batch) {
            return batch.equals(first) ? second : batch.equals(second) ? first : batch;
        }
    }

    /** Skin that is to be looked at again: whose, and what was used. */
    public record Again(UUID person, String name, LocalDate on) {}

    /**
     * All of it.
     *
     * @param gather herbs whose day is within a week, or not a month past
     */
    public record Open(List<Pair> pairs, List<Again> again, List<Gatherings.Ahead> gather) {
        public Open {
            pairs = List.copyOf(pairs);
            again = List.copyOf(again);
            gather = List.copyOf(gather);
        }
    }

    /** All of it in one statement, as it is on a day. */
    @Transactional(readOnly = true)
    public Open open(LocalDate today) {
        List<Pair> pairs = new ArrayList<>();
        List<Again> again = new ArrayList<>();
        List<Gatherings.Ahead> gather = new ArrayList<>();
        sql.sql(
                        """
                        (select 'TWINS' as what, t.id, t.first_batch, t.second_batch, t.question as name, cast(null as text) as kind_key,
                            cast(null as text) as words, cast(null as date) as day from twin t
                        where t.stillroom_id = :stillroom and t.dropped_at is null and not exists (select from twin_judging j
                            where j.stillroom_id = t.stillroom_id and j.twin_id = t.id and j.dropped_at is null)
                        order by t.planned_at desc limit :most)
                        union all
                        (select 'SKIN', r.recipient_id, null, null, r.name, null, null, r.look_again_on from reaction r
                        where r.stillroom_id = :stillroom and r.dropped_at is null and r.looked_at is null
                            and r.look_again_on <= :today order by r.look_again_on limit :most)
                        union all
                        (select 'HERB', g.id, null, null, g.name, g.kind_key, g.words, g.day from gathering_ahead g
                        where g.stillroom_id = :stillroom and g.dropped_at is null and g.day between :past and :soon
                        order by g.day limit :most)""")
                .param("stillroom", Current.stillroom())
                .param("today", today)
                .param("past", today.minusDays(FirstDays.STILL))
                .param("soon", today.plusDays(WEEK))
                .param("most", MOST)
                .query(row -> {
                    switch (row.getString("what")) {
                        case "TWINS" -> pairs.add(pair(row));
                        case "SKIN" -> again.add(new Again(
                                row.getObject("id", UUID.class),
                                row.getString("name"),
                                row.getObject("day", LocalDate.class)));
                        default -> gather.add(Gatherings.ahead(row));
                    }
                });
        return new Open(pairs, again, gather);
    }

    private static Pair pair(ResultSet row) throws SQLException {
        return new Pair(
                row.getObject("id", UUID.class),
                Question.valueOf(row.getString("name")),
                row.getObject("first_batch", UUID.class),
                row.getObject("second_batch", UUID.class));
    }
}
