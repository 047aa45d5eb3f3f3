package lobrik.server.inside;

import static org.assertj.core.api.Assertions.assertThat;

import lobrik.server.Client;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** How a server stands, as the lead of a school is told. */
@ExtendWith(RunningServer.class)
class ServerStandTest {

    private static final long GIGABYTE = 1_000_000_000L;

    @Test
    void lead_seesRoomFormAndWhoIsConnected_andOfAnotherSchoolNobody(RunningServer.Address server) {
        Client lead = Client.signedIn(server, server.guest());
        Client.Answer stand = lead.get("/api/server");
        assertThat(stand.status()).as(stand.response().body()).isEqualTo(200);
        assertThat(stand.at("/diskFreeBytes").asLong())
                .isPositive()
                .isLessThan(stand.at("/diskBytes").asLong());
        assertThat(stand.at("/databaseBytes").asLong()).isGreaterThan(1_000_000);
        assertThat(Integer.parseInt(stand.at("/recordForm").asString())).isGreaterThanOrEqualTo(36);
        assertThat(stand.at("/connected").findValuesAsString("fullName")).contains("Guest");
        assertThat(Client.signedIn(server, server.stranger()).get("/api/server").at("/connected"))
                .hasSize(1);
    }

    @Test
    void concerns_areWhatALeadCanDoSomethingAbout() {
        assertThat(ServerStand.concerns(30 * GIGABYTE, 100 * GIGABYTE, 3, null)).isEmpty();
        assertThat(ServerStand.concerns(9 * GIGABYTE, 100 * GIGABYTE, 3, null))
                .singleElement()
                .asString()
                .contains("9.0 of 100 GB are free");
        assertThat(ServerStand.concerns(GIGABYTE, 2 * GIGABYTE, 900, "The last backup failed"))
                .hasSize(3)
                .last()
                .isEqualTo("The last backup failed");
    }
}
