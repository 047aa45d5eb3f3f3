package lobrik.server.demo;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import lobrik.server.Client;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** The demo school shows what it is meant to show. */
@ExtendWith(RunningServer.class)
class DemoSchoolTest {

    private static JsonNode cohort(Client client, String name) {
        return client.get("/api/cohorts")
                .body()
                .valueStream()
                .filter(cohort -> cohort.at("/name").asString().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private static JsonNode progressOf(Client client, JsonNode cohort, String name) {
        String id = cohort.at("/trainees")
                .valueStream()
                .filter(trainee -> trainee.at("/fullName").asString().equals(name))
                .findFirst()
                .orElseThrow()
                .at("/id")
                .asString();
        return client.get("/api/trainees/" + id + "/progress").body();
    }

    private static double bias(JsonNode progress, String feature) {
        return progress.at("/tendencies")
                .valueStream()
                .filter(tendency -> tendency.at("/feature").asString().equals(feature))
                .findFirst()
                .orElseThrow()
                .at("/bias")
                .asDouble();
    }

    @Test
    void cohorts_haveTheirSizes_andEightWeeksBehindThem(RunningServer.Address server) {
        Client oskar = Client.signedIn(server, "oskar");
        JsonNode first = cohort(oskar, "First year");
        assertThat(first.at("/trainees").size()).isEqualTo(14);
        assertThat(cohort(oskar, "Second year").at("/trainees").size()).isEqualTo(9);
        assertThat(progressOf(oskar, first, "Abel Ferrow").at("/attempts").asInt())
                .isGreaterThan(11);
    }

    @Test
    void people_haveTheirHabits(RunningServer.Address server) {
        Client oskar = Client.signedIn(server, "oskar");
        JsonNode first = cohort(oskar, "First year");
        assertThat(bias(progressOf(oskar, first, "Edda Stroud"), "angle1")).isGreaterThan(1.5);
        JsonNode fast = progressOf(oskar, first, "Greta Lindvar").at("/history");
        List<Double> points = fast.valueStream()
                .map(attempt -> attempt.at("/points").asDouble())
                .toList();
        assertThat(mean(points.subList(points.size() / 2, points.size())))
                .isGreaterThan(mean(points.subList(0, points.size() / 2)) + 5);
    }

    @Test
    void wornBender_makesEverybodysLegsLong(RunningServer.Address server) {
        Client oskar = Client.signedIn(server, "oskar");
        JsonNode history =
                progressOf(oskar, cohort(oskar, "First year"), "Kezia Mallow").at("/history");
        List<Double> legs = history.valueStream()
                .filter(attempt -> attempt.at("/benderLabel").asString().equals("Bender 7"))
                .map(attempt -> attempt.at("/deviations/1/deviation").asDouble())
                .toList();
        assertThat(mean(legs)).isBetween(0.15, 0.35);
    }

    private static double mean(List<Double> values) {
        return values.stream().mapToDouble(Double::doubleValue).average().orElseThrow();
    }
}
