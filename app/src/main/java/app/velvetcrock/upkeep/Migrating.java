package app.velvetcrock.upkeep;

import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Brings the database up to this release at the start; not while classes are being archived, when there is none. */
@Configuration(proxyBeanMethods = false)
class Migrating {

    @Bean
    FlywayMigrationStrategy migration(@Value("${crock.archiving:false}") boolean archiving) {
        return flyway -> {
            if (!archiving) {
                flyway.migrate();
            }
        };
    }
}
