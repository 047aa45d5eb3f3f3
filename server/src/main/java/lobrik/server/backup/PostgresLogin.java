package lobrik.server.backup;

import java.io.IOException;
import java.net.URI;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.List;
import java.util.Map;

/**
 * The owner of the record at a database on this machine.
 *
 * @param programs the folder that the database's own programs are in
 * @param port on loopback
 */
record PostgresLogin(Path programs, int port, String database, String password) {

    private static final String USER = "lobrik_owner";
    private static final String HOST = "127.0.0.1";

    /** As the launcher says it by the environment, which other users of the machine cannot read. */
    static PostgresLogin ofEnvironment() {
        Map<String, String> said = System.getenv();
        return new PostgresLogin(
                Path.of(said.getOrDefault("LOBRIK_POSTGRES", "")),
                Integer.parseInt(said.getOrDefault("LOBRIK_DATABASE_PORT", "0")),
                "lobrik",
                said.getOrDefault("LOBRIK_PASSWORD", ""));
    }

    /**
     * As a server reaches it.
     *
     * @param url {@code jdbc:postgresql://127.0.0.1:PORT/DATABASE}
     */
    static PostgresLogin at(String url, Path programs, String password) {
        URI address = URI.create(url.substring("jdbc:".length()));
        return new PostgresLogin(programs, address.getPort(), address.getPath().substring(1), password);
    }

    Connection connect() throws SQLException {
        return DriverManager.getConnection("jdbc:postgresql://" + HOST + ":" + port + "/" + database, USER, password);
    }

    /** Starts a program of the database; the password goes by its environment. */
    DatabaseProgram start(String program, String... options) throws IOException {
        return DatabaseProgram.start(
                programs,
                program,
                List.of(options),
                Map.of(
                        "PGHOST", HOST,
                        "PGPORT", String.valueOf(port),
                        "PGUSER", USER,
                        "PGDATABASE", database,
                        "PGPASSWORD", password),
                ProcessBuilder.Redirect.PIPE);
    }
}
