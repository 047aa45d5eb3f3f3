package lobrik.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import com.microsoft.playwright.options.ServiceWorkerPolicy;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A run from box to box: drawn in its room, given out, bent step by step, measured on the plans of its walls, judged. */
@ExtendWith(School.class)
class RunTest {

    private static final String FOCUSED = "name => (document.activeElement.getAttribute('aria-label')"
            + " ?? document.activeElement.labels?.[0]?.textContent ?? '').startsWith(name)";

    /** From an empty desk to a run of five legs, beside the figures that are typed. */
    private static final int MOST_ACTIONS = 25;

    private final List<String> errors = new ArrayList<>();
    private int actions;

    private void press(Page page, String key) {
        page.keyboard().press(key);
        actions++;
    }

    private void leg(Page page, int number, String key, String length) {
        page.waitForFunction(FOCUSED, "Draw the run");
        press(page, key);
        page.waitForFunction(FOCUSED, "Leg " + number);
        page.keyboard().type(length);
        press(page, "Enter");
    }

    @Test
    void fiveLegsWithTwoBoxOffsets_areDrawnGivenMeasuredAndJudged_byKeyboardAlone(School.Room room) {
        Page page = room.signedIn("runa", errors);
        Keyboard keys = page.keyboard();
        Bench.withEmptyHands(page, "Nuno Hask");
        keys.press("Alt+2");
        page.getByLabel("Ring 1 at").waitFor();
        KeyboardPathTest.tabTo(page, "Bend");
        press(page, "R");
        // “Rolling offset” comes first.
        if (!"run".equals(page.evaluate("() => document.activeElement.value"))) {
            press(page, "u");
        }
        assertThat(page.evaluate("() => document.activeElement.value")).isEqualTo("run");
        page.getByText("Press which way the first leg runs").waitFor();
        KeyboardPathTest.tabTo(page, "Draw the run");
        actions++;
        leg(page, 1, "ArrowRight", "22");
        leg(page, 2, "ArrowUp", "15 1/2");
        leg(page, 3, "ArrowRight", "18");
        leg(page, 4, "PageDown", "17");
        leg(page, 5, "ArrowDown", "20");
        page.waitForFunction(FOCUSED, "Draw the run");
        press(page, "s");
        press(page, "e");
        page.getByLabel("Ring 8 at").waitFor();
        assertThat(actions).isLessThanOrEqualTo(MOST_ACTIONS);
        assertThat(page.getByLabel("Facing the wall")).isVisible();

        // Taken back, and done again.
        keys.press("Backspace");
        assertThat(page.getByLabel("Ring 8 at")).hasCount(0);
        keys.press("Control+z");
        page.getByLabel("Ring 8 at").waitFor();

        giveOut(page, "Nuno");
        keys.press("Alt+1");
        page.getByLabel("Find a trainee").waitFor();
        KeyboardPathTest.tabTo(page, "Find a trainee");
        keys.type("nun");
        assertThat(Bench.row(page, "Nuno Hask")).containsText("Run");
        assertThat(Bench.row(page, "Nuno Hask")).containsText("Not started");
        KeyboardPathTest.tabTo(page, "Measure");
        while (!"BUTTON".equals(page.evaluate("() => document.activeElement.tagName"))) {
            keys.press("Tab");
            KeyboardPathTest.tabTo(page, "Measure");
        }
        keys.press("Enter");
        page.waitForURL(Pattern.compile("/measure/[0-9a-f-]{36}"));
        page.getByLabel("Facing the wall").waitFor();
        for (Map<String, Object> feature : features(page)) {
            page.waitForFunction(
                    "id => document.activeElement.closest('[data-place]')?.dataset.place === id", feature.get("id"));
            double target = ((Number) feature.get("target")).doubleValue();
            keys.type(
                    String.format(Locale.ROOT, "%.2f", target).replaceAll("\\.?0+$", ""),
                    new Keyboard.TypeOptions().setDelay(60));
            keys.press("Enter");
        }
        page.getByText("See the verdict").waitFor();
        page.waitForFunction("() => document.activeElement.textContent.includes('See the verdict')");
        keys.press("Enter");
        assertThat(page.getByTestId("score")).containsText(Pattern.compile("(9\\d(\\.\\d)?|100)"));
        assertThat(page.getByTestId("score")).containsText("Pass");
        assertThat(page.getByLabel("In its fittings")).containsText("It goes into both fittings");
        assertThat(page.getByLabel("From above")).isVisible();
        assertThat(errors).isEmpty();
    }

    /** To one trainee, from wherever on the desk the focus is. */
    private static void giveOut(Page page, String trainee) {
        Keyboard keys = page.keyboard();
        Locator give = SettingDesk.button(page, "Give out");
        for (int i = 0; i < 60 && !(boolean) give.evaluate("each => each === document.activeElement"); i++) {
            keys.press("Shift+Tab");
        }
        keys.press("Enter");
        KeyboardPathTest.tabTo(page, "Give to");
        keys.type(trainee);
        Locator hand = SettingDesk.button(page, "Give");
        for (int i = 0; i < 30 && !(boolean) hand.evaluate("each => each === document.activeElement"); i++) {
            keys.press("Tab");
        }
        keys.press("Enter");
        page.getByText("Given to one trainee").waitFor();
    }

