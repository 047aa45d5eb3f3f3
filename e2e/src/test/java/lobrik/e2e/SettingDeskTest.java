package lobrik.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static lobrik.e2e.KeyboardPathTest.tabTo;

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

/** The setting desk: from where the conduit goes to a sheet on paper. */
@ExtendWith(School.class)
class SettingDeskTest {

    private static final boolean FULL = Boolean.getBoolean("lobrik.full");

    private final List<String> errors = new ArrayList<>();

    private static Page desk(School.Room room, List<String> errors) {
        Page page = room.signedInAt("/set", "dessa", errors);
        page.getByLabel("Ring 1 at").waitFor();
        return page;
    }

    private static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static Locator onDrawing(Page page, String label) {
        return page.getByTestId("elevation")
                .getByRole(
                        AriaRole.TEXTBOX,
                        new Locator.GetByRoleOptions().setName(label).setExact(true));
    }

    private static void show(Page page, String side) {
        page.getByText(side, new Page.GetByTextOptions().setExact(true)).click();
    }

    private static Locator strip(Page page, String ring) {
        return page.getByTestId("strip").getByLabel(ring);
    }

    /**
     * A place, and what is set there.
     *
     * @param ring worked by hand from the card: 3/4 hand bender, take-up 6, or the multipliers of 30° and 22½°
     */
    private record Set(String situation, String kind, String input, String size, String ring) {}

    private static final List<Set> SITUATIONS = List.of(
            new Set("Up from a box", "Stub ninety", "Leg", "18 1/4", "Ring 1 at 12 1/4:"),
            new Set("Between two walls", "Back-to-back ninety", "First leg", "15", "Ring 1 at 9:"),
            new Set("Into a box", "Box offset", "First mark", "3", "Ring 1 at 3:"),
            new Set("Up onto a plinth", "Offset", "Rise", "6", "Ring 2 at 37 1/2:"),
            new Set("Up and across to a box", "Rolling offset", "Roll", "12", "Ring 2 at 39 1/4:"),
            new Set("Up to a lamp", "Kick", "Rise", "10", "Ring 1 at 26 1/2:"),
            new Set("Over a pipe", "Three-point saddle", "Height", "3", "Ring 2 at 30 3/4:"),
            new Set("Over a duct", "Four-point saddle", "Height", "3", "Ring 2 at 36 1/2:"),
            new Set("Round a column", "Four-point saddle", "Height", "4", "Ring 2 at 37 7/8:"));

    @Test
    void everySituation_proposesItsBend_andIsSetByMouse(School.Room room) {
        Page page = desk(room, errors);
        String opens = "Where does it go?";
        for (Set set : SITUATIONS) {
            button(page, opens).click();
            button(page, set.situation()).click();
            opens = set.situation();
            assertThat(page.getByLabel("Title")).hasValue(set.situation());
            assertThat(page.getByLabel("Bend", new Page.GetByLabelOptions().setExact(true))
                            .locator("option:checked"))
                    .hasText(set.kind());
            onDrawing(page, set.input()).fill(set.size());
            assertThat(strip(page, set.ring()).first()).isVisible();
        }
        Assertions.assertThat(errors).isEmpty();
    }

    /** The way is the same everywhere: each build goes it once, a full run to every situation. */
    @Test
    void situation_isSetByKeyboardAlone(School.Room room) {
        Page page = desk(room, errors);
        for (Set set : FULL ? SITUATIONS : SITUATIONS.subList(0, 1)) {
            page.reload();
            page.getByLabel("Ring 1 at").waitFor();
            tabTo(page, "Where does it go?");
            page.keyboard().press("Enter");
            tabTo(page, set.situation());
            page.keyboard().press("Enter");
            onDrawing(page, set.input()).waitFor();
            tabTo(page, set.input());
            page.keyboard().type(set.size());
            assertThat(strip(page, set.ring()).first()).isVisible();
        }
        Assertions.assertThat(errors).isEmpty();
    }

    @Test
    void placeIsDrawn_withBoxObstacleClearanceAndWhatIsWanted(School.Room room) {
        Page page = desk(room, errors);
        button(page, "Where does it go?").click();
        button(page, "Up from a box").click();
        Locator elevation = page.getByTestId("elevation");
        assertThat(elevation.locator("[data-around=box]")).hasCount(1);
        button(page, "Up from a box").click();
        button(page, "Between two walls").click();
        assertThat(elevation.locator("[data-around=wall]")).hasCount(2);
        button(page, "Between two walls").click();
        button(page, "Over a pipe").click();
        assertThat(elevation.locator("[data-obstacle=round]")).hasCount(1);
        assertThat(onDrawing(page, "Clearance")).hasValue("1");
        page.getByText("20×").click();
        page.getByText("In space").click();
        Locator turned = page.getByTestId("turned").getByRole(AriaRole.IMG);
        assertThat(turned).hasAttribute("aria-label", Pattern.compile(".*30° round and 28° up.*"));
        turned.press("ArrowLeft");
        turned.press("ArrowUp");
        assertThat(turned).hasAttribute("aria-label", Pattern.compile(".*35° round and 33° up.*"));
        button(page, "Above").click();
        assertThat(turned).hasAttribute("aria-label", Pattern.compile(".*0° round and 90° up.*"));
        Assertions.assertThat(errors).isEmpty();
    }

