package app.velvetcrock.browser;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** The test's own PostgreSQL, stopped as a crash would and started again. */
final class TestDatabase {

    private static final String PG_CTL = "/usr/lib/postgresql/15/bin/pg_ctl";

    private TestDatabase() {}

    static void crash() {
        pgCtl("-m", "immediate", "-w", "stop");
    }

    static void start() {
        String options =
                "-p %s -h 127.0.0.1 -k '' -c max_connections=60 -c fsync=off -c synchronous_commit=off -c full_page_writes=off"
                        .formatted(RunningApp.required("CROCK_TEST_DB_PORT"));
        pgCtl("-w", "-l", RunningApp.required("CROCK_TEST_PG_DIR") + ".log", "-o", options, "start");
    }

    private static void pgCtl(String... arguments) {
        List<String> command = new ArrayList<>();
        if ("root".equals(System.getProperty("user.name"))) {
            command.addAll(List.of("runuser", "-u", "postgres", "--"));
        }
        command.addAll(List.of(PG_CTL, "-D", RunningApp.required("CROCK_TEST_PG_DIR")));
        command.addAll(List.of(arguments));
        try {
            Process process = new ProcessBuilder(command)
                    .directory(Path.of("/").toFile())
                    .redirectErrorStream(true)
                    .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                    .start();
            if (process.waitFor() != 0) {
                throw new AssertionError("pg_ctl " + String.join(" ", arguments) + " failed");
            }
        } catch (IOException e) {
            throw new AssertionError(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new AssertionError(e);
        }
    }
}
