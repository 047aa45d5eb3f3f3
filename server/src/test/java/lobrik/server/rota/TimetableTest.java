package lobrik.server.rota;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.StringReader;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.StreamSupport;
import lobrik.server.Bench;
import lobrik.server.Client;
import lobrik.server.RunningServer;
import lobrik.server.platform.Days;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** The calendar of a school of the test's own: sessions, who sits where, who is there, and what is given out when one begins. */
@ExtendWith(RunningServer.class)
class TimetableTest {

    private final LocalDate today = Days.of(Instant.now());

    /** A school with a room, two benders and a cohort. */
    private record Shed(Client lead, UUID school, String room, List<String> benders, String cohort, String colleague) {

        static Shed of(RunningServer.Address server) {
            UUID school = server.school();
            Client lead = Client.byPassword(server, server.account(school, "LEAD"));
            String room = id();
            put(lead, "/api/rooms/" + room, "{\"name\":\"Long bay\",\"benches\":4,\"places\":2}", 204);
            String conduit = id();
            put(lead, "/api/conduits/" + conduit, "{\"label\":\"Half\",\"outsideDiameterIn\":0.706}", 204);
            List<String> benders = List.of(id(), id());
            for (int i = 0; i < benders.size(); i++) {
                put(lead, "/api/benders/" + benders.get(i), """
                        {"label":"Bender %d","conduitId":"%s","figures":{"takeUpIn":%d,"radiusIn":4},"reason":"as stamped"}""".formatted(i + 1, conduit, 5 + i), 204);
            }
            // Before there is a cohort, so that none is theirs.
            String colleague = server.account(school, "INSTRUCTOR");
            String cohort = id();
            put(
                    lead,
                    "/api/cohorts/" + cohort,
                    "{\"name\":\"First\",\"trainees\":[\"Ana Birk\",\"Bo Kell\",\"Cy Dorn\",\"Di Esk\"]}",
                    200);
            return new Shed(lead, school, room, benders, cohort, colleague);
        }

        String session(String cohort, LocalDate day, String from, String until) {
            return """
                    {"cohortId":"%s","day":"%s","from":"%s","until":"%s","roomId":"%s","benches":[1,2],"benders":["%s","%s"]}""".formatted(cohort, day, from, until, room, benders.get(0), benders.get(1));
        }

        String arranged(LocalDate... days) {
            String session = id();
            String all = String.join(
                    "\",\"", Arrays.stream(days).map(LocalDate::toString).toList());
            put(
                    lead,
                    "/api/class-sessions/" + session,
                    "{\"session\":" + session(cohort, days[0], "09:00", "12:00") + ",\"days\":[\"" + all + "\"]}",
                    204);
            return session;
        }

        JsonNode seen(LocalDate first, LocalDate last) {
            return lead.get("/api/class-sessions?first=" + first + "&last=" + last)
                    .at("/sessions");
        }

        List<String> trainees() {
            List<String> ids = new ArrayList<>();
            lead.get("/api/rota/" + cohort)
                    .at("/people")
                    .forEach(each -> ids.add(each.at("/traineeId").asString()));
            return ids;
        }
    }

    private static String id() {
        return UUID.randomUUID().toString();
    }

    private static void put(Client client, String path, String body, int status) {
        Client.Answer answer = client.put(path, body);
        assertThat(answer.status()).as(path + " " + answer.response().body()).isEqualTo(status);
    }

    private static List<String> texts(JsonNode list) {
        return StreamSupport.stream(list.spliterator(), false)
                .map(JsonNode::asString)
                .toList();
    }

