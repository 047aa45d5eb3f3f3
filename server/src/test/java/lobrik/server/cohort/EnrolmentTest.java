package lobrik.server.cohort;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.stream.StreamSupport;
import lobrik.server.Bench;
import lobrik.server.Client;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Who is in which cohort over the years, and that what somebody did goes with them while the past of a cohort stays. */
@ExtendWith(RunningServer.class)
class EnrolmentTest {

    /** A lead of a school of the test's own. */
    private static Client lead(RunningServer.Address server) {
        return Client.byPassword(server, server.account(server.school(), "LEAD"));
    }

    private static String cohort(Client lead, String name, String... trainees) {
        String id = UUID.randomUUID().toString();
        String names = String.join("\",\"", trainees);
        assertThat(lead.put("/api/cohorts/" + id, "{\"name\":\"" + name + "\",\"trainees\":[\"" + names + "\"]}")
                        .status())
                .isEqualTo(200);
        return id;
    }

    private static JsonNode trainee(Client lead, String name, boolean left) {
        Client.Answer found = lead.get("/api/trainees?text=" + name.replace(" ", "%20") + "&left=" + left);
        assertThat(found.at("/all").asInt()).as(name).isEqualTo(1);
        return found.at("/trainees/0");
    }

    private static String path(JsonNode trainee, String what) {
        return "/api/trainees/" + trainee.at("/id").asString() + "/" + what;
    }

    private static String edition(JsonNode kept) {
        return "\"edition\":" + kept.at("/edition").asInt();
    }

    private static List<String> names(JsonNode cohorts, String id) {
        List<String> names = new ArrayList<>();
        StreamSupport.stream(cohorts.spliterator(), false)
                .filter(cohort -> cohort.at("/id").asString().equals(id))
                .forEach(cohort -> cohort.at("/trainees")
                        .forEach(each -> names.add(each.at("/fullName").asString())));
        return names;
    }

    private static List<String> rows(Client lead, String cohort) {
        List<String> names = new ArrayList<>();
        lead.get("/api/cohorts/" + cohort + "/matrix")
                .at("/rows")
                .forEach(row -> names.add(row.at("/fullName").asString()));
        return names;
    }

    @Test
    void added_getsTheNextBench_andANumberThatNobodyHas(RunningServer.Address server) {
        Client lead = lead(server);
        String first = cohort(lead, "First", "Ola Brandt", "Tam Reed");
        String id = UUID.randomUUID().toString();
        String fen = "{\"cohortId\":\"" + first + "\",\"fullName\":\"Fen Marsh\",\"number\":\"17\"}";
        assertThat(lead.put("/api/trainees/" + id, fen).status()).isEqualTo(204);
        assertThat(lead.put("/api/trainees/" + id, fen).status()).isEqualTo(204);
        assertThat(trainee(lead, "Fen Marsh", false).at("/bench").asInt()).isEqualTo(3);
        Client.Answer again = lead.put("/api/trainees/" + UUID.randomUUID(), fen.replace("Fen", "Wen"));
        assertThat(again.status()).isEqualTo(400);
        assertThat(again.at("/errors/0/pointer").asString()).isEqualTo("/number");
    }

    @Test
    void moved_takesTheirPiecesAlong(RunningServer.Address server) {
        Client runa = Client.signedIn(server, "runa");
        Bench bench = Bench.of(runa, Bench.STUB, 1);
        String attempt = bench.open(0);
        runa.put(
                "/api/attempts/" + attempt + "/readings/" + UUID.randomUUID(), "{\"feature\":\"leg\",\"text\":\"17\"}");
        String other = cohort(runa, "Moved to " + UUID.randomUUID(), "Somebody Else");
        String trainee = runa.get("/api/attempts/" + attempt).at("/trainee/id").asString();
        Client.Answer listed = runa.get("/api/trainees?cohort=" + bench.cohort());
        String place = "{\"edition\":" + listed.at("/trainees/0/edition").asInt() + ",\"cohortId\":\"" + other
                + "\",\"bench\":7}";
        assertThat(runa.put("/api/trainees/" + trainee + "/place", place).status())
                .isEqualTo(204);
        assertThat(runa.get("/api/attempts/" + attempt).at("/trainee/cohortId").asString())
                .isEqualTo(other);
        assertThat(names(runa.get("/api/cohorts").body(), bench.cohort())).isEmpty();
        assertThat(runa.put("/api/trainees/" + trainee + "/place", place)
                        .at("/errors/0/code")
                        .asString())
                .as("whoever saw them where they were is told")
                .isEqualTo("changed-meanwhile");
    }

