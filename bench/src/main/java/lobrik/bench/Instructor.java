package lobrik.bench;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** An instructor with cohorts of their own, who measures four-point saddles of 14 features, one piece after the other. */
final class Instructor {

    private static final int TRAINEES = 30;
    private static final List<String> READINGS = List.of(
            "mark1 25",
            "mark2 33 1/2",
            "mark3 46",
            "mark4 54",
            "height 4",
            "flat 12 1/2",
            "landing 33 1/2",
            "angle1 30",
            "angle2 30",
            "angle3 30",
            "angle4 30",
            "tailLift 0",
            "dogLeg 0",
            "overall 92");

    private static final String SADDLE = """
            {"method":"chart","tapeDivisionIn":0.0625,"conduit":{"outsideDiameterIn":0.922},\
            "bender":{"takeUpIn":6,"radiusIn":5.125},"bend":{"kind":"saddle4","heightIn":3.25,"clearanceIn":0.75,\
            "angleDeg":30,"widthIn":11.5,"edgeClearanceIn":0.5,"reference":"nearEdge","distanceIn":34,"overallIn":92}}""";

    private static final Pattern ID = Pattern.compile("\"id\":\"([0-9a-f-]{36})\"");

    private final Caller caller;
    private final List<String> toMeasure = new ArrayList<>();
    private String cohort = "";
    private String attempt = "";
    private volatile String finished = "";

    /** Readings of the piece at hand that are still to be taken. */
    private final List<String> toRead = new ArrayList<>();

    private Instructor(Caller caller) {
        this.caller = caller;
    }

    static Instructor signedIn(Caller.Account account) throws IOException, InterruptedException {
        Instructor instructor = new Instructor(Caller.signedIn(account));
        instructor.newCohort();
        instructor.measurePiece(new Spread(), new Spread());
        return instructor;
    }

    /** Takes one reading, of the next piece where one is finished; says how long it took, and how long opening a piece did. */
    void takeReading(Spread opened, Spread read) throws IOException, InterruptedException {
        if (toRead.isEmpty()) {
            openPiece(opened);
        }
        String reading = toRead.removeFirst();
        int space = reading.indexOf(' ');
        timed(
                read,
                "PUT",
                "/api/attempts/" + attempt + "/readings/" + UUID.randomUUID(),
                "{\"feature\":\"%s\",\"text\":\"%s\"}"
                        .formatted(reading.substring(0, space), reading.substring(space + 1)));
        if (toRead.isEmpty()) {
            finished = attempt;
        }
    }

    /** Measures a piece to its end. */
    void measurePiece(Spread opened, Spread read) throws IOException, InterruptedException {
        do {
            takeReading(opened, read);
        } while (!toRead.isEmpty());
    }

    void lookAtFloor(Spread taken) throws IOException, InterruptedException {
        timed(taken, "GET", "/api/floor/" + cohort, "");
    }

    /** Of the last piece that was measured to its end. */
    void lookAtVerdict(Spread taken) throws IOException, InterruptedException {
        timed(taken, "GET", "/api/attempts/" + finished + "/judgement", "");
    }

    private void openPiece(Spread opened) throws IOException, InterruptedException {
        if (toMeasure.isEmpty()) {
            newCohort();
        }
        attempt = UUID.randomUUID().toString();
        timed(opened, "PUT", "/api/attempts/" + attempt, "{\"traineeId\":\"" + toMeasure.removeLast() + "\"}");
        toRead.addAll(READINGS);
    }

    private void timed(Spread taken, String method, String path, String body) throws IOException, InterruptedException {
        long begun = System.nanoTime();
        caller.send(method, path, body);
        taken.add(System.nanoTime() - begun);
    }

    private void newCohort() throws IOException, InterruptedException {
        cohort = UUID.randomUUID().toString();
        String names = IntStream.rangeClosed(1, TRAINEES)
                .mapToObj(i -> "\"Trainee " + i + "\"")
                .collect(Collectors.joining(","));
        String started = caller.send(
                "PUT", "/api/cohorts/" + cohort, "{\"name\":\"Writing " + cohort + "\",\"trainees\":[" + names + "]}");
        caller.send("PUT", "/api/givings/" + UUID.randomUUID(), """
                {"exercise":{"title":"Over the duct","conduitLabel":"3/4 EMT","benderLabel":"Bender 4","definition":%s,
                 "tolerances":{"preset":"site","lengthIn":0.125,"angleDeg":2,"dogLegDeg":2,"passMark":70}},
                 "giveTo":{"cohortId":"%s"}}""".formatted(SADDLE, cohort));
        Matcher ids = ID.matcher(started.substring(started.indexOf("\"trainees\"")));
        while (ids.find()) {
            toMeasure.add(ids.group(1));
        }
    }
}
