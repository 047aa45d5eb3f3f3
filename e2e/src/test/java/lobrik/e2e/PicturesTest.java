package lobrik.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.api.extension.ExtendWith;

/** Takes the pictures of docs/screenshots anew: see docs/development.md. */
@ExtendWith(School.class)
@EnabledIfSystemProperty(named = "lobrik.pictures", matches = "true", disabledReason = "taken only when asked for")
class PicturesTest {

    private static final Path FOLDER = Path.of("..", "docs", "screenshots");

    @Test
    void mainViews_areTaken(School.Room room) throws Exception {
        Page page = room.screen(1280, 800, "film", new ArrayList<>());
        page.navigate(room.lobrik().base());
        room.signedIn("runa", page);
        page.getByText("Kezia Mallow").waitFor();
        take(page, "floor");
        String floor = page.url();
        desk(page, room.lobrik().base());
        run(page);
        page.navigate(room.lobrik().base() + "/set/library");
        page.getByText("Down behind the plinth").waitFor();
        take(page, "library");
        page.navigate(floor);
        // The take-up was forgotten.
        page.getByLabel(Pattern.compile("Verdict: (25|37.5|50) points")).first().click();
        page.getByTestId("cause").waitFor();
        take(page, "verdict");
        page.navigate(room.lobrik().base() + "/measure");
        page.locator("main li button").last().click();
        page.locator("[data-place=mark1] input:focus").waitFor();
        page.keyboard().type("6 1/16");
        page.keyboard().press("Enter");
        page.locator("[data-place=leg] input:focus").waitFor();
        page.keyboard().type("12 3/16");
        page.keyboard().press("Enter");
        page.getByText("At rest").waitFor();
        take(page, "measure");
        String attempt = page.url();
        progress(page, room.lobrik().base());

        Page wall = room.signedIn("runa", room.screen(1280, 800, "shed", new ArrayList<>()));
        wall.navigate(room.lobrik().base() + "/wall");
        wall.getByText("Kezia Mallow").first().waitFor();
        take(wall, "wall");

        shed(
                room.signedIn("oskar", room.screen(1280, 800, "film", new ArrayList<>())),
                room.lobrik().base());

        Page phone = room.signedIn("runa", room.screen(390, 800, "film", new ArrayList<>()));
        phone.navigate(attempt);
        phone.getByText("At rest").waitFor();
        take(phone, "measure-phone");
        String code = Bench.giveStub(page, "Up beside the brine pipe", "Kezia Mallow");
        Page trainee = room.screen(390, 800, "film", new ArrayList<>());
        trainee.navigate(room.lobrik().base() + "/sheet/" + code);
        trainee.getByText("Working it out").click();
        trainee.getByLabel("Mark 1").fill("12 1/8");
        trainee.getByLabel("Cut to").fill("37");
        trainee.getByText("Send my figures").click();
        trainee.getByText("look again").first().waitFor();
        trainee.evaluate("scrollTo(0, 0)");
        take(trainee, "bench-phone");
        // Last, since it gives everybody something new.
        page.navigate(room.lobrik().base() + "/set");
        page.getByLabel("Ring 1 at").waitFor();
        giving(page);
        runJudged(page, room.lobrik().base());
        try (var taken = Files.list(FOLDER)) {
            assertThat(taken).hasSizeBetween(9, 19);
        }
    }

    /** The desk for a stub. */
    private static void desk(Page page, String base) {
        page.navigate(base + "/set");
        page.getByLabel("Ring 1 at").waitFor();
        situation(page, "Up from a box");
        take(page, "set");
    }

