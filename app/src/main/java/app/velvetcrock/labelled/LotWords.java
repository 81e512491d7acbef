package app.velvetcrock.labelled;

import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.PerRequest;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Words of the household's own on the labels of a lot: another name, and a line what it is for. */
@Service
public class LotWords {

    public static final int LONGEST_TITLE = 80;
    public static final int LONGEST = 200;

    /** So many, of the newest lots, are read with the look. */
    static final int READ_TOGETHER = 300;

    private final JdbcClient sql;
    private final LabelLooks looks;

    LotWords(JdbcClient sql, LabelLooks looks) {
        this.sql = sql;
        this.looks = looks;
    }

    /** Empty where it has none. */
    public record Own(String title, String words) {

        public static final Own NONE = new Own("", "");

        /** Its title, or what it is called without one. */
        public String called(String name) {
            return title.isEmpty() ? name : title;
        }
    }

    /** Its own words, if it has any; those of the newest lots are read with the look of all labels. */
    @Transactional(readOnly = true)
    public Own of(UUID lot) {
        Map<UUID, Own> newest = looks.read().words();
        return newest.containsKey(lot) || newest.size() < READ_TOGETHER
                ? newest.getOrDefault(lot, Own.NONE)
                : PerRequest.of("label words", List.of(Current.person(), lot), () -> ofOld(lot));
    }

    private Own ofOld(UUID lot) {
        return sql.sql("select title, words from label_words where stillroom_id = :stillroom and lot_id = :lot")
                .param("stillroom", Current.stillroom())
                .param("lot", lot)
                .query((row, at) -> new Own(row.getString(1), row.getString(2)))
                .optional()
                .orElse(Own.NONE);
    }

    /** What was read as columns, by its lot. */
    static Map<UUID, Own> own(List<String> lots, List<String> titles, List<String> words) {
        Map<UUID, Own> own = new HashMap<>();
        for (int at = 0; at < lots.size(); at++) {
            own.put(UUID.fromString(lots.get(at)), new Own(titles.get(at), words.get(at)));
        }
        return own;
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