    @Test
    void repeatedSessions_leaveHolidaysOut_andClashesAreNamed(RunningServer.Address server) {
        Shed shed = Shed.of(server);
        LocalDate first = today.plusDays(7);
        put(
                shed.lead(),
                "/api/holidays/" + id(),
                "{\"name\":\"Harvest week\",\"firstDay\":\"%s\",\"lastDay\":\"%s\"}"
                        .formatted(first.plusDays(6), first.plusDays(8)),
                204);
        Client.Answer days = shed.lead().post("/api/class-sessions/check", """
                {"session":%s,"repeat":{"everyWeeks":1,"until":"%s"}}""".formatted(
                        shed.session(shed.cohort(), first, "09:00", "12:00"), first.plusWeeks(3)));
        assertThat(IntStream.range(0, 4)
                        .mapToObj(i -> days.at("/" + i + "/day").asString()
                                + days.at("/" + i + "/holiday").asBoolean()))
                .containsExactly(
                        first + "false",
                        first.plusWeeks(1) + "true",
                        first.plusWeeks(2) + "false",
                        first.plusWeeks(3) + "false");
        shed.arranged(first, first.plusWeeks(2), first.plusWeeks(3));

        String second = id();
        put(shed.lead(), "/api/cohorts/" + second, "{\"name\":\"Second\",\"trainees\":[\"Ed Falk\"]}", 200);
        Client.Answer clash = shed.lead()
                .post(
                        "/api/class-sessions/check",
                        "{\"session\":" + shed.session(second, first, "11:30", "14:00") + "}");
        assertThat(texts(clash.at("/0/clashes")))
                .containsExactly(
                        "Long bay, benches 1–2: First at 09:00",
                        "Bender 1 is with First at 09:00",
                        "Bender 2 is with First at 09:00");
        assertThat(texts(shed.lead()
                        .post(
                                "/api/class-sessions/check",
                                "{\"session\":" + shed.session(second, first, "12:00", "14:00") + "}")
                        .at("/0/clashes")))
                .as("one ends as the other begins")
                .isEmpty();
    }

    @Test
    void changeOfASeries_movesThoseThatFollow_andNobodyWritesOverAnother(RunningServer.Address server) {
        Shed shed = Shed.of(server);
        LocalDate first = today.plusDays(3);
        shed.arranged(first, first.plusWeeks(1), first.plusWeeks(2));
        JsonNode middle = shed.seen(first.plusWeeks(1), first.plusWeeks(1)).get(0);
        String path = "/api/class-sessions/" + middle.at("/id").asString() + "/arrangement";
        String moved = "{\"edition\":0,\"following\":true,\"session\":"
                + shed.session(shed.cohort(), first.plusWeeks(1).plusDays(1), "13:00", "16:00") + "}";
        put(shed.lead(), path, moved, 204);
        assertThat(shed.lead().put(path, moved).at("/errors/0/code").asString()).isEqualTo("changed-meanwhile");
        JsonNode all = shed.seen(first, first.plusWeeks(4));
        assertThat(List.of(
                        all.get(0).at("/day").asString(),
                        all.get(1).at("/day").asString(),
                        all.get(2).at("/day").asString()))
                .containsExactly(
                        first.toString(),
                        first.plusWeeks(1).plusDays(1).toString(),
                        first.plusWeeks(2).plusDays(1).toString());
        assertThat(all.get(0).at("/from").asString() + all.get(2).at("/from").asString())
                .isEqualTo("09:0013:00");

        String held = "/api/class-sessions/" + all.get(2).at("/id").asString() + "/held";
        assertThat(shed.lead()
                        .put(held, "{\"edition\":1,\"held\":false}")
                        .at("/errors/0/pointer")
                        .asString())
                .isEqualTo("/reason");
        put(shed.lead(), held, "{\"edition\":1,\"held\":false,\"reason\":\"no heating\"}", 204);
        assertThat(shed.seen(first, first.plusWeeks(4)).get(2).at("/calledOff").asString())
                .isEqualTo("no heating");
        put(shed.lead(), held, "{\"edition\":2,\"held\":true}", 204);
        assertThat(shed.seen(first, first.plusWeeks(4)).get(2).at("/calledOff").isMissingNode()
                        || shed.seen(first, first.plusWeeks(4))
                                .get(2)
                                .at("/calledOff")
                                .isNull())
                .isTrue();
    }

    @Test
    void whatIsNotThere_isTurnedDown(RunningServer.Address server) {
        Shed shed = Shed.of(server);
        LocalDate day = today.plusDays(3);
        String good = shed.session(shed.cohort(), day, "09:00", "12:00");
        Map<String, String> wrong = Map.of(
                good.replace("12:00", "08:00"), "/ends",
                good.replace("09:00", "nine"), "/session/from",
                good.replace("[1,2]", "[1,9]"), "/benches",
                good.replace(shed.benders().get(0), id()), "/benders",
                good.replace("}", ",\"beginsByItself\":true}"), "/session/instructorId");
        wrong.forEach((session, pointer) -> assertThat(shed.lead()
                        .put("/api/class-sessions/" + id(), "{\"session\":" + session + ",\"days\":[\"" + day + "\"]}")
                        .at("/errors/0/pointer")
                        .asString())
                .isEqualTo(pointer));
        assertThat(shed.lead()
                        .put("/api/class-sessions/" + id(), "{\"session\":" + good + ",\"days\":[\"2226-01-01\"]}")
                        .status())
                .isEqualTo(400);
    }

