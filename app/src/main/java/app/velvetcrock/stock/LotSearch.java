package app.velvetcrock.stock;

import app.velvetcrock.core.larder.LotKind;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.Findable;
import app.velvetcrock.web.Hit;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Finds lots by every name they go by. */
@Component
class LotSearch implements Findable {

    private final JdbcClient sql;

    LotSearch(JdbcClient sql) {
        this.sql = sql;
    }

    @Override
    public List<Hit> find(String text) {
        return sql.sql(
                        """
                        select * from (
                            select id, name, kind, unit, balance, moisture, balance > 0 as stocked, greatest(word_similarity(:q, words),
                                case when to_tsvector('simple', words) @@ plainto_tsquery('simple', :q) then 1 else 0 end) as near
                            from lot where stillroom_id = :stillroom and not (kind = 'MADE' and kind_key = 'melt')
                        ) found where near >= :least order by stocked desc, near desc, name, id limit :most""")
                .param("stillroom", Current.stillroom())
                .param("q", text)
                .param("least", Hit.LEAST)
                .param("most", Hit.MOST)
                .query((row, at) -> hit(row))
                .list();
    }

    private static Hit hit(ResultSet row) throws SQLException {
        LotKind kind = LotKind.valueOf(row.getString("kind"));
        String place =
                switch (kind) {
                    case INFUSED_OIL -> "/cupboard/";
                    case MADE -> "/cupboard/goods/";
                    default -> "/stores/lots/";
                };
        return new Hit(
                row.getString("name"),
                words(row, kind),
                place + row.getObject("id", UUID.class),
                row.getBoolean("stocked"),
                row.getDouble("near"));
    }

    private static String words(ResultSet row, LotKind kind) throws SQLException {
        String moisture = row.getString("moisture");
        String left = row.getLong("balance") == 0
                ? "used up"
                : Stock.Unit.valueOf(row.getString("unit")).words(row.getLong("balance")) + " left";
        return kind.word()
                + (moisture == null ? ", " : ", " + Moisture.valueOf(moisture).word() + ", ")
                + left;
    }
}
