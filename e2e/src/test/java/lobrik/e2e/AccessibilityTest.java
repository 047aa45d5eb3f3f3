package lobrik.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Every view against WCAG 2.2 AA, on a tablet in both themes and on a phone, and nothing wider than its screen. */
@ExtendWith(School.class)
class AccessibilityTest {

    /** Also looks for barriers at a phone's width, where each build sees that all fits, and at every view in the other colours. */
    private static final boolean FULL = Boolean.getBoolean("lobrik.full");

    private static final int TABLET_WIDTH = 1280;
    private static final int PHONE_WIDTH = 390;
    private static final int HEIGHT = 800;
    private static final String[] THEMES = {"film", "shed"};

    /** As the switch in the frame does it; what fades from one to the other has come to its end. */
    private static final String CHANGE_THEME = """
            async theme => {
              document.documentElement.dataset.theme = theme;
              window.dispatchEvent(new Event('lobrik-theme-changed'));
              await new Promise(requestAnimationFrame);
              await Promise.all(document.getAnimations().map(each => each.finished.catch(() => undefined)));
            }""";

    /** What follows the width of the screen has followed it. */
    private static final String SETTLED =
            "() => new Promise(done => requestAnimationFrame(() => requestAnimationFrame(() => done(true))))";

    /** What stands beside a drawing, and a dialog before a page: all that has changed since the page was looked at. */
    private static final String PANEL = "aside";

    private static final String DIALOG = "dialog[open]";

    /** Both themes say their colours once, for all views: each build sees so many views in the other. */
    private static final int DARK_EACH = 4;

    private final List<String> errors = new ArrayList<>();

    private int looked;

    @Test
    void everyView_hasNoBarriers_andFitsItsScreen(School.Room room) {
        Page page = room.screen(TABLET_WIDTH, HEIGHT, THEMES[0], errors);
        page.navigate(room.lobrik().base());
        page.getByLabel("Password").waitFor();
        check(page, "sign-in");
        room.signedIn("runa", page);
        page.getByText("Kezia Mallow").waitFor();
        check(page, "floor");
        String base = room.lobrik().base();
        School.go(page, "/set");
        page.getByLabel("Ring 1 at").waitFor();
        check(page, "set");
        page.getByLabel("Bend", new Page.GetByLabelOptions().setExact(true)).selectOption("saddle4");
        page.getByTestId("elevation").getByText("Angle 4").waitFor();
        check(page, "set, a saddle");
        page.getByText("Bending", new Page.GetByTextOptions().setExact(true)).click();
        page.getByLabel("Order of bending").waitFor();
        check(page, "set, its bending", PANEL);
        page.getByText("Why", new Page.GetByTextOptions().setExact(true)).click();
        page.getByText("Spacing of the marks").waitFor();
        check(page, "set, why", PANEL);
        run(page);
        page.getByText("Where does it go?").click();
        page.getByText("Round a column").waitFor();
        check(page, "set, situations", DIALOG);
        page.keyboard().press("Escape");
        page.getByText("Give out", new Page.GetByTextOptions().setExact(true)).click();
        page.getByText("A variant each").click();
        page.getByText("What each gets").waitFor();
        check(page, "giving out");
        job(page);
        School.go(page, "/set/library");
        page.getByText("Up to the defrost switch").waitFor();
        check(page, "library");
        School.go(page, "/set/library?side=given");
        page.getByLabel("Codes on sheets").waitFor();
        check(page, "given out");
        School.go(page, "/set/library?side=tolerances");
        Bench.button(page, "Make one like it: site").click();
        page.getByLabel("Points to pass").waitFor();
        check(page, "a set of tolerances");
        School.toTheFloor(page);
        page.getByLabel("Verdict:").first().click();
        page.getByTestId("score").waitFor();
        check(page, "verdict");
        page.navigate(base + "/measure");
        page.getByRole(AriaRole.MAIN).getByRole(AriaRole.BUTTON).first().click();
        page.getByLabel("Number pad").waitFor();
        check(page, "measure");
        page.getByText("Look over", new Page.GetByTextOptions().setExact(true)).click();
        page.getByLabel("No kink: fault").click();
        page.getByLabel("Note on: No kink").waitFor();
        check(page, "looking over", PANEL);
        page.getByText("Own figures", new Page.GetByTextOptions().setExact(true))
                .click();
        check(page, "own figures", PANEL);
        School.go(page, "/wall");
        page.getByText("Back to the floor").waitFor();
        page.getByText("Kezia Mallow").waitFor();
        check(page, "wall");
        progress(page, base);
        assertThat(errors).isEmpty();
    }

