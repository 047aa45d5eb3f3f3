package lobrik.server.sheet;

import static lobrik.server.exercise.SampleExercises.bend;
import static lobrik.server.exercise.SampleExercises.definition;
import static lobrik.server.exercise.SampleExercises.exercise;
import static org.assertj.core.api.Assertions.assertThat;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.DecodeHintType;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.locks.LockSupport;
import lobrik.server.Client;
import lobrik.server.Client.Answer;
import lobrik.server.RunningServer;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Sheets: their text, their pages, their fonts, and the code on them. */
@ExtendWith(RunningServer.class)
class SheetTest {

    private Client runa;
    private String base;
    private String cohort;

    @BeforeEach
    void signIn(RunningServer.Address server) {
        runa = Client.signedIn(server, "runa");
        base = server.base();
        cohort = id();
        runa.put(
                "/api/cohorts/" + cohort,
                "{\"name\":\"Sheets " + cohort + "\",\"trainees\":[\"Łucja Żabińska\",\"Bo Rill\",\"Юлия Ким\"]}");
    }

    private static String id() {
        return UUID.randomUUID().toString();
    }

    private Answer give(String exercise, String more) {
        Answer given = runa.put(
                "/api/givings/" + id(),
                "{\"exercise\":" + exercise + ",\"giveTo\":{\"cohortId\":\"" + cohort + "\"}" + more + "}");
        assertThat(given.status()).as(given.body().toString()).isEqualTo(200);
        return given;
    }

    private byte[] printed(Answer given, String request) throws InterruptedException {
        Answer job = runa.post("/api/givings/" + given.at("/id").asString() + "/prints", request);
        assertThat(job.status()).as(job.body().toString()).isEqualTo(200);
        String path = "/api/prints/" + job.at("/id").asString();
        long end = System.nanoTime() + Duration.ofSeconds(60).toNanos();
        while (!runa.get(path).at("/finished").asBoolean()) {
            assertThat(runa.get(path).at("/failed").asBoolean()).isFalse();
            assertThat(System.nanoTime()).as("printing ends").isLessThan(end);
            // Asking without a pause would keep the printer from its work.
            LockSupport.parkNanos(Duration.ofMillis(25).toNanos());
        }
        return runa.file(path + "/file");
    }

    private static String text(PDDocument pdf, int page) throws IOException {
        PDFTextStripper stripper = new PDFTextStripper();
        stripper.setStartPage(page);
        stripper.setEndPage(page);
        // Lines are broken where they are full.
        return stripper.getText(pdf).replaceAll("\\s+", " ");
    }

    @Test
    void classPrints_onePageEach_withNameJobBoxesAndCautions() throws Exception {
        String exercise = exercise(
                "Over the brine pipe",
                definition("chart", bend("saddle3")),
                ",\"entered\":{\"unit\":\"in\",\"texts\":{\"centreIn\":\"74 3/4 − 40 5/8 − 1/8\"}}");
        Answer given = give(exercise, ",\"dueOn\":\"2026-12-01\",\"tries\":2");
        try (PDDocument pdf = Loader.loadPDF(printed(given, "{}"))) {
            assertThat(pdf.getNumberOfPages()).isEqualTo(3);
            assertThat(pdf.getPage(0).getMediaBox().getWidth()).isEqualTo(PDRectangle.LETTER.getWidth());
            String second = text(pdf, 2);
            assertThat(second)
                    .contains("Over the brine pipe", "Three-point saddle", "Bo Rill, bench 2", "Due 1 December 2026")
                    .contains("Up to 2 tries", "3 3/8", "74 3/4 − 40 5/8 − 1/8", "Work out your marks here")
                    .contains(
                            "Ends cut square and reamed",
                            "your instructor",
                            "Trainee",
                            "Instructor",
                            "Never bend on or near anything energised")
                    .contains("Local code and the licensed person in charge decide.")
                    .contains(given.at("/sheets/1/code").asString());
            assertThat(second).as("no answer is given away").doesNotContain("How it is worked out");
            assertThat(text(pdf, 1)).contains("Łucja Żabińska");
            assertThat(text(pdf, 3)).contains("Юлия Ким");
            for (var name : pdf.getPage(0).getResources().getFontNames()) {
                PDFont font = pdf.getPage(0).getResources().getFont(name);
                assertThat(font.isEmbedded()).as(font.getName()).isTrue();
            }
        }
    }

