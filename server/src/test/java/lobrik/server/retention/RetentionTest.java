package lobrik.server.retention;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import lobrik.server.Client;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** What a school of the test's own keeps, and for how long. */
@ExtendWith(RunningServer.class)
class RetentionTest {

    /** A lead, and two people of whom one left three years ago. */
    private record School(Client lead, String left, String there) {

        static School of(RunningServer.Address server) {
            Client lead = Client.byPassword(server, server.account(server.school(), "LEAD"));
            JsonNode trainees = lead.put(
                            "/api/cohorts/" + UUID.randomUUID(),
                            "{\"name\":\"First\",\"trainees\":[\"Ana Birk\",\"Bo Kell\"]}")
                    .at("/trainees");
            String left = trainees.get(0).at("/id").asString();
            server.change("update trainee set left_at = now() - interval '3 years' where id = '" + left + "'");
            return new School(lead, left, trainees.get(1).at("/id").asString());
        }

        JsonNode kept(String kind) {
            for (JsonNode each : lead.get("/api/retention").body()) {
                if (each.at("/kind").asString().equals(kind)) {
                    return each;
                }
            }
            throw new AssertionError("no such kind");
        }

        Client.Answer keep(String kind, String rule) {
            return lead.put("/api/retention/" + kind, rule);
        }
    }

    @Test
    void peopleWhoLeft_areNamedBeforehand_andErasedByHand_asManyAsWereSeen(RunningServer.Address server) {
        School school = School.of(server);
        assertThat(school.kept("PEOPLE_LEFT").at("/months").isNumber())
                .as("for ever, until somebody says otherwise")
                .isFalse();
        Client.Answer seen = school.lead().get("/api/retention/PEOPLE_LEFT/preview?months=24");
        assertThat(seen.at("/count").asInt()).isEqualTo(1);
        assertThat(seen.at("/names/0").asString()).isEqualTo("Ana Birk");
        assertThat(school.lead()
                        .get("/api/retention/PEOPLE_LEFT/preview?months=48")
                        .at("/count")
                        .asInt())
                .isZero();
        assertThat(school.lead()
                        .post("/api/retention/PEOPLE_LEFT/runs", "{\"seen\":1}")
                        .at("/errors/0/code")
                        .asString())
                .isEqualTo("no-rule");
        assertThat(school.keep("PEOPLE_LEFT", "{\"edition\":0,\"months\":24,\"byCalendar\":false}")
                        .status())
                .isEqualTo(204);
        assertThat(school.lead()
                        .post("/api/retention/PEOPLE_LEFT/runs", "{\"seen\":2}")
                        .status())
                .as("not what was seen")
                .isEqualTo(409);
        assertThat(school.lead()
                        .post("/api/retention/PEOPLE_LEFT/runs", "{\"seen\":1}")
                        .at("/count")
                        .asInt())
                .isEqualTo(1);
        assertThat(school.lead()
                        .get("/api/trainees/" + school.left() + "/progress")
                        .status())
                .isEqualTo(404);
        assertThat(school.lead()
                        .get("/api/trainees/" + school.there() + "/progress")
                        .status())
                .isEqualTo(200);
        assertThat(school.kept("PEOPLE_LEFT").at("/lastTaken").asInt()).isEqualTo(1);
        assertThat(school.lead().get("/api/audit?subject=school").body().toString())
                .contains("keeps people who left", "people who left older than 24 months")
                .doesNotContain("Ana Birk");
    }

    @Test
    void byCalendar_goesByItself_onceADay(RunningServer.Address server) {
        School school = School.of(server);
        school.keep("PEOPLE_LEFT", "{\"edition\":0,\"months\":24,\"byCalendar\":true}");
        Retention retention = server.context().getBean(Retention.class);
        retention.byCalendar();
        assertThat(school.lead()
                        .get("/api/trainees/" + school.left() + "/progress")
                        .status())
                .isEqualTo(404);
        server.change("update trainee set left_at = now() - interval '3 years' where id = '" + school.there() + "'");
        retention.byCalendar();
        assertThat(school.lead()
                        .get("/api/trainees/" + school.there() + "/progress")
                        .status())
                .as("tomorrow")
                .isEqualTo(200);
        assertThat(school.lead().get("/api/audit?subject=school").body().toString())
                .contains(", by calendar");
    }

    @Test
    void presence_goesWithItsDay(RunningServer.Address server) {
        School school = School.of(server);
        school.lead().put("/api/absences/" + UUID.randomUUID(), """
                {"traineeId":"%s","firstDay":"2020-01-07","lastDay":"2020-01-08","reason":"ill"}""".formatted(school.there()));
        Client.Answer seen = school.lead().get("/api/retention/PRESENCE/preview?months=12");
        assertThat(seen.at("/count").asInt()).as(seen.response().body()).isEqualTo(1);
        assertThat(seen.at("/oldest").asString()).startsWith("2020-01-08");
        school.keep("PRESENCE", "{\"edition\":0,\"months\":12}");
        assertThat(school.lead()
                        .post("/api/retention/PRESENCE/runs", "{\"seen\":1}")
                        .at("/count")
                        .asInt())
                .isEqualTo(1);
        assertThat(school.lead()
                        .get("/api/retention/PRESENCE/preview?months=12")
                        .at("/count")
                        .asInt())
                .isZero();
    }

    @Test
    void twoWhoChangeARuleAtOnce_loseNothingUnseen_andNonsenseIsTurnedDown(RunningServer.Address server) {
        School school = School.of(server);
        assertThat(school.keep("PHOTOS", "{\"edition\":0,\"months\":36}").status())
                .isEqualTo(204);
        assertThat(school.keep("PHOTOS", "{\"edition\":1,\"months\":12}")
                        .at("/errors/0/code")
                        .asString())
                .isEqualTo("changed-meanwhile");
        assertThat(school.keep("PHOTOS", "{\"edition\":0,\"months\":0}")
                        .at("/errors/0/pointer")
                        .asString())
                .isEqualTo("/months");
        assertThat(school.keep("PHOTOS", "{\"edition\":0,\"months\":12}").status())
                .isEqualTo(204);
        assertThat(school.kept("PHOTOS").at("/edition").asInt()).isEqualTo(1);
        assertThat(school.keep("PHOTOS", "{\"edition\":1}").status()).isEqualTo(204);
        assertThat(school.kept("PHOTOS").at("/months").isNumber()).isFalse();
        assertThat(school.lead()
                        .get("/api/retention/PHOTOS/preview?months=12")
                        .at("/count")
                        .asInt())
                .isZero();
        assertThat(school.lead()
                        .get("/api/retention/STUDIES/preview?months=12")
                        .at("/count")
                        .asInt())
                .isZero();
    }
}