    @SuppressWarnings("unchecked") // JSON of the server.
    private static List<Map<String, Object>> features(Page page) {
        String id = page.url().substring(page.url().lastIndexOf('/') + 1);
        return (List<Map<String, Object>>)
                Bench.call(page, "GET", "/api/attempts/" + id, "").get("features");
    }

    @Test
    void aRun_isDrawnGivenMeasuredAndJudged_byTouch(School.Room room) {
        try (BrowserContext tablet = room.browser()
                .newContext(new Browser.NewContextOptions()
                        .setHasTouch(true)
                        .setViewportSize(1180, 820)
                        .setServiceWorkers(ServiceWorkerPolicy.BLOCK))) {
            Page page = tablet.newPage();
            page.onPageError(errors::add);
            page.setDefaultTimeout(45_000);
            room.signedIn("dessa", page);
            page.navigate(room.lobrik().base() + "/set");
            page.getByLabel("Ring 1 at").waitFor();
            page.getByLabel("Bend", new Page.GetByLabelOptions().setExact(true)).selectOption("run");
            draw(page, "Next leg to the right", 1, "24");
            draw(page, "Next leg up", 2, "18");
            draw(page, "Next leg out of the wall", 3, "20");
            SettingDesk.button(page, "Box offset at the start").tap();
            page.getByLabel("Ring 4 at").waitFor();
            drawAlong(page);
            bendingIsShown(page);
            String trainee = "Tamsin Gorrie";
            Bench.withEmptyHands(page, trainee);
            page.getByText("Room", new Page.GetByTextOptions().setExact(true)).tap();
            SettingDesk.button(page, "Give out").tap();
            page.getByLabel("Give to").selectOption(new SelectOption().setLabel(trainee));
            SettingDesk.button(page, "Give").tap();
            page.getByText("Given to one trainee").waitFor();
            sheetFitsAPhone(room, page);
            page.getByText("To the floor").tap();
            Bench.row(page, trainee).getByText("Measure").tap();
            page.waitForURL(Pattern.compile("/measure/[0-9a-f-]{36}"));
            page.getByLabel("Facing the wall").waitFor();
            for (Map<String, Object> feature : features(page)) {
                page.locator("tr[data-feature='" + feature.get("id") + "'].bg-base-100")
                        .waitFor();
                SettingDesk.button(page, "Spot on").tap();
            }
            page.getByText("See the verdict").tap();
            assertThat(page.getByTestId("score")).containsText("100");
            assertThat(page.getByTestId("cause")).containsText("Nothing went wrong");
            assertThat(page.getByLabel("In its fittings")).containsText("It goes into both fittings");
        }
        assertThat(errors).isEmpty();
    }

    /** The trainee sees the plans of the walls, one at a time, with nothing wider than the phone. */
    private void sheetFitsAPhone(School.Room room, Page page) {
        String code =
                (String) page.evaluate("async () => (await (await fetch('/api/givings')).json())[0].sheets[0].code");
        Page phone = room.screen(390, 800, "film", errors);
        phone.navigate(room.lobrik().base() + "/bench/" + code);
        assertThat(phone.getByTestId("wall").locator("[data-tube]").first()).isVisible();
        SettingDesk.button(phone, "Facing right").click();
        assertThat(phone.getByTestId("wall").locator("[data-tube]").first()).isVisible();
        assertThat((int) phone.evaluate("() => document.documentElement.scrollWidth"))
                .isLessThanOrEqualTo(390);
        phone.close();
    }

    private static void draw(Page page, String direction, int number, String length) {
        page.getByLabel(direction).tap();
        Locator field = page.getByTestId("room")
                .getByRole(
                        AriaRole.TEXTBOX,
                        new Locator.GetByRoleOptions().setName("Leg " + number).setExact(true));
        field.waitFor();
        field.fill(length);
    }

    /** A corner is taken and drawn along its leg: its figure follows, on the lines of the tape. */
    private static void drawAlong(Page page) {
        Locator field = page.getByTestId("room")
                .getByRole(
                        AriaRole.TEXTBOX,
                        new Locator.GetByRoleOptions().setName("Leg 1").setExact(true));
        var handle = page.locator("[data-handle=leg1] circle").nth(1).boundingBox();
        double x = handle.x + handle.width / 2;
        double y = handle.y + handle.height / 2;
        page.mouse().move(x, y);
        page.mouse().down();
        page.mouse().move(x + 40, y - 10);
        page.mouse().up();
        assertThat(field).not().hasValue("24");
        field.fill("24");
        page.getByLabel("Ring 4 at").waitFor();
    }

    /** Bend by bend: which way it is turned, in words and with an arrow, and played to its end. */
    private static void bendingIsShown(Page page) {
        page.getByRole(AriaRole.RADIOGROUP, new Page.GetByRoleOptions().setName("View"))
                .getByText("Bending")
                .tap();
        Locator bending = page.getByLabel("Bending, step by step");
        bending.getByText("Bend 1 of 4").waitFor();
        SettingDesk.button(page, "Next bend").tap();
        bending.getByText("Bend 2 of 4").waitFor();
        assertThat(bending.getByText("seen from where you stand")).isVisible();
        assertThat(bending.locator("[data-turn]")).isVisible();
        assertThat(bending.locator("[data-shoe]")).isHidden();
        SettingDesk.button(page, "Play").tap();
        // It is turned, then bent in the shoe, and goes on by itself.
        bending.locator("[data-shoe]").waitFor();
        bending.getByText("Bend 3 of 4").waitFor();
        SettingDesk.button(page, "Pause").tap();
    }
}
