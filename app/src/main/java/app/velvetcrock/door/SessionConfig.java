package app.velvetcrock.door;

import com.zaxxer.hikari.HikariDataSource;
import java.time.Duration;
import javax.sql.DataSource;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.boot.jdbc.autoconfigure.DataSourceProperties;
import org.springframework.context.ApplicationContext;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.support.JdbcTransactionManager;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.session.jdbc.PostgreSqlJdbcIndexedSessionRepositoryCustomizer;
import org.springframework.session.jdbc.config.annotation.SpringSessionDataSource;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionOperations;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Sessions are read and written in plain JDBC transactions of their own. Through JPA they would ask for the stillroom, which
 * is asked from the session.
 */
@Configuration
class SessionConfig {

    private static final int CONNECTIONS = 4;
    private static final Duration PATIENCE = Duration.ofSeconds(3);

    /** Two requests of one session at once both write their attributes; the later one wins instead of failing. */
    @Bean
    PostgreSqlJdbcIndexedSessionRepositoryCustomizer sessionsMayBeWrittenAtOnce() {
        return new PostgreSqlJdbcIndexedSessionRepositoryCustomizer();
    }

    /** Puts the quiet ones before the stored ones, wherever sessions are read and written. */
    @Bean
    static BeanPostProcessor quietSessions(ApplicationContext said) {
        return new BeanPostProcessor() {
            @Override
            public Object postProcessAfterInitialization(Object bean, String name) {
                return bean instanceof JdbcIndexedSessionRepository stored ? new QuietSessions<>(stored, said) : bean;
            }
        };
    }

    /**
     * A few connections for sessions alone. One may have to be written while its page is being read, which holds a connection
     * of its own; waiting for another of the same pool, many pages at once could wait for each other.
     */
    @Bean(defaultCandidate = false)
    @SpringSessionDataSource
    HikariDataSource sessionSource(DataSourceProperties properties) {
        HikariDataSource source = properties
                .initializeDataSourceBuilder()
                .type(HikariDataSource.class)
                .build();
        source.setPoolName("sessions");
        source.setMaximumPoolSize(CONNECTIONS);
        source.setMinimumIdle(1);
        source.setConnectionTimeout(PATIENCE.toMillis());
        source.setValidationTimeout(PATIENCE.toMillis() / 2);
        // A server that went without a word is not waited for longer than the pages' own connections wait.
        source.addDataSourceProperty("socketTimeout", "30");
        source.addDataSourceProperty("logServerErrorDetail", "false");
        source.setInitializationFailTimeout(-1);
        return source;
    }

    @Bean
    TransactionOperations springSessionTransactionOperations(@SpringSessionDataSource DataSource source) {
        TransactionTemplate template = new TransactionTemplate(new JdbcTransactionManager(source));
        template.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
        return template;
    }
}
