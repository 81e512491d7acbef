package app.velvetcrock.stores;

import app.velvetcrock.catalogue.Catalogue;
import app.velvetcrock.web.Findable;
import app.velvetcrock.web.Hit;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Finds by name, slips of the pen allowed, what is stored and what is known. */
@Component
public class StoreSearch {

    private final List<Findable> places;
    private final JdbcClient sql;
    private final Catalogue catalogue;

    StoreSearch(List<Findable> places, JdbcClient sql, Catalogue catalogue) {
        this.places = places;
        this.sql = sql;
        this.catalogue = catalogue;
    }

    /** What is stored first, the nearest first; after that what the catalogue knows. */
    @Transactional(readOnly = true)
    public List<Hit> find(String typed) {
        String text = typed.strip().toLowerCase(Locale.ROOT);
        if (text.isEmpty()) {
            return List.of();
        }
        List<Hit> stored = places.stream()
                .flatMap(place -> place.find(text).stream())
                .sorted(Comparator.comparing(Hit::inStock)
                        .thenComparing(Hit::near)
                        .reversed()
                        .thenComparing(Hit::name))
                .toList();
        return Stream.concat(stored.stream(), known(text).stream())
                .limit(Hit.MOST)
                .toList();
    }

    /** The catalogue is no table: its names go along with the question. */
    private List<Hit> known(String text) {
        List<Catalogue.Named> names = catalogue.names();
        return sql
                .sql(
                        """
                        select n.at, n.name from unnest(string_to_array(:names, E'\\n')) with ordinality as n(name, at)
                        where word_similarity(:q, n.name) >= :least order by word_similarity(:q, n.name) desc, n.at limit :most""")
                .param("names", names.stream().map(Catalogue.Named::words).collect(Collectors.joining("\n")))
                .param("q", text)
                .param("least", Hit.LEAST)
                .param("most", Hit.MOST)
                .query((row, at) -> names.get(row.getInt("at") - 1))
                .list()
                .stream()
                .map(named -> new Hit(
                        named.common(),
                        named.what() + " in the catalogue",
                        "/stores/catalogue?q=" + named.common().replace(' ', '+'),
                        false,
                        0))
                .toList();
    }
}
