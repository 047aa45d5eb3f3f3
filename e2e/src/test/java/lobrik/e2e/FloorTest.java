package lobrik.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** The floor on every screen of the room, from the trainee's phone to the monitor on the wall. */
@ExtendWith(School.class)
class FloorTest {

    /** Before a screen that nobody tells anything would ask by itself, which is every 15 s. */
    private static final LocatorAssertions.ContainsTextOptions TOLD =
            new LocatorAssertions.ContainsTextOptions().setTimeout(10_000);

    private static final double SLOW_CAMERA_MS = 90_000;

    private final List<String> errors = new ArrayList<>();

    static Page phone(School.Room room, String code, List<String> errors) {
        Page phone = room.screen(390, 844, "film", errors);
        phone.navigate(room.lobrik().base() + "/sheet/" + code);
        phone.getByText("Come and check").waitFor();
        return phone;
    }

    @Test
    void somebodyOfAnotherCohort_isFoundFromAnywhere(School.Room room) {
        Page page = room.signedInAt("/set", "oskar", errors);
        page.getByLabel("Ring 1 at").waitFor();
        page.getByLabel("Find somebody of any cohort").click();
        page.keyboard().type("kez mal");
        assertThat(page.getByLabel("People").getByRole(AriaRole.LISTITEM)).hasCount(1);
        page.getByLabel("Name, of any cohort").fill("BRACK");
        assertThat(page.getByLabel("People")).containsText("Second year, bench");
        assertThat(School.barriers(page)).isEmpty();
        page.keyboard().press("Enter");
        page.waitForURL("**/measure/*-*");
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Ulf Brackenby")))
                .isVisible();
    }

    @Test
    void twoScreensAtOneFloor_areToldOfEachOthersChange(School.Room room) {
        Page runa = room.signedIn("runa", errors);
        String code = Bench.giveStub(runa, "Stub called for", "Kezia Mallow");
        School.toTheFloor(runa);
        Page oskar = room.signedIn("oskar", errors);
        String cohort = (String) oskar.evaluate(
                "async () => (await (await fetch('/api/cohorts')).json()).find(c => c.name === 'First year').id");
        School.go(oskar, "/wall?cohort=" + cohort);
        for (Page screen : List.of(runa, oskar)) {
            assertThat(Bench.row(screen, "Kezia Mallow")).containsText("Not started");
        }
        assertThat(runa.getByTestId("live")).hasText("live");

        Page phone = phone(room, code, errors);
        phone.waitForResponse(
                "**/steps/**", () -> phone.getByText("Come and check").click());
        for (Page screen : List.of(runa, oskar)) {
            assertThat(Bench.row(screen, "Kezia Mallow")).containsText("Called for checking", TOLD);
        }
        assertThat(oskar.locator("header [role=status]")).containsText("Kezia Mallow");
        phone.getByText("Your instructor is told. Leave the piece").waitFor();

        runa.waitForResponse(
                "**/api/attempts/**",
                () -> Bench.row(runa, "Kezia Mallow").getByText("Measure").click());
        Bench.untilReady(runa, "Mark");
        runa.keyboard().type("11 5/8", new Keyboard.TypeOptions().setDelay(60));
        runa.waitForResponse("**/readings/**", () -> runa.keyboard().press("Enter"));
        assertThat(Bench.row(oskar, "Kezia Mallow")).containsText("Being measured", TOLD);
        assertThat(errors).isEmpty();
    }

    @Test
    void lostConnection_isSaid_andEverythingIsRightAgainAfterwards(School.Room room) {
        Page runa = room.signedIn("runa", errors);
        String code = Bench.giveStub(runa, "Stub while cut off", "Hamid Sorrel");
        School.toTheFloor(runa);
        assertThat(Bench.row(runa, "Hamid Sorrel")).containsText("Not started");
        assertThat(runa.getByTestId("live")).hasText("live");
        runa.context().setOffline(true);
        runa.evaluate("() => document.dispatchEvent(new Event('visibilitychange'))");
        assertThat(runa.getByTestId("live")).containsText("no signal, as of");
        Page phone = phone(room, code, errors);
        phone.waitForResponse(
                "**/steps/**", () -> phone.getByText("I need help").click());
        assertThat(Bench.row(runa, "Hamid Sorrel")).containsText("Not started");
        runa.context().setOffline(false);
        assertThat(Bench.row(runa, "Hamid Sorrel")).containsText("Needs help");
        assertThat(runa.getByTestId("live")).hasText("live");
    }

