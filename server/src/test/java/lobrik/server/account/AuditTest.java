package lobrik.server.account;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.List;
import java.util.UUID;
import java.util.stream.IntStream;
import lobrik.server.Bench;
import lobrik.server.Client;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Every change that matters leaves an entry, and nobody changes one unseen. */
@ExtendWith(RunningServer.class)
class AuditTest {

    private static AuditChain.ChainFound chain(RunningServer.Address server, UUID school) throws SQLException {
        try (Connection database =
                DriverManager.getConnection(server.databaseUrl(), "lobrik_owner", server.databasePassword())) {
            return AuditChain.check(database, school).getFirst();
        }
    }

    /** A school where some things were changed. */
    private static UUID changed(RunningServer.Address server) {
        UUID school = server.school();
        Client lead = Client.byPassword(server, server.account(school, "LEAD"));
        lead.put("/api/sheet-codes", "{\"days\":20}");
        lead.put("/api/sheet-codes", "{\"days\":30}");
        lead.put("/api/wall", "{\"scores\":false,\"initials\":true}");
        return school;
    }

    @Test
    void change_isNotedWithWhoFromWhatToWhat(RunningServer.Address server) {
        UUID school = server.school();
        Client lead = Client.byPassword(server, server.account(school, "LEAD"));
        assertThat(lead.put("/api/sheet-codes", "{\"days\":20}").status()).isEqualTo(200);
        Client.Answer audit = lead.get("/api/audit");
        assertThat(audit.at("/0/what").asString()).isEqualTo("changed");
        assertThat(audit.at("/0/subject").asString()).isEqualTo("school");
        assertThat(audit.at("/0/who").asString()).isEqualTo("Guest");
        assertThat(audit.at("/0/changes/0/from").asString()).isEqualTo("14");
        assertThat(audit.at("/0/changes/0/to").asString()).isEqualTo("20");
        assertThat(audit.at("/1/what").asString()).isEqualTo("signedIn");
        lead.put("/api/sheet-codes", "{\"days\":20}");
        assertThat(lead.get("/api/audit").at("/0/entryNo").asLong())
                .as("what changes nothing is not noted")
                .isEqualTo(audit.at("/0/entryNo").asLong());
    }

    @Test
    void entries_areFoundByText_byKind_byDay_andPageByPage(RunningServer.Address server) {
        UUID school = changed(server);
        Client lead = Client.byPassword(server, server.account(school, "LEAD"));
        assertThat(lead.get("/api/audit?text=sheets%20work").body()).hasSize(2);
        assertThat(lead.get("/api/audit?subject=school").body()).hasSize(3);
        assertThat(lead.get("/api/audit?what=signedIn&text=lead-").body()).hasSize(2);
        assertThat(lead.get("/api/audit?text=%25").body()).isEmpty();
        assertThat(lead.get("/api/audit?until=2020-01-01").body()).isEmpty();
        long second = lead.get("/api/audit?subject=school").at("/1/entryNo").asLong();
        assertThat(lead.get("/api/audit?subject=school&before=" + second).body())
                .hasSize(1);
        String file = new String(lead.file("/api/audit.csv?subject=school"), StandardCharsets.UTF_8);
        assertThat(file.lines()).hasSize(4);
        assertThat(file).contains("days that sheets work: 20 → 30");
    }

    @Test
    void chain_isWhole_andItsHeadIsThatOfTheLastEntry(RunningServer.Address server) throws SQLException {
        UUID school = changed(server);
        AuditChain.ChainFound found = chain(server, school);
        assertThat(found.isWhole()).as(found.fault()).isTrue();
        assertThat(found.entries()).isEqualTo(4);
        Client lead = Client.byPassword(server, server.account(school, "LEAD"));
        Client.Answer told = lead.get("/api/audit/chain");
        assertThat(told.at("/0/entries").asInt()).isEqualTo(5);
        assertThat(told.at("/0/head").asString())
                .isEqualTo(lead.get("/api/audit").at("/0/hash").asString());
    }

    @Test
    void entryChanged_takenOut_putInOrBlanked_breaksTheChain(RunningServer.Address server) throws SQLException {
        String entry = " where chain = '%s' and chain_no = 2";
        for (String tampered : List.of(
                "update audit set about = 'nothing'" + entry,
                "update audit set at = at + interval '1 day'" + entry,
                "update audit set changes = null" + entry,
                "delete from audit" + entry,
                "update audit set blanked = true" + entry,
                "update audit set hash = sha256('x')" + entry,
                "update audit e set about = 'nothing', content_hash = audit_content(e)" + entry)) {
            UUID school = changed(server);
            server.change(tampered.formatted(school));
            assertThat(chain(server, school).fault()).as(tampered).isNotNull();
        }
    }

    @Test
    void manyAtOnce_makeOneChain(RunningServer.Address server) throws Exception {
        UUID school = server.school();
        Client lead = Client.byPassword(server, server.account(school, "LEAD"));
        List<Thread> writers = IntStream.range(0, 8)
                .mapToObj(writer -> Thread.ofVirtual().start(() -> {
                    for (int i = 0; i < 10; i++) {
                        lead.put(
                                "/api/cohorts/" + UUID.randomUUID(),
                                "{\"name\":\"" + writer + " " + i + "\",\"trainees\":[\"One\"]}");
                    }
                }))
                .toList();
        for (Thread writer : writers) {
            writer.join();
        }
        AuditChain.ChainFound found = chain(server, school);
        assertThat(found.isWhole()).as(found.fault()).isTrue();
        assertThat(found.entries()).isEqualTo(81);
    }

    @Test
    void correctionOfAReading_leavesAnEntry_withBothFiguresAndWhy(RunningServer.Address server) {
        Client runa = Client.signedIn(server, "runa");
        Bench bench = Bench.of(runa, Bench.STUB, 1);
        String readings = "/api/attempts/" + bench.open(0) + "/readings/";
        Client.Answer read = runa.put(readings + UUID.randomUUID(), "{\"feature\":\"leg\",\"text\":\"17 3/4\"}");
        String reading = read.at("/features/1/reading/id").asString();
        String why = "Tape was tilted " + UUID.randomUUID();
        runa.put(
                readings + UUID.randomUUID(),
                "{\"feature\":\"leg\",\"text\":\"17 5/8\",\"corrects\":\"" + reading + "\",\"reason\":\"" + why
                        + "\"}");
        Client.Answer found = Client.signedIn(server, "oskar").get("/api/audit?text=" + why.replace(" ", "%20"));
        assertThat(found.body()).hasSize(1);
        assertThat(found.at("/0/subject").asString()).isEqualTo("reading");
        assertThat(found.at("/0/who").asString()).isEqualTo("Runa Tolvane");
        assertThat(found.at("/0/changes/0/what").asString()).isEqualTo("leg");
        assertThat(found.at("/0/changes/0/from").asString()).isEqualTo("17 3/4");
        assertThat(found.at("/0/changes/0/to").asString()).isEqualTo("17 5/8");
    }
}
