package lobrik.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Readings taken by keyboard, by pad, by gauges, and by two at once. */
@ExtendWith(School.class)
class MeasureTest {

    private static final String[] SIX = {"Height", "Flat", "Landing", "Far-end kick", "Dog leg", "Overall"};

    /** A hand's pace; faster than this is taken for a gauge. */
    private static final Keyboard.TypeOptions BY_HAND = new Keyboard.TypeOptions().setDelay(60);

    private final List<String> errors = new ArrayList<>();

    private Page saddle(School.Room room, String title, String trainee) {
        Page page = room.signedIn("dessa", errors);
        Bench.giveSaddle(page, title, "short", trainee);
        Bench.measure(room, page, trainee);
        return page;
    }

    @Test
    void sixReadingsByKeyboard_areSixEntriesAndSixEnters(School.Room room) {
        Page page = saddle(room, "Saddle by keyboard", "Odile Farrant");
        String[] typed = {"4", "12 9/16", "34", "1/16", "1", "92 1/8"};
        for (int i = 0; i < SIX.length; i++) {
            Bench.untilReady(page, SIX[i]);
            page.keyboard().type(typed[i], BY_HAND);
            page.keyboard().press("Enter");
        }
        page.waitForFunction("() => document.activeElement.textContent.includes('See the verdict')");
        // The seventh is not for a reading: it opens the verdict.
        page.keyboard().press("Enter");
        assertThat(page.getByTestId("score")).containsText("of 100");
        Bench.record(page);
        Locator taken = page.getByLabel("Readings as taken").getByRole(AriaRole.LISTITEM);
        assertThat(taken).hasCount(6);
        for (int i = 0; i < SIX.length; i++) {
            assertThat(taken.nth(i)).containsText(SIX[i] + " " + typed[i]);
            assertThat(taken.nth(i)).containsText("Dessa Quillow");
        }
        assertThat(errors).isEmpty();
    }

    /** Taps for each reading: one where it is as asked, two for one division off, else its figures, a fraction, Enter. */
    @Test
    void sixReadingsByPad_takeTheFewestTaps(School.Room room) {
        Page page = saddle(room, "Saddle by pad", "Saskia Thornet");
        page.evaluate("""
                () => { window.taps = 0;
                  document.querySelector('aside').addEventListener('click', () => { window.taps += 1; }, true); }""");
        String[][] taps = {
            {"Spot on"},
            {"1", "2", "1/2", "Enter reading"},
            {"One division more", "Enter reading"},
            {"Spot on"},
            {"1", "Enter reading"},
            {"9", "2", "1/8", "Enter reading"}
        };
        for (int i = 0; i < SIX.length; i++) {
            page.locator("aside")
                    .getByText(SIX[i] + " · ", new Locator.GetByTextOptions())
                    .waitFor();
            for (String tap : taps[i]) {
                Bench.button(page, tap).click();
            }
        }
        page.getByText("See the verdict").waitFor();
        assertThat(page.evaluate("window.taps")).isEqualTo(14);
        Locator rows = page.locator("aside tbody tr");
        assertThat(rows.nth(0)).containsText("4");
        assertThat(rows.nth(2)).containsText("33 9/16");
        assertThat(rows.nth(5)).containsText("92");
        assertThat(errors).isEmpty();
    }

    @Test
    void deviation_isSeenWhileTyping_withSignShapeAndBand(School.Room room) {
        Page page = saddle(room, "Saddle seen live", "Tamsin Gorrie");
        Bench.untilReady(page, "Height");
        // Asked are 4; by the chart it comes out at 4 1/16.
        page.keyboard().type("4 1/8", BY_HAND);
        assertThat(page.getByTestId("live").locator("[data-band=close]")).containsText("+");
        page.keyboard().press("ArrowUp");
        assertThat(page.getByTestId("live").locator("[data-band=within]")).hasCount(1);
        page.keyboard().press("ArrowDown");
        page.keyboard().press("ArrowDown");
        page.keyboard().press("ArrowDown");
        assertThat(page.locator("[data-place] input:focus")).hasValue("4");
        assertThat(page.getByTestId("live")).containsText("−");
    }

