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
import java.util.UUID;
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
        // What is not ready to be pressed is not on the way of the focus.
        assertThat(hand).isEnabled();
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
                read(page, feature);
            }
            page.getByText("See the verdict").tap();
            assertThat(page.getByTestId("score")).containsText("100");
            assertThat(page.getByTestId("cause")).containsText("Nothing went wrong");
            assertThat(page.getByLabel("In its fittings")).containsText("It goes into both fittings");
        }
        assertThat(errors).isEmpty();
    }

    /** A turn is chosen as it is seen; everything else is as it should be. */
    private static void read(Page page, Map<String, Object> feature) {
        if (!feature.get("id").toString().startsWith("turn")) {
            SettingDesk.button(page, "Spot on").tap();
            return;
        }
        double target = ((Number) feature.get("target")).doubleValue();
        Locator ways = page.getByRole(
                AriaRole.GROUP, new Page.GetByRoleOptions().setName(Pattern.compile("^Turn .*: which way")));
        ways.getByRole(AriaRole.BUTTON).nth((int) Math.round(target / 90) % 4).tap();
        SettingDesk.button(page, "Enter reading").tap();
    }

    /** Longer than two sticks: given a piece each, and put together of what was made of them. */
    @Test
    void aRunOfSeveralPieces_isGivenToSeveral_andPutTogether(School.Room room) {
        Page page = room.signedIn("runa", errors);
        page.navigate(room.lobrik().base() + "/set");
        page.getByLabel("Ring 1 at").waitFor();
        page.getByLabel("Bend", new Page.GetByLabelOptions().setExact(true)).selectOption("run");
        page.getByLabel("Title", new Page.GetByLabelOptions().setExact(true)).fill("Round the pump room");
        drawn(page, "Next leg up", 1, "60");
        drawn(page, "Next leg to the right", 2, "110");
        drawn(page, "Next leg out of the wall", 3, "112");
        drawn(page, "Next leg to the right", 4, "60");
        page.getByLabel("Ring 3 at").waitFor();
        page.getByRole(AriaRole.RADIOGROUP, new Page.GetByRoleOptions().setName("Shown"))
                .getByText("Comes out")
                .click();
        page.getByText("3 pieces, 2 couplings.").waitFor();
        SettingDesk.button(page, "Give the pieces").click();
        page.getByText("To the job").click();
        page.getByText("No piece is measured yet").waitFor();
        assertThat(page.locator("[data-coupling]").first()).isVisible();
        assertThat(page.getByLabel("Cut list and fittings")).containsText("2 couplings");

        // The first piece comes out three quarters of an inch too long up to its coupling.
        List<Map<String, Object>> pieces = piecesOf(page);
        for (int i = 0; i < pieces.size(); i++) {
            measured(page, pieces.get(i), i == 0 ? Map.of("leg2", 0.75, "reachRight", 0.75) : Map.of());
        }
        page.reload();
        Locator together = page.getByLabel("Put together", new Page.GetByLabelOptions().setExact(true));
        assertThat(together).containsText("does not go in");
        assertThat(together).containsText("Piece 1 spent most of it");
        page.getByLabel("Pieces", new Page.GetByLabelOptions().setExact(true))
                .getByText("of 100")
                .first()
                .click();
        page.getByTestId("score").waitFor();
        assertThat(page.getByLabel("The far end, place by place")).containsText("leg 2");
        page.getByText("The whole run, put together of its pieces").click();
        page.waitForURL("**/jobs/**");
        page.navigate(room.lobrik().base() + "/set/library");
        page.getByText("Given out", new Page.GetByTextOptions().setExact(true)).click();
        assertThat(page.getByLabel("Runs, a piece each")).containsText("Round the pump room");
        assertThat(errors).isEmpty();
    }

    private static void drawn(Page page, String direction, int number, String length) {
        page.getByLabel(direction).click();
        Locator field = page.getByTestId("room")
                .getByRole(
                        AriaRole.TEXTBOX,
                        new Locator.GetByRoleOptions().setName("Leg " + number).setExact(true));
        field.waitFor();
        field.fill(length);
    }

    @SuppressWarnings("unchecked") // JSON of the server.
    private static List<Map<String, Object>> piecesOf(Page page) {
        String id = page.url().substring(page.url().lastIndexOf('/') + 1);
        return (List<Map<String, Object>>)
                Bench.call(page, "GET", "/api/jobs/" + id, "").get("pieces");
    }

    /** As it should be, but for some features. */
    @SuppressWarnings("unchecked") // JSON of the server.
    private static void measured(Page page, Map<String, Object> piece, Map<String, Double> off) {
        var sheet = (Map<String, Object>) piece.get("sheet");
        Map<String, Object> attempt = Bench.call(
                page,
                "PUT",
                "/api/attempts/" + UUID.randomUUID(),
                "{\"traineeId\":\"" + sheet.get("traineeId") + "\",\"assignmentId\":\"" + sheet.get("assignmentId")
                        + "\"}");
        for (Map<String, Object> feature : (List<Map<String, Object>>) attempt.get("features")) {
            String id = feature.get("id").toString();
            double value = ((Number) feature.get("target")).doubleValue() + off.getOrDefault(id, 0.0);
            Bench.call(
                    page,
                    "PUT",
                    "/api/attempts/" + attempt.get("id") + "/readings/" + UUID.randomUUID(),
                    "{\"feature\":\"" + id + "\",\"text\":\"" + value + "\",\"bare\":\"in\"}");
        }
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
