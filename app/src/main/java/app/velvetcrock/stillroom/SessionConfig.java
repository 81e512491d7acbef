package app.velvetcrock.stillroom;

import javax.sql.DataSource;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.support.JdbcTransactionManager;
import org.springframework.session.jdbc.PostgreSqlJdbcIndexedSessionRepositoryCustomizer;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionOperations;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Sessions are read and written in plain JDBC transactions of their own. Through JPA they would ask for the stillroom, which
 * is asked from the session.
 */
@Configuration
class SessionConfig {

    /** Two requests of one session at once both write their attributes; the later one wins instead of failing. */
    @Bean
    PostgreSqlJdbcIndexedSessionRepositoryCustomizer sessionsMayBeWrittenAtOnce() {
        return new PostgreSqlJdbcIndexedSessionRepositoryCustomizer();
    }

    @Bean
    TransactionOperations springSessionTransactionOperations(DataSource dataSource) {
        TransactionTemplate template = new TransactionTemplate(new JdbcTransactionManager(dataSource));
        template.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
        return template;
    }
}