    @Test
    void whoLeaves_isOnNoListOfThoseWhoAreThere_andComesBack(RunningServer.Address server) {
        Client lead = lead(server);
        String first = cohort(lead, "First", "Ola Brandt", "Tam Reed");
        JsonNode ola = trainee(lead, "Ola Brandt", false);
        lead.put(path(ola, "keys/" + UUID.randomUUID()), "{}");
        String key = lead.get(path(ola, "progress")).at("/ownPage").asString();
        assertThat(new Client(server).get("/api/own/" + key).status()).isEqualTo(200);
        String leaves = "{" + edition(ola) + ",\"left\":true,\"reason\":\"has a job\"}";
        assertThat(lead.put(path(ola, "left"), leaves).status()).isEqualTo(204);
        assertThat(names(lead.get("/api/cohorts").body(), first)).containsExactly("Tam Reed");
        assertThat(rows(lead, first)).containsExactly("Tam Reed");
        assertThat(new Client(server).get("/api/own/" + key).status()).isEqualTo(404);
        assertThat(lead.get(path(ola, "progress")).status()).isEqualTo(200);
        JsonNode away = trainee(lead, "Ola Brandt", true);
        assertThat(lead.put(path(ola, "left"), "{" + edition(away) + ",\"left\":false}")
                        .status())
                .isEqualTo(204);
        assertThat(names(lead.get("/api/cohorts").body(), first)).containsExactly("Ola Brandt", "Tam Reed");
        assertThat(lead.get("/api/audit?text=has%20a%20job").body()).hasSize(1);
    }

    @Test
    void yearChange_movesEverybodyUp_andThePastStaysAsItWas(RunningServer.Address server) {
        Client lead = lead(server);
        String first = cohort(lead, "First", "Ola Brandt", "Tam Reed");
        String second = cohort(lead, "Second", "Kit Vale");
        String next = UUID.randomUUID().toString();
        String steps = "{\"steps\":[{\"from\":\"" + second + "\"},{\"from\":\"" + first + "\",\"to\":\"" + next
                + "\",\"name\":\"Second\",\"beginsOn\":\"2027-01-11\",\"endsOn\":\"2027-12-17\"}]}";
        Client.Answer changed = lead.put("/api/year-changes", steps);
        assertThat(changed.status()).as(changed.body().toString()).isEqualTo(200);
        assertThat(lead.put("/api/year-changes", steps).status()).as("again").isEqualTo(200);

        JsonNode cohorts = lead.get("/api/cohorts").body();
        assertThat(names(cohorts, next)).containsExactly("Ola Brandt", "Tam Reed");
        assertThat(names(cohorts, first)).isEmpty();
        assertThat(trainee(lead, "Kit Vale", true).at("/cohortName").asString()).isEqualTo("Second");
        assertThat(rows(lead, first)).containsExactly("Ola Brandt", "Tam Reed");
        assertThat(rows(lead, second)).containsExactly("Kit Vale");

        JsonNode ola = trainee(lead, "Ola Brandt", false);
        String away = cohort(lead, "Third", "Somebody Else");
        lead.put(path(ola, "place"), "{" + edition(ola) + ",\"cohortId\":\"" + away + "\",\"bench\":2}");
        assertThat(rows(lead, next)).containsExactly("Tam Reed");
        assertThat(rows(lead, first)).as("as it was").containsExactly("Ola Brandt", "Tam Reed");
        for (JsonNode kept : lead.get("/api/kept-cohorts").body()) {
            if (kept.at("/id").asString().equals(first)) {
                assertThat(kept.at("/trainees").asInt()).isEqualTo(2);
                assertThat(kept.at("/archivedAt").isNull()).isFalse();
            }
        }
        String into = "{\"cohortId\":\"" + first + "\",\"fullName\":\"Too Late\"}";
        assertThat(lead.put("/api/trainees/" + UUID.randomUUID(), into)
                        .at("/errors/0/code")
                        .asString())
                .isEqualTo("archived");
    }

    @Test
    void yearChange_thatLeadsToATakenName_changesNothing(RunningServer.Address server) {
        Client lead = lead(server);
        String first = cohort(lead, "First", "Ola Brandt");
        cohort(lead, "Second", "Kit Vale");
        String steps =
                "{\"steps\":[{\"from\":\"" + first + "\",\"to\":\"" + UUID.randomUUID() + "\",\"name\":\"Second\"}]}";
        assertThat(lead.put("/api/year-changes", steps).status()).isEqualTo(409);
        assertThat(names(lead.get("/api/cohorts").body(), first)).containsExactly("Ola Brandt");
    }

    @Test
    void cohort_getsAnotherNameAndDates_onceForEachThatWasSeen(RunningServer.Address server) {
        Client lead = lead(server);
        String first = cohort(lead, "First", "Ola Brandt");
        String kept = "{\"edition\":0,\"name\":\"First, 2026\",\"beginsOn\":\"2026-01-12\",\"endsOn\":\"2026-12-18\"}";
        assertThat(lead.put("/api/cohorts/" + first + "/year", kept).status()).isEqualTo(204);
        assertThat(lead.put("/api/cohorts/" + first + "/year", kept).status()).isEqualTo(409);
        assertThat(lead.put(
                                "/api/cohorts/" + first + "/year",
                                "{\"edition\":1,\"name\":\"First\",\"beginsOn\":\"2026-12-18\",\"endsOn\":\"2026-01-12\"}")
                        .status())
                .isEqualTo(400);
    }

