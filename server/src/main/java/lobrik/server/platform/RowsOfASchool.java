package lobrik.server.platform;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.WeakHashMap;
import javax.sql.DataSource;
import net.ttddyy.dsproxy.ExecutionInfo;
import net.ttddyy.dsproxy.QueryInfo;
import net.ttddyy.dsproxy.listener.QueryExecutionListener;
import net.ttddyy.dsproxy.support.ProxyDataSourceBuilder;
import org.postgresql.PGConnection;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.datasource.DelegatingDataSource;
import org.springframework.util.function.SingletonSupplier;

/**
 * Tells the database, with each connection that is taken from the pool, for which school it is (see {@link WorksFor}), and has whoever wants
 * to know hear how long each question takes.
 */
@Configuration
class RowsOfASchool {

    /** Around the pool that the framework makes. */
    @Bean
    static BeanPostProcessor tellingPool(ObjectProvider<QueryExecutionListener> listeners) {
        return new BeanPostProcessor() {
            @Override
            public Object postProcessAfterInitialization(Object bean, String name) {
                return bean instanceof DataSource pool && name.equals("dataSource")
                        ? new Telling(pool, new Passing(listeners))
                        : bean;
            }
        };
    }

    /** To those who listen: they are made after the pool, so they are asked for when something is asked for the first time. */
    private static final class Passing implements QueryExecutionListener {

        private final SingletonSupplier<List<QueryExecutionListener>> listeners;

        Passing(ObjectProvider<QueryExecutionListener> listeners) {
            this.listeners = SingletonSupplier.of(() -> listeners.stream().toList());
        }

        @Override
        public void beforeQuery(ExecutionInfo execution, List<QueryInfo> questions) {
            listeners.obtain().forEach(each -> each.beforeQuery(execution, questions));
        }

        @Override
        public void afterQuery(ExecutionInfo execution, List<QueryInfo> questions) {
            listeners.obtain().forEach(each -> each.afterQuery(execution, questions));
        }
    }

    private static final class Telling extends DelegatingDataSource {

        private static final String TELL = "select set_config('lobrik.school', ?, false)";

        /** What each connection was told last, so that it need not be told again: a school often has the server for itself. */
        private final Map<PGConnection, String> told = Collections.synchronizedMap(new WeakHashMap<>());

        /** The pool, heard; what looks for the pool itself still finds it behind this one. */
        private final DataSource heard;

        Telling(DataSource pool, QueryExecutionListener listener) {
            super(pool);
            this.heard = ProxyDataSourceBuilder.create(pool).listener(listener).build();
        }

        @Override
        public Connection getConnection() throws SQLException {
            Connection connection = heard.getConnection();
            try {
                tell(connection);
                return connection;
            } catch (SQLException | RuntimeException failed) {
                connection.close();
                throw failed;
            }
        }

        private void tell(Connection connection) throws SQLException {
            PGConnection itself = connection.unwrap(PGConnection.class);
            String said = WorksFor.said();
            if (said.equals(WorksFor.WHICHEVER) || said.equals(told.get(itself))) {
                return;
            }
            told.remove(itself);
            try (PreparedStatement tell = connection.prepareStatement(TELL)) {
                tell.setString(1, said);
                tell.execute();
            }
            told.put(itself, said);
        }
    }
}
