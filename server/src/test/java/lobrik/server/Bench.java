package lobrik.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import lobrik.server.Client.Answer;

/** A cohort of its own for a test, with an exercise given out to it. */
public final class Bench {

    public static final String STUB = """
            {"method":"chart","tapeDivisionIn":0.0625,"conduit":{"outsideDiameterIn":0.922},
             "bender":{"takeUpIn":6,"radiusIn":5.125},
             "bend":{"kind":"stub90","legIn":17.625,"otherLegIn":22,"placement":"arrow"}}""";

    public static final String SADDLE_4 = """
            {"method":"chart","tapeDivisionIn":0.0625,"conduit":{"outsideDiameterIn":0.922},
             "bender":{"takeUpIn":6,"radiusIn":5.125},
             "bend":{"kind":"saddle4","heightIn":3.25,"clearanceIn":0.75,"angleDeg":30,"widthIn":11.5,
               "edgeClearanceIn":0.5,"reference":"nearEdge","distanceIn":34,"overallIn":92}}""";

    private final Client who;
    private final String cohort;
    private final List<String> trainees;
    private final List<String> codes;
    private final String giving;

    private Bench(Client who, String cohort, String giving, List<String> trainees, List<String> codes) {
        this.giving = giving;
        this.who = who;
        this.cohort = cohort;
        this.trainees = trainees;
        this.codes = codes;
    }

    public static Bench of(Client who, String definition, int trainees) {
        return of(who, definition, trainees, "");
    }

    public static Bench of(Client who, String definition, int trainees, String more) {
        return of(who, definition, trainees, more, "site");
    }

    /** With more members of the exercise, each with a comma behind it, and a preset of tolerances. */
    public static Bench of(Client who, String definition, int trainees, String more, String preset) {
        return of(who, "Bender 4", definition, trainees, more, preset);
    }

    /** On a certain bender. */
    public static Bench on(Client who, String bender, String definition) {
        return of(who, bender, definition, 1, "", "site");
    }

    private static Bench of(Client who, String bender, String definition, int trainees, String more, String preset) {
        String cohort = UUID.randomUUID().toString();
        String names = IntStream.rangeClosed(1, trainees)
                .mapToObj(i -> "\"Trainee " + i + "\"")
                .collect(Collectors.joining(","));
        Answer started =
                who.put("/api/cohorts/" + cohort, "{\"name\":\"Cohort " + cohort + "\",\"trainees\":[" + names + "]}");
        assertThat(started.status()).as(started.body().toString()).isEqualTo(200);
        Answer given =
                who.put("/api/givings/" + UUID.randomUUID(), """
                {"exercise":{"title":"Up from the box","conduitLabel":"3/4 EMT","benderLabel":"%s",%s"definition":%s,
                 "tolerances":{"preset":"%s","lengthIn":0.125,"angleDeg":2,"dogLegDeg":2,"passMark":70}},
                 "giveTo":{"cohortId":"%s"}}""".formatted(bender, more, definition, preset, cohort));
        assertThat(given.status()).as(given.body().toString()).isEqualTo(200);
        return new Bench(
                who,
                cohort,
                given.at("/id").asString(),
                started.at("/trainees")
                        .valueStream()
                        .map(trainee -> trainee.at("/id").asString())
                        .toList(),
                given.at("/sheets")
                        .valueStream()
                        .map(sheet -> sheet.at("/code").asString())
                        .toList());
    }

    public String giving() {
        return giving;
    }

    public String cohort() {
        return cohort;
    }

    /** The code on a trainee's sheet. */
    public String code(int trainee) {
        return codes.get(trainee);
    }

    /** Opens an attempt of a trainee, or goes on with it. */
    public String open(int trainee) {
        Answer opened =
                who.put("/api/attempts/" + UUID.randomUUID(), "{\"traineeId\":\"" + trainees.get(trainee) + "\"}");
        assertThat(opened.status()).as(opened.body().toString()).isEqualTo(200);
        return opened.at("/id").asString();
    }

    public Answer floor() {
        return who.get("/api/floor/" + cohort);
    }
}
