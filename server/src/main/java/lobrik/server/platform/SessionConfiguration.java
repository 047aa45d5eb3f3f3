package lobrik.server.platform;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.session.config.SessionRepositoryCustomizer;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionOperations;
import org.springframework.transaction.support.TransactionTemplate;

/** Sessions live in the database, so that a restart signs nobody out. */
@Configuration
class SessionConfiguration {

    /**
     * Notes the time of the last request at most once a minute. Otherwise every request, each reading among them, would
     * wait for a write to the disk only to say that somebody is still there.
     */
    private static final String UPDATE_AT_MOST_ONCE_A_MINUTE = """
            UPDATE %TABLE_NAME%
               SET SESSION_ID = ?, LAST_ACCESS_TIME = ?, MAX_INACTIVE_INTERVAL = ?, EXPIRY_TIME = ?, PRINCIPAL_NAME = ?
             WHERE PRIMARY_ID = ?
               AND LAST_ACCESS_TIME < extract(epoch from now()) * 1000 - 60000
            """;

    /**
     * A session is read and noted by single statements, so that each request saves the database four words about transactions. One that
     * the power took away half-written knows nobody: whoever it was for signs in again.
     */
    @Bean
    TransactionOperations springSessionTransactionOperations() {
        return TransactionOperations.withoutTransaction();
    }

    /** Everybody else's transactions; the framework makes none where there are others already. */
    @Bean
    TransactionTemplate transactionTemplate(PlatformTransactionManager manager) {
        return new TransactionTemplate(manager);
    }

    @Bean
    SessionRepositoryCustomizer<JdbcIndexedSessionRepository> rareUpdates() {
        return repository -> repository.setUpdateSessionQuery(UPDATE_AT_MOST_ONCE_A_MINUTE);
    }
}