    @Test
    void readingFarOff_isAskedAbout_andNotRefused(School.Room room) {
        Page page = saddle(room, "Saddle with slips", "Ulf Brackenby");
        Bench.untilReady(page, "Height");
        page.keyboard().type("41", BY_HAND);
        page.keyboard().press("Enter");
        Locator question = page.getByRole(AriaRole.ALERT);
        assertThat(question).containsText("+36 15/16 off. Right?");
        page.keyboard().type("4", BY_HAND);
        assertThat(page.locator("[data-place] input:focus")).hasValue("4");
        page.keyboard().press("Enter");
        Bench.untilReady(page, "Flat");
        page.keyboard().type("21 1/2", BY_HAND);
        page.keyboard().press("Enter");
        // Two keys the wrong way round.
        page.getByText("Meant 12 1/2").click();
        page.keyboard().press("Enter");
        Bench.untilReady(page, "Landing");
        page.keyboard().type("3", BY_HAND);
        page.keyboard().press("Enter");
        assertThat(question).containsText("Right?");
        page.keyboard().press("Enter");
        Bench.untilReady(page, "Far-end kick");
        assertThat(page.locator("tr[data-feature=landing]")).containsText("3");
        page.keyboard().type("9/0", BY_HAND);
        page.keyboard().press("Enter");
        assertThat(question).containsText("cannot have 0 below the line");
    }

    @Test
    void featureThatCannotBeMeasured_isSaidSo_withAReason_andDogLegsMayBeGaps(School.Room room) {
        Page page = saddle(room, "Saddle with gaps", "Vesna Korrin");
        page.getByText("Not measured…").click();
        page.getByText("no tool at hand").click();
        Bench.untilReady(page, "Flat");
        for (String feature : new String[] {"Flat", "Landing", "Far-end kick"}) {
            page.locator("aside").getByText(feature + " · ").waitFor();
            Bench.button(page, "Spot on").click();
        }
        page.getByLabel("Gap").fill("1/2");
        Bench.button(page, "Enter reading").click();
        page.locator("tr[data-feature=dogLeg]").getByText("1.2").first().waitFor();
        page.locator("aside").getByText("Overall · ").waitFor();
        Bench.button(page, "Spot on").click();
        page.getByText("See the verdict").click();
        assertThat(page.getByTestId("score")).containsText("Not yet");
        Bench.record(page);
        assertThat(page.getByText("Not passed: Height was not measured.")).isVisible();
        assertThat(page.getByLabel("Readings as taken")).containsText("no tool at hand");
        assertThat(page.getByLabel("Readings as taken")).containsText("1/2 over 24");
    }

