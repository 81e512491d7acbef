package app.velvetcrock.web.trip;

import app.velvetcrock.web.PerRequest;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Objects;
import java.util.StringJoiner;
import org.springframework.jdbc.core.ArgumentPreparedStatementSetter;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.namedparam.MapSqlParameterSource;
import org.springframework.jdbc.core.namedparam.NamedParameterUtils;
import org.springframework.jdbc.core.namedparam.ParsedSql;
import org.springframework.jdbc.core.namedparam.SqlParameterSource;
import org.springframework.stereotype.Component;

/**
 * Answers questions, several in one trip to the database where a page knows beforehand that it will ask them: each select is then
 * still answered by itself, but waited for together.
 */
@Component
public class Trip {

    private final JdbcTemplate sql;

    Trip(JdbcTemplate sql) {
        this.sql = sql;
    }

    /** The answer of one, as it was asked for this page before, else as it is now. */
    public <T> T answer(Question<T> question) {
        return PerRequest.of(question.what(), question.whose(), () -> {
            List<Object> answers = asked(List.of(question));
            @SuppressWarnings("unchecked")
            T answer = (T) answers.get(0);
            return answer;
        });
    }

    /** Asks together what was not asked before; a form reads everything anew, so that nothing is asked ahead for it. */
    public void ahead(List<Question<?>> questions) {
        List<Question<?>> open = questions.stream()
                .filter(one -> PerRequest.kept(one.what(), one.whose()).isEmpty())
                .toList();
        if (PerRequest.keeps() && !open.isEmpty()) {
            List<Object> answers = asked(open);
            for (int at = 0; at < open.size(); at++) {
                PerRequest.keep(open.get(at).what(), open.get(at).whose(), answers.get(at));
            }
        }
    }

    private List<Object> asked(List<? extends Question<?>> questions) {
        StringJoiner all = new StringJoiner(";\n");
        List<Object> values = new ArrayList<>();
        for (Question<?> one : questions) {
            SqlParameterSource with = new MapSqlParameterSource(one.with());
            ParsedSql parsed = NamedParameterUtils.parseSqlStatement(one.sql());
            all.add(NamedParameterUtils.substituteNamedParameters(parsed, with));
            for (Object value : NamedParameterUtils.buildValueArray(parsed, with, null)) {
                values.addAll(value instanceof Collection<?> several ? several : List.of(value));
            }
        }
        return Objects.requireNonNull(sql.execute(all.toString(), (PreparedStatement statement) -> {
            new ArgumentPreparedStatementSetter(values.toArray()).setValues(statement);
            return answers(statement, questions);
        }));
    }

    private static List<Object> answers(PreparedStatement statement, List<? extends Question<?>> questions)
            throws SQLException {
        List<Object> answers = new ArrayList<>();
        statement.execute();
        for (Question<?> one : questions) {
            try (ResultSet rows = statement.getResultSet()) {
                answers.add(Objects.requireNonNull(one.answer().extractData(rows)));
            }
            statement.getMoreResults();
        }
        return answers;
    }
}