    /** The cohort, a trainee, and what is beside them. */
    private void progress(Page page, String base) {
        School.go(page, "/progress");
        page.getByLabel("Cohort matrix").waitFor();
        check(page, "progress of a cohort");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^Kezia Mallow, Stub")))
                .click();
        page.getByText("newest first").waitFor();
        check(page, "progress of a trainee");
        School.go(page, "/progress?side=plan");
        page.getByText("Give all of this out").waitFor();
        check(page, "plan of a session");
        School.go(page, "/progress?side=benders");
        page.getByText("Legs of nineties").waitFor();
        check(page, "benders compared");
        School.go(page, "/progress?side=order");
        page.getByText("Over-bent ninety with heat").first().waitFor();
        check(page, "order of bends");
        School.go(page, "/progress?side=rules");
        page.getByText("Every kind of bend").waitFor();
        check(page, "sign-off rules");
        School.go(page, "/progress?side=files");
        page.getByText("In: a roster").waitFor();
        check(page, "files");
    }

    /** A piece with many readings, while it is measured and once it is judged. */
    @Test
    void everySideOfAPiece_hasNoBarriers_andFitsItsScreen(School.Room room) {
        Page page = room.signedIn("dessa", room.screen(TABLET_WIDTH, HEIGHT, THEMES[0], errors));
        page.getByLabel("Verdict:").first().click();
        page.getByTestId("score").waitFor();
        page.getByTestId("cause")
                .or(page.getByText("No clear cause"))
                .or(page.getByText("is within tolerance"))
                .first()
                .waitFor();
        check(page, "verdict of a saddle");
        for (String tab : new String[] {"Points", "Where from", "Record"}) {
            page.getByLabel("What to see")
                    .getByText(tab, new Locator.GetByTextOptions().setExact(true))
                    .click();
            check(page, "verdict, " + tab, PANEL);
        }
        page.getByText("Show the trainee").click();
        page.getByText("What happened").waitFor();
        check(page, "verdict, shown");
        page.getByText("Back", new Page.GetByTextOptions().setExact(true)).click();
        page.getByText("Another try").click();
        page.getByLabel("Number pad").waitFor();
        check(page, "measuring a saddle");
        assertThat(errors).isEmpty();
    }

    /** What the school consists of, as its lead keeps it. */
    @Test
    void everySideOfTheShed_hasNoBarriers_andFitsItsScreen(School.Room room) {
        Page page = room.signedIn("oskar", room.screen(TABLET_WIDTH, HEIGHT, THEMES[0], errors));
        School.go(page, "/shed");
        page.getByLabel("Name of the school").waitFor();
        check(page, "school");
        School.go(page, "/shed?side=school&view=data");
        page.getByText("Nothing is older than 60 months").waitFor();
        check(page, "data for the years");
        School.go(page, "/shed?side=cohorts");
        Bench.button(page, "Change Kezia Mallow").click();
        page.getByLabel("Leaves the school").waitFor();
        check(page, "a trainee", DIALOG);
        page.keyboard().press("Escape");
        check(page, "cohorts");
        Bench.button(page, "End the year…").click();
        page.getByLabel("What becomes of First year").waitFor();
        check(page, "the end of a year", DIALOG);
        page.keyboard().press("Escape");
        School.go(page, "/shed?side=sessions");
        page.getByLabel("Calendar").getByText("First year").first().click();
        page.getByText("What is bent").waitFor();
        check(page, "sessions");
        Bench.button(page, "Add sessions").click();
        page.getByText("Benders in the room").waitFor();
        check(page, "sessions to add", DIALOG);
        page.keyboard().press("Escape");
        Bench.button(page, "Rooms and holidays…").click();
        page.getByText("Slipway fair").waitFor();
        check(page, "rooms and holidays", DIALOG);
        page.keyboard().press("Escape");
        School.go(page, "/shed?side=sessions&view=rota");
        page.getByLabel("Rota").getByRole(AriaRole.BUTTON).first().waitFor();
        page.getByText("Note an absence").click();
        check(page, "who sits where");
        page.getByLabel("Rota").getByRole(AriaRole.BUTTON).first().click();
        page.getByText("for the").first().waitFor();
        check(page, "a seat", DIALOG);
        page.keyboard().press("Escape");
        School.go(page, "/shed?side=stock");
        page.getByLabel("On the rack").waitFor();
        check(page, "the rack");
        Bench.button(page, "Came or went…").click();
        page.getByLabel("Length of each").waitFor();
        check(page, "what came or went", DIALOG);
        page.keyboard().press("Escape");
        School.go(page, "/shed?side=stock&view=use");
        page.getByText("By kind of bend").waitFor();
        check(page, "used and wasted");
        School.go(page, "/shed?side=benders");
        page.getByText("Bender 7").click();
        page.getByText("Take take-up").waitFor();
        check(page, "a bender");
        Bench.button(page, "Test bends…").click();
        page.getByLabel("Straight, bend 1").waitFor();
        check(page, "test bends", DIALOG);
        page.keyboard().press("Escape");
        Bench.button(page, "Conduit…").click();
        page.getByLabel("Conduit of your own").waitFor();
        check(page, "conduit", DIALOG);
        page.keyboard().press("Escape");
        School.go(page, "/shed?side=people&view=readers");
        page.getByLabel("Your reading").waitFor();
        check(page, "a study that goes on");
        page.getByLabel("Study").selectOption(new SelectOption().setLabel("● Stub nineties on the trestle"));
        page.getByText("Leave out").first().waitFor();
        page.getByText("The analysis").first().click();
        check(page, "what a study came to");
        Bench.button(page, "Begin a study").click();
        page.getByLabel("What it is called").waitFor();
        check(page, "a study to begin", DIALOG);
        page.keyboard().press("Escape");
        School.go(page, "/shed?side=people");
        Bench.button(page, "Change Dessa Quillow").click();
        page.getByLabel("Let in no more").waitFor();
        check(page, "somebody's account", DIALOG);
        page.keyboard().press("Escape");
        check(page, "people");
        School.go(page, "/shed?side=records");
        Bench.button(page, "Check that it is whole").click();
        page.getByText("none changed").waitFor();
        check(page, "records");
        School.go(page, "/shed?side=server");
        page.getByText("Only the machine that runs Lobrik reaches it").waitFor();
        check(page, "how it is reached");
        Bench.button(page, "Have other devices reach it").click();
        page.getByText("A new device").waitFor();
        check(page, "reached by other devices");
        Bench.button(page, "Have this machine alone reach it again").click();
        page.getByText("Only the machine that runs Lobrik reaches it").waitFor();
        School.go(page, "/shed?side=backups");
        page.getByText("Make one now").waitFor();
        check(page, "backups");
        School.go(page, "/shed?side=you");
        page.getByText("(this one)").waitFor();
        check(page, "one's own account");
        page.context().clearCookies();
        page.navigate(room.lobrik().base() + "/join");
        page.getByLabel("The code on your slip").waitFor();
        check(page, "joining");
        assertThat(errors).isEmpty();
    }

