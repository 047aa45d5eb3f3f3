package lobrik.server.backup;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Where the database is, as the driver is told, is where its own programs go. */
class PostgresLoginTest {

    @ParameterizedTest
    @CsvSource({
        "jdbc:postgresql://127.0.0.1:25432/lobrik,127.0.0.1,25432,lobrik",
        "jdbc:postgresql://db.example:5432/school?sslmode=verify-full,db.example,5432,school",
        "jdbc:postgresql://[2001:db8::7]:5432/lobrik,2001:db8::7,5432,lobrik"
    })
    void placeOfTheDriver_isThePlaceOfThePrograms(String url, String host, String port, String database) {
        assertThat(new PostgresLogin(Path.of("/bin"), url, "secret").environment())
                .containsEntry("PGHOST", host)
                .containsEntry("PGPORT", port)
                .containsEntry("PGDATABASE", database)
                .containsEntry("PGUSER", "lobrik_owner")
                .containsEntry("PGPASSWORD", "secret");
    }

    @Test
    void standbyBesideItsPrimary_isNotTheOneThatIsMeant() {
        String url = "jdbc:postgresql://db1.example:5432,[2001:db8::7]:5433/lobrik?targetServerType=primary";
        assertThat(new PostgresLogin(Path.of("/bin"), url, "secret").environment())
                .containsEntry("PGHOST", "db1.example,2001:db8::7")
                .containsEntry("PGPORT", "5432,5433")
                .containsEntry("PGTARGETSESSIONATTRS", "read-write")
                .containsEntry("PGDATABASE", "lobrik");
    }

    @Test
    void howTheLineIsSecured_isToldToBoth_andNothingElse() {
        String url =
                "jdbc:postgresql://db.example:5432/lobrik?sslmode=verify-full&sslrootcert=/etc/ca.pem&tcpKeepAlive=true";
        assertThat(new PostgresLogin(Path.of("/bin"), url, "secret").environment())
                .containsEntry("PGSSLMODE", "verify-full")
                .containsEntry("PGSSLROOTCERT", "/etc/ca.pem")
                .hasSize(7);
    }
}
