package lobrik.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Drawings as they come out in the browser: nothing covers anything, on any bend, in any window. */
@ExtendWith(School.class)
class DrawingTest {

    private static final List<String> KINDS =
            List.of("stub90", "backToBack90", "boxOffset", "offset", "rollingOffset", "kick", "saddle3", "saddle4");

    /** A desk, a small desk, a phone, and a desk of which everything is shown twice as large. */
    private static final int[][] WINDOWS = {{1280, 800}, {1024, 768}, {390, 844}, {640, 400}};

    /** Texts and fields of a drawing that overlap each other by more than a hair, or that the drawing cuts off. */
    private static final String COVERED = """
            () => {
              const found = [];
              for (const drawing of document.querySelectorAll('[data-testid=elevation], [data-testid=strip]')) {
                const frame = drawing.getBoundingClientRect();
                const texts = [...drawing.querySelectorAll('[data-place], svg text, button')]
                  .filter(each => each.parentElement.closest('[data-place]') === null)
                  .map(each => ({ name: each.dataset?.place ?? each.textContent, box: each.getBoundingClientRect() }))
                  .filter(({ box }) => box.width > 0);
                texts.forEach(({ name, box: a }, i) => {
                  if (a.left < frame.left - 1.5 || a.right > frame.right + 1.5) found.push(name + ' is cut off');
                  texts.slice(i + 1).forEach(({ name: other, box: b }) => {
                    const wide = Math.min(a.right, b.right) - Math.max(a.left, b.left);
                    const high = Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top);
                    if (wide > 1.5 && high > 3) found.push(name + ' and ' + other);
                  });
                });
              }
              return found.join('; ');
            }""";

    private final List<String> errors = new ArrayList<>();

    /** Lets what is laid out and the sizes of the fields come to rest. */
    private static void untilDrawn(Page page) {
        page.evaluate("""
                () => new Promise(done => {
                  let before = '';
                  let same = 0;
                  // Frame by frame: on a busy machine much time may pass before a page is told how large it is now.
                  const look = () => {
                    const now = innerWidth + [...document.querySelectorAll('[data-place]')]
                      .map(each => each.dataset.place + each.getAttribute('style')).join();
                    same = now === before && document.querySelector('[data-place]') ? same + 1 : 0;
                    before = now;
                    if (same === 5) done();
                    else requestAnimationFrame(look);
                  };
                  look();
                })""");
    }

    @Test
    void nothingCoversAnything_onAnyBend_inAnyWindow(School.Room room) {
        Page page = room.signedInAt("/set", "dessa", errors);
        List<String> covered = new ArrayList<>();
        for (String kind : KINDS) {
            page.setViewportSize(WINDOWS[0][0], WINDOWS[0][1]);
            page.getByLabel("Bend", new Page.GetByLabelOptions().setExact(true)).selectOption(kind);
            assertThat(page.getByTestId("strip").getByRole(AriaRole.GROUP)).isVisible();
            for (int[] window : WINDOWS) {
                page.setViewportSize(window[0], window[1]);
                untilDrawn(page);
                String found = (String) page.evaluate(COVERED);
                if (!found.isEmpty()) {
                    covered.add(kind + " at " + window[0] + " × " + window[1] + ": " + found);
                }
            }
        }
        Assertions.assertThat(covered).isEmpty();
        Assertions.assertThat(errors).isEmpty();
    }

    @Test
    void longStraights_areBroken_andShownWholeAtAPress(School.Room room) {
        Page page = room.signedInAt("/set", "dessa", errors);
        page.getByLabel("Bend", new Page.GetByLabelOptions().setExact(true)).selectOption("saddle4");
        Locator drawing = page.getByTestId("elevation");
        Locator breaks = drawing.locator("[data-break]");
        assertThat(breaks).hasCount(2);
        double broken = drawing.locator("[data-obstacle]").boundingBox().height;
        Bench.button(page, "Whole length").click();
        assertThat(breaks).hasCount(0);
        Assertions.assertThat(broken)
                .as("the bends fill the picture")
                .isGreaterThan(1.4 * drawing.locator("[data-obstacle]").boundingBox().height);
        Bench.button(page, "Break straights").click();
        assertThat(breaks).hasCount(2);
    }

    @Test
    void afterAnError_nothingOldStandsAsIfItWereRight(School.Room room) {
        Page page = room.signedInAt("/set", "dessa", errors);
        page.getByLabel("Bend", new Page.GetByLabelOptions().setExact(true)).selectOption("offset");
        Locator drawing = page.getByTestId("elevation");
        Locator angle2 = drawing.locator("[data-place=angle2]");
        assertThat(angle2).containsText("30");
        Locator rise = drawing.getByLabel("Rise", new Locator.GetByLabelOptions().setExact(true));
        rise.fill("90");
        page.getByText("✕ Cannot be laid out.").waitFor();
        assertThat(angle2).hasCount(0);
        assertThat(page.getByTestId("strip")).hasCount(0);
        assertThat(page.getByText("No marks: it cannot be laid out as it is set."))
                .isVisible();
        assertThat(drawing.getByRole(AriaRole.IMG))
                .hasAttribute("aria-label", "Offset, as it was before. It cannot be laid out as it is set now.");
        rise.fill("five");
        assertThat(page.getByTestId("strip")).hasCount(0);
        rise.fill("");
        assertThat(page.getByTestId("strip")).hasCount(0);
        rise.fill("5");
        assertThat(angle2).containsText("30");
        assertThat(page.getByTestId("strip")).isVisible();
        Assertions.assertThat(errors).isEmpty();
    }

    @Test
    void afterAnError_aStubIsPaleToo_andNothingIsSaidToComeOut(School.Room room) {
        Page page = room.signedInAt("/set", "dessa", errors);
        Locator drawing = page.getByTestId("elevation");
        assertThat(drawing.locator("[data-place=mark1]")).containsText("ring at");
        page.getByText("Comes out", new Page.GetByTextOptions().setExact(true)).click();
        assertThat(page.getByText("What the marks give", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        drawing.getByLabel("Leg", new Locator.GetByLabelOptions().setExact(true))
                .fill("long");
        assertThat(drawing.locator("[data-place=mark1]")).hasCount(0);
        assertThat(drawing.locator("svg > g[opacity='0.3']")).hasCount(1);
        assertThat(page.getByText("It cannot be laid out like this.")).isVisible();
        assertThat(page.getByText("What the marks give", new Page.GetByTextOptions().setExact(true)))
                .hasCount(0);
    }

    @Test
    void clearanceUpToTheWholeInch_followsTheHeight_andIsNoStepOfItsOwn(School.Room room) {
        Page page = room.signedInAt("/set", "dessa", errors);
        page.getByLabel("Bend", new Page.GetByLabelOptions().setExact(true)).selectOption("saddle3");
        Locator drawing = page.getByTestId("elevation");
        Locator height = drawing.getByLabel("Height", new Locator.GetByLabelOptions().setExact(true));
        Locator clearance = drawing.getByLabel("Clearance", new Locator.GetByLabelOptions().setExact(true));
        height.fill("2 3/8");
        page.getByLabel("Usual clearance").selectOption("wholeInch");
        assertThat(clearance).hasValue("5/8");
        height.fill("3 1/4");
        assertThat(clearance).hasValue("3/4");
        page.keyboard().press("Control+z");
        assertThat(height).hasValue("2 3/8");
        assertThat(clearance).hasValue("5/8");
    }
}
