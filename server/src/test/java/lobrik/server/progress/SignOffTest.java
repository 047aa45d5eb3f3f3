package lobrik.server.progress;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.UUID;
import lobrik.server.Client;
import lobrik.server.Client.Answer;
import lobrik.server.RunningServer;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.Isolated;

/** Signing off: proposed by the rule, signed by a person, withdrawn with a reason; evidence that stays. */
@ExtendWith(RunningServer.class)
@Isolated("The sign-off rules are the whole centre's.")
class SignOffTest {

    private Client runa;
    private Taught taught;

    @BeforeEach
    void startClass(RunningServer.Address server) {
        runa = Client.signedIn(server, "runa");
        taught = Taught.of(runa, "Łucja Finch", "Bo Rill");
    }

    private String signing() {
        return "/api/trainees/" + taught.trainee(0) + "/sign-offs/" + UUID.randomUUID();
    }

    private void getsReady() {
        taught.bends(0, 6, "17 5/8");
        taught.bends(0, 4, "17 11/16");
        taught.bends(0, 2, "17 5/8");
    }

    @Test
    void signature_keepsWhoWhenRuleAndEvidence() {
        getsReady();
        Answer signed = runa.put(signing(), "{\"family\":\"stub90\"}");
        assertThat(signed.status()).as(signed.body().toString()).isEqualTo(200);
        assertThat(signed.at("/signOffs/0/signedBy").asString()).isEqualTo("Runa Tolvane");
        assertThat(signed.at("/signOffs/0/met").asBoolean()).isTrue();
        assertThat(signed.at("/signOffs/0/rule/passes").asInt()).isEqualTo(3);
        assertThat(signed.at("/signOffs/0/evidence").size()).isEqualTo(3);
        assertThat(signed.at("/signOffs/0/evidence/1/features/1/deviation").asDouble())
                .isEqualTo(0.0625);
        assertThat(taught.standing(0)).isEqualTo("signed");
        assertThat(runa.put(signing(), "{\"family\":\"stub90\"}").status()).isEqualTo(409);
    }

    @Test
    void piecesThatFailAfterwards_arePointedOut_andTheSignatureStands() {
        getsReady();
        runa.put(signing(), "{\"family\":\"stub90\"}");
        String page = "/api/trainees/" + taught.trainee(0) + "/progress";
        taught.bends(0, 0, "17 5/8", "84");
        assertThat(runa.get(page).at("/signOffs/0/against").isNull())
                .as("one of four may fail")
                .isTrue();
        taught.bends(0, 0, "17 5/8", "83");
        assertThat(runa.get(page).at("/signOffs/0/against/failed").asInt()).isEqualTo(2);
        assertThat(runa.get(page).at("/signOffs/0/against/pieces").asInt()).isEqualTo(2);
        assertThat(taught.standing(0)).isEqualTo("signed");
    }

    @Test
    void repeatedRequest_signsOnce() {
        getsReady();
        String path = signing();
        assertThat(runa.put(path, "{\"family\":\"stub90\"}").status()).isEqualTo(200);
        Answer again = runa.put(path, "{\"family\":\"stub90\"}");
        assertThat(again.status()).isEqualTo(200);
        assertThat(again.at("/signOffs").size()).isEqualTo(1);
        assertThat(runa.put(path, "{\"family\":\"kick\"}").status()).isEqualTo(409);
    }