    /** Adding what goes into the fitting is the trainee's work, so the sheet gives it apart; the answers have it added. */
    @Test
    void distanceToAFitting_isGivenWithWhatGoesInStillToAdd() throws Exception {
        String exercise = exercise(
                "From the box over the pipe",
                definition("chart", bend("saddle3")),
                ",\"entered\":{\"unit\":\"in\",\"texts\":{\"centreIn\":\"33 3/8 + 5/8\"}}");
        try (PDDocument pdf = Loader.loadPDF(runa.file("/api/sheets/blank", "{\"exercise\":" + exercise + "}"));
                PDDocument answers = Loader.loadPDF(
                        runa.file("/api/sheets/blank", "{\"exercise\":" + exercise + ",\"answers\":true}"))) {
            assertThat(text(pdf, 1)).contains("33 3/8 + 5/8", "to the fitting + into it");
            assertThat(text(answers, 1)).contains("= 33 3/8 + 5/8").doesNotContain("to the fitting + into it");
        }
    }

    /** A machine and plastic are looked over before anything is bent; of plastic it is said whether an elbow does. */
    @Test
    void toolThatIsLookedOverFirst_hasThatOnThePaper() throws Exception {
        String stub = definition("exact", "{\"kind\":\"stub90\",\"legIn\":30,\"otherLegIn\":40}");
        String machine = with(stub, 3.5, "{\"kind\":\"machine\",\"takeUpIn\":17.5,\"radiusIn\":14}");
        String plastic = with(stub, 1.05, "{\"kind\":\"former\",\"radiusIn\":5}");
        try (PDDocument atTheMachine = blank(machine);
                PDDocument warm = blank(plastic);
                PDDocument byHand = blank(stub)) {
            assertThat(text(atTheMachine, 1)).contains("Before you bend", "Wheels locked", "Said who gives the orders");
            assertThat(text(warm, 1)).contains("Before you bend", "A ready-made elbow fits", "Ventilated");
            assertThat(text(byHand, 1)).doesNotContain("Before you bend");
            assertThat(List.of(atTheMachine, warm, byHand))
                    .allSatisfy(pdf -> assertThat(pdf.getNumberOfPages()).isEqualTo(1));
        }
    }

    /** Twelve bends, the most there are, on both papers: the job on one page; with its answers on two. */
    @ParameterizedTest
    @ValueSource(strings = {"letter", "a4"})
    void aRunOfManyBends_isOnOnePage_andItsAnswersOnASecond_withEveryBendPictured(String paper) throws Exception {
        String legs = "{\"lengthIn\":40,\"towards\":\"right\"},{\"lengthIn\":24,\"towards\":\"up\"},"
                + "{\"lengthIn\":70,\"towards\":\"right\",\"playIn\":0.25},{\"readFromIn\":10,\"readToIn\":40,\"towards\":\"out\"},"
                + "{\"lengthIn\":24,\"towards\":\"down\"},{\"lengthIn\":45,\"towards\":\"left\"}";
        String run = "{\"kind\":\"run\",\"legs\":[" + legs + "],\"startInsertionIn\":0.625,"
                + "\"startOffset\":{\"riseIn\":0.5,\"angleDeg\":10,\"firstMarkIn\":3,\"towards\":\"in\"},"
                + "\"endOffset\":{\"riseIn\":0.5,\"angleDeg\":10,\"lastMarkIn\":3,\"towards\":\"out\"},"
                + "\"along\":[{\"kind\":\"saddle3\",\"leg\":3,\"heightIn\":2,\"centreIn\":35,\"outerAngleDeg\":22.5,\"towards\":\"out\"}]}";
        String exercise = exercise("From box to box", definition("exact", run), "");
        try (PDDocument pdf = Loader.loadPDF(
                        runa.file("/api/sheets/blank", "{\"exercise\":" + exercise + ",\"paper\":\"" + paper + "\"}"));
                PDDocument answers = Loader.loadPDF(runa.file(
                        "/api/sheets/blank",
                        "{\"exercise\":" + exercise + ",\"paper\":\"" + paper + "\",\"answers\":true}"))) {
            assertThat(pdf.getNumberOfPages()).isEqualTo(1);
            assertThat(text(pdf, 1))
                    .contains("Facing the wall", "From above", "Leg 3, right", "70 less 1/4 play", "from 10 to 40")
                    .contains("Mark 12", "your mark")
                    .doesNotContain("next page");
            assertThat(answers.getNumberOfPages()).isEqualTo(2);
            assertThat(text(answers, 2)).contains("How it is worked out", "12. ring", "stand at the", "clockwise");
        }
    }

    private static String with(String definition, double diameter, String bender) {
        return definition
                .replaceAll("\"outsideDiameterIn\":[0-9.]+", "\"outsideDiameterIn\":" + diameter)
                .replaceAll("\"bender\":\\{[^}]*}", "\"bender\":" + bender);
    }