    @Test
    void gaugeThatTypes_isTakenWhereTheHandsAre_withItsUnit(School.Room room) {
        Page page = saddle(room, "Saddle by wedge", "Wilf Okonde");
        Bench.untilReady(page, "Height");
        // The focus was lost on the drawing; a gauge knows nothing of that.
        page.getByTestId("elevation").click(new Locator.ClickOptions().setPosition(5, 5));
        page.keyboard().type("101.6mm");
        page.keyboard().press("Enter");
        Bench.untilReady(page, "Flat");
        Bench.gaugeTypes(page, "12.5in");
        Bench.untilReady(page, "Landing");
        page.keyboard().type("30.1deg");
        page.keyboard().press("Enter");
        assertThat(page.getByRole(AriaRole.ALERT)).isVisible();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Verdict"))
                .click();
        Bench.record(page);
        Locator taken = page.getByLabel("Readings as taken");
        assertThat(taken.getByRole(AriaRole.LISTITEM)).hasCount(2);
        assertThat(taken).containsText("Height 101.6mm");
        assertThat(taken.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText("Flat")))
                .containsText("typed by a gauge");
        assertThat(page.locator("aside [data-band=close]")).hasCount(2);
    }

    @Test
    void simulatedGauge_isReadWithOneKey_andSaysWhatIsWrongWithIt(School.Room room) throws Exception {
        Page page = saddle(room, "Saddle by gauge", "Rasmus Eelby");
        room.lobrik().sim("height", "value 101.6");
        room.lobrik().sim("height", "noise 0");
        Bench.button(page, "Gauge").click();
        page.getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText("Height gauge 1"))
                .getByRole(AriaRole.BUTTON)
                .click();
        Locator gauge = page.getByTestId("gauge");
        assertThat(gauge).hasAttribute("data-state", "steady");
        assertThat(gauge).containsText("101.6 mm");
        Bench.untilReady(page, "Height");
        // On a machine that is busy with other things a gauge is not heard for a moment: Enter then takes nothing.
        assertThat(gauge).hasAttribute("data-state", "steady");
        page.keyboard().press("Enter");
        Bench.untilReady(page, "Flat");
        assertThat(page.locator("tr[data-feature=height] [data-band=close]")).hasCount(1);

        room.lobrik().sim("height", "noise 8");
        assertThat(gauge).hasAttribute("data-state", Pattern.compile("noisy|moving"));
        assertThat(gauge).containsText(Pattern.compile("hold it still|wait until"));
        page.keyboard().press("Enter");
        assertThat(page.locator("tr[data-feature=flat]")).hasAttribute("data-state", "open");
        room.lobrik().sim("height", "unit furlong");
        assertThat(gauge).hasAttribute("data-state", "wrongUnit");
        assertThat(gauge).containsText("set it to millimetres or inches");
        room.lobrik().sim("height", "away");
        assertThat(gauge).hasAttribute("data-state", "lost");
        room.lobrik().sim("height", "unit mm");
        room.lobrik().sim("height", "noise 0");

        Page other = room.signedIn("oskar", new ArrayList<>());
        other.navigate(page.url());
        Bench.button(other, "Gauge").click();
        Locator listed =
                other.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText("Height gauge 1"));
        assertThat(listed).containsText("Dessa Quillow has it");
        listed.getByText("Take it over").click();
        assertThat(gauge).containsText("Oskar Brindlemay has taken it over.");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Verdict"))
                .click();
        Bench.record(page);
        assertThat(page.getByLabel("Readings as taken")).containsText("Height gauge 1");
    }

    @Test
    void twoWhoMeasureTheSame_areBothKept_andOneDecides_thenItIsVerified(School.Room room) {
        Page page = saddle(room, "Saddle by two", "Quill Sandoz");
        Page other = room.signedIn("oskar", new ArrayList<>());
        other.navigate(page.url());
        Bench.untilReady(other, "Height");
        BrowserContext cut = other.context();
        cut.setOffline(true);
        Bench.untilReady(page, "Height");
        page.keyboard().type("4 1/16", BY_HAND);
        page.keyboard().press("Enter");
        Bench.untilReady(page, "Flat");
        other.keyboard().type("4 1/4", BY_HAND);
        other.keyboard().press("Enter");
        Bench.untilReady(other, "Flat");
        assertThat(other.getByTestId("waiting")).hasAttribute("data-count", "1");
        cut.setOffline(false);
        assertThat(page.locator("tr[data-feature=height]")).hasAttribute("data-state", "disputed");
        for (int i = 1; i < SIX.length; i++) {
            page.locator("aside").getByText(SIX[i] + " · ").waitFor();
            Bench.button(page, "Spot on").click();
        }
        page.getByText("See the verdict").click();
        assertThat(page.getByTestId("score")).containsText("decided which reading counts");
        Locator question = page.getByLabel("Which reading of Height counts?");
        question.getByText("Oskar Brindlemay").click();
        assertThat(page.getByTestId("score")).containsText("of 100");
        Bench.record(page);
        assertThat(page.getByLabel("Readings as taken").locator(".line-through"))
                .containsText("4 1/16");
        Bench.button(page, "Verify and lock").click();
        page.getByText("Verified and locked by Dessa Quillow").waitFor();
        assertThat(Bench.button(page, "Correct Height")).hasCount(0);
        page.getByText("Open it again…").click();
        page.getByLabel("Why is it opened again?").fill("Wrong piece on the bench");
        Bench.button(page, "Open it").click();
        page.getByText("Wrong piece on the bench").waitFor();
        assertThat(Bench.button(page, "Correct Height")).isVisible();
    }

    @Test
    void lookingOver_costsPoints_andOwnFiguresAreScoredApart(School.Room room) {
        Page page = room.signedIn("dessa", errors);
        Bench.giveStub(page, "Stub looked over", "Piet Rowanger");
        Bench.measure(room, page, "Piet Rowanger");
        for (String feature : new String[] {"Mark", "Leg", "Angle", "Other leg"}) {
            page.locator("aside").getByText(feature + " · ").waitFor();
            Bench.button(page, "Spot on").click();
        }
        page.getByText("See the verdict").waitFor();
        page.getByText("Look over").click();
        page.getByLabel("No ripple inside a bend: fault").click();
        page.getByLabel("Note on: No ripple inside a bend").fill("inside, three of them");
        Bench.button(page, "The rest is good").click();
        assertThat(page.getByLabel("No kink: good")).hasAttribute("aria-pressed", "true");
        page.getByLabel("Bend 1 eased out once more").click();
        page.getByLabel("Bend 1 eased out once more").click();
        page.getByText("Take the last one back").click();
        page.getByLabel("Wasted conduit").fill("10 1/2");
        page.getByLabel("Wasted conduit").press("Enter");
        page.locator("input[type=file]").setInputFiles(new FilePayload("piece.png", "image/png", Pictures.png(60, 40)));
        assertThat(page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName("Photo by Dessa Quillow")))
                .isVisible();
        page.getByText("Own figures").click();
        page.getByLabel("Own figure for mark 1").fill("11 3/4");
        Bench.button(page, "Keep the figures").click();
        page.getByText("of 100 for the arithmetic").waitFor();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Verdict"))
                .first()
                .click();
        assertThat(page.getByTestId("score")).containsText("95");
        Bench.record(page);
        assertThat(page.getByLabel("Looked over")).containsText("ripple inside a bend, −5");
        assertThat(page.getByLabel("Looked over")).containsText("inside, three of them");
        assertThat(page.getByLabel("Looked over")).containsText("Re-bent 1 time");
        assertThat(page.getByLabel("Looked over")).containsText("Own arithmetic: 70 of 100");
        assertThat(errors).isEmpty();
    }

    @Test
    void ringOnAWrongOwnFigure_isNotAskedAbout_andTheFigureIsNamedAsTheCause(School.Room room) {
        Page page = room.signedIn("dessa", errors);
        Bench.giveStub(page, "Stub worked out wrong", "Piet Rowanger");
        Bench.measure(room, page, "Piet Rowanger");
        page.getByText("Own figures").click();
        page.getByLabel("Own figure for mark 1").fill("14 1/8");
        Bench.button(page, "Keep the figures").click();
        page.getByText("of 100 for the arithmetic").waitFor();
        page.getByText("Readings", new Page.GetByTextOptions().setExact(true)).click();
        page.locator("aside").getByText("Mark · ").waitFor();
        // On the switch that was pressed, and a figure goes into the field all the same.
        page.keyboard().type("14 1/8");
        page.keyboard().press("Enter");
        page.locator("aside").getByText("Leg · ").waitFor();
        page.keyboard().type("20 1/8");
        page.keyboard().press("Enter");
        page.getByText("Keep 20 1/8").click();
        for (String figure : new String[] {"90", "22"}) {
            page.locator("aside")
                    .getByText(figure.equals("90") ? "Angle · " : "Other leg · ")
                    .waitFor();
            page.keyboard().type(figure);
            page.keyboard().press("Enter");
        }
        page.getByText("See the verdict").click();
        assertThat(page.getByTestId("cause").first()).containsText("Mark worked out wrong");
        assertThat(errors).isEmpty();
    }
}