    @Test
    void rota_isWorkedOut_kept_andKeepsWhatWasSetByHand(RunningServer.Address server) {
        Shed shed = Shed.of(server);
        LocalDate first = today.plusDays(1);
        String session = shed.arranged(first, first.plusWeeks(1));
        List<String> people = shed.trainees();
        put(
                shed.lead(),
                "/api/kept-apart",
                "{\"oneId\":\"" + people.get(0) + "\",\"otherId\":\"" + people.get(1) + "\",\"apart\":true}",
                204);
        String absence = id();
        put(
                shed.lead(),
                "/api/absences/" + absence,
                "{\"traineeId\":\"" + people.get(3) + "\",\"firstDay\":\"" + first + "\",\"lastDay\":\"" + first
                        + "\",\"reason\":\"at the dentist’s\"}",
                204);
        put(
                shed.lead(),
                "/api/class-sessions/" + session + "/seats/" + people.get(2),
                "{\"seen\":null,\"place\":{\"bench\":2,\"benderId\":\""
                        + shed.benders().get(1) + "\"}}",
                204);
        assertThat(shed.lead().get("/api/rota/" + shed.cohort()).at("/seatless").asInt())
                .as("3 + 4 places, one of them taken")
                .isEqualTo(6);

        Client.Answer proposal = shed.lead().post("/api/rota/" + shed.cohort() + "/proposal", "{}");
        assertThat(proposal.status()).as(proposal.response().body()).isEqualTo(200);
        assertThat(proposal.at("/clashes").size()).isZero();
        assertThat(proposal.at("/unevenness").asInt()).isZero();
        assertThat(shed.lead().get("/api/rota/" + shed.cohort()).at("/seatless").asInt())
                .as("a proposal keeps nothing")
                .isEqualTo(6);
        List<String> seats = new ArrayList<>();
        proposal.at("/people")
                .forEach(person -> person.at("/seats")
                        .forEach(seat -> seats.add("""
                {"sessionId":"%s","traineeId":"%s","bench":%d,"benderId":"%s"}""".formatted(
                                        seat.at("/sessionId").asString(),
                                        person.at("/traineeId").asString(),
                                        seat.at("/bench").asInt(),
                                        seat.at("/benderId").asString()))));
        put(shed.lead(), "/api/rota/" + shed.cohort(), "{\"seats\":[" + String.join(",", seats) + "]}", 200);

        Client.Answer kept = shed.lead().get("/api/rota/" + shed.cohort());
        assertThat(kept.at("/seatless").asInt()).isZero();
        JsonNode third = kept.at("/people/2/seats/0");
        assertThat(third.at("/byHand").asBoolean()).isTrue();
        assertThat(third.at("/why").asString()).startsWith("Set by hand. Bender 2 for the first time.");
        assertThat(kept.at("/people/0/seats/0/bench").asInt())
                .isNotEqualTo(kept.at("/people/1/seats/0/bench").asInt());
        assertThat(kept.at("/people/3/seats").size()).as("away in the first").isEqualTo(1);
        assertThat(texts(kept.at("/people/3/away"))).containsExactly(session);
        kept.at("/people")
                .forEach(person -> assertThat(Math.abs(person.at("/turns/0").asInt()
                                - person.at("/turns/1").asInt()))
                        .isLessThanOrEqualTo(1));

        assertThat(shed.lead()
                        .put(
                                "/api/class-sessions/" + session + "/seats/" + people.get(2),
                                "{\"seen\":null,\"place\":null}")
                        .at("/errors/0/code")
                        .asString())
                .as("somebody else seated them since")
                .isEqualTo("changed-meanwhile");
        put(
                shed.lead(),
                "/api/class-sessions/" + session + "/arrangement",
                "{\"edition\":0,\"session\":"
                        + shed.session(shed.cohort(), first, "09:00", "12:00").replace("[1,2]", "[1]") + "}",
                204);
        assertThat(texts(shed.lead().get("/api/rota/" + shed.cohort()).at("/clashes")))
                .contains("On " + first + ": Cy Dorn was set by hand at a bench or on a bender that is not there");
        assertThat(shed.lead()
                        .put("/api/rota/" + shed.cohort(), "{\"seats\":[" + String.join(",", seats) + "]}")
                        .at("/errors/0/code")
                        .asString())
                .as("worked out for two benches")
                .isEqualTo("changed-meanwhile");
    }

