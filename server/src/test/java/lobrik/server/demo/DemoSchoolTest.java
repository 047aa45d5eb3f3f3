package lobrik.server.demo;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.function.Predicate;
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

    private static JsonNode family(JsonNode progress, String id) {
        return progress.at("/families")
                .valueStream()
                .filter(family -> family.at("/id").asString().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private static List<Double> deviations(JsonNode family, String feature, Predicate<JsonNode> of) {
        List<String> features = family.at("/features")
                .valueStream()
                .map(each -> each.at("/feature").asString())
                .toList();
        return family.at("/history")
                .valueStream()
                .filter(of)
                .map(piece ->
                        piece.at("/deviations/" + features.indexOf(feature)).asDouble())
                .toList();
    }

    @Test
    void cohorts_haveTheirSizes_andEightWeeksBehindThem(RunningServer.Address server) {
        Client oskar = Client.signedIn(server, "oskar");
        JsonNode first = cohort(oskar, "First year");
        assertThat(first.at("/trainees").size()).isEqualTo(14);
        assertThat(cohort(oskar, "Second year").at("/trainees").size()).isEqualTo(9);
        assertThat(progressOf(oskar, first, "Abel Ferrow").at("/pieces").asInt())
                .isGreaterThan(11);
    }

    @Test
    void people_haveTheirHabits(RunningServer.Address server) {
        Client oskar = Client.signedIn(server, "oskar");
        JsonNode first = cohort(oskar, "First year");
        assertThat(progressOf(oskar, first, "Edda Stroud").at("/habits").valueStream())
                .anyMatch(habit -> habit.at("/sentence").asString().matches("The bend of stub nineties .* heavy\\."));
        assertThat(progressOf(oskar, first, "Caspian Wold").at("/habits").valueStream())
                .anyMatch(habit -> habit.at("/cause").asString("").equals("takeup-omitted"));
        assertThat(progressOf(oskar, first, "Kezia Mallow").at("/habits")).isEmpty();
        // Greta improves fast: what the angles are off halves. Her points do not tell, since the tolerances get closer
        // meanwhile.
        List<Double> off =
                deviations(family(progressOf(oskar, first, "Greta Lindvar"), "stub90"), "angle1", _ -> true).stream()
                        .map(Math::abs)
                        .toList();
        assertThat(mean(off.subList(off.size() / 2, off.size())))
                .isLessThan(0.7 * mean(off.subList(0, off.size() / 2)));
    }

    @Test
    void wornBender_makesEverybodysLegsLong_andIsFound(RunningServer.Address server) {
        Client oskar = Client.signedIn(server, "oskar");
        JsonNode stubs = family(progressOf(oskar, cohort(oskar, "First year"), "Kezia Mallow"), "stub90");
        List<Double> legs = deviations(
                stubs, "leg", piece -> piece.at("/benderLabel").asString().equals("Bender 7"));
        assertThat(mean(legs)).isBetween(0.15, 0.35);
        JsonNode byLegs = oskar.get("/api/benders/comparison")
                .body()
                .valueStream()
                .filter(comparison -> comparison.at("/deviations").asString().equals("legs"))
                .findFirst()
                .orElseThrow();
        // Other tests may have filled the centre with people and benders of their own.
        assertThat(byLegs.at("/benders").valueStream())
                .filteredOn(bender -> bender.at("/bender").asString().startsWith("Bender "))
                .hasSize(3)
                .filteredOn(bender -> !bender.at("/finding").asString().equals("likeTheOthers"))
                .singleElement()
                .satisfies(bender -> {
                    assertThat(bender.at("/bender").asString()).isEqualTo("Bender 7");
                    assertThat(bender.at("/finding").asString()).isEqualTo("off");
                    assertThat(bender.at("/off").asDouble()).isBetween(0.17, 0.33);
                });
    }

    @Test
    void somebodyIsReady_andNobodyIsSignedByTheProduct(RunningServer.Address server) {
        Client oskar = Client.signedIn(server, "oskar");
        JsonNode matrix = oskar.get(
                        "/api/cohorts/" + cohort(oskar, "First year").at("/id").asString() + "/matrix")
                .body();
        assertThat(matrix.at("/rows").valueStream())
                .filteredOn(row -> row.at("/fullName").asString().equals("Kezia Mallow"))
                .singleElement()
                .satisfies(row ->
                        assertThat(row.at("/cells/0/standing").asString()).isEqualTo("ready"));
    }

    private static double mean(List<Double> values) {
        return values.stream().mapToDouble(Double::doubleValue).average().orElseThrow();
    }
}
