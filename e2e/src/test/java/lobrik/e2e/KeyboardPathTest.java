package lobrik.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** The whole path with the mouse unplugged. */
@ExtendWith(School.class)
class KeyboardPathTest {

    private static final String FOCUSED_NAME = """
            () => {
              const e = document.activeElement;
              const label = e.labels && e.labels.length ? e.labels[0].textContent : '';
              return (e.getAttribute('aria-label') || label || e.textContent || '').trim();
            }""";

    private final List<String> errors = new ArrayList<>();

    /** Goes on with Tab until something of this name has the focus. */
    static void tabTo(Page page, String name) {
        List<String> passed = new ArrayList<>();
        for (int i = 0; i < 120; i++) {
            String focused = (String) page.evaluate(FOCUSED_NAME);
            if (focused.startsWith(name)) {
                return;
            }
            passed.add(focused);
            page.keyboard().press("Tab");
        }
        throw new AssertionError("no Tab leads to “" + name + "”; passed " + passed);
    }

    @Test
    void stub_isSetGivenMeasuredJudgedAndFoundAgain_byKeyboardAlone(School.Room room) {
        Page page = room.screen(1280, 800, "shed", errors);
        Keyboard keys = page.keyboard();
        page.navigate(room.lobrik().base());
        tabTo(page, "Name");
        keys.type("runa");
        tabTo(page, "Password");
        keys.type(room.lobrik().password());
        keys.press("Enter");
        page.getByLabel("Find a trainee").waitFor();
        Bench.withEmptyHands(page, "Mirela Dunt");

        keys.press("Alt+2");
        page.getByLabel("Title").waitFor();
        tabTo(page, "Title");
        keys.press("Control+a");
        keys.type("Beside the brine pump");
        tabTo(page, "Leg");
        keys.type("16 1/4");
        tabTo(page, "Other leg");
        keys.type("20");
        page.getByLabel("Ring 1 at 10 1/4").waitFor();
        // Back to the button in the head of the screen.
        for (int i = 0; i < 40 && !"Give out".equals(page.evaluate(FOCUSED_NAME)); i++) {
            keys.press("Shift+Tab");
        }
        keys.press("Enter");
        tabTo(page, "Give to");
        keys.type("Mirela");
        // “Give to” and “Give out” are passed: the button has this name and no more.
        while (!"Give".equals(page.evaluate(FOCUSED_NAME))) {
            keys.press("Tab");
        }
        keys.press("Enter");
        page.getByText("Given to one trainee").waitFor();

        keys.press("Alt+1");
        page.getByLabel("Find a trainee").waitFor();
        tabTo(page, "Find a trainee");
        keys.type("mir");
        // What is pressed is what is shown: the floor has to have heard of what was given.
        assertThat(Bench.row(page, "Mirela Dunt")).containsText("Beside the brine pump");
        assertThat(Bench.row(page, "Mirela Dunt")).containsText("Not started");
        tabTo(page, "Measure");
        // The rail has a Measure too: the bench's is the button.
        while (!"BUTTON".equals(page.evaluate("() => document.activeElement.tagName"))) {
            keys.press("Tab");
            tabTo(page, "Measure");
        }
        keys.press("Enter");

        page.getByText("Datum end to the ring").waitFor();
        for (String[] reading :
                new String[][] {{"Mark", "10 1/4"}, {"Leg", "16 3/8"}, {"Angle", "89"}, {"Other leg", "20 1/16"}}) {
            // The field that is next has the focus already.
            page.waitForFunction(
                    "name => (document.activeElement.labels?.[0]?.textContent ?? '').startsWith(name)", reading[0]);
            // As a hand types: what comes all at once is a gauge's.
            keys.type(reading[1], new Keyboard.TypeOptions().setDelay(60));
            keys.press("Enter");
        }
        page.getByText("See the verdict").waitFor();
        page.waitForFunction("() => document.activeElement.textContent.includes('See the verdict')");
        keys.press("Enter");
        // credits 1, 0.7, 1, 1
        assertThat(page.getByTestId("score")).containsText("92.5");

        tabTo(page, "Progress");
        keys.press("Enter");
        assertThat(page.locator("tbody tr").first()).containsText("Beside the brine pump");
        keys.press("?");
        page.getByText("Keep a reading and go on to the next").waitFor();
        keys.press("Escape");
        assertThat(page.getByText("Keep a reading and go on to the next")).isHidden();
        assertThat(errors).isEmpty();
    }
}