    /** From box to box over a pipe: 5/8 more to the centre mark, 1 1/4 more to cut, and both boxes drawn. */
    @Test
    void saddleBetweenTwoBoxes_hasWhatGoesIn_inItsMarksAndOnItsCut(School.Room room) {
        Page page = desk(room, errors);
        page.getByLabel("Bend", new Page.GetByLabelOptions().setExact(true)).selectOption("saddle3");
        onDrawing(page, "Height").fill("3");
        Locator overall =
                page.locator("aside").getByRole(AriaRole.TEXTBOX, new Locator.GetByRoleOptions().setName("Overall"));
        overall.fill("72");
        assertThat(strip(page, "Ring 2 at 30 3/4:").first()).isVisible();
        assertThat(strip(page, "cut 73 1/2").first()).isVisible();
        page.getByLabel("Into a fitting goes").selectOption("both");
        assertThat(onDrawing(page, "Centre")).hasValue("30 + 5/8");
        assertThat(overall).hasValue("72 + 1 1/4");
        assertThat(strip(page, "Ring 2 at 31 3/8:").first()).isVisible();
        assertThat(strip(page, "cut 74 3/4").first()).isVisible();
        assertThat(page.getByTestId("elevation").locator("[data-around=box]")).hasCount(2);
        // Another insertion is followed; a size that is typed anew is taken as it stands, until somebody says
        // otherwise.
        page.getByLabel("Into the fitting").fill("3/4");
        assertThat(onDrawing(page, "Centre")).hasValue("30 + 3/4");
        onDrawing(page, "Centre").fill("29");
        page.getByText("It is to the fitting: add what goes in").click();
        assertThat(onDrawing(page, "Centre")).hasValue("29 + 3/4");
        page.getByLabel("Into a fitting goes").selectOption("none");
        assertThat(onDrawing(page, "Centre")).hasValue("29");
        assertThat(page.getByTestId("elevation").locator("[data-around=box]")).hasCount(0);
        Assertions.assertThat(errors).isEmpty();
    }

    @Test
    void warning_pointsToItsPlace_andItsCureIsOnePress_whichCanBeUndone(School.Room room) {
        Page page = desk(room, errors);
        onDrawing(page, "Leg").fill("7");
        page.getByText("the shoe holds 2 in or more").waitFor();
        assertThat(page.getByTestId("elevation").locator("[data-warning-at]")).hasCount(1);
        page.getByText("Make the leg 8 in").click();
        assertThat(onDrawing(page, "Leg")).hasValue("8");
        assertThat(page.getByTestId("elevation").locator("[data-warning-at]")).hasCount(0);
        page.keyboard().press("Control+z");
        assertThat(onDrawing(page, "Leg")).hasValue("7");
        button(page, "Undo").click();
        assertThat(onDrawing(page, "Leg")).hasValue("17 5/8");
        page.keyboard().press("Control+Shift+z");
        assertThat(onDrawing(page, "Leg")).hasValue("7");
        button(page, "Redo").click();
        assertThat(onDrawing(page, "Leg")).hasValue("8");
        assertThat(button(page, "Redo")).isDisabled();
    }

    @Test
    void distanceFromTwoReadings_staysAsItWasTaken(School.Room room) {
        Page page = desk(room, errors);
        page.getByLabel("Bend", new Page.GetByLabelOptions().setExact(true)).selectOption("offset");
        button(page, "Distance from two readings").click();
        page.getByLabel("Far reading").fill("71 1/4");
        page.getByLabel("Near reading").fill("40 5/8");
        page.getByLabel("Less play").fill("1/8");
        page.getByLabel("Into the fitting").fill("5/8");
        assertThat(page.getByText("71 1/4 − 40 5/8 − 1/8 + 5/8 =")).isVisible();
        button(page, "Take it").click();
        assertThat(onDrawing(page, "Distance")).hasValue("71 1/4 − 40 5/8 − 1/8 + 5/8");
        // 31 1/8 and a shrink of 5 × 1/4.
        assertThat(strip(page, "Ring 2 at 32 3/8:").first()).isVisible();
        onDrawing(page, "Distance").fill("40 5/8 − 71 1/4");
        assertThat(page.getByTestId("elevation").getByText("swap them")).isVisible();
    }

    @Test
    void everyNumberOfTheRing_isExplained(School.Room room) {
        Page page = desk(room, errors);
        button(page, "Why ring 1 stands there").press("Enter");
        Locator why = page.getByLabel("Why", new Page.GetByLabelOptions().setExact(true));
        assertThat(why.getByRole(AriaRole.LISTITEM).first()).containsText("take it off the leg");
        assertThat(why.getByRole(AriaRole.LISTITEM).first()).containsText("11 5/8");
        show(page, "Comes out");
        button(page, "Why Leg").click();
        assertThat(why.locator("li.border-l-primary")).containsText("as it comes out");
    }

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
