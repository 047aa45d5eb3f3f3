package lobrik.e2e;

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

    /** From the key to the frame in which the deviation of this feature stands on the drawing. */
    private static final String WAIT_FOR_DEVIATION = """
            feature => new Promise(done => {
              const began = performance.now();
              const look = () => document.querySelector(`[data-place=${feature}] [data-band]`)
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
        double[] sorted =
                milliseconds.stream().mapToDouble(Double::doubleValue).sorted().toArray();
        System.out.printf(
                "%d readings, key to deviation on the drawing: median %.0f ms, 95th percentile %.0f ms, slowest %.0f ms%n",
                sorted.length,
                sorted[sorted.length / 2],
                sorted[(int) (sorted.length * 0.95)],
                sorted[sorted.length - 1]);
        assertThat(Arrays.stream(sorted).allMatch(Double::isFinite)).isTrue();
    }
}
