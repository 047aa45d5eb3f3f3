package lobrik.server.platform;

import jakarta.servlet.Filter;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.session.SessionRepository;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.session.web.http.SessionRepositoryFilter;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionOperations;
import org.springframework.transaction.support.TransactionTemplate;

/** Sessions live in the database, so that a restart signs nobody out. */
@Configuration
class SessionConfiguration {

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

    /**
     * A session is found for as long as whoever it is of may do what they could when it was begun, and may sign in at all: asked
     * with the session itself, so that a right that is taken away is gone with the next request, on every server.
     */
    private static final String SESSION = """
            select s.primary_id, s.session_id, s.creation_time, s.last_access_time, s.max_inactive_interval,
              sa.attribute_name, sa.attribute_bytes
            from %TABLE_NAME% s left join %TABLE_NAME%_attributes sa on s.primary_id = sa.session_primary_id
            where s.session_id = ? and (s.principal_name is null or is_let_in(s.principal_name))""";

    /** Around the store that the framework makes. */
    @Bean
    static BeanPostProcessor quietSessions() {
        return new BeanPostProcessor() {
            @Override
            public Object postProcessAfterInitialization(Object bean, String name) {
                if (bean instanceof JdbcIndexedSessionRepository store) {
                    store.setGetSessionQuery(SESSION);
                    return new QuietSessions<>(store);
                }
                return bean;
            }
        };
    }

    @Bean
    FilterRegistrationBean<Filter> forgottenSessions(SessionRepository<?> sessions) {
        QuietSessions<?> quiet = (QuietSessions<?>) sessions;
        FilterRegistrationBean<Filter> filter = new FilterRegistrationBean<>((request, answer, chain) -> {
            quiet.forget();
            chain.doFilter(request, answer);
        });
        filter.setOrder(SessionRepositoryFilter.DEFAULT_ORDER - 1);
        return filter;
    }
}