    @Test
    void fiveThousandTrainees_areSearchedAPageAtATime(RunningServer.Address server) {
        Client lead = lead(server);
        String first = cohort(lead, "First", "Ola Brandt");
        server.change("insert into trainee (id, cohort_id, full_name, bench) select gen_random_uuid(), '" + first
                + "', 'Trainee ' || lpad(n::text, 5, '0'), 1 from generate_series(1, 5000) n");
        assertThat(lead.get("/api/trainees").at("/all").asInt()).isEqualTo(5001);
        assertThat(lead.get("/api/trainees?from=4900&text=trainee")
                        .at("/trainees/99/fullName")
                        .asString())
                .isEqualTo("Trainee 05000");
    }

    @Test
    void school_isSetUp_andTwoAtOnceDoNotWriteOverEachOther(RunningServer.Address server) {
        Client lead = lead(server);
        assertThat(lead.get("/api/school").at("/isSetUp").asBoolean()).isFalse();
        String setUp = "{\"edition\":0,\"name\":\"Gull Point\",\"unit\":\"mm\",\"divisionIn\":" + 1 / 25.4
                + ",\"preset\":\"training\",\"codeNotes\":\"Ask the inspector about straps.\"}";
        Client.Answer kept = lead.put("/api/school", setUp);
        assertThat(kept.at("/isSetUp").asBoolean()).isTrue();
        assertThat(kept.at("/divisionIn").asDouble()).isEqualTo(1 / 25.4);
        assertThat(lead.put("/api/school", setUp).at("/errors/0/code").asString())
                .isEqualTo("changed-meanwhile");
        assertThat(lead.get("/api/shed").at("/usual/preset").asString()).isEqualTo("training");
        assertThat(lead.put(
                                "/api/school",
                                setUp.replace("\"edition\":0", "\"edition\":1").replace("0.03937", "9.03937"))
                        .at("/errors/0/pointer")
                        .asString())
                .isEqualTo("/divisionIn");
    }

    @Test
    void firstSteps_areTickedOffAsTheyAreDone(RunningServer.Address server) {
        Client lead = lead(server);
        assertThat(lead.get("/api/first-steps").at("/school").asBoolean()).isFalse();
        lead.put("/api/school", "{\"edition\":0,\"name\":\"Gull Point\",\"unit\":\"in\",\"divisionIn\":0.0625}");
        lead.put(
                "/api/people/" + UUID.randomUUID(),
                "{\"fullName\":\"Wim\",\"signInName\":\"wim-"
                        + UUID.randomUUID().toString().substring(0, 8) + "\",\"role\":\"INSTRUCTOR\"}");
        Client.Answer steps = lead.get("/api/first-steps");
        assertThat(steps.at("/school").asBoolean()).isTrue();
        assertThat(steps.at("/people").asBoolean()).isTrue();
        assertThat(steps.at("/benders").asBoolean()).isFalse();
        assertThat(steps.at("/measured").asBoolean()).isFalse();
        assertThat(Client.signedIn(server, "oskar")
                        .get("/api/first-steps")
                        .at("/measured")
                        .asBoolean())
                .isTrue();
    }

    @Test
    void needs_areFollowedByTheSheet(RunningServer.Address server) throws Exception {
        Client runa = Client.signedIn(server, "runa");
        Bench bench = Bench.of(runa, Bench.STUB, 2);
        Client.Answer listed = runa.get("/api/trainees?cohort=" + bench.cohort());
        JsonNode first = listed.at("/trainees/0");
        assertThat(runa.put(
                                path(first, "particulars"),
                                "{" + edition(first) + ",\"fullName\":\""
                                        + first.at("/fullName").asString()
                                        + "\",\"largerPrint\":true,\"extraTimePct\":25}")
                        .status())
                .isEqualTo(204);
        String giving = runa.get("/api/givings").at("/0/id").asString();
        String print = runa.post("/api/givings/" + giving + "/prints", "{\"paper\":\"a4\"}")
                .at("/id")
                .asString();
        while (!runa.get("/api/prints/" + print).at("/finished").asBoolean()) {
            Thread.sleep(50);
        }
        try (var sheets = org.apache.pdfbox.Loader.loadPDF(runa.file("/api/prints/" + print + "/file"))) {
            assertThat(sheets.getNumberOfPages()).isEqualTo(2);
            int larger = sheets.getPage(0).getMediaBox().getWidth() > 800 ? 0 : 1;
            assertThat(sheets.getPage(larger).getMediaBox().getWidth()).isGreaterThan(800);
            assertThat(sheets.getPage(1 - larger).getMediaBox().getWidth()).isLessThan(600);
            var text = new org.apache.pdfbox.text.PDFTextStripper();
            text.setStartPage(larger + 1);
            text.setEndPage(larger + 1);
            assertThat(text.getText(sheets)).contains("25 % more time", "Tern Quay Apprentice School");
        }
    }
}