    private void check(Page page, String view) {
        check(page, view, "html");
    }

    /** A tablet, now and then in both themes, then a phone in the first: looks at a view that is opened once. */
    private void check(Page page, String view, String within) {
        assertThat(School.barriers(page, within)).as(view).isEmpty();
        assertFits(page, view);
        if (FULL || looked++ % DARK_EACH == 0) {
            page.evaluate(CHANGE_THEME, THEMES[1]);
            // The same page in other colours: names, roles and sizes are as they were.
            assertThat(School.faintness(page, within))
                    .as(view + ", " + THEMES[1])
                    .isEmpty();
            page.evaluate(CHANGE_THEME, THEMES[0]);
        }
        page.setViewportSize(PHONE_WIDTH, HEIGHT);
        page.evaluate(SETTLED);
        if (FULL) {
            assertThat(School.barriers(page, within)).as(view + ", on a phone").isEmpty();
        }
        assertFits(page, view + ", on a phone");
        page.setViewportSize(TABLET_WIDTH, HEIGHT);
        page.evaluate(SETTLED);
    }

    private static void assertFits(Page page, String view) {
        assertThat((Boolean) page.evaluate("() => document.documentElement.scrollWidth <= window.innerWidth"))
                .as(view + " is no wider than its screen")
                .isTrue();
    }

    /** A run that three bent together, put together. */
    private void job(Page page) {
        String id = (String) page.evaluate("""
                async () => (await (await fetch('/api/jobs')).json())
                  .find(({ title }) => title === 'From the panel round the cold store').id""");
        School.go(page, "/jobs/" + id);
        page.getByLabel("Put together", new Page.GetByLabelOptions().setExact(true))
                .waitFor();
        check(page, "a job");
    }

    /** A run in its room, on its walls, and while it is bent. */
    private void run(Page page) {
        page.getByText("Inputs", new Page.GetByTextOptions().setExact(true)).click();
        page.getByLabel("Bend", new Page.GetByLabelOptions().setExact(true)).selectOption("run");
        for (String leg : new String[] {"to the right", "up", "out of the wall"}) {
            page.getByLabel("Next leg " + leg).click();
            page.keyboard().type("24");
        }
        page.getByLabel("Ring 2 at").waitFor();
        page.getByLabel("In the room").selectOption("column");
        page.getByLabel("Gaps").waitFor();
        check(page, "set, a run");
        Locator views = page.getByRole(AriaRole.RADIOGROUP, new Page.GetByRoleOptions().setName("View"));
        views.getByText("Walls").click();
        page.getByLabel("From above")
                .or(page.getByLabel("Facing right"))
                .first()
                .waitFor();
        check(page, "set, a run on its walls");
        views.getByText("Bending").click();
        page.getByLabel("Bending, step by step").waitFor();
        check(page, "set, a run while it is bent");
    }
}
