package app.velvetcrock.condition;

import app.velvetcrock.core.look.Condition;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.trip.Question;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.RowMapperResultSetExtractor;

/** What is asked of all that is open of the household, and what it asks, in one statement: every page wants it. */
public final class Findings {

    private Findings() {}

    /** What is open, and what was scorched. */
    public static List<Question<?>> questions() {
        return List.of(open(), scorched());
    }

    /** What is open, the oldest first, and what is asked and not ticked. */
    public record Open(List<FoundCondition> found, List<Asked> asked) {}

    /** What is open, and what that asks of somebody. */
    public static Question<Open> open() {
        return new Question<>(
                "findings",
                Current.person(),
                """
                select 'FOUND', id, kind, batch_id, lot_id, name, words, found_at, found_by, travels from condition
                where stillroom_id = :stillroom and answer is null
                union all
                select 'ASKED', f.id, f.kind, f.condition_id, f.lot_id, f.words, f.why, f.happened_at, f.movement_id, false
                from follow_up f left join condition c on c.stillroom_id = f.stillroom_id and c.id = f.condition_id
                where f.stillroom_id = :stillroom and f.done_at is null
                    and (c.id is null or c.answer is null or c.answer = 'THROWN_OUT')
                order by 8, 2""",
                Map.of("stillroom", Current.stillroom()),
                row -> {
                    List<FoundCondition> found = new ArrayList<>();
                    List<Asked> asked = new ArrayList<>();
                    while (row.next()) {
                        if ("FOUND".equals(row.getString(1))) {
                            found.add(found(row));
                        } else {
                            asked.add(asked(row));
                        }
                    }
                    return new Open(found, asked);
                });
    }

    /**
     * What was hot enough to scorch, answered or not: whatever is said to it since, it is not sold, nor is what was made of it. Only the
     * readings themselves withdraw it; what somebody smelled, whoever says that it was not so.
     */
    static Question<List<FoundCondition>> scorched() {
        return new Question<>(
                "scorched found",
                Current.person(),
                """
                select 'FOUND', id, kind, batch_id, lot_id, name, words, found_at, found_by, true from condition
                where stillroom_id = :stillroom and kind = 'SCORCHED'
                    and (answer is null or answer <> 'TAKEN_BACK' or (worked_out and by_hand))
                order by 8, 2""",
                Map.of("stillroom", Current.stillroom()),
                new RowMapperResultSetExtractor<>((row, at) -> found(row)));
    }

    private static FoundCondition found(ResultSet row) throws SQLException {
        FoundCondition one = new FoundCondition();
        one.id = row.getObject(2, UUID.class);
        one.kind = Condition.valueOf(row.getString(3));
        one.batchId = row.getObject(4, UUID.class);
        one.lotId = row.getObject(5, UUID.class);
        one.name = row.getString(6);
        one.words = row.getString(7);
        one.foundAt = row.getTimestamp(8).toInstant();
        one.foundBy = row.getObject(9, UUID.class);
        one.travels = row.getBoolean(10);
        return one;
    }

    private static Asked asked(ResultSet row) throws SQLException {
        UUID lot = row.getObject(5, UUID.class);
        UUID movement = row.getObject(9, UUID.class);
        return new Asked(
                row.getObject(2, UUID.class),
                Asked.word(FollowUps.Kind.valueOf(row.getString(3))),
                row.getString(6),
                row.getString(7),
                row.getTimestamp(8).toInstant(),
                lot,
                row.getObject(4, UUID.class),
                movement == null ? lot : movement);
    }
}
