package lobrik.server.platform;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.session.config.SessionRepositoryCustomizer;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;

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

    @Bean
    SessionRepositoryCustomizer<JdbcIndexedSessionRepository> rareUpdates() {
        return repository -> repository.setUpdateSessionQuery(UPDATE_AT_MOST_ONCE_A_MINUTE);
    }
}
