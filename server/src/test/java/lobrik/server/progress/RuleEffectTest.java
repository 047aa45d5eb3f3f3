package lobrik.server.progress;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import lobrik.progress.RuleOdds;
import lobrik.progress.SignOffRule;
import lobrik.server.Client;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** What a sign-off rule does, as a school works; and that pieces since a signature speak up. */
@ExtendWith(RunningServer.class)
class RuleEffectTest {

    private static final String USUAL = """
            {"figures":{"passes":3,"of":4,"days":2,"lengthIn":0.125,"angleDeg":2,"dogLegDeg":2,"withoutRebending":1,"steadyPasses":3},
             "passRate":0.7,"pieces":12,"risk":0.1}""";

    @Test
    void rule_saysHowLikelyWhoIsCalledReady_asTheCoreWorksItOut(RunningServer.Address server) {
        Client empty = Client.byPassword(server, server.account(server.school(), "LEAD"));

        JsonNode effect = empty.post("/api/sign-off-rules/effect", USUAL).body();

        assertThat(effect.at("/piecesADay").asInt())
                .as("as is usual where nothing was bent")
                .isEqualTo(2);
        assertThat(effect.at("/chances").size()).isEqualTo(5);
        List<Double> ready = RuleOdds.ready(SignOffRule.USUAL, RuleOdds.Practice.USUAL, 0.7, 20);
        JsonNode seventy = effect.at("/chances/1");
        assertThat(seventy.at("/passRate").asDouble()).isEqualTo(0.7);
        assertThat(seventy.at("/within/0").asDouble()).isCloseTo(ready.get(7), within(1e-12));
        assertThat(seventy.at("/within/2").asDouble()).isCloseTo(ready.get(19), within(1e-12));
        assertThat(effect.at("/smallest/risk").asDouble()).isLessThanOrEqualTo(0.1);
        assertThat(effect.at("/smallest/figures/of").asInt()).isGreaterThan(4);
    }

    @Test
    void schoolThatBends_isWorkedOutAsItBends(RunningServer.Address server) {
        JsonNode effect = Client.signedIn(server, "oskar")
                .post("/api/sign-off-rules/effect", USUAL)
                .body();

        assertThat(effect.at("/cleanShare").asDouble()).isBetween(0.5, 1.0);
        assertThat(effect.at("/piecesADay").asInt()).isBetween(1, 3);
    }

    @Test
    void whatIsNoShareOrNoRule_isTurnedDown(RunningServer.Address server) {
        Client oskar = Client.signedIn(server, "oskar");
        assertThat(oskar.post("/api/sign-off-rules/effect", USUAL.replace("0.7", "7"))
                        .at("/errors/0/pointer")
                        .asString())
                .isEqualTo("/passRate");
        assertThat(oskar.post("/api/sign-off-rules/effect", USUAL.replace("\"pieces\":12", "\"pieces\":13"))
                        .at("/errors/0/pointer")
                        .asString())
                .isEqualTo("/pieces");
        assertThat(oskar.post("/api/sign-off-rules/effect", USUAL.replace("\"passes\":3", "\"passes\":9"))
                        .status())
                .isEqualTo(400);
    }
}
