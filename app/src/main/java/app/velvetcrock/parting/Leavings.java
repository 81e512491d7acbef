package app.velvetcrock.parting;

import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Refused;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what left the house, beside the movements that moved it. */
@Service
public class Leavings {

    private static final String COLUMNS =
            "select movement_id, lot_id, kind, pieces, recipient_id, price, card, stall_id, "
                    + "coalesce(refunded, 0) as refunded, happened_at from leaving where stillroom_id = :stillroom "
                    + "and taken_back_at is null ";

    private final JdbcClient sql;

    Leavings(JdbcClient sql) {
        this.sql = sql;
    }

    @Transactional(propagation = Propagation.MANDATORY)
    void keep(Leaving leaving) {
        sql.sql("insert into leaving (stillroom_id, movement_id, lot_id, kind, pieces, recipient_id, price, card, "
                        + "stall_id, happened_at) values (:stillroom, :movement, :lot, :kind, :pieces, :person, :price, "
                        + ":card, :stall, :at)")
                .param("stillroom", Current.stillroom())
                .param("movement", leaving.movement())
                .param("lot", leaving.lot())
                .param("kind", leaving.kind().name())
                .param("pieces", leaving.pieces().orElse(null))
                .param("person", leaving.person().orElse(null))
                .param("price", leaving.price().orElse(null))
                .param("card", leaving.card())
                .param("stall", leaving.stall().orElse(null))
                .param("at", Timestamp.from(leaving.at()))
                .update();
    }

    /** It did not leave after all; a gift it was is to be given again. */
    @Transactional(propagation = Propagation.MANDATORY)
    void takenBack(UUID movement, Instant at) {
        sql.sql("update leaving set taken_back_at = :at where stillroom_id = :stillroom and movement_id = :movement "
                        + "and taken_back_at is null")
                .param("stillroom", Current.stillroom())
                .param("movement", movement)
                .param("at", Timestamp.from(at))
                .update();
        sql.sql("update gift set movement_id = null where stillroom_id = :stillroom and movement_id = :movement")
                .param("stillroom", Current.stillroom())
                .param("movement", movement)
                .update();
    }

    @Transactional(readOnly = true)
    public Leaving find(UUID movement) {
        return read("and movement_id = :movement", Map.of("movement", movement)).stream()
                .findFirst()
                .orElseThrow(() -> new NotHere("that sale"));
    }

    @Transactional(readOnly = true)
    public List<Leaving> ofLots(Collection<UUID> lots) {
        return lots.isEmpty() ? List.of() : read("and lot_id in (:lots) order by happened_at", Map.of("lots", lots));
    }

    @Transactional(readOnly = true)
    public List<Leaving> ofPerson(UUID person) {
        return read("and recipient_id = :person order by happened_at desc limit 200", Map.of("person", person));
    }

    @Transactional(readOnly = true)
    public List<Leaving> ofStall(UUID stall) {
        return read("and stall_id = :stall order by happened_at", Map.of("stall", stall));
    }

    /** What was sold from one moment up to another. */
    @Transactional(readOnly = true)
    public List<Leaving> sold(Instant from, Instant to) {
        return read(
                "and kind = 'SOLD' and happened_at >= :from and happened_at < :to order by happened_at",
                Map.of("from", Timestamp.from(from), "to", Timestamp.from(to)));
    }

    /** Gives money back; the thing stays where it is, since what was opened never goes back to stock. */
    @Transactional
    public void refund(UUID movement, long back) {
        Leaving sold = find(movement);
        if (back > sold.price().orElse(0L)) {
            throw new Refused("back", "More than was paid is not given back.", "at most what was paid");
        }
        sql.sql("update leaving set refunded = :back where stillroom_id = :stillroom and movement_id = :movement "
                        + "and taken_back_at is null")
                .param("stillroom", Current.stillroom())
                .param("movement", movement)
                .param("back", back)
                .update();
    }

    private List<Leaving> read(String where, Map<String, ?> with) {
        return sql.sql(COLUMNS + where)
                .param("stillroom", Current.stillroom())
                .params(with)
                .query((row, at) -> leaving(row))
                .list();
    }

    private static Leaving leaving(ResultSet row) throws SQLException {
        return new Leaving(
                row.getObject("movement_id", UUID.class),
                row.getObject("lot_id", UUID.class),
                Leaving.Kind.valueOf(row.getString("kind")),
                Optional.ofNullable((Integer) row.getObject("pieces")),
                Optional.ofNullable(row.getObject("recipient_id", UUID.class)),
                Optional.ofNullable((Long) row.getObject("price")),
                row.getBoolean("card"),
                Optional.ofNullable(row.getObject("stall_id", UUID.class)),
                row.getLong("refunded"),
                row.getTimestamp("happened_at").toInstant());
    }
}