    @Test
    void session_begins_givesItsPlanOut_toThoseWhoAreThere_andTheFloorFollows(RunningServer.Address server) {
        Shed shed = Shed.of(server);
        String session = shed.arranged(today);
        List<String> people = shed.trainees();
        String entry = id();
        put(
                shed.lead(),
                "/api/library/" + entry,
                """
                {"exercise":{"title":"Stub","conduitLabel":"Half","benderLabel":"Bender 1","definition":%s,
                 "tolerances":{"preset":"site","lengthIn":0.125,"angleDeg":2,"dogLegDeg":2,"passMark":70}}}""".formatted(Bench.STUB
                        .replace("6,\"radiusIn\":5.125", "5,\"radiusIn\":4")
                        .replace("0.922", "0.706")),
                200);
        String path = "/api/class-sessions/" + session;
        put(shed.lead(), path + "/attendance/" + people.get(1), "{\"state\":\"AWAY\"}", 204);
        put(shed.lead(), path + "/attendance/" + people.get(0), "{\"state\":\"LATE\"}", 204);
        String plan = "{\"edition\":0,\"parts\":[{\"entryId\":\"" + entry + "\",\"traineeIds\":[\""
                + String.join("\",\"", people) + "\"]}]}";
        put(shed.lead(), path + "/plan", plan, 204);
        assertThat(shed.lead().put(path + "/plan", plan).at("/errors/0/code").asString())
                .isEqualTo("changed-meanwhile");
        Client.Answer before = shed.lead().get("/api/floor/" + shed.cohort());
        assertThat(before.at("/session/planned").asInt()).isEqualTo(1);
        assertThat(before.at("/session/roomName").asString()).isEqualTo("Long bay");

        put(
                shed.lead(),
                path + "/seats/" + people.get(2),
                "{\"seen\":null,\"place\":{\"bench\":1,\"benderId\":\""
                        + shed.benders().get(1) + "\"}}",
                204);
        assertThat(shed.lead()
                        .get("/api/trainees/" + people.get(1) + "/attendance")
                        .at("/away")
                        .asInt())
                .isEqualTo(1);
        Client.Answer begun = shed.lead().put(path + "/begun", "{}");
        assertThat(begun.at("/givings").size()).as(begun.response().body()).isEqualTo(1);
        assertThat(shed.lead().put(path + "/begun", "{}").at("/givings").size())
                .as("once")
                .isZero();
        Client.Answer floor = shed.lead().get("/api/floor/" + shed.cohort());
        List<String> states = new ArrayList<>();
        floor.at("/benches")
                .forEach(bench -> states.add(bench.at("/fullName").asString() + " "
                        + bench.at("/presence").asString() + " "
                        + bench.at("/state").asString()));
        assertThat(states)
                .containsExactly(
                        "Ana Birk LATE notStarted",
                        "Cy Dorn  notStarted",
                        "Bo Kell AWAY nothingGiven",
                        "Di Esk  notStarted");
        assertThat(floor.at("/benches/1/benderLabel").asString()).isEqualTo("Bender 2");
        JsonNode cy = opened(shed, people.get(2));
        JsonNode di = opened(shed, people.get(3));
        assertThat(cy.at("/exercise/benderLabel").asString()).isEqualTo("Bender 2");
        assertThat(cy.at("/exercise/definition/bender/takeUpIn").asDouble())
                .as("laid out for the bender that they have")
                .isEqualTo(6);
        assertThat(di.at("/exercise/benderLabel").asString()).isEqualTo("Bender 1");
        assertThat(shed.lead()
                        .put(path + "/plan", "{\"edition\":2,\"parts\":[]}")
                        .at("/errors/0/code")
                        .asString())
                .isEqualTo("has-begun");
        assertThat(shed.lead().delete(path).at("/errors/0/code").asString()).isEqualTo("has-begun");
    }

    private static JsonNode opened(Shed shed, String trainee) {
        return shed.lead()
                .put("/api/attempts/" + id(), "{\"traineeId\":\"" + trainee + "\"}")
                .at("");
    }

