package lobrik.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
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
        page.getByLabel("Password").waitFor();
        take(page, "sign-in");
        room.signedIn("runa", page);
        page.getByText("Kezia Mallow").waitFor();
        take(page, "floor");
        String floor = page.url();
        page.navigate(room.lobrik().base() + "/set");
        page.getByLabel("Ring 1 at").waitFor();
        take(page, "set");
        page.getByTestId("elevation").getByLabel("Leg", exact()).fill("7");
        page.getByText("the shoe holds").waitFor();
        take(page, "set-warning");
        bends(page);
        page.navigate(floor);
        page.getByLabel("not passed").first().click();
        page.getByTestId("score").waitFor();
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
        page.navigate(room.lobrik().base() + "/progress");
        page.getByText("Greta Lindvar").click();
        page.getByText("Attempts, the newest first").waitFor();
        take(page, "progress");

        Page dim = room.signedIn("dessa", room.screen(1280, 800, "shed", new ArrayList<>()));
        dim.getByRole(AriaRole.MAIN).getByLabel("Verdict:").first().click();
        dim.getByTestId("score").waitFor();
        take(dim, "verdict-shed");
        saddle(room.signedIn("dessa", room.screen(1280, 800, "film", new ArrayList<>())));

        Page phone = room.signedIn("runa", room.screen(390, 800, "film", new ArrayList<>()));
        phone.navigate(attempt);
        phone.getByText("At rest").waitFor();
        take(phone, "measure-phone");
        try (var taken = Files.list(FOLDER)) {
            assertThat(taken).hasSizeBetween(9, 19);
        }
    }

    /** The setting desk with bends of several rings. */
    private static void bends(Page page) {
        Locator kind = page.getByLabel("Bend", new Page.GetByLabelOptions().setExact(true));
        kind.selectOption("saddle4");
        page.getByTestId("elevation").getByText("Angle 4").waitFor();
        page.getByText("Comes out", new Page.GetByTextOptions().setExact(true)).click();
        take(page, "set-saddle");
        kind.selectOption("rollingOffset");
        page.getByTestId("elevation").getByText("from above").waitFor();
        page.getByText("Bending", new Page.GetByTextOptions().setExact(true)).click();
        take(page, "set-rolling");
        kind.selectOption("offset");
        page.getByText("Inputs", new Page.GetByTextOptions().setExact(true)).click();
        page.getByTestId("elevation").getByLabel("Rise", exact()).waitFor();
        page.getByTestId("strip").waitFor();
        page.getByTestId("elevation").getByLabel("Rise", exact()).fill("2 1/4");
        page.getByText("of straight conduit between them").waitFor();
        take(page, "set-cure");
    }

    /** A saddle half measured. */
    private static void saddle(Page page) {
        page.getByLabel("Measure another try").first().click();
        for (String reading : new String[] {"26 1/2", "34 9/16", "47", "55 1/16", "4 1/16", "12 1/2"}) {
            Locator field = page.locator("[data-place] input:focus");
            field.waitFor();
            String place = (String) field.evaluate("input => input.closest('[data-place]').dataset.place");
            field.fill(reading);
            page.keyboard().press("Enter");
            page.locator("[data-place=" + place + "] [data-band]").waitFor();
        }
        page.locator("[data-place=landing] input:focus").waitFor();
        take(page, "measure-saddle");
    }

    private static Locator.GetByLabelOptions exact() {
        return new Locator.GetByLabelOptions().setExact(true);
    }

    private static void take(Page page, String name) {
        page.evaluate("() => document.fonts.ready");
        // Charts and drawings measure themselves once before they draw.
        page.evaluate("() => new Promise(done => requestAnimationFrame(() => requestAnimationFrame(done)))");
        page.screenshot(new Page.ScreenshotOptions().setPath(FOLDER.resolve(name + ".png")));
    }
}
