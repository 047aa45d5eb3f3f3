package lobrik.server.progress;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lobrik.server.Bench;
import lobrik.server.Client;
import lobrik.server.Client.Answer;
import tools.jackson.databind.JsonNode;

/** A cohort of its own whose trainees bend stubs, for tests of what follows from them. */
public final class Taught {

    private final Client who;
    private final String id;
    private final List<String> trainees;

    private Taught(Client who, String id, List<String> trainees) {
        this.who = who;
        this.id = id;
        this.trainees = trainees;
    }

    /** A cohort of these people, each with a stub to bend by hand at site tolerance. */
    public static Taught of(Client who, String... names) {
        return with(who, Bench.STUB, names);
    }

    /** The same with something else to bend. */
    static Taught with(Client who, String definition, String... names) {
        String id = UUID.randomUUID().toString();
        Answer started = who.put(
                "/api/cohorts/" + id,
                "{\"name\":\"Class " + id + "\",\"trainees\":["
                        + Stream.of(names).map(name -> "\"" + name + "\"").collect(Collectors.joining(",")) + "]}");
        assertThat(started.status()).as(started.body().toString()).isEqualTo(200);
        UUID giving = UUID.randomUUID();
        Answer given = who.put("/api/givings/" + giving, """
                {"exercise":{"title":"Up from the box","conduitLabel":"3/4 EMT","benderLabel":"Bender 4","definition":%s,
                 "tolerances":{"preset":"site","lengthIn":0.125,"angleDeg":2,"dogLegDeg":2,"passMark":70}},
                 "giveTo":{"cohortId":"%s"}}""".formatted(definition, id));
        assertThat(given.status()).as(given.body().toString()).isEqualTo(200);
        // Nothing can be bent before it was given.
        who.server()
                .change("update assignment set given_at = now() - interval '1 year' where giving_id = '" + giving
                        + "'");
        return new Taught(
                who,
                id,
                started.at("/trainees")
                        .valueStream()
                        .map(trainee -> trainee.at("/id").asString())
                        .toList());
    }

    public String id() {
        return id;
    }

    public String trainee(int which) {
        return trainees.get(which);
    }

    /** A stub that somebody bent so many days ago; returns the attempt. */
    public String bends(int which, int daysAgo, String leg) {
        return bends(which, daysAgo, leg, "90");
    }

    /** The same with an angle. */
    public String bends(int which, int daysAgo, String leg, String angle) {
        Answer opened =
                who.put("/api/attempts/" + UUID.randomUUID(), "{\"traineeId\":\"" + trainees.get(which) + "\"}");
        String attempt = opened.at("/id").asString();
        read(attempt, "mark1", "11 5/8", daysAgo);
        read(attempt, "leg", leg, daysAgo);
        read(attempt, "angle1", angle, daysAgo);
        Answer last = read(attempt, "otherLeg", "22", daysAgo);
        assertThat(last.at("/score").isNull()).as(last.body().toString()).isFalse();
        return attempt;
    }

    private Answer read(String attempt, String feature, String text, int daysAgo) {
        Instant at = Instant.now().minus(daysAgo, ChronoUnit.DAYS);
        Answer kept = who.put(
                "/api/attempts/" + attempt + "/readings/" + UUID.randomUUID(),
                "{\"feature\":\"" + feature + "\",\"text\":\"" + text + "\",\"takenAt\":\"" + at + "\"}");
        assertThat(kept.status()).as(kept.body().toString()).isEqualTo(200);
        return kept;
    }

    /** Somebody's row of the matrix. */
    public JsonNode row(int which, String filter) {
        return who.get("/api/cohorts/" + id + "/matrix" + filter)
                .at("/rows")
                .valueStream()
                .filter(row -> row.at("/traineeId").asString().equals(trainees.get(which)))
                .findFirst()
                .orElseThrow();
    }

    /** Where somebody stands in stubs. */
    public String standing(int which) {
        return row(which, "").at("/cells/0/standing").asString();
    }
}
