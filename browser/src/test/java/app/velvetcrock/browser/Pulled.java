package app.velvetcrock.browser;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** A database whose plug is pulled: one server that starts again, or a primary whose synchronous standby takes its place. */
final class Pulled {

    private static final String BIN = "/usr/lib/postgresql/15/bin/";

    private static final long MOST_TO_FILL = 2_000_000_000;

    private final List<Server> servers;
    private Server primary;

    private Pulled(List<Server> servers) {
        this.servers = servers;
        this.primary = servers.get(0);
    }

    private record Server(Path dir, int port) {}

    static Pulled of(List<String> dirsAndPorts) {
        List<Server> servers = new ArrayList<>();
        for (int i = 0; i + 1 < dirsAndPorts.size(); i += 2) {
            servers.add(new Server(Path.of(dirsAndPorts.get(i)), Integer.parseInt(dirsAndPorts.get(i + 1))));
        }
        return new Pulled(servers);
    }

    /** Where it is found, whichever server is the primary. */
    String address() {
        List<String> hosts =
                servers.stream().map(server -> "127.0.0.1:" + server.port()).toList();
        return "jdbc:postgresql://" + String.join(",", hosts) + "/crock"
                + (servers.size() > 1 ? "?targetServerType=primary&hostRecheckSeconds=1&connectTimeout=2" : "");
    }

    /** The server's first process dies and takes the others with it; then it starts again, or the standby is promoted. */
    void kill() throws IOException, InterruptedException {
        call(
                false,
                "kill",
                "-9",
                Files.readAllLines(primary.dir().resolve("postmaster.pid")).get(0));
        if (servers.size() == 1) {
            Thread.sleep(300);
            start(primary);
            return;
        }
        Server standby = other();
        call(true, BIN + "pg_ctl", "-D", standby.dir().toString(), "-w", "promote");
        // Nobody confirms for it yet; until the other is back as its standby it answers alone.
        sql(standby, "alter system set synchronous_standby_names = ''", "select pg_reload_conf()");
        primary = standby;
    }

    /** Fills the disk it lies on for ten seconds; a server that gave up by then is started again. */
    void fill() throws IOException, InterruptedException {
        Path filler = primary.dir().resolveSibling("filler");
        long free = Files.getFileStore(primary.dir()).getUsableSpace();
        if (free > MOST_TO_FILL) {
            throw new IllegalStateException("the database lies on no small disk of its own");
        }
        call(false, "fallocate", "-l", String.valueOf(free), filler.toString());
        Thread.sleep(10_000);
        Files.delete(filler);
        if (call(true, BIN + "pg_ctl", "-D", primary.dir().toString(), "status") != 0) {
            start(primary);
        }
    }

    /** Lets every process of it stand still for five seconds. */
    void hold() throws IOException, InterruptedException {
        String first =
                Files.readAllLines(primary.dir().resolve("postmaster.pid")).get(0);
        call(false, "bash", "-c", "kill -STOP " + first + " $(pgrep -P " + first + ")");
        Thread.sleep(5_000);
        call(false, "bash", "-c", "kill -CONT " + first + " $(pgrep -P " + first + ")");
    }

    /** Brings the one that was killed back as the standby of the other, and waits until it confirms. */
    void mend() throws IOException, InterruptedException {
        if (servers.size() == 1) {
            return;
        }
        Server again = other();
        for (int attempt = 0; attempt < 40; attempt++) {
            call(true, "rm", "-rf", again.dir().toString());
            int copied = call(
                    true,
                    BIN + "pg_basebackup",
                    "-h",
                    "127.0.0.1",
                    "-p",
                    String.valueOf(primary.port()),
                    "-U",
                    "crock",
                    "-D",
                    again.dir().toString(),
                    "-R",
                    "-X",
                    "stream",
                    "-c",
                    "fast");
            if (copied == 0) {
                break;
            }
            Thread.sleep(500);
        }
        start(again);
        sql(primary, "alter system set synchronous_standby_names = '*'", "select pg_reload_conf()");
        for (int i = 0; i < 200; i++) {
            if (call(
                            true,
                            "bash",
                            "-c",
                            ("[ \"$(%spsql -X -At -h 127.0.0.1 -p %d -U crock -d postgres -c "
                                            + "\"select count(*) from pg_stat_replication where sync_state = 'sync'\")\" = 1 ]")
                                    .formatted(BIN, primary.port()))
                    == 0) {
                return;
            }
            Thread.sleep(100);
        }
        throw new IllegalStateException("the standby does not confirm");
    }

    private Server other() {
        return servers.get(servers.get(0) == primary ? 1 : 0);
    }

    private static void sql(Server server, String... statements) throws IOException, InterruptedException {
        for (String statement : statements) {
            for (int attempt = 0; attempt < 40; attempt++) {
                int code = call(
                        true,
                        BIN + "psql",
                        "-X",
                        "-q",
                        "-h",
                        "127.0.0.1",
                        "-p",
                        String.valueOf(server.port()),
                        "-U",
                        "crock",
                        "-d",
                        "postgres",
                        "-c",
                        statement);
                if (code == 0) {
                    break;
                }
                Thread.sleep(150);
            }
        }
    }

    private static void start(Server server) throws IOException, InterruptedException {
        for (int attempt = 0; attempt < 40; attempt++) {
            int code = call(
                    true,
                    BIN + "pg_ctl",
                    "-D",
                    server.dir().toString(),
                    "-w",
                    "-t",
                    "60",
                    "-l",
                    server.dir() + ".log",
                    "-o",
                    "-p " + server.port() + " -h 127.0.0.1 -k '' -c max_connections=60",
                    "start");
            if (code == 0) {
                return;
            }
            Thread.sleep(500);
        }
        throw new IllegalStateException("the database will not start");
    }

    private static int call(boolean asServer, String... command) throws IOException, InterruptedException {
        List<String> all = new ArrayList<>();
        if (asServer && "root".equals(System.getProperty("user.name"))) {
            all.addAll(List.of("runuser", "-u", "postgres", "--"));
        }
        all.addAll(List.of(command));
        return new ProcessBuilder(all)
                .directory(Path.of("/").toFile())
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start()
                .waitFor();
    }
}
