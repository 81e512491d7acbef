package app.velvetcrock.upkeep;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.velvetcrock.HttpTest;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.time.Duration;
import java.util.concurrent.CompletableFuture;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.FlywayException;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.simple.JdbcClient;

/** A migration meets the deeds of the release before: it gives way, comes again, and is whole in the end. */
@HttpTest
class MigratingTest {

    private static final Duration SHORT = Duration.ofMillis(50);

    @TempDir
    Path steps;

    @Autowired
    DataSource database;

    @Autowired
    JdbcClient sql;

    @Value("${spring.datasource.url}")
    String url;

    @Value("${spring.datasource.username}")
    String user;

    @Value("${spring.datasource.password:}")
    String password;

    @BeforeEach
    void aTableOfItsOwn() {
        sql.sql("drop schema if exists migrating cascade").update();
        sql.sql("create schema migrating").update();
        sql.sql("create table migrating.thing (id integer)").update();
    }

    @AfterEach
    void gone() {
        sql.sql("drop schema if exists migrating cascade").update();
    }

    @Test
    void aStepThatFindsItsTableTakenIsTriedAgainUntilItIsThere() throws Exception {
        step("V1__one.sql", "create table other (id integer); alter table thing add column name text;");
        CompletableFuture<Void> migrated;
        try (Connection somebody = database.getConnection()) {
            somebody.setAutoCommit(false);
            somebody.createStatement().execute("insert into migrating.thing values (1)");
            migrated = CompletableFuture.runAsync(() -> Migrating.migrate(flyway(), SHORT));
            await(
                    "select count(*) > 0 from pg_stat_activity where wait_event_type = 'Lock' and query like '%add column name%'");
            Thread.sleep(400);
            assertThat(migrated)
                    .as("gave way more than once, and did not give up")
                    .isNotDone();
            somebody.commit();
        }
        migrated.get();
        assertThat(sql.sql("select count(*) from migrating.thing where name is null")
                        .query(Integer.class)
                        .single())
                .isEqualTo(1);
        assertThat(sql.sql("select count(*) from migrating.other")
                        .query(Integer.class)
                        .single())
                .isZero();
    }

    @Test
    void aStepThatIsWrongIsNotTriedAgain() throws Exception {
        step("V1__one.sql", "alter table nowhere add column name text;");
        assertThatThrownBy(() -> Migrating.migrate(flyway(), Duration.ofHours(1)))
                .isInstanceOf(FlywayException.class)
                .hasMessageContaining("nowhere");
    }

    /** On connections of its own: what it sets for them is no other test's. */
    private Flyway flyway() {
        return Flyway.configure()
                .dataSource(url, user, password)
                .schemas("migrating")
                .baselineOnMigrate(true)
                .baselineVersion("0")
                .initSql("set lock_timeout = '100ms'")
                .locations("filesystem:" + steps)
                .load();
    }

    private void step(String name, String statements) throws Exception {
        Files.writeString(steps.resolve(name), statements);
    }

    private void await(String question) throws InterruptedException {
        for (int i = 0; i < 200; i++) {
            if (sql.sql(question).query(Boolean.class).single()) {
                return;
            }
            Thread.sleep(20);
        }
        throw new AssertionError("never: " + question);
    }
}