    @Test
    void attendance_isNotNotedBeforehand(RunningServer.Address server) {
        Shed shed = Shed.of(server);
        String session = shed.arranged(today.plusDays(1));

        Client.Answer answer = shed.lead()
                .put(
                        "/api/class-sessions/" + session + "/attendance/"
                                + shed.trainees().getFirst(),
                        "{\"state\":\"HERE\"}");

        assertThat(answer.at("/errors/0/code").asString()).isEqualTo("not-yet");
        assertThat(shed.lead().delete("/api/class-sessions/" + session).status())
                .isEqualTo(204);
        assertThat(shed.seen(today, today.plusDays(2)).size()).isZero();
    }

    @Test
    void feed_isACalendarThatOthersRead_untilItIsEnded(RunningServer.Address server) throws Exception {
        Shed shed = Shed.of(server);
        LocalDate day = today.plusDays(2);
        String session = shed.arranged(day, day.plusWeeks(1));
        put(
                shed.lead(),
                "/api/class-sessions/" + session + "/held",
                "{\"edition\":0,\"held\":false,\"reason\":\"no heating, sorry\"}",
                204);
        Client.Answer made = shed.lead().post("/api/calendar-feeds", "{\"cohortId\":\"" + shed.cohort() + "\"}");
        String address = made.at("/address").asString();
        String feed = made.at("/id").asString();
        Client nobody = new Client(server);
        String path = address.substring(address.indexOf("/api/"));
        Client.Answer answer = nobody.get(path);
        assertThat(answer.status()).isEqualTo(200);

        Calendar calendar =
                new CalendarBuilder().build(new StringReader(answer.response().body()));
        List<VEvent> events = calendar.getComponents("VEVENT");
        assertThat(events).hasSize(2);
        VEvent first = events.getFirst();
        assertThat(first.getUid().orElseThrow().getValue()).isEqualTo(session + "@lobrik");
        assertThat(first.getStatus().getValue()).isEqualTo("CANCELLED");
        assertThat(first.getDescription().getValue()).isEqualTo("Called off: no heating, sorry");
        assertThat(events.get(1).getSummary().getValue()).isEqualTo("First");
        assertThat(events.get(1).getLocation().getValue()).isEqualTo("Long bay");
        assertThat(answer.response().body())
                .as("whoever has the address is told no name")
                .doesNotContain("Birk")
                .doesNotContain("Kell");

        assertThat(shed.lead().delete("/api/calendar-feeds/" + feed).status()).isEqualTo(204);
        assertThat(nobody.get(path).status()).isEqualTo(404);
    }

    @Test
    void instructorOfAnotherCohort_seesThatTheRoomIsTaken_andChangesNothing(RunningServer.Address server) {
        Shed shed = Shed.of(server);
        LocalDate day = today.plusDays(2);
        String session = shed.arranged(day);
        Client other = Client.byPassword(server, shed.colleague());

        JsonNode seen =
                other.get("/api/class-sessions?first=" + day + "&last=" + day).at("/sessions/0");

        assertThat(seen.at("/cohortName").asString()).isEqualTo("First");
        assertThat(seen.at("/mine").asBoolean()).isFalse();
        assertThat(other.get("/api/class-sessions/" + session).status()).isEqualTo(404);
        assertThat(other.delete("/api/class-sessions/" + session).status()).isEqualTo(404);
        assertThat(other.get("/api/rota/" + shed.cohort()).status()).isEqualTo(404);
    }

    @Test
    void sessionThatIsMeantTo_beginsByItself_inTheNameOfWhoeverHoldsIt(RunningServer.Address server) {
        Shed shed = Shed.of(server);
        String holder = shed.lead().get("/api/me").at("/accountId").asString();
        String session = id();
        String input = shed.session(shed.cohort(), today, "00:00", "23:59")
                .replace("}", ",\"beginsByItself\":true,\"instructorId\":\"" + holder + "\"}");
        put(
                shed.lead(),
                "/api/class-sessions/" + session,
                "{\"session\":" + input + ",\"days\":[\"" + today + "\"]}",
                204);

        server.context().getBean(SessionPlans.class).beginWhatIsDue();

        assertThat(shed.seen(today, today).get(0).at("/begunAt").asString()).isNotEmpty();
    }
}
