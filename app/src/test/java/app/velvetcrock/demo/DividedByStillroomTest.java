package app.velvetcrock.demo;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.StatementCount;
import app.velvetcrock.Visitor;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.TestHouse;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Isolated;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.transaction.support.TransactionTemplate;

/** A household's rows can be divided by its stillroom: keys, references and statements all name it. */
@HttpTest
@Isolated
class DividedByStillroomTest {

    /** Looked up before the household is known, by a secret or by the account; or cleared for all of them, by age. */
    private static final List<Pattern> BEFORE_IT_IS_KNOWN = Stream.of(
                    "from calendar_feed .*where .*secret_hash = \\?",
                    "from invitation .*where .*secret_hash = \\?",
                    "from membership .*where .*account_id = \\?",
                    "delete from form_key where ctid in .*sent_at < \\?")
            .map(Pattern::compile)
            .toList();

    private static final Pattern NAMED =
            Pattern.compile("stillroom_id ?(=|in) ?(\\?|\\(\\?|[a-z0-9_]+\\.stillroom_id)");

    @LocalServerPort
    int port;

    @Autowired
    JdbcClient sql;

    @Autowired
    DemoSeason season;

    @Autowired
    TransactionTemplate together;

    private List<String> householdTables() {
        return sql.sql("select table_name from information_schema.columns where table_schema = 'public' "
                        + "and column_name = 'stillroom_id'")
                .query(String.class)
                .list();
    }

    @Test
    void everyUniqueIndexNamesTheStillroom() {
        assertThat(householdTables()).hasSizeGreaterThan(25).contains("lot", "batch_entry", "movement");
        assertThat(sql.sql(
                                """
                        select t.relname || '.' || i.relname
                        from pg_index x
                        join pg_class i on i.oid = x.indexrelid
                        join pg_class t on t.oid = x.indrelid
                        join pg_attribute a on a.attrelid = t.oid and a.attname = 'stillroom_id'
                        where x.indisunique and t.relnamespace = 'public'::regnamespace
                          and not a.attnum = any (x.indkey::int2[])""")
                        .query(String.class)
                        .list())
                .isEmpty();
    }

    @Test
    void everyReferenceNamesTheStillroom() {
        assertThat(sql.sql(
                                """
                        select c.conrelid::regclass || ' → ' || c.confrelid::regclass
                        from pg_constraint c
                        join pg_attribute a on a.attrelid = c.conrelid and a.attname = 'stillroom_id'
                        where c.contype = 'f' and c.connamespace = 'public'::regnamespace
                          and not a.attnum = any (c.conkey)""")
                        .query(String.class)
                        .list())
                .as("an account is of no household; the member is")
                .containsExactly("membership → account");
    }

    @Test
    void everyStatementNamesTheStillroom() {
        Set<String> unnamed = new TreeSet<>();
        List<String> said = StatementCount.during(() -> {
            Current.as(
                    TestHouse.at(port).person("Divided"),
                    () -> together.execute(status -> {
                        season.fill();
                        return true;
                    }));
            Visitor tove = Visitor.stocked(port, "Divided too");
            for (String page :
                    List.of("/shelf", "/settings/hours", "/bench", "/stores", "/press", "/cupboard", "/settings")) {
                assertThat(tove.get(page).status()).as(page).isEqualTo(200);
            }
        });
        Pattern household =
                Pattern.compile("\\b(from|join|update|into) (" + String.join("|", householdTables()) + ")\\b");
        long seen = said.stream()
                .map(statement -> statement.toLowerCase(Locale.ROOT).replaceAll("\\s+", " "))
                .filter(statement -> household.matcher(statement).find())
                .peek(statement -> {
                    // Hibernate's own check is of every row, and cannot be searched by.
                    String where = statement.replace("stillroom_id=coalesce(?,stillroom_id)", "");
                    boolean named = statement.startsWith("insert")
                            || NAMED.matcher(where).find();
                    if (!named
                            && BEFORE_IT_IS_KNOWN.stream()
                                    .noneMatch(p -> p.matcher(statement).find())) {
                        unnamed.add(statement);
                    }
                })
                .count();
        assertThat(seen).isGreaterThan(500);
        assertThat(said).as("rows are changed too").anyMatch(s -> s.startsWith("update lot set"));
        assertThat(unnamed).isEmpty();
    }
}
