package app.velvetcrock.stillroom;

import java.util.UUID;
import org.hibernate.cfg.MultiTenancySettings;
import org.hibernate.context.spi.CurrentTenantIdentifierResolver;
import org.springframework.boot.hibernate.autoconfigure.HibernatePropertiesCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Gives Hibernate the stillroom of the person at work, so that every query carries it. */
@Configuration
class TenantConfig {

    @Bean
    HibernatePropertiesCustomizer tenants() {
        return properties -> properties.put(MultiTenancySettings.MULTI_TENANT_IDENTIFIER_RESOLVER, new Resolver());
    }

    private static final class Resolver implements CurrentTenantIdentifierResolver<UUID> {

        @Override
        public UUID resolveCurrentTenantIdentifier() {
            return Current.signedIn().map(SignedIn::stillroom).orElse(SignedIn.NOWHERE);
        }

        @Override
        public boolean validateExistingCurrentSessions() {
            return true;
        }
    }
}
