package lobrik.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static lobrik.e2e.KeyboardPathTest.tabTo;
import static lobrik.e2e.SettingDesk.button;
import static lobrik.e2e.SettingDesk.desk;
import static lobrik.e2e.SettingDesk.onDrawing;
import static lobrik.e2e.SettingDesk.show;
import static lobrik.e2e.SettingDesk.strip;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** The setting desk: from where the conduit goes to a sheet on paper. */
@ExtendWith(School.class)
class SettingDeskTest {

    private static final boolean FULL = Boolean.getBoolean("lobrik.full");

    private final List<String> errors = new ArrayList<>();

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
}
