package lobrik.server.backup;

import java.io.IOException;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * The owner of the record at its database.
 *
 * @param programs the folder that the database's own programs are in
 * @param url without user and password, as the driver takes it: {@code jdbc:postgresql://HOST:PORT/DATABASE}, perhaps with several places
 *     with a comma between them (a standby beside its primary), perhaps with {@code ?sslmode=…&sslrootcert=…&targetServerType=primary}
 */
record PostgresLogin(Path programs, String url, String password) {

    private static final String USER = "lobrik_owner";

    private static final Pattern URL =
            Pattern.compile("jdbc:postgresql://(?<places>[^/]+)/(?<database>[^?]+)(?:[?](?<more>.*))?");

    /** What the driver is told, and what the database's own programs call it. */
    private static final Map<String, String> SAID_TO_BOTH =
            Map.of("sslmode", "PGSSLMODE", "sslrootcert", "PGSSLROOTCERT");

    /** As the launcher says it by the environment, which other users of the machine cannot read. */
    static PostgresLogin ofEnvironment() {
        Map<String, String> said = System.getenv();
        return new PostgresLogin(
                Path.of(said.getOrDefault("LOBRIK_POSTGRES", "")),
                "jdbc:postgresql://127.0.0.1:" + said.getOrDefault("LOBRIK_DATABASE_PORT", "0") + "/lobrik",
                said.getOrDefault("LOBRIK_PASSWORD", ""));
    }

    /** The name of the database. */
    String database() {
        return parts().group("database");
    }

    private Matcher parts() {
        Matcher parts = URL.matcher(url);
        if (!parts.matches()) {
            throw new IllegalStateException("no address of a database: " + url);
        }
        return parts;
    }

    Connection connect() throws SQLException {
        return DriverManager.getConnection(url, USER, password);
    }

    /** Starts a program of the database; the password goes by its environment. */
    DatabaseProgram start(String program, String... options) throws IOException {
        return DatabaseProgram.start(programs, program, List.of(options), environment(), ProcessBuilder.Redirect.PIPE);
    }

    /** The same place and person, for the database's own programs. */
    Map<String, String> environment() {
        Matcher parts = parts();
        List<String> places = List.of(parts.group("places").split(","));
        Map<String, String> environment = new HashMap<>();
        environment.put(
                "PGHOST",
                places.stream()
                        .map(place -> place.substring(0, place.lastIndexOf(':')).replaceAll("[\\[\\]]", ""))
                        .collect(Collectors.joining(",")));
        environment.put(
                "PGPORT",
                places.stream()
                        .map(place -> place.substring(place.lastIndexOf(':') + 1))
                        .collect(Collectors.joining(",")));
        if (places.size() > 1) {
            // Whoever backs up what has a standby means the one that is written to.
            environment.put("PGTARGETSESSIONATTRS", "read-write");
        }
        environment.put("PGUSER", USER);
        environment.put("PGDATABASE", database());
        environment.put("PGPASSWORD", password);
        String more = parts.group("more");
        for (String each : more == null ? new String[0] : more.split("&")) {
            String[] said = each.split("=", 2);
            String called = SAID_TO_BOTH.get(said[0]);
            if (called != null && said.length == 2) {
                environment.put(called, said[1]);
            }
        }
        return environment;
    }
}
