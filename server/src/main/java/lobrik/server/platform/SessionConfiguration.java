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

    /** Around the store that the framework makes. */
    @Bean
    static BeanPostProcessor quietSessions() {
        return new BeanPostProcessor() {
            @Override
            public Object postProcessAfterInitialization(Object bean, String name) {
                return bean instanceof JdbcIndexedSessionRepository store ? new QuietSessions<>(store) : bean;
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
