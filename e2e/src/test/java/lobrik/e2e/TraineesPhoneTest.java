package lobrik.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A trainee's phone is the sheet: the job, one's own figures, a hint, the answer, the steps, and what became of the piece. */
@ExtendWith(School.class)
class TraineesPhoneTest {

    private final List<String> errors = new ArrayList<>();

    private static void tap(Page phone, String... keys) {
        for (String key : keys) {
            phone.getByLabel("Number pad")
                    .getByRole(
                            AriaRole.BUTTON,
                            new Locator.GetByRoleOptions().setName(key).setExact(true))
                    .click();
        }
    }

    private static void assertFits(Page phone) {
        assertThat((Integer) phone.evaluate("document.documentElement.scrollWidth"))
                .isEqualTo(390);
    }

    @Test
    void figuresComeFirst_thenRightOrWrong_aHint_theAnswer_andTheBends(School.Room room) {
        Page runa = room.signedIn("runa", errors);
        String code = Bench.giveStub(runa, "Stub worked out", "Ilse Pendry");
        Page phone = FloorTest.phone(room, code, errors);
        Locator job = phone.getByLabel("The job", new Page.GetByLabelOptions().setExact(true));
        assertThat(job).containsText("Leg17 5/8");
        assertThat(job).containsText("Other leg22");
        assertThat(job.locator("[data-tube]").first()).isVisible();
        assertThat(phone.content()).doesNotContain("11 5/8");
        phone.getByText("Working it out").click();
        assertThat(Bench.button(phone, "Working it out")).hasAttribute("aria-pressed", "true");
        phone.getByLabel("Mark 1").fill("9/0");
        phone.getByLabel("Cut to").fill("36");
        Bench.button(phone, "Send my figures").click();
        assertThat(phone.getByRole(AriaRole.ALERT)).containsText("0 below the line");
        // With the keys of the sheet: figures, a fraction, and on.
        phone.getByLabel("Mark 1").fill("");
        tap(phone, "1", "2", "1/8");
        assertThat(phone.getByLabel("Mark 1")).hasValue("12 1/8");
        Bench.button(phone, "Send my figures").click();
        phone.getByText("look again").first().waitFor();
        assertThat(Bench.button(phone, "Show the answer")).isDisabled();
        Bench.button(phone, "A hint for Mark 1").click();
        assertThat(phone.getByText("take it off the leg")).isVisible();
        assertThat(phone.getByText("11 5/8")).hasCount(0);
        Locator other = Bench.button(phone, "A hint for Cut to");
        if (other.count() > 0) {
            other.click();
        }
        Bench.button(phone, "Show the answer").click();
        assertThat(phone.getByText(Pattern.compile("It is\\s*11")).first()).isVisible();
        Locator bending = phone.getByLabel("Bending", new Page.GetByLabelOptions().setExact(true));
        assertThat(bending).containsText("Bend 1 of 1");
        assertThat(bending).containsText("Arrow on ring 1");
        assertThat(School.barriers(phone)).isEmpty();
        assertFits(phone);
        Bench.button(phone, "Bent, all done").click();
        assertThat(bending).containsText("All bends are made");
        Locator look = phone.getByLabel("Look it over", new Page.GetByLabelOptions().setExact(true));
        Locator first = look.getByRole(AriaRole.BUTTON).first();
        first.click();
        assertThat(first).hasAttribute("aria-pressed", "true");
        assertThat(errors).isEmpty();
    }

    @Test
    void saddle_isBentStepByStep_onceEveryFigureIsRight(School.Room room) {
        Page dessa = room.signedIn("dessa", errors);
        String code = Bench.giveSaddle(dessa, "Saddle on the phone", "all", "Ulf Brackenby");
        Page phone = FloorTest.phone(room, code, errors);
        assertFits(phone);
        // Height with clearance 4: spacing 8, shrink of one side 1; the edge less 1/2 in and plus the shrink is the
        // second ring.
        Map<String, String> right = Map.of("Mark 1", "26 1/2", "Mark 2", "34 1/2", "Mark 3", "47", "Mark 4", "55");
        right.forEach((mark, figure) -> phone.getByLabel(mark).fill(figure));
        phone.getByLabel("Cut to").fill("94");
        Bench.button(phone, "Send my figures").click();
        phone.getByText("Your figures", new Page.GetByTextOptions().setExact(true))
                .waitFor();
        Locator bending = phone.getByLabel("Bending", new Page.GetByLabelOptions().setExact(true));
        for (int bend = 1; bend <= 4; bend++) {
            assertThat(bending).containsText("Bend " + bend + " of 4");
            assertThat(bending.getByTestId("strip")
                            .getByLabel("Straight conduit")
                            .first())
                    .isVisible();
            bending.getByText(Pattern.compile("^Bent, ")).click();
        }
        assertThat(bending).containsText("press “Come and check”");
        assertThat(errors).isEmpty();
    }

    @Test
    void pieceThatWasChecked_isToldInPlainWords(School.Room room) {
        Page runa = room.signedIn("runa", errors);
        String attempt = Bench.offset(
                runa,
                "Offset told",
                "Greta Lindvar",
                Map.of(
                        "mark1", "24", "mark2", "36", "rise", "6 1/16", "angle1", "30", "angle2", "30", "landing",
                        "34 1/2", "dogLeg", "0", "overall", "80"));
        String code = (String) runa.evaluate("""
                async id => {
                  const assignment = (await (await fetch('/api/attempts/' + id)).json()).assignmentId;
                  const givings = await (await fetch('/api/givings')).json();
                  return givings.flatMap(given => given.sheets).find(sheet => sheet.assignmentId === assignment).code;
                }""", attempt);
        Page phone = room.screen(390, 844, "film", errors);
        phone.navigate(room.lobrik().base() + "/bench/" + code);
        Locator told = phone.getByLabel("What became of it");
        assertThat(told).containsText("not yet");
        assertThat(told).containsText("The shrink of 1 1/2 in was not added.");
        assertThat(told).containsText("Next time:");
        assertThat(told.locator("[data-tube]").first()).isVisible();
        assertThat(told.getByRole(AriaRole.ROW).filter(new Locator.FilterOptions().setHasText("Landing")))
                .containsText("−1 1/2");
        assertThat(phone.getByRole(AriaRole.GROUP)).hasCount(0);
        assertThat(phone.getByText("You also have")).hasCount(0);
        assertThat(School.barriers(phone)).isEmpty();
        assertFits(phone);
        // The code is good for more once the instructor begins another try.
        runa.navigate(room.lobrik().base() + "/measure?sheet=" + code);
        runa.waitForURL(Pattern.compile("/measure/[0-9a-f-]+$"));
        phone.reload();
        Bench.button(phone, "Working it out").waitFor();
        assertThat(told).hasCount(0);
        assertThat(errors).isEmpty();
    }
}
