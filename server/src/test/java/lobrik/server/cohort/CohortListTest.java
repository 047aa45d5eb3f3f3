package lobrik.server.cohort;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.persistence.EntityManagerFactory;
import java.util.UUID;
import lobrik.server.Client;
import lobrik.server.RunningServer;
import org.hibernate.SessionFactory;
import org.hibernate.stat.Statistics;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.Isolated;
import tools.jackson.databind.JsonNode;

/** What a lead of many cohorts waits for. */
@ExtendWith(RunningServer.class)
@Isolated("counts what is asked of the database")
class CohortListTest {

    /** Cohorts, their trainees, their groups, and what somebody in the background may ask meanwhile. */
    private static final int FEW = 8;

    @Test
    void listOfCohorts_asksAFewThings_howeverManyThereAre_andHasTheTraineesAndGroupsOfEach(
            RunningServer.Address server) {
        Client lead = Client.signedIn(server, "oskar");
        UUID cohort = UUID.randomUUID();
        for (UUID id : new UUID[] {cohort, UUID.randomUUID(), UUID.randomUUID()}) {
            JsonNode started = lead.put(
                            "/api/cohorts/" + id,
                            "{\"name\":\"Counted %s\",\"trainees\":[\"Bo Rill\",\"Ada Finch\"]}".formatted(id))
                    .body();
            lead.put(
                    "/api/groups/" + UUID.randomUUID(),
                    "{\"cohortId\":\"%s\",\"name\":\"Left\",\"traineeIds\":[\"%s\"]}"
                            .formatted(id, started.at("/trainees/0/id").asString()));
        }
        Statistics statistics = server.context()
                .getBean(EntityManagerFactory.class)
                .unwrap(SessionFactory.class)
                .getStatistics();
        statistics.setStatisticsEnabled(true);
        JsonNode cohorts;
        try {
            statistics.clear();
            cohorts = lead.get("/api/cohorts").body();
            assertThat(statistics.getPrepareStatementCount()).isLessThan(FEW);
        } finally {
            statistics.setStatisticsEnabled(false);
        }
        assertThat(cohorts.size()).isGreaterThan(4);
        for (JsonNode each : cohorts) {
            if (each.at("/id").asString().equals(cohort.toString())) {
                assertThat(each.at("/trainees")
                                .valueStream()
                                .map(trainee -> trainee.at("/fullName").asString()))
                        .containsExactly("Bo Rill", "Ada Finch");
                assertThat(each.at("/groups/0/name").asString()).isEqualTo("Left");
                assertThat(each.at("/groups/0/traineeIds").size()).isEqualTo(1);
                return;
            }
        }
        assertThat(cohorts.toString()).as("the new cohort is among them").contains(cohort.toString());
    }
}
