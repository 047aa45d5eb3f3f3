package lobrik.server.shed;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.UUID;
import lobrik.server.Bench;
import lobrik.server.Client;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Exercises and attempts name the revision of the bender that they were set for. */
@ExtendWith(RunningServer.class)
class BenderRevisionTest {

    private static final String OTHER_FIGURES = Bench.STUB.replace("\"takeUpIn\":6", "\"takeUpIn\":6.5");

    private static Connection owner(RunningServer.Address server) throws SQLException {
        return DriverManager.getConnection(server.databaseUrl(), "lobrik_owner", server.databasePassword());
    }

    /** The revision that an attempt names, as its bender's label and its number; nothing where it names none. */
    private static String named(Statement statement, String attempt) throws SQLException {
        try (ResultSet found = statement.executeQuery(
                "select b.label || ', ' || r.revision from attempt a left join bender_revision r on r.id = a.bender_revision_id"
                        + " left join bender b on b.id = r.bender_id where a.id = '" + attempt + "'")) {
            assertThat(found.next()).isTrue();
            return String.valueOf(found.getString(1));
        }
    }

    private static JsonNode onTheRack(Client who, String label) {
        return who.get("/api/shed")
                .at("/benders")
                .valueStream()
                .filter(bender -> bender.at("/label").asString().equals(label))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void piece_namesTheRevisionThatItWasSetFor_whateverBecomesOfTheBender(RunningServer.Address server)
            throws SQLException {
        Client runa = Client.signedIn(server, "runa");
        JsonNode rack = onTheRack(runa, "Bender 4");
        assertThat(rack.at("/revision").asInt()).isEqualTo(1);
        String before = Bench.of(runa, Bench.STUB, 1).open(0);
        String elsewhere = Bench.of(runa, OTHER_FIGURES, 1).open(0);
        try (Connection connection = owner(server);
                Statement statement = connection.createStatement()) {
            assertThat(named(statement, before)).isEqualTo("Bender 4, 1");
            assertThat(named(statement, elsewhere))
                    .as("a bender of this label with other figures is of another school")
                    .isEqualTo("null");
            UUID second = UUID.randomUUID();
            statement.execute("insert into bender_revision (id, bender_id, revision, figures, made_by, made_at, reason)"
                    + " select '" + second
                    + "', bender_id, 2, jsonb_set(figures, '{takeUpPm}', '165100000000'), null, now(),"
                    + " 'Measured anew' from bender_revision where revision = 1 and bender_id = '"
                    + rack.at("/id").asString() + "'");
            try {
                assertThat(onTheRack(runa, "Bender 4").at("/revision").asInt()).isEqualTo(2);
                assertThat(onTheRack(runa, "Bender 4").at("/figures/takeUpIn").asDouble())
                        .isEqualTo(6.5);
                String after = Bench.of(runa, OTHER_FIGURES, 1).open(0);
                assertThat(named(statement, after)).isEqualTo("Bender 4, 2");
                assertThat(named(statement, before)).isEqualTo("Bender 4, 1");
                assertThat(named(statement, Bench.of(runa, Bench.STUB, 1).open(0)))
                        .as("an exercise with the figures of before is for the bender as it was")
                        .isEqualTo("Bender 4, 1");
            } finally {
                // Other tests know the rack as it was.
                statement.execute("alter table exercise disable trigger user");
                statement.execute(
                        "update exercise set bender_revision_id = null where bender_revision_id = '" + second + "'");
                statement.execute("alter table exercise enable trigger user");
                statement.execute(
                        "update attempt set bender_revision_id = null where bender_revision_id = '" + second + "'");
                statement.execute("delete from bender_revision where id = '" + second + "'");
            }
        }
    }
}
