package lobrik.server.photo;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Base64;
import java.util.UUID;
import javax.imageio.ImageIO;
import lobrik.server.Client;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** A photograph of a trainee: kept where they like it, shown where they are, and gone with them. */
@ExtendWith(RunningServer.class)
class PortraitTest {

    private static final String NAME = "Ines Calder";

    private static String added(Client lead, RunningServer.Address server) {
        String id = UUID.randomUUID().toString();
        String cohort = lead.get("/api/kept-cohorts").body().get(0).get("id").asString();
        assertThat(lead.put("/api/trainees/" + id, "{\"cohortId\":\"" + cohort + "\",\"fullName\":\"" + NAME + "\"}")
                        .status())
                .isEqualTo(204);
        return id;
    }

    private static JsonNode listed(Client lead) {
        return lead.get("/api/trainees?text=Calder").at("/trainees/0");
    }

    @Test
    void photograph_isMadeSmall_standsWhereTheyAre_andIsTakenAway(RunningServer.Address server) throws IOException {
        Client lead = Client.byPassword(server, server.account(server.school(), "LEAD"));
        String id = added(lead, server);
        String address = "/api/trainees/" + id + "/portrait";
        assertThat(lead.get(address).status()).isEqualTo(404);
        assertThat(listed(lead).get("portraitAt").isNull()).isTrue();

        assertThat(lead.putBytes(address, PictureFiles.picture(1200, 1600, "jpeg"))
                        .status())
                .isEqualTo(204);
        BufferedImage kept = ImageIO.read(new ByteArrayInputStream(lead.file(address)));
        assertThat(kept.getHeight()).isEqualTo(480);
        assertThat(kept.getWidth()).isEqualTo(360);
        String since = listed(lead).get("portraitAt").asString();
        assertThat(lead.get("/api/trainees/" + id + "/progress")
                        .at("/portraitAt")
                        .asString())
                .isEqualTo(since);
        String cohort = listed(lead).get("cohortId").asString();
        assertThat(lead.get("/api/floor/" + cohort).at("/benches/0/portraitAt").asString())
                .isEqualTo(since);

        assertThat(lead.putBytes(address, PictureFiles.png(50, 50)).status()).isEqualTo(204);
        assertThat(ImageIO.read(new ByteArrayInputStream(lead.file(address))).getWidth())
                .isEqualTo(50);
        assertThat(lead.putBytes(address, new byte[] {1, 2, 3}).status()).isEqualTo(415);
        assertThat(ImageIO.read(new ByteArrayInputStream(lead.file(address))).getWidth())
                .as("what is no picture takes the place of none")
                .isEqualTo(50);

        assertThat(lead.delete(address).status()).isEqualTo(204);
        assertThat(lead.delete(address).status()).isEqualTo(204);
        assertThat(lead.get(address).status()).isEqualTo(404);
        assertThat(listed(lead).get("portraitAt").isNull()).isTrue();
        assertThat(lead.get("/api/audit?text=Calder").response().body())
                .contains("\"photograph\"", "\"a photograph\"", "\"another\"");
    }

    @Test
    void photograph_isInTheFileOfTheirs_andErasedWithThem(RunningServer.Address server) throws IOException {
        Client lead = Client.byPassword(server, server.account(server.school(), "LEAD"));
        String id = added(lead, server);
        lead.putBytes("/api/trainees/" + id + "/portrait", PictureFiles.png(40, 30));
        String jpeg = Base64.getEncoder().encodeToString(lead.file("/api/trainees/" + id + "/portrait"));
        assertThat(lead.get("/api/trainees/" + id + "/everything.json")
                        .at("/photograph/0/jpeg")
                        .asString())
                .isEqualTo(jpeg);
        assertThat(lead.put(
                                "/api/trainees/" + id + "/erasures/" + UUID.randomUUID(),
                                "{\"fullName\":\"" + NAME + "\",\"reason\":\"asked for\"}")
                        .status())
                .isLessThan(300);
        assertThat(lead.get("/api/trainees/" + id + "/portrait").status()).isEqualTo(404);
    }
}
