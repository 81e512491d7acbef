package app.velvetcrock.recipes;

import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.Findable;
import app.velvetcrock.web.Hit;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Finds kept recipe lists by title. */
@Component
class RecipeSearch implements Findable {

    private final JdbcClient sql;

    RecipeSearch(JdbcClient sql) {
        this.sql = sql;
    }

    @Override
    public List<Hit> find(String text) {
        return sql.sql(
                        """
                        select * from (
                            select id, title, word_similarity(:q, lower(title)) as near from recipe_card
                                where stillroom_id = :stillroom and removed_at is null
                        ) found where near >= :least order by near desc, title, id limit :most""")
                .param("stillroom", Current.stillroom())
                .param("q", text)
                .param("least", Hit.LEAST)
                .param("most", Hit.MOST)
                .query((row, at) -> hit(row))
                .list();
    }

    private static Hit hit(ResultSet row) throws SQLException {
        return new Hit(
                row.getString("title"),
                "recipe",
                "/stores/recipes/" + row.getObject("id", UUID.class),
                true,
                row.getDouble("near"));
    }
}
