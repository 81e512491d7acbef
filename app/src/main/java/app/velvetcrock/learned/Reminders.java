package app.velvetcrock.learned;

import app.velvetcrock.core.book.Twins.Question;
import app.velvetcrock.stillroom.Current;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What of the Book still wants somebody: twins nobody judged yet, skin that is to be looked at again. */
@Service
public class Reminders {

    private static final int MOST = 60;

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

    public record Open(List<Pair> pairs, List<Again> again) {
        public Open {
            pairs = List.copyOf(pairs);
            again = List.copyOf(again);
        }
    }

    /** All of it in one statement; of skin what is due by a day. */
    @Transactional(readOnly = true)
    public Open open(LocalDate until) {
        List<Pair> pairs = new ArrayList<>();
        List<Again> again = new ArrayList<>();
        sql.sql(
                        """
                        (select 'TWINS', t.id, t.first_batch, t.second_batch, t.question, cast(null as date) from twin t
                        where t.stillroom_id = :stillroom and t.dropped_at is null and not exists (select from twin_judging j
                            where j.stillroom_id = t.stillroom_id and j.twin_id = t.id and j.dropped_at is null)
                        order by t.planned_at desc limit :most)
                        union all
                        (select 'SKIN', r.recipient_id, null, null, r.name, r.look_again_on from reaction r
                        where r.stillroom_id = :stillroom and r.dropped_at is null and r.looked_at is null
                            and r.look_again_on <= :until order by r.look_again_on limit :most)""")
                .param("stillroom", Current.stillroom())
                .param("until", until)
                .param("most", MOST)
                .query(row -> {
                    if ("TWINS".equals(row.getString(1))) {
                        pairs.add(new Pair(
                                row.getObject(2, UUID.class),
                                Question.valueOf(row.getString(5)),
                                row.getObject(3, UUID.class),
                                row.getObject(4, UUID.class)));
                    } else {
                        again.add(new Again(
                                row.getObject(2, UUID.class), row.getString(5), row.getObject(6, LocalDate.class)));
                    }
                });
        return new Open(pairs, again);
    }
}
