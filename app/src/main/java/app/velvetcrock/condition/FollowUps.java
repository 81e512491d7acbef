package app.velvetcrock.condition;

import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.NotHere;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * What a finding asks of somebody beside its answer, until it is ticked: to tell whom a thing went to, to smell the bottle it was
 * poured from.
 */
@Component
class FollowUps {

    private final JdbcClient sql;

    FollowUps(JdbcClient sql) {
        this.sql = sql;
    }

    /** What is asked. */
    enum Kind {
        TELL,
        SMELL
    }

    /** Why something is asked: by what finding, in words, and by which line or deed, with which it is taken back. */
    record Reason(@Nullable UUID condition, @Nullable UUID source, String words) {}

    /** Asks to tell whoever has what left the house; the same of one finding is not asked twice. */
    void tell(Kinship.Gone gone, Reason why) {
        ask(Kind.TELL, gone.lot(), gone.movement(), gone.words(), gone.at(), why);
    }

    /** Asks to smell a bottle and what else was poured of it. */
    void smell(Kinship.Source bottle, Instant at, Reason why) {
        ask(Kind.SMELL, bottle.lot(), null, Asked.smelling(bottle), at, why);
    }

    private void ask(Kind kind, UUID lot, @Nullable UUID movement, String words, Instant at, Reason why) {
        sql.sql(
                        """
                        insert into follow_up (stillroom_id, id, condition_id, source, kind, lot_id, movement_id, words, why, happened_at)
                        values (:stillroom, :id, :condition, :source, :kind, :lot, :movement, :words, :why, :at) on conflict do nothing""")
                .param("stillroom", Current.stillroom())
                .param("id", UUID.randomUUID())
                .param("condition", why.condition())
                .param("source", why.source())
                .param("kind", kind.name())
                .param("lot", lot)
                .param("movement", movement)
                .param("words", words)
                .param("why", why.words())
                .param("at", Timestamp.from(at))
                .update();
    }

    /** A movement, a line or a deed does not hold any more: what it asked is asked no more. */
    void takenBack(UUID source) {
        sql.sql("delete from follow_up where stillroom_id = :stillroom and (movement_id = :source or source = :source)")
                .param("stillroom", Current.stillroom())
                .param("source", source)
                .update();
    }

    /** Ticks one, with all that ask the very same; once however often it is said. {@code at} null: takes the tick back. */
    void tick(UUID id, @Nullable Instant at) {
        int ticked = sql.sql(
                        """
                        update follow_up set done_at = :at, done_by = :by where stillroom_id = :stillroom
                        and (kind, coalesce(movement_id, lot_id)) = (
                            select kind, coalesce(movement_id, lot_id) from follow_up where stillroom_id = :stillroom and id = :id)""")
                .param("stillroom", Current.stillroom())
                .param("id", id)
                .param("at", at == null ? null : Timestamp.from(at))
                .param("by", at == null ? null : Current.person().account())
                .update();
        if (ticked == 0) {
            throw new NotHere("that reminder");
        }
    }
}
