package lobrik.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static lobrik.e2e.SettingDesk.button;
import static lobrik.e2e.SettingDesk.desk;
import static lobrik.e2e.SettingDesk.onDrawing;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.DecodeHintType;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** What leaves the setting desk: sheets, the library, files, and what is given to a group. */
@ExtendWith(School.class)
class HandingOutTest {

    private final List<String> errors = new ArrayList<>();

    private static String text(PDDocument pdf, int page) throws IOException {
        PDFTextStripper stripper = new PDFTextStripper();
        stripper.setStartPage(page);
        stripper.setEndPage(page);
        return stripper.getText(pdf);
    }

    private static String codeOn(PDDocument pdf, int page) throws Exception {
        BufferedImage image = new PDFRenderer(pdf).renderImageWithDPI(page - 1, 150);
        int[] pixels = image.getRGB(0, 0, image.getWidth(), image.getHeight(), null, 0, image.getWidth());
        return new QRCodeReader()
                .decode(
                        new BinaryBitmap(new HybridBinarizer(
                                new RGBLuminanceSource(image.getWidth(), image.getHeight(), pixels))),
                        Map.of(DecodeHintType.TRY_HARDER, true))
                .getText();
    }

    /** The whole morning: variants for a class, their sheets printed, and a code scanned at a bench. */
    @Test
    void variantsForAClass_arePrinted_andTheCodeOfASheetOpensItsPiece(School.Room room) throws Exception {
        Page page = desk(room, errors);
        button(page, "Where does it go?").click();
        button(page, "Over a duct").click();
        page.getByLabel("Title").fill("Over the duct, varied");
        button(page, "Give out").click();
        page.getByLabel("Give to").selectOption("All of Second year");
        page.getByLabel("Due on").fill("2027-01-15");
        page.getByLabel("Tries").fill("3");
        page.getByText("A variant each").click();
        page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName("Distance"))
                .check();
        page.getByLabel("Distance from").fill("34");
        page.getByLabel("Distance to").fill("42");
        Locator rows = page.getByRole(AriaRole.TABLE).locator("tbody tr");
        assertThat(rows).hasCount(9);
        List<String> distances = rows.locator("td:nth-child(3)").allInnerTexts();
        Assertions.assertThat(distances).doesNotHaveDuplicates();
        assertThat(page.getByLabel("Conduit", new Page.GetByLabelOptions().setExact(true)))
                .containsText("sticks of");
        button(page, "Give").click();
        page.getByText("Given to 9 trainees").waitFor();
        button(page, "Print the sheets").click();
        Locator link = page.getByText("Open the 9 sheets (PDF)");
        link.waitFor();
        Download download = page.waitForDownload(link::click);
        Assertions.assertThat(download.suggestedFilename()).isEqualTo("Over-the-duct-varied.pdf");
        try (PDDocument pdf = Loader.loadPDF(download.path().toFile())) {
            Assertions.assertThat(pdf.getNumberOfPages()).isEqualTo(9);
            Assertions.assertThat(text(pdf, 4))
                    .contains("Rasmus Eelby, bench 4", "Four-point saddle", "Due 15 January 2027", distances.get(3));
            String address = codeOn(pdf, 4);
            Assertions.assertThat(address).startsWith(room.lobrik().base() + "/sheet/");
            page.navigate(address);
            page.waitForURL("**/measure/**");
            assertThat(page.getByText("Rasmus Eelby").first()).isVisible();
            assertThat(page.getByText("Over the duct, varied").first()).isVisible();
        }
        Assertions.assertThat(errors).isEmpty();
    }

    @Test
    void exercise_isSavedFoundDuplicatedPutAwayExportedAndImported(School.Room room) throws IOException {
        Page page = desk(room, errors);
        onDrawing(page, "Leg").fill("58 1/4 − 40 1/2");
        button(page, "Save").click();
        page.getByLabel("Title of the exercise").fill("Kept in the library");
        page.getByLabel("Tags").fill("pump room, stubs");
        page.getByRole(AriaRole.DIALOG)
                .getByText("Save", new Locator.GetByTextOptions().setExact(true))
                .click();
        page.getByText("Saved as version 1").waitFor();
        School.go(page, "/set/library");
        page.getByLabel("Find an exercise").fill("pump kept");
        Locator rows = page.getByRole(AriaRole.TABLE).locator("tbody tr");
        assertThat(rows).hasCount(1);
        button(page, "Duplicate Kept in the library").click();
        assertThat(rows).hasCount(2);
        Download download =
                page.waitForDownload(() -> button(page, "Export these").click());
        String file = Files.readString(download.path());
        Assertions.assertThat(file).contains("lobrik-exercises", "58 1/4 − 40 1/2", "Kept in the library, copy");
        button(page, "Put away Kept in the library, copy").click();
        assertThat(rows).hasCount(1);
        Locator chooser = page.getByLabel("File of exercises");
        chooser.setInputFiles(new FilePayload(
                "bad.json",
                "application/json",
                file.replaceFirst("\"stub90\"", "\"corkscrew\"").getBytes(StandardCharsets.UTF_8)));
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("Nothing was added");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText(Pattern.compile("Line \\d+: .*corkscrew"));
        assertThat(rows).hasCount(1);
        chooser.setInputFiles(new FilePayload("good.json", "application/json", file.getBytes(StandardCharsets.UTF_8)));
        assertThat(page.getByText("2 exercises added")).isVisible();
        assertThat(rows).hasCount(3);
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Kept in the library, copy"))
                .click();
        assertThat(onDrawing(page, "Leg")).hasValue("58 1/4 − 40 1/2");
        Assertions.assertThat(errors).isEmpty();
    }

    @Test
    void drawingsAndCard_areSavedAsFiles(School.Room room) throws IOException {
        Page page = desk(room, errors);
        page.getByText("Drawings at full size").click();
        for (String name : List.of(
                "Strip, SVG", "Strip, DXF", "Elevation, SVG", "Elevation, DXF", "Pocket card", "Sheet with answers")) {
            Download download = page.waitForDownload(() -> button(page, name).click());
            Assertions.assertThat(Files.size(download.path())).as(name).isGreaterThan(1000);
        }
        Assertions.assertThat(errors).isEmpty();
    }

    @Test
    void group_isMadeAndGivenTo(School.Room room) {
        Page page = desk(room, errors);
        button(page, "Give out").click();
        button(page, "Make a group").click();
        page.getByRole(AriaRole.CHECKBOX).first().waitFor();
        // Other tests may have taken in cohorts of their own; with one alone nothing is to choose.
        Locator cohort = page.getByLabel("Cohort of the group");
        page.getByLabel("Name of the group").fill("Saddles again");
        if (cohort.isVisible()) {
            cohort.selectOption("Second year");
        }
        for (String name : List.of("Piet Rowanger", "Wilf Okonde")) {
            page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName(name))
                    .check();
        }
        button(page, "Make the group").click();
        Locator rows = page.getByRole(AriaRole.TABLE).locator("tbody tr");
        assertThat(rows).hasCount(2);
        button(page, "Give").click();
        page.getByText("Given to 2 trainees").waitFor();
        Assertions.assertThat(errors).isEmpty();
    }
}
