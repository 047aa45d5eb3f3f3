package lobrik.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Two people read the same pieces, neither sees what the other read, and the school learns how far its readings can be believed. */
@ExtendWith(School.class)
class StudyTest {

    private static final int PIECES = 3;
    private static final int TIMES = 2;
    private static final Pattern TURN = Pattern.compile("Piece (\\d+)\\s*time (\\d+) of " + TIMES);

    private final List<String> errors = new ArrayList<>();

    @Test
    void aStudyIsBegun_readByTwoWithoutSeeingEachOther_closed_andItsSpreadTaken(School.Room room) {
        Page lead = room.signedIn("oskar", errors);
        School.go(lead, "/shed?side=people&view=readers");
        Bench.button(lead, "Begin a study").click();
        lead.getByLabel("What it is called").fill("Legs on the sill");
        lead.getByRole(AriaRole.DIALOG).getByLabel("Pieces").fill(String.valueOf(PIECES));
        lead.getByLabel("Everybody reads each").fill(String.valueOf(TIMES));
        for (String reader : List.of("Oskar Brindlemay", "Runa Tolvane")) {
            lead.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName(reader))
                    .check();
        }
        Bench.button(lead, "Begin: " + 2 * PIECES * TIMES + " readings of a piece in all")
                .click();
        Page instructor = room.signedIn("runa", errors);
        School.go(instructor, "/shed?side=people&view=readers");
        choose(instructor);
        // Runa reads a sixteenth longer than Oskar; both read the second time a sixty-fourth otherwise.
        List<Integer> herOrder = readAll(instructor, 1 / 16.0);
        assertThat(instructor.getByText("What came out is seen when the study is closed"))
                .isVisible();
        choose(lead);
        List<Integer> hisOrder = readAll(lead, 0);
        assertThat(herOrder).hasSize(PIECES * TIMES).containsAll(List.of(1, 2, 3));
        assertThat(hisOrder).hasSize(PIECES * TIMES).containsAll(List.of(1, 2, 3));
        assertThat((String) instructor.evaluate("async () => (await fetch('/api/studies')).text()"))
                .as("what was read is not told before it is closed")
                .contains("Legs on the sill")
                .doesNotContain("13.06");

        Bench.button(lead, "Close it and see what came out").click();
        Locator leg = lead.getByRole(
                AriaRole.REGION, new Page.GetByRoleOptions().setName("Leg").setExact(true));
        assertThat(leg).containsText("of the tolerance goes to reading");
        assertThat(leg).containsText("people read differently");
        Bench.button(lead, "Weigh readings by this from now on").click();
        Locator weighed = lead.getByLabel("What readings are weighed by");
        assertThat(weighed.getByRole(AriaRole.ROWHEADER)).hasText("Leg");
        // Other tests of this school go by what is usual.
        Bench.button(lead, "Weigh as is usual again").click();
        assertThat(weighed).containsText("As is usual");
        assertThat(errors).isEmpty();
    }

    private static void choose(Page page) {
        Locator study = page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Study"));
        Locator ours = study.locator("option", new Locator.LocatorOptions().setHasText("Legs on the sill"));
        ours.waitFor(new Locator.WaitForOptions().setState(WaitForSelectorState.ATTACHED));
        study.selectOption(ours.getAttribute("value"));
    }

    /** Reads whatever piece is asked for until none is; gives the pieces in the order in which they were asked for. */
    private static List<Integer> readAll(Page page, double longer) {
        List<Integer> order = new ArrayList<>();
        Locator form = page.getByLabel("Your reading");
        for (int i = 0; i < PIECES * TIMES; i++) {
            Locator told = form.locator("p[aria-live]");
            Matcher turn = TURN.matcher(told.textContent());
            assertThat(turn.find()).as(told.textContent()).isTrue();
            int piece = Integer.parseInt(turn.group(1));
            double value = 12 + piece + longer + (turn.group(2).equals("2") ? 1 / 64.0 : 0);
            Locator leg = form.getByLabel("Leg", new Locator.GetByLabelOptions().setExact(true));
            assertThat(leg).hasValue("");
            leg.click();
            page.keyboard().type(String.valueOf(value), new Keyboard.TypeOptions().setDelay(20));
            Locator write = Bench.button(page, "Write down, and the next piece");
            assertThat(write).isEnabled();
            String before = told.textContent();
            write.click();
            order.add(piece);
            if (i < PIECES * TIMES - 1) {
                assertThat(told).not().hasText(before);
            }
        }
        assertThat(form).isHidden();
        return order;
    }
}