    @Test
    void threeLetters_findATrainee_andACodeFindsASheet(School.Room room) {
        Page runa = room.signedIn("runa", errors);
        String code = Bench.giveStub(runa, "Stub found", "Fionn Ashgrove");
        School.toTheFloor(runa);
        Bench.row(runa, "Fionn Ashgrove").waitFor();
        runa.keyboard().type("ash");
        assertThat(runa.locator("ol > li")).hasCount(1);
        runa.keyboard().press("Enter");
        runa.waitForURL("**/measure/**");
        assertThat(runa.getByRole(AriaRole.HEADING).first()).hasText("Fionn Ashgrove");

        School.toTheFloor(runa);
        runa.getByLabel("Find a trainee").fill(code.toLowerCase(Locale.ROOT));
        runa.keyboard().press("Enter");
        runa.waitForURL("**/measure/*-*");
        assertThat(runa.getByText("Stub found")).isVisible();
    }

    @Test
    void wall_tellsScoresAndNames_asTheLeadChooses(School.Room room) {
        Page oskar = room.signedIn("oskar", errors);
        String cohort = (String) oskar.evaluate(
                "async () => (await (await fetch('/api/cohorts')).json()).find(c => c.name === 'Second year').id");
        School.go(oskar, "/wall?cohort=" + cohort);
        Locator judged = oskar.locator("li[data-state=done]").first();
        assertThat(judged).containsText(Pattern.compile("[●✕] \\d"));
        assertThat(judged).containsText(Pattern.compile("[A-Z][a-z]+ [A-Z]"));
        oskar.getByLabel("Scores").click();
        assertThat(judged).not().containsText(Pattern.compile("[●✕] \\d"));
        assertThat(judged).containsText("Done");
        oskar.getByLabel("Whole names").click();
        assertThat(judged).containsText(Pattern.compile("[A-Z]\\. [A-Z]\\."));
        assertThat(School.barriers(oskar)).isEmpty();
        Page dessa = room.signedIn("dessa", errors);
        School.go(dessa, "/wall?cohort=" + cohort);
        assertThat(dessa.locator("li[data-state=done]").first()).containsText(Pattern.compile("[A-Z]\\. [A-Z]\\."));
        assertThat(dessa.getByLabel("Scores")).hasCount(0);
        oskar.getByLabel("Whole names").click();
        assertThat(judged).containsText(Pattern.compile("[A-Z][a-z]+ [A-Z]"));
        oskar.getByLabel("Scores").click();
        assertThat(judged).containsText(Pattern.compile("[●✕] \\d"));
        assertThat(errors).isEmpty();
    }

    @Test
    void whatIsGivenBeforeTheFirstIsMeasured_isBothInHand_onFloorAndMeasureAndPhone(School.Room room) {
        Page runa = room.signedIn("runa", errors);
        String first = Bench.giveStub(runa, "Stub of the morning", "Jonah Tarn");
        Bench.giveStubToo(runa, "Stub of the afternoon", "Jonah Tarn");
        Page phone = phone(room, first, errors);
        phone.getByText("Stub of the afternoon").click();
        assertThat(phone.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                .hasText("Stub of the afternoon");
        assertThat(School.barriers(phone)).isEmpty();

        School.go(runa, "/measure");
        Locator waiting = Bench.row(runa, "Jonah Tarn");
        assertThat(waiting).hasCount(2);
        assertThat(waiting.first()).containsText("Stub of the morning");
        School.toTheFloor(runa);
        Locator row = Bench.row(runa, "Jonah Tarn");
        assertThat(row).containsText("Stub of the morning");
        row.getByLabel("Measure Stub of the afternoon of Jonah Tarn: Not started")
                .click();
        runa.waitForURL("**/measure/*-*");
        assertThat(runa.getByText("Stub of the afternoon")).isVisible();

        School.toTheFloor(runa);
        // What is begun comes first.
        assertThat(row).containsText("Also ○ Stub of the morning");
        runa.getByLabel("Jonah Tarn: Bending; change").click();
        runa.getByText("Take it off the list").click();
        assertThat(row).not().containsText("Also");
        assertThat(row).containsText("Stub of the morning");
        assertThat(errors).isEmpty();
    }

    @Test
    void states_filterTheFloor_andAnInstructorMaySetThem(School.Room room) {
        Page runa = room.signedIn("runa", errors);
        Bench.giveStub(runa, "Stub without a phone", "Jonah Tarn");
        School.toTheFloor(runa);
        runa.getByLabel("Jonah Tarn: Not started; change").click();
        Bench.button(runa, "Bending").click();
        assertThat(Bench.row(runa, "Jonah Tarn")).containsText("Bending");
        runa.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Show only"))
                .getByLabel("Bending")
                .click();
        assertThat(Bench.row(runa, "Jonah Tarn")).isVisible();
        assertThat(runa.locator("ol > li[data-state=done]")).hasCount(0);
    }

    @Test
    void nextTrainee_isOneKeyAway(School.Room room) {
        Page dessa = room.signedIn("dessa", errors);
        Bench.giveStub(dessa, "Stub to begin with", "Odile Farrant");
        String code = Bench.giveStub(dessa, "Stub expected next", "Saskia Thornet");
        Page phone = phone(room, code, errors);
        phone.waitForResponse(
                "**/steps/**", () -> phone.getByText("Come and check").click());
        School.toTheFloor(dessa);
        assertThat(Bench.row(dessa, "Saskia Thornet")).containsText("Called for checking");
        Bench.row(dessa, "Odile Farrant").getByText("Measure").click();
        Bench.untilReady(dessa, "Mark");
        dessa.keyboard().press("Alt+n");
        assertThat(dessa.getByRole(AriaRole.HEADING).first()).hasText("Saskia Thornet");
        Bench.untilReady(dessa, "Mark");
    }

    @Test
    void sheetBeforeTheCamera_isOpened(School.Room room) throws Exception {
        Page runa = room.signedIn("runa", errors);
        String code = Bench.giveStub(runa, "Stub before the camera", "Lorcan Veigh");
        Path film = Files.createTempFile("lobrik-sheet", ".y4m");
        Pictures.filmOfCode(film, "https://lobrik.example/sheet/" + code);
        try (Browser withCamera = room.playwright()
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(School.CHROMIUM)
                        .setArgs(List.of(
                                "--no-sandbox",
                                "--disable-gpu",
                                "--use-fake-ui-for-media-stream",
                                "--use-fake-device-for-media-stream",
                                "--use-file-for-fake-video-capture=" + film)))) {
            Page page = room.signedIn("runa", withCamera.newContext().newPage());
            page.getByLabel("Scan a sheet").click();
            // A made-up camera and the reader of its pictures both work on the processor here, beside everything else.
            page.waitForURL("**/measure/*-*", new Page.WaitForURLOptions().setTimeout(SLOW_CAMERA_MS));
            assertThat(page.getByText("Stub before the camera")).isVisible();
        } finally {
            Files.delete(film);
        }
    }

