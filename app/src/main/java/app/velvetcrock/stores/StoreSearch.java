package app.velvetcrock.stores;

import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.stillroom.Current;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Finds what is stored and what the catalogue knows by any of its names, forgiving of spelling: PostgreSQL's trigrams and words. */
@Component
public class StoreSearch {

    private static final int MOST = 40;

    /** How much of what was typed must be found in a name, 0 to 1. */
    private static final double NEAR = 0.45;

    private final JdbcClient sql;
    private final Catalogue catalogue;

    StoreSearch(JdbcClient sql, Catalogue catalogue) {
        this.sql = sql;
        this.catalogue = catalogue;
    }

    /** Something found, with the page it is on. */
    public record Found(String name, String what, String leadsTo, boolean inStock) {}

    @Transactional(readOnly = true)
    public List<Found> find(String typed) {
        String text = typed.strip().toLowerCase(Locale.ROOT);
        return text.isEmpty()
                ? List.of()
                : java.util.stream.Stream.concat(stored(text).stream(), known(text).stream())
                        .limit(MOST)
                        .toList();
    }

    private List<Found> stored(String text) {
        return sql.sql(
                        """
                        select * from (
                            select l.id, l.name, l.kind, l.balance > 0 as stocked, 'LOT' as place, l.unit, l.balance, l.moisture, greatest(word_similarity(:q, l.words),
                                case when to_tsvector('simple', l.words) @@ plainto_tsquery('simple', :q) then 1 else 0 end) as near
                            from lot l where l.stillroom_id = :stillroom
                            union all select j.id, j.name, 'jar', true, 'JAR', null, 0, null, word_similarity(:q, lower(j.name)) from jar j where j.stillroom_id = :stillroom
                            union all select k.id, k.name, k.kind, true, 'KIT', null, 0, null, word_similarity(:q, lower(k.name || ' ' || k.kind)) from kit k where k.stillroom_id = :stillroom and k.removed_at is null
                            union all select r.id, r.title, 'recipe', true, 'RECIPE', null, 0, null, word_similarity(:q, lower(r.title)) from recipe_card r
                                where r.stillroom_id = :stillroom and r.removed_at is null
                        ) found where near >= :least order by stocked desc, near desc, name, id limit :most""")
                .param("stillroom", Current.stillroom())
                .param("q", text)
                .param("least", NEAR)
                .param("most", MOST)
                .query((row, at) -> found(row))
                .list();
    }

    private static Found found(ResultSet row) throws SQLException {
        String name = row.getString("name");
        String kind = row.getString("kind");
        UUID id = row.getObject("id", UUID.class);
        boolean stocked = row.getBoolean("stocked");
        return switch (row.getString("place")) {
            case "JAR" -> new Found(name, "jar", "/stores#jars", true);
            case "KIT" -> new Found(name, KitKind.valueOf(kind).word(), "/stores/kit", true);
            case "RECIPE" -> new Found(name, "recipe", "/stores/recipes/" + id, true);
            default -> new Found(
                    name,
                    lotWords(row, kind),
                    (kind.equals("INFUSED_OIL") ? "/cupboard/" : "/stores/lots/") + id,
                    stocked);
        };
    }

    private static String lotWords(ResultSet row, String kind) throws SQLException {
        String moisture = row.getString("moisture");
        String left = row.getLong("balance") == 0
                ? "used up"
                : StockUnit.valueOf(row.getString("unit")).words(row.getLong("balance")) + " left";
        return LotKind.valueOf(kind).word()
                + (moisture == null ? ", " : ", " + Moisture.valueOf(moisture).word() + ", ")
                + left;
    }

    /** The catalogue is no table: its names go along with the question. */
    private List<Found> known(String text) {
        List<Catalogue.Named> names = catalogue.names();
        return sql
                .sql(
                        """
                        select n.at, n.name from unnest(string_to_array(:names, E'\\n')) with ordinality as n(name, at)
                        where word_similarity(:q, n.name) >= :least order by word_similarity(:q, n.name) desc, n.at limit :most""")
                .param("names", names.stream().map(Catalogue.Named::words).collect(Collectors.joining("\n")))
                .param("q", text)
                .param("least", NEAR)
                .param("most", MOST)
                .query((row, at) -> names.get(row.getInt("at") - 1))
                .list()
                .stream()
                .map(named -> new Found(
                        named.common(),
                        named.what() + " in the catalogue",
                        "/stores/catalogue?q=" + named.common().replace(' ', '+'),
                        false))
                .toList();
    }
}
