package app.velvetcrock.labelled;

import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.PerRequest;
import java.util.Collection;
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

    private static final String KEPT = "label words";

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
        return PerRequest.<Own>kept(KEPT, List.of(Current.person(), lot))
                .orElseGet(() -> among(List.of(lot)).getOrDefault(lot, Own.NONE));
    }

    /** Those of some lots, read together; what has none is left out. */
    @Transactional(readOnly = true)
    public Map<UUID, Own> among(Collection<UUID> lots) {
        Map<UUID, Own> words = new HashMap<>();
        if (!lots.isEmpty()) {
            sql.sql(
                            "select lot_id, title, words from label_words where stillroom_id = :stillroom and lot_id in (:lots)")
                    .param("stillroom", Current.stillroom())
                    .param("lots", lots)
                    .query(row -> {
                        words.put(row.getObject(1, UUID.class), new Own(row.getString(2), row.getString(3)));
                    });
        }
        lots.forEach(lot -> PerRequest.keep(KEPT, List.of(Current.person(), lot), words.getOrDefault(lot, Own.NONE)));
        return words;
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
