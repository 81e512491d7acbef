package app.velvetcrock.kit;

import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.Findable;
import app.velvetcrock.web.Hit;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Finds jars and kit by name. */
@Component
class KitSearch implements Findable {

    private final JdbcClient sql;

    KitSearch(JdbcClient sql) {
        this.sql = sql;
    }

    @Override
    public List<Hit> find(String text) {
        return sql.sql(
                        """
                        select * from (
                            select id, name, null as kind, word_similarity(:q, lower(name)) as near from jar where stillroom_id = :stillroom
                            union all select id, name, kind, word_similarity(:q, lower(name || ' ' || kind)) from kit
                                where stillroom_id = :stillroom and removed_at is null
                        ) found where near >= :least order by near desc, name, id limit :most""")
                .param("stillroom", Current.stillroom())
                .param("q", text)
                .param("least", Hit.LEAST)
                .param("most", Hit.MOST)
                .query((row, at) -> hit(row))
                .list();
    }

    private static Hit hit(ResultSet row) throws SQLException {
        String kind = row.getString("kind");
        return new Hit(
                row.getString("name"),
                kind == null ? "jar" : KitKind.valueOf(kind).word(),
                kind == null ? "/stores#jars" : "/stores/kit",
                true,
                row.getDouble("near"));
    }
}
