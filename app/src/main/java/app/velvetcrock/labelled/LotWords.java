package app.velvetcrock.labelled;

import app.velvetcrock.stillroom.Current;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Words of the household's own on the labels of a lot: another name, and a line what it is for. */
@Service
public class LotWords {

    public static final int LONGEST_TITLE = 80;
    public static final int LONGEST = 200;

    private final JdbcClient sql;

    LotWords(JdbcClient sql) {
        this.sql = sql;
    }

    /** Empty where it has none. */
    public record Own(String title, String words) {

        public static final Own NONE = new Own("", "");

        /** Its title, or what it is called without one. */
        public String called(String name) {
            return title.isEmpty() ? name : title;
        }
    }

    @Transactional(readOnly = true)
    public Own of(UUID lot) {
        return sql.sql("select title, words from label_words where stillroom_id = :stillroom and lot_id = :lot")
                .param("stillroom", Current.stillroom())
                .param("lot", lot)
                .query((row, at) -> new Own(row.getString(1), row.getString(2)))
                .optional()
                .orElse(Own.NONE);
    }

    @Transactional
    public void put(UUID lot, Own own) {
        sql.sql(
                        "insert into label_words (stillroom_id, lot_id, title, words) values (:stillroom, :lot, :title, :words) "
                                + "on conflict (stillroom_id, lot_id) do update set title = :title, words = :words")
                .param("stillroom", Current.stillroom())
                .param("lot", lot)
                .param("title", own.title())
                .param("words", own.words())
                .update();
    }
}
