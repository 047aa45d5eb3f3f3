package lobrik.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.api.extension.ExtendWith;

/** Measures what a person waits for and prints it: the figures of docs/performance.md, with the command to repeat them. */
@ExtendWith(School.class)
@EnabledIfSystemProperty(named = "lobrik.figures", matches = "true", disabledReason = "measured only when asked for")
class FiguresTest {

    /** From the key to the frame in which the kept reading stands on the drawing with its deviation, instead of its field. */
    private static final String WAIT_FOR_DEVIATION = """
            feature => new Promise(done => {
              const began = performance.now();
              const look = () => document.querySelector(`[data-place=${feature}]:not(:has(input)) [data-band]`)
                ? requestAnimationFrame(() => done(performance.now() - began))
                : requestAnimationFrame(look);
              document.querySelector('[aria-label="Enter reading"]').click();
              look();
            })""";

    @Test
    void deviation_standsOnTheDrawing_afterSoLong(School.Room room) {
        Page page = room.signedIn("runa", new ArrayList<>());
        List<Double> milliseconds = new ArrayList<>();
        for (int piece = 0; piece < 10; piece++) {
            page.navigate(room.lobrik().base() + "/floor");
            page.getByLabel("Measure another try").first().click();
            for (String[] reading :
                    new String[][] {{"mark1", "6"}, {"leg", "12 1/16"}, {"angle1", "91"}, {"otherLeg", "18 1/8"}}) {
                page.locator("[data-place=" + reading[0] + "] input:focus").fill(reading[1]);
                milliseconds.add(((Number) page.evaluate(WAIT_FOR_DEVIATION, reading[0])).doubleValue());
            }
            page.getByText("See the verdict").waitFor();
        }
        report("readings, key to deviation on the drawing", milliseconds);
    }

    /** From a key in the leg's field to the frame in which strip and elevation show the new ring. */
    private static final String NUDGE_AND_WAIT = """
            ring => new Promise(done => {
              const field = document.querySelector('[data-place=leg] input');
              const strip = document.querySelector('[data-testid=strip] svg');
              const before = strip.getAttribute('aria-label');
              const began = performance.now();
              const look = () => strip.getAttribute('aria-label') !== before
                ? requestAnimationFrame(() => done(performance.now() - began))
                : requestAnimationFrame(look);
              field.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowUp', bubbles: true }));
              look();
            })""";

    @Test
    void drawings_followAKey_afterSoLong(School.Room room) {
        Page page = room.signedIn("runa", new ArrayList<>());
        page.navigate(room.lobrik().base() + "/set");
        page.locator("[data-place=leg] input").waitFor();
        List<Double> milliseconds = new ArrayList<>();
        for (int key = 0; key < 60; key++) {
            milliseconds.add(((Number) page.evaluate(NUDGE_AND_WAIT)).doubleValue());
        }
        report("keys on the desk, key to both drawings", milliseconds);
    }

    @Test
    void classOfThirty_isPrinted_afterSoLong(School.Room room) {
        Page page = room.signedIn("runa", new ArrayList<>());
        page.evaluate(CLASS_OF_THIRTY);
        page.navigate(room.lobrik().base() + "/set");
        page.getByLabel("Bend", new Page.GetByLabelOptions().setExact(true)).selectOption("saddle4");
        page.getByText("Give out").click();
        page.getByLabel("Give to").selectOption("All of Thirty");
        page.getByText("What each gets").waitFor();
        if (page.getByLabel("Give it all the same").isVisible()) {
            page.getByLabel("Give it all the same").check();
        }
        page.getByText("Give", new Page.GetByTextOptions().setExact(true)).click();
        page.getByText("Given to 30 trainees").waitFor();
        List<Double> milliseconds = new ArrayList<>();
        for (int i = 0; i < 5; i++) {
            long began = System.nanoTime();
            page.getByText("Print the sheets").click();
            page.waitForResponse(
                    response -> response.url().contains("/api/prints/")
                            && response.text().contains("\"finished\":true"),
                    () -> {});
            milliseconds.add((System.nanoTime() - began) / 1e6);
        }
        report("classes of 30 with a four-point saddle, press to the file being ready", milliseconds);
        System.out.printf(
                "the first of them, in a server that had printed nothing: %.0f ms%n", milliseconds.getFirst());
    }

    /** Watches a row until it says this; the moment of the frame in which it does, in the time that all windows share. */
    private static final String WATCH = """
            ([name, words]) => {
              window.seen = new Promise(done => {
                const says = () => [...document.querySelectorAll('li')]
                  .some(each => each.textContent.includes(name) && each.textContent.includes(words));
                const look = () => requestAnimationFrame(() => says() ? done(Date.now()) : look());
                look();
              });
            }""";

    /** Presses what says this; the moment. */
    private static final String PRESS = """
            words => {
              const pressed = [...document.querySelectorAll('button')].find(each => each.textContent.includes(words));
              pressed.click();
              return Date.now();
            }""";

    @Test
    void otherScreens_showAChange_afterSoLong(School.Room room) {
        Page floor = room.signedIn("runa", new ArrayList<>());
        String code = Bench.giveStub(floor, "Stub seen from afar", "Kezia Mallow");
        School.toTheFloor(floor);
        assertThat(Bench.row(floor, "Kezia Mallow")).containsText("Stub seen from afar");
        Page phone = FloorTest.phone(room, code, new ArrayList<>());
        List<Double> milliseconds = new ArrayList<>();
        for (int press = 0; press < 40; press++) {
            boolean helped = press % 2 == 1;
            floor.evaluate(WATCH, List.of("Kezia Mallow", helped ? "Bending" : "Needs help"));
            double pressed = ((Number) phone.evaluate(PRESS, helped ? "Bending" : "I need help")).doubleValue();
            milliseconds.add(((Number) floor.evaluate("() => window.seen")).doubleValue() - pressed);
        }
        report("steps of a trainee, press on the phone to the floor's own frame", milliseconds);
    }

    private static final String CLASS_OF_THIRTY = """
            async () => {
              const token = /XSRF-TOKEN=([^;]+)/.exec(document.cookie)[1];
              const trainees = Array.from({ length: 30 }, (_, i) => 'Trainee ' + (i + 1));
              await fetch('/api/cohorts/' + crypto.randomUUID(), {
                method: 'PUT',
                headers: { 'content-type': 'application/json', 'X-XSRF-TOKEN': token },
                body: JSON.stringify({ name: 'Thirty', trainees }),
              });
            }""";

    private static void report(String what, List<Double> milliseconds) {
        double[] sorted =
                milliseconds.stream().mapToDouble(Double::doubleValue).sorted().toArray();
        assertThat(Arrays.stream(sorted).allMatch(Double::isFinite)).isTrue();
        System.out.printf(
                "%d %s: median %.0f ms, 95th percentile %.0f ms, slowest %.0f ms%n",
                sorted.length,
                what,
                sorted[sorted.length / 2],
                sorted[(int) (sorted.length * 0.95)],
                sorted[sorted.length - 1]);
    }
}
