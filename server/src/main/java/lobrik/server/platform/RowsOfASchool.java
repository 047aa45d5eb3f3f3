package lobrik.server.platform;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.Collections;
import java.util.Map;
import java.util.WeakHashMap;
import javax.sql.DataSource;
import org.postgresql.PGConnection;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.datasource.DelegatingDataSource;

/** Tells the database, with each connection that is taken from the pool, for which school it is (see {@link WorksFor}). */
@Configuration
class RowsOfASchool {

    /** Around the pool that the framework makes. */
    @Bean
    static BeanPostProcessor tellingPool() {
        return new BeanPostProcessor() {
            @Override
            public Object postProcessAfterInitialization(Object bean, String name) {
                return bean instanceof DataSource pool && name.equals("dataSource") ? new Telling(pool) : bean;
            }
        };
    }

    private static final class Telling extends DelegatingDataSource {

        private static final String TELL = "select set_config('lobrik.school', ?, false)";

        /** What each connection was told last, so that it need not be told again: a school often has the server for itself. */
        private final Map<PGConnection, String> told = Collections.synchronizedMap(new WeakHashMap<>());

        Telling(DataSource pool) {
            super(pool);
        }

        @Override
        public Connection getConnection() throws SQLException {
            Connection connection = super.getConnection();
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
