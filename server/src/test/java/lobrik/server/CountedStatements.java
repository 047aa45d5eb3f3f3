package lobrik.server;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import javax.sql.DataSource;
import net.ttddyy.dsproxy.ExecutionInfo;
import net.ttddyy.dsproxy.QueryInfo;
import net.ttddyy.dsproxy.listener.QueryExecutionListener;
import net.ttddyy.dsproxy.support.ProxyDataSourceBuilder;
import org.aopalliance.intercept.MethodInterceptor;
import org.springframework.aop.framework.ProxyFactory;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Notes which statements the database is asked for requests that carry {@link #HEADER}, each with a value of its own. */
public final class CountedStatements {

    public static final String HEADER = "X-Test-Count";

    private static final Map<String, List<String>> BY_REQUEST = new ConcurrentHashMap<>();
    private static final ThreadLocal<List<String>> NOTED = new ThreadLocal<>();

    private CountedStatements() {}

    /** What was asked for a request. */
    public static List<String> of(String request) {
        return List.copyOf(BY_REQUEST.getOrDefault(request, List.of()));
    }

    /** Knows which request a thread works for. */
    @Component
    @Order(Ordered.HIGHEST_PRECEDENCE)
    static class Requests extends OncePerRequestFilter {

        @Override
        protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                throws ServletException, IOException {
            String name = request.getHeader(HEADER);
            if (name != null) {
                NOTED.set(BY_REQUEST.computeIfAbsent(name, _ -> new CopyOnWriteArrayList<>()));
            }
            try {
                chain.doFilter(request, response);
            } finally {
                NOTED.remove();
            }
        }
    }

    /** Listens to what goes to the database. */
    @Component
    static class Listening implements BeanPostProcessor {

        @Override
        public Object postProcessAfterInitialization(Object bean, String name) {
            if (!(bean instanceof DataSource source)) {
                return bean;
            }
            DataSource heard =
                    ProxyDataSourceBuilder.create(source).listener(new Noting()).build();
            // Everybody else goes on seeing the pool that it is.
            ProxyFactory pool = new ProxyFactory(source);
            pool.setProxyTargetClass(true);
            pool.addAdvice((MethodInterceptor) call ->
                    call.getMethod().getName().equals("getConnection") ? heard.getConnection() : call.proceed());
            return pool.getProxy();
        }
    }

    private static final class Noting implements QueryExecutionListener {

        @Override
        public void beforeQuery(ExecutionInfo execution, List<QueryInfo> queries) {
            List<String> noted = NOTED.get();
            if (noted != null) {
                queries.stream()
                        .map(QueryInfo::getQuery)
                        // Whether a connection has to be told its school hangs on whom it served before.
                        .filter(query -> !query.startsWith("select set_config"))
                        .forEach(noted::add);
            }
        }

        @Override
        public void afterQuery(ExecutionInfo execution, List<QueryInfo> queries) {}
    }
}
