package app.velvetcrock.stock.kinship;

import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.trip.Question;
import app.velvetcrock.web.trip.Trip;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.RowMapperResultSetExtractor;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who made what was bought, and their own number of it: by these, its name or its supplier it is recalled. */
@Service
public class Makers {

    public static final int LONGEST = 120;
    public static final int LONGEST_DECLARED = 200;
    private static final int MOST = 60;

    private final JdbcClient sql;
    private final Trip trip;

    Makers(JdbcClient sql, Trip trip) {
        this.sql = sql;
        this.trip = trip;
    }

    /** Empty where they are not known; {@code declared} what its maker declares of allergens. */
    public record Maker(String name, String number, String declared) {}

    /** A lot that was bought or gathered. */
    public record Bought(UUID lot, String name, String from, Maker maker) {}

    @Transactional(readOnly = true)
    public Maker of(UUID lot) {
        return sql.sql("select maker, their_number, declared from lot where stillroom_id = :stillroom and id = :lot")
                .param("stillroom", Current.stillroom())
                .param("lot", lot)
                .query((row, at) -> new Maker(row.getString(1), row.getString(2), row.getString(3)))
                .optional()
                .orElseThrow(() -> new NotHere("that lot"));
    }

    @Transactional
    public void put(UUID lot, Maker maker) {
        int there = sql.sql("update lot set maker = :maker, their_number = :number, declared = :declared "
                        + "where stillroom_id = :stillroom and id = :lot")
                .param("stillroom", Current.stillroom())
                .param("lot", lot)
                .param("maker", maker.name())
                .param("number", maker.number())
                .param("declared", maker.declared())
                .update();
        if (there == 0) {
            throw new NotHere("that lot");
        }
    }

    /** What a lot's maker declares. */
    public record Declared(UUID lot, String kind, String words) {}

    /** Of every lot whose maker declares something; used up or not. */
    @Transactional(readOnly = true)
    public List<Declared> declared() {
        return trip.answer(question());
    }

    /** Asks for what makers declare. */
    public Question<List<Declared>> question() {
        return new Question<>(
                "declared",
                Current.person(),
                "select id, kind_key, declared from lot where stillroom_id = :stillroom and declared <> '' order by id",
                Map.of("stillroom", Current.stillroom()),
                new RowMapperResultSetExtractor<>(
                        (row, at) -> new Declared(row.getObject(1, UUID.class), row.getString(2), row.getString(3))));
    }

    /** Lots whose name, supplier, maker or maker's number holds these signs, the newest first; used up or not. */
    @Transactional(readOnly = true)
    public List<Bought> named(String typed) {
        String like = "%" + typed.replace("\\", "\\\\").replace("%", "\\%").replace("_", "\\_") + "%";
        return sql.sql(
                        "select id, name, coalesce(came_from, ''), maker, their_number from lot where stillroom_id = :stillroom "
                                + "and kind_key <> 'melt' and (name ilike :like or came_from ilike :like or maker ilike :like "
                                + "or their_number ilike :like) order by created_at desc, id limit " + MOST)
                .param("stillroom", Current.stillroom())
                .param("like", like)
                .query((row, at) -> new Bought(
                        row.getObject(1, UUID.class),
                        row.getString(2),
                        Optional.ofNullable(row.getString(3)).orElse(""),
                        new Maker(row.getString(4), row.getString(5), "")))
                .list();
    }
}
