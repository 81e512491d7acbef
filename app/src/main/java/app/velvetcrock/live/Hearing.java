package app.velvetcrock.live;

import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Properties;
import java.util.UUID;
import org.postgresql.PGConnection;
import org.postgresql.PGNotification;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;

/**
 * Hears what any node wrote, on a connection of its own: a pooler in between would hand it to others. Lost, it is made anew, and
 * whoever listens is told that anything may have changed meanwhile.
 */
@Component
class Hearing implements SmartLifecycle, Runnable {

    private static final Logger LOG = LoggerFactory.getLogger(Hearing.class);
    private static final Pattern SAID = Pattern.compile("([0-9a-f-]{36}) (\\d{1,18}) ([a-z]+:[0-9a-f-]{36})");
    private static final int WAIT_MILLIS = 500;
    private static final long AGAIN_MILLIS = 1_000;

    private final Streams streams;
    private final String url;
    private final Properties as = new Properties();
    private volatile boolean running;

    Hearing(
            Streams streams,
            @Value("${spring.flyway.url}") String url,
            @Value("${spring.datasource.username}") String user,
            @Value("${spring.datasource.password}") String password) {
        this.streams = streams;
        this.url = url;
        as.setProperty("user", user);
        as.setProperty("password", password);
        as.setProperty("connectTimeout", "3");
        as.setProperty("tcpKeepAlive", "true");
        as.setProperty("ApplicationName", "velvet-crock-live");
    }

    @Override
    public void run() {
        while (running) {
            try (Connection connection = DriverManager.getConnection(url, as)) {
                listen(connection);
            } catch (SQLException lost) {
                LOG.debug("Not hearing: {}", lost.getMessage());
                rest();
            } catch (RuntimeException broken) {
                LOG.error("Hearing broke off", broken);
                rest();
            }
        }
    }

    private void listen(Connection connection) throws SQLException {
        try (Statement listen = connection.createStatement()) {
            listen.execute("listen " + Changes.CHANNEL);
        }
        catchUp(connection);
        PGConnection notified = connection.unwrap(PGConnection.class);
        while (running) {
            PGNotification[] heard = notified.getNotifications(WAIT_MILLIS);
            for (PGNotification one : heard == null ? new PGNotification[0] : heard) {
                Matcher said = SAID.matcher(one.getParameter());
                if (said.matches()) {
                    streams.changed(UUID.fromString(said.group(1)), Long.parseLong(said.group(2)), said.group(3));
                }
            }
        }
    }

    /** What was said while nobody heard. */
    private void catchUp(Connection connection) throws SQLException {
        for (UUID stillroom : streams.listenedFor()) {
            try (PreparedStatement ask =
                    connection.prepareStatement("select revision from revision where stillroom_id = ?")) {
                ask.setObject(1, stillroom);
                try (ResultSet row = ask.executeQuery()) {
                    if (row.next()) {
                        streams.changed(stillroom, row.getLong(1), Stream.ANYTHING);
                    }
                }
            }
        }
    }

    private static void rest() {
        try {
            Thread.sleep(AGAIN_MILLIS);
        } catch (InterruptedException stop) {
            Thread.currentThread().interrupt();
        }
    }

    @Override
    public void start() {
        running = true;
        Thread thread = new Thread(this, "hearing");
        thread.setDaemon(true);
        thread.start();
    }

    @Override
    public void stop() {
        running = false;
    }

    @Override
    public boolean isRunning() {
        return running;
    }
}
