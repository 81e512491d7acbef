package app.velvetcrock.upkeep;

import java.sql.SQLException;
import java.time.Duration;
import java.util.Set;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.FlywayException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Brings the database up to this release at the start; not while classes are being archived, when there is none. */
@Configuration(proxyBeanMethods = false)
class Migrating {

    private static final Logger LOG = LoggerFactory.getLogger(Migrating.class);
    /** PostgreSQL's own: a deadlock, and a lock that was not got in time. */
    private static final Set<String> IN_THE_WAY = Set.of("40P01", "55P03");

    private static final int TRIES = 60;
    private static final Duration BETWEEN = Duration.ofMillis(500);

    @Bean
    FlywayMigrationStrategy migration(@Value("${crock.archiving:false}") boolean archiving) {
        return flyway -> {
            if (!archiving) {
                migrate(flyway, BETWEEN);
            }
        };
    }

    /**
     * Migrates while others write: the release before runs on beside this one, so a step can meet its deeds in the other order and be the
     * one that gives way. Each step is there wholly or not at all, so it is tried again from where it was; any other trouble is thrown.
     */
    static void migrate(Flyway flyway, Duration between) {
        for (int left = TRIES; ; left--) {
            try {
                flyway.migrate();
                return;
            } catch (FlywayException trouble) {
                if (left <= 1 || !inTheWay(trouble)) {
                    throw trouble;
                }
                LOG.info("A step of the migration gave way to somebody's writing and is tried again");
                pause(between);
            }
        }
    }

    private static boolean inTheWay(Throwable trouble) {
        for (Throwable cause = trouble; cause != null; cause = cause.getCause()) {
            if (cause instanceof SQLException sql && IN_THE_WAY.contains(String.valueOf(sql.getSQLState()))) {
                return true;
            }
        }
        return false;
    }

    private static void pause(Duration time) {
        try {
            Thread.sleep(time.toMillis());
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException("stopped while the database was brought up to this release", stopped);
        }
    }
}