    private PDDocument blank(String definition) throws IOException {
        return Loader.loadPDF(
                runa.file("/api/sheets/blank", "{\"exercise\":" + exercise("Before the bend", definition, "") + "}"));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"stub90", "backToBack90", "boxOffset", "offset", "rollingOffset", "kick", "saddle3", "saddle4"})
    void everyKind_fitsOnOnePage_withAndWithoutAnswers(String kind) throws Exception {
        for (String method : new String[] {"chart", "exact"}) {
            String exercise = exercise("One page", definition(method, bend(kind)), "");
            for (String paper : new String[] {"letter", "a4"}) {
                byte[] with = runa.file(
                        "/api/sheets/blank",
                        "{\"exercise\":" + exercise + ",\"paper\":\"" + paper + "\",\"answers\":true}");
                byte[] without =
                        runa.file("/api/sheets/blank", "{\"exercise\":" + exercise + ",\"paper\":\"" + paper + "\"}");
                try (PDDocument pdf = Loader.loadPDF(with);
                        PDDocument blank = Loader.loadPDF(without)) {
                    assertThat(pdf.getNumberOfPages()).isEqualTo(1);
                    assertThat(text(pdf, 1)).contains("How it is worked out", "mark");
                    assertThat(blank.getNumberOfPages()).isEqualTo(1);
                    assertThat(text(blank, 1)).contains("Name", "your mark");
                }
            }
        }
    }

    @ParameterizedTest
    @CsvSource({"letter, 0", "a4, 2"})
    void codeOnASheet_isReadByAReader_andNamesItsPiece(String paper, int page) throws Exception {
        Answer given = give(exercise("With a code", definition("chart", bend("offset")), ""), "");
        try (PDDocument pdf = Loader.loadPDF(printed(given, "{\"paper\":\"" + paper + "\"}"))) {
            BufferedImage image = new PDFRenderer(pdf).renderImageWithDPI(page, 150);
            int[] pixels = image.getRGB(0, 0, image.getWidth(), image.getHeight(), null, 0, image.getWidth());
            // With time to look again, as a phone's reader has: a page has more than its code.
            String address = new QRCodeReader()
                    .decode(
                            new BinaryBitmap(new HybridBinarizer(
                                    new RGBLuminanceSource(image.getWidth(), image.getHeight(), pixels))),
                            Map.of(DecodeHintType.TRY_HARDER, true))
                    .getText();
            String code = given.at("/sheets/" + page + "/code").asString().replace("-", "");
            assertThat(address).isEqualTo(base + "/sheet/" + code);
            assertThat(runa.get("/api/sheets/" + code).at("/fullName").asString())
                    .isEqualTo(given.at("/sheets/" + page + "/fullName").asString());
        }
    }

    @Test
    void printing_isSeenOnlyByWhoStartedIt_andCanBeStopped(RunningServer.Address server) {
        Answer given = give(exercise("Stopped", definition("chart", bend("kick")), ""), "");
        Answer job = runa.post("/api/givings/" + given.at("/id").asString() + "/prints", "{}");
        String path = "/api/prints/" + job.at("/id").asString();
        assertThat(job.at("/pages").asInt()).isEqualTo(3);
        Client dessa = Client.signedIn(server, "dessa");
        assertThat(dessa.get(path).status()).isEqualTo(404);
        assertThat(dessa.post("/api/givings/" + given.at("/id").asString() + "/prints", "{}")
                        .status())
                .isEqualTo(404);
        assertThat(runa.delete(path).status()).isEqualTo(204);
        assertThat(runa.get(path).status()).isEqualTo(404);
    }

    @Test
    void oneTraineesSheet_canBePrintedAlone() throws Exception {
        Answer given = give(exercise("Alone", definition("exact", bend("saddle4")), ""), "");
        String third = given.at("/sheets/2/assignmentId").asString();
        try (PDDocument pdf =
                Loader.loadPDF(printed(given, "{\"assignmentIds\":[\"" + third + "\"],\"answers\":true}"))) {
            assertThat(pdf.getNumberOfPages()).isEqualTo(1);
            assertThat(text(pdf, 1)).contains("Юлия Ким", "with answers");
        }
    }

    @Test
    void pocketCard_hasTheBendersOwnFigures() throws Exception {
        Answer shed = runa.get("/api/shed");
        String bender = shed.at("/benders/0/id").asString();
        try (PDDocument pdf = Loader.loadPDF(runa.file("/api/shed/benders/" + bender + "/card?paper=a4"))) {
            assertThat(pdf.getNumberOfPages()).as("faces and backs").isEqualTo(2);
            assertThat(text(pdf, 2))
                    .contains(
                            "From ring to ring", "Offset, by its rise", "Three-point saddle", "by the card", "exactly");
            assertThat(text(pdf, 1))
                    .contains(shed.at("/benders/0/label").asString(), "22.5°", "2.613", "Gain of a ninety");
        }
        assertThat(runa.get("/api/shed/benders/" + id() + "/card").status()).isEqualTo(404);
    }
}
