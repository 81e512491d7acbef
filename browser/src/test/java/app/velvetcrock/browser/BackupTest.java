package app.velvetcrock.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Everything into one file and back, by the launcher's own commands; what cannot be put back changes nothing. */
class BackupTest {

    private static final String BIN = "/usr/lib/postgresql/15/bin/";
    private static final String DATABASE = "crock_backup_test";

    @TempDir
    Path temp;

    private Path file;

    @BeforeEach
    void copy() throws IOException, InterruptedException {
        RunningApp.at(RunningApp.DEMO_LOADED);
        file = temp.resolve("kept");
        sql("postgres", "drop database if exists " + DATABASE + " with (force)");
        sql("postgres", "create database " + DATABASE);
        run(List.of(
                "bash",
                "-c",
                "%spg_dump -h 127.0.0.1 -p %s -U crock crock_browser | %spsql -q -h 127.0.0.1 -p %s -U crock -d %s"
                        .formatted(BIN, port(), BIN, port(), DATABASE)));
    }

    @AfterEach
    void drop() throws IOException, InterruptedException {
        for (String database : List.of(DATABASE, "crock_restored", "crock_before_restore")) {
            sql("postgres", "drop database if exists " + database + " with (force)");
        }
    }

    @Test
    void whatWasKeptComesBackRowForRow() throws IOException, InterruptedException {
        String before = figures();
        assertThat(crock("backup")).contains("tables with").contains("rows are in");
        assertThat(crock("backup")).contains("is there already; nothing was written");
        sql(
                DATABASE,
                "delete from movement where id in (select id from movement limit 3)",
                "drop table warm_up cascade");
        assertThat(figures()).isNotEqualTo(before);
        assertThat(crock("restore")).contains("are back, each as it was written");
        assertThat(figures()).isEqualTo(before);
    }

    @Test
    void whatIsCutShortDamagedOrNewerIsRefusedAndChangesNothing() throws IOException, InterruptedException {
        crock("backup");
        String before = figures();
        byte[] whole = Files.readAllBytes(file);
        Files.write(file, java.util.Arrays.copyOf(whole, whole.length * 2 / 3));
        assertThat(crock("restore")).contains("was cut short. Nothing was restored");
        byte[] damaged = whole.clone();
        damaged[whole.length / 2] ^= 1;
        Files.write(file, damaged);
        assertThat(crock("restore")).contains("is damaged");
        String text = new String(whole, StandardCharsets.ISO_8859_1);
        Files.write(file, text.replaceFirst("schema (\\d)\\d", "schema 99").getBytes(StandardCharsets.ISO_8859_1));
        assertThat(crock("restore")).contains("newer release");
        Files.writeString(file, "a letter to a friend");
        assertThat(crock("restore")).contains("is no backup of Velvet Crock");
        assertThat(figures()).isEqualTo(before);
    }

    /** The rows of every table. */
    private static String figures() throws IOException, InterruptedException {
        return run(List.of(
                "bash",
                "-c",
                ("for t in $(%1$spsql -X -At -h 127.0.0.1 -p %2$s -U crock -d %3$s -c "
                                + "\"select tablename from pg_tables"
                                + " where schemaname = 'public' order by 1\"); do echo $t "
                                + "$(%1$spsql -X -At -h 127.0.0.1 -p %2$s -U crock -d %3$s"
                                + " -c \"select count(*) from $t\"); done")
                        .formatted(BIN, port(), DATABASE)));
    }

    private String crock(String command) throws IOException, InterruptedException {
        int free;
        try (ServerSocket socket = new ServerSocket(0)) {
            free = socket.getLocalPort();
        }
        ProcessBuilder builder = new ProcessBuilder("../crock", command, file.toString()).redirectErrorStream(true);
        builder.environment().put("CROCK_PORT", String.valueOf(free));
        builder.environment().put("CROCK_DB_URL", "jdbc:postgresql://127.0.0.1:" + port() + "/" + DATABASE);
        return output(builder);
    }

    private static void sql(String database, String... statements) throws IOException, InterruptedException {
        for (String statement : statements) {
            run(List.of(
                    BIN + "psql",
                    "-X",
                    "-q",
                    "-h",
                    "127.0.0.1",
                    "-p",
                    port(),
                    "-U",
                    "crock",
                    "-d",
                    database,
                    "-c",
                    statement));
        }
    }

    private static String run(List<String> command) throws IOException, InterruptedException {
        return output(new ProcessBuilder(new ArrayList<>(command)).redirectErrorStream(true));
    }

    private static String output(ProcessBuilder builder) throws IOException, InterruptedException {
        Process process = builder.start();
        String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        process.waitFor();
        return said;
    }

    private static String port() {
        return RunningApp.required("CROCK_TEST_DB_PORT");
    }
}