    @Test
    void withoutACamera_theShortCodeIsTyped(School.Room room) {
        Page runa = room.signedIn("runa", errors);
        String code = Bench.giveStub(runa, "Stub by its code", "Greta Lindvar");
        School.toTheFloor(runa);
        runa.getByLabel("Scan a sheet").click();
        runa.getByText("There is no camera here").waitFor();
        runa.getByLabel("Code on the sheet").fill(code);
        Bench.button(runa, "Open").click();
        runa.waitForURL("**/measure/*-*");
        assertThat(runa.getByText("Stub by its code")).isVisible();
    }

    @Test
    void floorAndMeasure_fitPhoneAndTablet(School.Room room) {
        Page page = room.signedIn("dessa", errors);
        Bench.giveSaddle(page, "Saddle at all widths", "short", "Vesna Korrin");
        School.toTheFloor(page);
        assertThat(Bench.row(page, "Vesna Korrin")).containsText("Not started");
        for (int width : new int[] {1280, 820, 390}) {
            page.setViewportSize(width, 844);
            School.toTheFloor(page);
            assertThat(Bench.row(page, "Vesna Korrin")).containsText("Saddle at all widths");
            assertFits(page, width);
            Bench.measure(room, page, "Vesna Korrin");
            page.locator("aside").getByText("Height · ").waitFor();
            for (String tap : new String[] {"4", "Enter reading"}) {
                Locator key = Bench.button(page, tap);
                // A tablet held upright shows the drawing first, and scrolls.
                if (width != 820) {
                    assertThat(key).isInViewport(new LocatorAssertions.IsInViewportOptions().setRatio(1));
                }
                assertThat(key.boundingBox().height).isGreaterThanOrEqualTo(43.5);
                assertThat(key.boundingBox().width).isGreaterThanOrEqualTo(43.5);
            }
            assertFits(page, width);
            Locator more = page.getByLabel("More: find, units");
            if (more.isVisible()) {
                more.click();
            }
            for (String tool : new String[] {"Sign out Dessa Quillow", "Help"}) {
                assertThat(page.getByLabel(tool, new Page.GetByLabelOptions().setExact(true))
                                .filter(new Locator.FilterOptions().setVisible(true)))
                        .hasCount(1);
            }
            assertThat(School.barriers(page)).isEmpty();
            page.keyboard().press("Escape");
        }
        // The narrowest, by the finger.
        Bench.button(page, "4").click();
        Bench.button(page, "Enter reading").click();
        page.locator("aside").getByText("Flat · ").waitFor();
        assertFits(page, 390);
        page.getByLabel("What is measured").selectOption("overall");
        page.locator("aside").getByText("Overall · ").waitFor();
        assertThat(errors).isEmpty();
    }

    private static void assertFits(Page page, int width) {
        assertThat((Integer) page.evaluate("document.documentElement.scrollWidth"))
                .isLessThanOrEqualTo(width);
    }
}
