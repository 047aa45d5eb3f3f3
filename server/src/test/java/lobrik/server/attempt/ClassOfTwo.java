package lobrik.server.attempt;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import lobrik.server.Client;
import lobrik.server.Client.Answer;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.extension.ExtendWith;

/** Ada Finch and Bo Rill, a cohort of their own for every test, taught by Runa; what they bend is a stub up from the box. */
@ExtendWith(RunningServer.class)
abstract class ClassOfTwo {

    static final String DEFINITION = """
            {"method":"chart","tapeDivisionIn":0.0625,"conduit":{"outsideDiameterIn":0.922},
             "bender":{"takeUpIn":6,"radiusIn":5.125},
             "bend":{"kind":"stub90","legIn":17.625,"otherLegIn":22,"placement":"arrow"}}""";

    Client runa;
    Client dessa;
    String cohort;
    List<String> trainees;

    @BeforeEach
    void startCohort(RunningServer.Address server) {
        runa = Client.signedIn(server, "runa");
        dessa = Client.signedIn(server, "dessa");
        cohort = UUID.randomUUID().toString();
        Answer started = runa.put(
                "/api/cohorts/" + cohort,
                "{\"name\":\"Cohort " + cohort + "\",\"trainees\":[\"Ada Finch\",\"Bo Rill\"]}");
        assertThat(started.status()).isEqualTo(200);
        trainees = started.at("/trainees")
                .valueStream()
                .map(t -> t.at("/id").asString())
                .toList();
    }

    static String exercise(String definition, String giveTo) {
        return """
                {"exercise":{"title":"Up from the box","conduitLabel":"3/4 EMT","benderLabel":"Bender 4","definition":%s,
                 "tolerances":{"preset":"site","lengthIn":0.125,"angleDeg":2,"dogLegDeg":2,"passMark":70}},
                 "giveTo":%s}""".formatted(definition, giveTo);
    }

    Answer give(Client who, String giveTo) {
        return who.put("/api/givings/" + UUID.randomUUID(), exercise(DEFINITION, giveTo));
    }

    String openAttempt(String trainee) {
        Answer opened = runa.put("/api/attempts/" + UUID.randomUUID(), "{\"traineeId\":\"" + trainee + "\"}");
        assertThat(opened.status()).as(opened.body().toString()).isEqualTo(200);
        return opened.at("/id").asString();
    }

    Answer read(String attempt, String feature, String text) {
        return read(attempt, UUID.randomUUID().toString(), feature, text);
    }

    Answer read(String attempt, String key, String feature, String text) {
        return runa.put(
                "/api/attempts/" + attempt + "/readings/" + key,
                "{\"feature\":\"" + feature + "\",\"text\":\"" + text + "\"}");
    }

    String givenAndOpened() {
        assertThat(give(runa, "{\"cohortId\":\"" + cohort + "\"}").at("/sheets").size())
                .isEqualTo(2);
        return openAttempt(trainees.getFirst());
    }
}
