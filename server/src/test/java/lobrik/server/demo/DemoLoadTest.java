package lobrik.server.demo;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.persistence.EntityManager;
import java.sql.SQLException;
import java.time.Clock;
import lobrik.server.Client;
import lobrik.server.RunningServer;
import lobrik.server.attempt.Bases;
import lobrik.server.calc.Calculations;
import lobrik.server.progress.OutcomeBook;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.ResourceLock;
import org.springframework.boot.DefaultApplicationArguments;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.JsonNode;

/** A centre of any size: here a very small one. */
@ExtendWith(RunningServer.class)
@ResourceLock("indexes that come and go while all tables are read")
class DemoLoadTest {

    @Test
    void asManyTraineesAndPiecesAsWereAskedFor_areThere_andLookLikeAnyOthers(RunningServer.Address server)
            throws SQLException {
        var beans = server.context();
        new DemoLoad(
                        beans.getBean(EntityManager.class),
                        beans.getBean(TransactionTemplate.class),
                        beans.getBean(Calculations.class),
                        beans.getBean(Bases.class),
                        beans.getBean(OutcomeBook.class),
                        beans.getBean(Clock.class),
                        21,
                        50,
                        server.databaseUrl(),
                        "lobrik_owner",
                        server.databasePassword())
                .run(new DefaultApplicationArguments());
        Client oskar = Client.signedIn(server, "oskar");
        int trainees = 0;
        int pieces = 0;
        for (JsonNode cohort : oskar.get("/api/cohorts").body()) {
            if (!cohort.at("/name").asString().matches("Load \\d+, \\d+")) {
                continue;
            }
            JsonNode matrix = oskar.get("/api/cohorts/" + cohort.at("/id").asString() + "/matrix")
                    .body();
            for (JsonNode row : matrix.at("/rows")) {
                trainees++;
                JsonNode progress = oskar.get(
                                "/api/trainees/" + row.at("/traineeId").asString() + "/progress")
                        .body();
                pieces += progress.at("/pieces").asInt();
                String attempt = progress.at("/families/0/history/0/attemptId").asString();
                JsonNode found = oskar.get("/api/attempts/" + attempt).body();
                assertThat(found.at("/score/points").asDouble())
                        .isEqualTo(progress.at("/families/0/history/0/points").asDouble());
            }
        }
        assertThat(trainees).isEqualTo(21);
        assertThat(pieces).isEqualTo(50);
    }
}
