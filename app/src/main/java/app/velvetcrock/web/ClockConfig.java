package app.velvetcrock.web;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The one clock everything asks: the machine's, or for pictures and tests a fixed or moved one. */
@Configuration
class ClockConfig {

    @Bean
    Clock clock(@Value("${crock.clock}") String setting) {
        return new DeedClock(
                setting.isBlank()
                        ? Clock.systemUTC()
                        : setting.startsWith("/")
                                ? new FileClock(Path.of(setting), ZoneOffset.UTC)
                                : Clock.fixed(Instant.parse(setting), ZoneOffset.UTC));
    }

    /** What was tapped where the network does not reach was done then, not when it arrived: for its request that is now. */
    private static final class DeedClock extends Clock {

        private final Clock house;

        DeedClock(Clock house) {
            this.house = house;
        }

        @Override
        public ZoneId getZone() {
            return house.getZone();
        }

        @Override
        public Clock withZone(ZoneId other) {
            return new DeedClock(house.withZone(other));
        }

        @Override
        public Instant instant() {
            return Sending.tapped().orElseGet(house::instant);
        }
    }

    /** Reads the instant from a file at every asking, so that a test can move the time of a running application. */
    private static final class FileClock extends Clock {

        private final Path file;
        private final ZoneId zone;

        FileClock(Path file, ZoneId zone) {
            this.file = file;
            this.zone = zone;
        }

        @Override
        public ZoneId getZone() {
            return zone;
        }

        @Override
        public Clock withZone(ZoneId other) {
            return new FileClock(file, other);
        }

        @Override
        public Instant instant() {
            try {
                return Instant.parse(Files.readString(file).strip());
            } catch (IOException e) {
                throw new UncheckedIOException("the clock file cannot be read", e);
            }
        }
    }
}
