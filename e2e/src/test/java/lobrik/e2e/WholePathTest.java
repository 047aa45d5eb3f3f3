package lobrik.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static lobrik.e2e.Bench.bench;
import static lobrik.e2e.Bench.place;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Response;
import com.microsoft.playwright.options.AriaRole;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.zip.GZIPOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** From signing in to a trainee's progress, by mouse and fraction pad, in a real browser. */
@ExtendWith(School.class)
class WholePathTest {

    private final List<String> errors = new ArrayList<>();

    private static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static void tap(Page page, String... keys) {
        for (String key : keys) {
            button(page, key).click();
        }
    }

    @Test
    void stub_isSetGivenMeasuredJudgedAndFoundAgain(School.Room room) {
        Page page = room.signedIn("runa", errors);
        Bench.withEmptyHands(page, "Lorcan Veigh");

        place(page, "Set").click();
        Locator elevation = page.getByTestId("elevation");
        elevation
                .getByLabel("Leg", new Locator.GetByLabelOptions().setExact(true))
                .fill("14 3/8");
        assertThat(page.getByTestId("strip").getByRole(AriaRole.GROUP))
                .hasAttribute("aria-label", Pattern.compile("Ring 1 at 8 3/8: arrow.*"));
        page.getByLabel("Placed by").selectOption("star");
        assertThat(page.getByTestId("strip").getByRole(AriaRole.GROUP))
                .hasAttribute("aria-label", Pattern.compile("Ring 1 at 14 3/8: star.*far end.*"));
        page.getByLabel("Placed by").selectOption("arrow");
        page.getByLabel("Title").fill("Up to the fan switch");
        button(page, "Give out").click();
        page.getByLabel("Give to").selectOption("Lorcan Veigh");
        button(page, "Give").click();
        page.getByText("Given to one trainee").waitFor();

        place(page, "Floor").click();
        assertThat(bench(page, "Lorcan Veigh")).containsText("Up to the fan switch");
        bench(page, "Lorcan Veigh")
                .getByText("Measure", new Locator.GetByTextOptions().setExact(true))
                .click();

        // mark 8 3/8, leg 14 1/2, angle 91, other leg 22: by the pad, two taps for figures and one for the fraction
        page.getByText("Datum end to the ring").waitFor();
        tap(page, "8", "3/8", "Enter reading");
        page.getByText("Datum end face to the back of the bend").waitFor();
        tap(page, "1", "4", "1/2", "Enter reading");
        page.getByText("At rest, by the level on the leg").waitFor();
        assertThat(elevation).containsText("+1/8");
        assertThat(elevation.locator("[data-place=leg] [data-band=within]")).hasCount(1);
        tap(page, "9", "1", "Enter reading");
        page.getByText("Back of the bend to the far end face").waitFor();
        tap(page, "2", "2", "Enter reading");
        page.getByText("See the verdict").click();

        // credits 1, 0.7, 1, 1
        assertThat(page.getByTestId("score")).containsText("92.5");
        assertThat(page.getByTestId("score")).containsText("Pass");
        Bench.record(page);
        button(page, "Correct Leg").click();
        page.getByLabel("Leg, right reading").fill("15 1/2");
        page.getByLabel("Why is it corrected?").fill("Misread a whole inch");
        button(page, "Keep the correction").click();
        assertThat(page.getByTestId("score")).containsText("Not yet");
        assertThat(page.getByLabel("Readings as taken").locator(".line-through"))
                .containsText("14 1/2");
        assertThat(page.getByLabel("Readings as taken")).containsText("Misread a whole inch");

        place(page, "Progress").click();
        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName(Pattern.compile("^Lorcan Veigh, Stub ninety")))
                .click();
        Locator newest = page.getByLabel("Pieces", new Page.GetByLabelOptions().setExact(true))
                .getByRole(AriaRole.ROW)
                .nth(1);
        assertThat(newest).containsText("Up to the fan switch");
        assertThat(newest).containsText("+1 1/8");
        assertThat(errors).isEmpty();
    }

    @Test
    void badLength_isToldAtTheField_withWhatWasMeant(School.Room room) {
        Page page = room.signedIn("runa", errors);
        place(page, "Set").click();
        Locator elevation = page.getByTestId("elevation");
        Locator leg = elevation.getByLabel("Leg", new Locator.GetByLabelOptions().setExact(true));
        leg.fill("14 9/8");
        elevation.getByText("Take 15 1/8").click();
        assertThat(leg).hasValue("15 1/8");
        leg.fill("9/0");
        assertThat(elevation.getByRole(AriaRole.ALERT)).containsText("0 below the line");
        button(page, "Give out").click();
        assertThat(button(page, "Give")).isDisabled();
        button(page, "To the drawing").click();
        leg.fill("3");
        assertThat(page.getByText("Cannot be laid out.")).isVisible();
        leg.fill("7");
        assertThat(page.getByText("the shoe holds 2 in or more")).isVisible();
        leg.press("ArrowUp");
        assertThat(leg).hasValue("7 1/16");
    }

    @Test
    void millimetres_areReadAndShown_whenTheAccountPrefersThem(School.Room room) {
        Page page = room.signedIn("dessa", errors);
        page.getByLabel("Lengths in inches; change to millimetres").click();
        // A desk that opens before the account says so is set in inches.
        page.getByLabel("Lengths in millimetres; change to inches").waitFor();
        place(page, "Set").click();
        assertThat(page.getByTestId("elevation").getByLabel("Leg", new Locator.GetByLabelOptions().setExact(true)))
                .hasValue("450");
        assertThat(page.getByTestId("strip").getByRole(AriaRole.GROUP))
                .hasAttribute("aria-label", Pattern.compile("Ring 1 at 298 mm.*"));
        page.getByLabel("Lengths in millimetres; change to inches").click();
        page.getByLabel("Lengths in inches; change to millimetres").waitFor();
        // 450 mm, not 450 in: what was set stays that length.
        assertThat(page.getByTestId("elevation").getByLabel("Leg", new Locator.GetByLabelOptions().setExact(true)))
                .hasValue("17.7165");
    }

    @Test
    void firstPage_bringsLessThan150KilobytesOfScript(School.Room room) throws IOException {
        Page page = room.screen(1280, 800, "film", errors);
        List<Response> scripts = new ArrayList<>();
        page.onResponse(response -> {
            if (response.url().endsWith(".js")) {
                scripts.add(response);
            }
        });
        room.signedIn("runa", page);
        page.waitForLoadState();
        int bytes = 0;
        for (Response script : scripts) {
            ByteArrayOutputStream packed = new ByteArrayOutputStream();
            try (GZIPOutputStream gzip = new GZIPOutputStream(packed)) {
                gzip.write(script.body());
            }
            bytes += packed.size();
        }
        assertThat(bytes).isBetween(50_000, 150_000);
    }
}
