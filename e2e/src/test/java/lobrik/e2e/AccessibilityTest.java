package lobrik.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Every view against WCAG 2.2 AA, on a tablet in both themes and on a phone, and nothing wider than its screen. */
@ExtendWith(School.class)
class AccessibilityTest {

    private static final String FIRST_THEME = "film";

    /** As the switch in the frame does it; what fades from one to the other has come to its end. */
    private static final String CHANGE_THEME = """
            async theme => {
              document.documentElement.dataset.theme = theme;
              window.dispatchEvent(new Event('lobrik-theme-changed'));
              await new Promise(requestAnimationFrame);
              await Promise.all(document.getAnimations().map(each => each.finished.catch(() => undefined)));
            }""";

    private final List<String> errors = new ArrayList<>();
    private String[] themes = {};

    @ParameterizedTest
    @CsvSource({"1280, 800, film shed", "390, 800, film"})
    void everyView_hasNoBarriers_andFitsItsScreen(int width, int height, String inThemes, School.Room room) {
        themes = inThemes.split(" ");
        Page page = room.screen(width, height, FIRST_THEME, errors);
        page.navigate(room.lobrik().base());
        page.getByLabel("Password").waitFor();
        check(page, "sign-in");
        room.signedIn("runa", page);
        page.getByText("Kezia Mallow").waitFor();
        check(page, "floor");
        String base = room.lobrik().base();
        page.navigate(base + "/set");
        page.getByLabel("Ring 1 at").waitFor();
        check(page, "set");
        page.getByLabel("Bend", new Page.GetByLabelOptions().setExact(true)).selectOption("saddle4");
        page.getByTestId("elevation").getByText("Angle 4").waitFor();
        check(page, "set, a saddle");
        page.getByText("Bending", new Page.GetByTextOptions().setExact(true)).click();
        page.getByLabel("Order of bending").waitFor();
        check(page, "set, its bending");
        page.getByText("Why", new Page.GetByTextOptions().setExact(true)).click();
        page.getByText("Spacing of the marks").waitFor();
        check(page, "set, why");
        page.getByText("Where does it go?").click();
        page.getByText("Round a column").waitFor();
        check(page, "set, situations");
        page.keyboard().press("Escape");
        page.getByText("Give out", new Page.GetByTextOptions().setExact(true)).click();
        page.getByText("A variant each").click();
        page.getByText("What each gets").waitFor();
        check(page, "giving out");
        page.navigate(base + "/set/library");
        page.getByText("Up to the defrost switch").waitFor();
        check(page, "library");
        page.navigate(base + "/set/library?side=tolerances");
        Bench.button(page, "Make one like it: site").click();
        page.getByLabel("Points to pass").waitFor();
        check(page, "a set of tolerances");
        page.navigate(base + "/floor");
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
        check(page, "looking over");
        page.getByText("Own figures", new Page.GetByTextOptions().setExact(true))
                .click();
        check(page, "own figures");
        page.navigate(base + "/wall");
        page.getByText("Back to the floor").waitFor();
        page.getByText("Kezia Mallow").waitFor();
        check(page, "wall");
        progress(page, base);
        assertThat(errors).isEmpty();
    }

    /** The cohort, a trainee, and what is beside them. */
    private void progress(Page page, String base) {
        page.navigate(base + "/progress");
        page.getByLabel("Cohort matrix").waitFor();
        check(page, "progress of a cohort");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^Kezia Mallow, Stub")))
                .click();
        page.getByText("newest first").waitFor();
        check(page, "progress of a trainee");
        page.navigate(base + "/progress?side=plan");
        page.getByText("Give all of this out").waitFor();
        check(page, "plan of a session");
        page.navigate(base + "/progress?side=benders");
        page.getByText("Legs of nineties").waitFor();
        check(page, "benders compared");
        page.navigate(base + "/progress?side=rules");
        page.getByText("Every kind of bend").waitFor();
        check(page, "sign-off rules");
        page.navigate(base + "/progress?side=files");
        page.getByText("In: a roster").waitFor();
        check(page, "files");
    }

    /** A piece with many readings, while it is measured and once it is judged. */
    @ParameterizedTest
    @CsvSource({"1280, 800, film shed", "390, 800, film"})
    void everySideOfAPiece_hasNoBarriers_andFitsItsScreen(int width, int height, String inThemes, School.Room room) {
        themes = inThemes.split(" ");
        Page page = room.signedIn("dessa", room.screen(1280, 800, FIRST_THEME, errors));
        page.getByLabel("Verdict:").first().click();
        page.getByTestId("score").waitFor();
        page.setViewportSize(width, height);
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
            check(page, "verdict, " + tab);
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

    private void check(Page page, String view) {
        for (int i = 0; i < themes.length; i++) {
            if (themes.length > 1) {
                page.evaluate(CHANGE_THEME, themes[i]);
            }
            // The same page in other colours: names, roles and sizes are as they were.
            assertThat(i == 0 ? School.barriers(page) : School.faintness(page))
                    .as(view + ", " + themes[i])
                    .isEmpty();
        }
        assertThat((Boolean) page.evaluate("() => document.documentElement.scrollWidth <= window.innerWidth"))
                .as(view + " is no wider than its screen")
                .isTrue();
    }
}