    /** What the school consists of: a bender that is off, the calendar with a planned session, who sits where, and the rack. */
    private static void shed(Page page, String base) {
        page.navigate(base + "/shed?side=benders");
        page.getByText("Bender 7").click();
        page.getByText("Take take-up").waitFor();
        page.waitForTimeout(400);
        take(page, "shed-benders");
        page.navigate(base + "/progress?side=plan");
        page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("When"))
                .selectOption(new SelectOption().setIndex(1));
        page.getByText("Plan it for this session").click();
        page.getByText("See the session").click();
        page.getByText("on the rack").first().waitFor();
        take(page, "shed-sessions");
        page.getByText("Who sits where").click();
        page.getByLabel("Rota").getByRole(AriaRole.BUTTON).first().waitFor();
        take(page, "shed-rota");
        page.navigate(base + "/shed?side=stock");
        page.getByLabel("On the rack").waitFor();
        page.getByText("What came and went").waitFor();
        take(page, "shed-stock");
    }

    private static void situation(Page page, String name) {
        page.locator("header button").first().click();
        page.getByRole(AriaRole.DIALOG)
                .getByText(name, new Locator.GetByTextOptions().setExact(true))
                .click();
        page.getByRole(AriaRole.DIALOG).waitFor(new Locator.WaitForOptions().setState(WaitForSelectorState.HIDDEN));
        page.getByTestId("elevation").waitFor();
        page.waitForTimeout(400);
    }

    /** A run in its room round a window, and its third ninety in the shoe. */
    private static void run(Page page) {
        page.getByLabel("Bend", new Page.GetByLabelOptions().setExact(true)).selectOption("run");
        for (String[] leg : new String[][] {
            {"to the right", "22"}, {"up", "17 1/2"}, {"to the right", "20"}, {"out of the wall", "17"}, {"down", "18"}
        }) {
            page.getByLabel("Next leg " + leg[0]).click();
            page.keyboard().type(leg[1]);
        }
        page.getByLabel("Box offset at the start").click();
        page.getByLabel("Box offset at the end").click();
        page.getByLabel("In the room").selectOption("window");
        page.locator("aside").getByLabel("Left edge", exact()).fill("26");
        page.locator("aside").getByLabel("Lower edge", exact()).fill("-2");
        page.locator("aside").getByLabel("Width", exact()).fill("22");
        page.locator("aside").getByLabel("Height", exact()).fill("14");
        page.getByLabel("Ring 8 at").waitFor();
        page.getByLabel("Gaps").waitFor();
        page.getByLabel("Leg 1 runs").scrollIntoViewIfNeeded();
        take(page, "set-run");
        Locator views = page.getByRole(AriaRole.RADIOGROUP, new Page.GetByRoleOptions().setName("View"));
        views.getByText("Bending").click();
        for (int i = 0; i < 4; i++) {
            page.getByLabel("Next bend").click();
        }
        page.getByLabel("How far this bend is").fill("12");
        page.waitForTimeout(300);
        take(page, "set-bending");
        views.getByText("Room").click();
    }

    /** The verdict of somebody's run that is off. */
    private static void runJudged(Page page, String base) {
        String third = (String) page.evaluate("""
                async () => (await (await fetch('/api/cohorts')).json()).find(({ name }) => name === 'Third year').id""");
        page.navigate(base + "/progress?cohort=" + third);
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^Ingrid Pell, Run")))
                .click();
        page.getByText("newest first").waitFor();
        List<String> verdicts = page
                .locator("main a[href^='/verdict/']", new Page.LocatorOptions().setHasText("round the corner"))
                .all()
                .stream()
                .map(link -> link.getAttribute("href"))
                .toList();
        for (String verdict : verdicts) {
            page.navigate(base + verdict);
            page.getByTestId("score").waitFor();
            page.waitForTimeout(1500);
            // One of which it is told what went wrong.
            if (page.getByTestId("cause").count() > 0) {
                take(page, "verdict-run");
                return;
            }
        }
    }

    /** A cohort, and a trainee with a habit. */
    private static void progress(Page page, String base) {
        page.navigate(base + "/progress");
        page.getByLabel("Cohort matrix").waitFor();
        take(page, "progress");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^Edda Stroud, Stub")))
                .click();
        page.getByText("newest first").waitFor();
        take(page, "progress-trainee");
    }

    /** Variants for the class, and the first of their sheets. */
    private static void giving(Page page) throws IOException {
        situation(page, "Over a pipe");
        page.getByText("Give out").click();
        page.getByText("A variant each").click();
        page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName("Centre"))
                .check();
        page.getByText("What each gets").waitFor();
        page.waitForTimeout(400);
        take(page, "give");
        Locator allTheSame = page.getByLabel("Give it all the same");
        if (allTheSame.isVisible()) {
            allTheSame.check();
        }
        page.getByText("Give", new Page.GetByTextOptions().setExact(true)).click();
        page.getByText("Given to").waitFor();
        page.getByText("Print the sheets").click();
        Download sheets =
                page.waitForDownload(() -> page.getByText("sheets (PDF)").click());
        try (PDDocument pdf = Loader.loadPDF(sheets.path().toFile())) {
            ImageIO.write(
                    new PDFRenderer(pdf).renderImageWithDPI(0, 96),
                    "png",
                    FOLDER.resolve("sheet.png").toFile());
        }
    }

    private static Locator.GetByLabelOptions exact() {
        return new Locator.GetByLabelOptions().setExact(true);
    }

    private static void take(Page page, String name) {
        page.evaluate("() => document.fonts.ready");
        // Everything that was entered has arrived.
        page.waitForFunction("() => (document.querySelector('[data-testid=waiting]')?.dataset.count ?? '0') === '0'");
        // Charts and drawings measure themselves once before they draw.
        page.evaluate("() => new Promise(done => requestAnimationFrame(() => requestAnimationFrame(done)))");
        page.screenshot(new Page.ScreenshotOptions().setPath(FOLDER.resolve(name + ".png")));
    }
}
