package lobrik.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.ArrayList;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** An instructor types on sight: as soon as anything of the piece can be seen, its first field takes the key. */
@ExtendWith(School.class)
class FirstKeyTest {

    @Test
    void fieldHasTheFocus_inTheVeryFrameInWhichThePieceAppears(School.Room room) {
        Page page = room.signedIn("dessa", new ArrayList<>());
        page.getByLabel("Measure another try").first().waitFor();
        String focused = (String) page.evaluate("""
                () => new Promise(done => {
                  const look = () => {
                    const hint = [...document.querySelectorAll('aside p')].some(p => p.textContent.includes('Datum end'));
                    if (hint) {
                      done(document.activeElement.closest('[data-place]')?.dataset.place ?? 'nothing');
                    } else {
                      requestAnimationFrame(look);
                    }
                  };
                  look();
                  document.querySelector('button[aria-label^="Measure another try"]').click();
                })""");
        Assertions.assertThat(focused).isEqualTo("mark1");
        page.keyboard().type("6 1/16");
        assertThat(page.locator("[data-place=mark1] input")).hasValue("6 1/16");
    }
}
