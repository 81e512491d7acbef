package app.velvetcrock.web.trip;

import java.util.Map;
import org.springframework.jdbc.core.ResultSetExtractor;

/**
 * Something a page asks of the database that depends on no other answer.
 *
 * @param what its name, and {@code whose}: by both the answer is kept while the page is made
 * @param sql one select with named parameters, and {@code with} their values
 */
public record Question<T>(String what, Object whose, String sql, Map<String, ?> with, ResultSetExtractor<T> answer) {

    public Question {
        with = Map.copyOf(with);
    }
}