    @Test
    void againstTheRule_onlyWithAReason() {
        taught.bends(0, 2, "17 5/8");
        Answer refused = runa.put(signing(), "{\"family\":\"stub90\"}");
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.at("/detail").asString()).contains("1 of 3 passes", "on 1 of 2 days");
        Answer signed = runa.put(signing(), "{\"family\":\"stub90\",\"remark\":\"Ten years at the trade\"}");
        assertThat(signed.at("/signOffs/0/met").asBoolean()).isFalse();
        assertThat(signed.at("/signOffs/0/remark").asString()).isEqualTo("Ten years at the trade");
    }

    @Test
    void withdrawal_needsAReason_andBothStay() {
        getsReady();
        String id = runa.put(signing(), "{\"family\":\"stub90\"}")
                .at("/signOffs/0/id")
                .asString();
        String path = "/api/sign-offs/" + id + "/withdrawal";
        assertThat(runa.put(path, "{\"reason\":\" \"}").status()).isEqualTo(400);
        Answer withdrawn = runa.put(path, "{\"reason\":\"Pieces were mixed up\"}");
        assertThat(withdrawn.at("/signOffs/0/withdrawal/reason").asString()).isEqualTo("Pieces were mixed up");
        assertThat(withdrawn.at("/signOffs/0/signedBy").asString()).isEqualTo("Runa Tolvane");
        assertThat(taught.standing(0)).isEqualTo("ready");
        assertThat(runa.put(signing(), "{\"family\":\"stub90\"}")
                        .at("/signOffs")
                        .size())
                .isEqualTo(2);
        assertThat(runa.put("/api/sign-offs/" + UUID.randomUUID() + "/withdrawal", "{\"reason\":\"x\"}")
                        .status())
                .isEqualTo(404);
    }

    @Test
    void evidenceThatIsCorrectedLater_isMarked_andStaysAsItWas() {
        getsReady();
        String attempt = taught.bends(0, 0, "17 5/8");
        Answer signed = runa.put(signing(), "{\"family\":\"stub90\"}");
        assertThat(signed.at("/signOffs/0/changed").size()).isZero();
        String reading = runa.get("/api/attempts/" + attempt)
                .at("/features/1/reading/id")
                .asString();
        runa.put(
                "/api/attempts/" + attempt + "/readings/" + UUID.randomUUID(),
                "{\"feature\":\"leg\",\"text\":\"18 1/2\",\"corrects\":\"" + reading
                        + "\",\"reason\":\"tape slipped\"}");
        Answer page = runa.get("/api/trainees/" + taught.trainee(0) + "/progress");
        assertThat(page.at("/signOffs/0/changed/0").asString()).isEqualTo(attempt);
        assertThat(page.at("/signOffs/0/evidence/3/points").asDouble()).isEqualTo(100);
    }

    @Test
    void rule_isTheLeads_counts_andIsKeptWithItsHistory(RunningServer.Address server) {
        Client oskar = Client.signedIn(server, "oskar");
        String figures = "{\"passes\":%d,\"of\":4,\"days\":1,\"lengthIn\":0.125,\"angleDeg\":2,\"dogLegDeg\":2,"
                + "\"withoutRebending\":0,\"steadyPasses\":1}";
        String body = "{\"family\":\"stub90\",\"figures\":" + figures + "}";
        assertThat(runa.put("/api/sign-off-rules/" + UUID.randomUUID(), body.formatted(1))
                        .status())
                .isEqualTo(403);
        assertThat(oskar.put("/api/sign-off-rules/" + UUID.randomUUID(), body.formatted(9))
                        .status())
                .isEqualTo(400);
        taught.bends(0, 1, "17 5/8");
        assertThat(taught.standing(0)).isEqualTo("learning");
        Answer kept = oskar.put("/api/sign-off-rules/" + UUID.randomUUID(), body.formatted(1));
        assertThat(kept.status()).as(kept.body().toString()).isEqualTo(200);
        assertThat(kept.at("/own/0/family").asString()).isEqualTo("stub90");
        assertThat(kept.at("/history/0/by").asString()).isEqualTo("Oskar Brindlemay");
        assertThat(taught.standing(0)).isEqualTo("ready");
        // Back to what the other tests go by.
        String usual =
                "{\"family\":\"stub90\",\"figures\":{\"passes\":3,\"of\":4,\"days\":2,\"lengthIn\":0.125,\"angleDeg\":2,"
                        + "\"dogLegDeg\":2,\"withoutRebending\":1,\"steadyPasses\":3}}";
        oskar.put("/api/sign-off-rules/" + UUID.randomUUID(), usual);
        assertThat(taught.standing(0)).isEqualTo("learning");
    }

    @Test
    void record_saysWhoSignedWhat_withTheEvidence_andWhatWasWithdrawn(RunningServer.Address server) throws IOException {
        getsReady();
        String id = runa.put(signing(), "{\"family\":\"stub90\"}")
                .at("/signOffs/0/id")
                .asString();
        String path = "/api/trainees/" + taught.trainee(0) + "/record.pdf?paper=a4";
        try (PDDocument document = Loader.loadPDF(runa.file(path))) {
            assertThat(document.getNumberOfPages()).isEqualTo(2);
            assertThat(new PDFTextStripper().getText(document))
                    .contains(
                            "Record of achievement",
                            "Łucja Finch",
                            "Stub ninety",
                            "Runa Tolvane",
                            "3 stub nineties",
                            "Asked: 3 passes in the last 4 pieces",
                            "Leg: +1/16 of ±1/8")
                    .doesNotContain("withdrawn");
        }
        runa.put("/api/sign-offs/" + id + "/withdrawal", "{\"reason\":\"Pieces were mixed up\"}");
        try (PDDocument document = Loader.loadPDF(runa.file(path))) {
            assertThat(new PDFTextStripper().getText(document))
                    .contains("withdrawn", "Withdrawn by Runa Tolvane", "Pieces were mixed up");
        }
        String key = runa.put("/api/trainees/" + taught.trainee(0) + "/keys/" + UUID.randomUUID(), "")
                .at("/ownPage")
                .asString();
        try (PDDocument document = Loader.loadPDF(new Client(server).file("/api/own/" + key + "/record.pdf"))) {
            assertThat(new PDFTextStripper().getText(document)).contains("Łucja Finch");
        }
    }
}
