package lobrik.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A tablet in a corner of the shed where there is no signal. */
@ExtendWith(School.class)
class OfflineTest {

    /** The server may just have started, and the queue goes out one after the other. */
    private static final LocatorAssertions.HasTextOptions SENT_IN_TIME =
            new LocatorAssertions.HasTextOptions().setTimeout(20_000);

    @Test
    void queue_survivesReloadAndRestart_andArrivesOnceInOrder(School.Room room) throws Exception {
        Launched school = room.lobrik();
        try (Page page = room.signedIn("dessa", room.keepingScreen())) {
            Bench.giveSaddle(page, "Saddle without signal", "short", "Odile Farrant");
            page.navigate(school.base() + "/floor");
            assertThat(Bench.row(page, "Odile Farrant")).containsText("Saddle without signal");
            page.reload();
            assertThat(Bench.row(page, "Odile Farrant")).containsText("Saddle without signal");
            Bench.untilKept(page, "Saddle without signal");

            page.context().setOffline(true);
            Bench.row(page, "Odile Farrant").getByText("Measure").click();
            Bench.type(page, "Height", "4");
            Bench.type(page, "Flat", "12 9/16");
            Bench.type(page, "Landing", "34");
            Bench.untilReady(page, "Far-end kick");
            assertThat(page.getByTestId("waiting")).hasAttribute("data-count", "4");

            page.reload();
            Bench.untilReady(page, "Far-end kick");
            assertThat(page.getByTestId("waiting")).hasAttribute("data-count", "4");
            assertThat(page.locator("tr[data-feature=flat]")).hasAttribute("data-state", "read");
            Bench.type(page, "Far-end kick", "1/16");
            Bench.untilReady(page, "Dog leg");

            school.close();
            school.again();
            assertThat(page.getByTestId("waiting")).hasAttribute("data-count", "5");
            Bench.type(page, "Dog leg", "1");
            Bench.untilReady(page, "Overall");
            page.context().setOffline(false);
            Bench.type(page, "Overall", "92 1/8");
            assertThat(page.getByTestId("waiting")).hasText("Everything is saved", SENT_IN_TIME);

            page.getByText("See the verdict").click();
            assertThat(page.getByTestId("score")).containsText("of 100");
            Bench.record(page);
            List<String> taken = page.getByLabel("Readings as taken")
                    .getByRole(AriaRole.LISTITEM)
                    .locator("span:first-child .figures")
                    .allInnerTexts();
            assertThat(taken).containsExactly("4", "12 9/16", "34", "1/16", "1", "92 1/8");
            page.reload();
            Bench.record(page);
            assertThat(page.getByLabel("Readings as taken").getByRole(AriaRole.LISTITEM))
                    .hasCount(6);
        }
    }

    @Test
    void withoutSignal_theFloorIsShownAsLastKnown_andWhatIsLookedOverWaitsToo(School.Room room) {
        Page page = room.signedIn("dessa", room.keepingScreen());
        Bench.giveStub(page, "Stub in the corner", "Tamsin Gorrie");
        page.navigate(room.lobrik().base() + "/floor");
        assertThat(Bench.row(page, "Tamsin Gorrie")).containsText("Stub in the corner");
        page.reload();
        assertThat(Bench.row(page, "Tamsin Gorrie")).containsText("Stub in the corner");
        Bench.untilKept(page, "Stub in the corner");
        page.context().setOffline(true);
        page.reload();
        assertThat(Bench.row(page, "Tamsin Gorrie")).containsText("Stub in the corner");
        assertThat(page.getByTestId("live")).containsText("no signal, as of");
        Bench.row(page, "Tamsin Gorrie").getByText("Measure").click();
        Bench.type(page, "Mark", "11 5/8");
        Bench.untilReady(page, "Leg");
        page.getByText("Look over").click();
        page.getByLabel("No kink: fault").click();
        assertThat(page.getByLabel("No kink: fault")).hasAttribute("aria-pressed", "true");
        Bench.button(page, "3 entries wait on this device").click();
        assertThat(page.getByText("There is no signal. It is safe here")).isVisible();
        assertThat(page.getByText("looked over: kink")).isVisible();
        Bench.button(page, "Close").click();
        page.context().setOffline(false);
        assertThat(page.getByTestId("waiting")).hasText("Everything is saved", SENT_IN_TIME);
        page.reload();
        page.getByText("Look over").click();
        assertThat(page.getByLabel("No kink: fault")).hasAttribute("aria-pressed", "true");
    }

    @Test
    void readingForAPieceThatWasVerifiedMeanwhile_isNotLost_butAskedAbout(School.Room room) {
        Page page = room.signedIn("dessa", room.keepingScreen());
        Bench.giveStub(page, "Stub verified meanwhile", "Wilf Okonde");
        Bench.measure(room, page, "Wilf Okonde");
        String attempt = page.url().replaceAll(".*/", "");
        for (String feature : new String[] {"Mark", "Leg", "Angle", "Other leg"}) {
            page.locator("aside").getByText(feature + " · ").waitFor();
            Bench.button(page, "Spot on").click();
        }
        page.getByText("See the verdict").click();
        page.getByTestId("score").getByText("of 100").waitFor();
        Page oskar = room.signedIn("oskar", new ArrayList<>());
        page.context().setOffline(true);
        Bench.record(page);
        Bench.button(page, "Correct Leg").click();
        page.getByLabel("Leg, right reading").fill("17 3/4");
        page.getByLabel("Why is it corrected?").fill("Tape was tilted");
        Bench.button(page, "Keep the correction").click();
        Bench.call(oskar, "PUT", "/api/attempts/" + attempt + "/seals/" + UUID.randomUUID(), "{\"sealed\":true}");
        page.context().setOffline(false);
        assertThat(page.getByTestId("waiting")).containsText("ask you");
        page.getByTestId("waiting").click();
        assertThat(page.getByText("This attempt is verified and locked")).isVisible();
        Bench.call(
                oskar,
                "PUT",
                "/api/attempts/" + attempt + "/seals/" + UUID.randomUUID(),
                "{\"sealed\":false,\"reason\":\"There is a correction\"}");
        Bench.button(page, "Send it again").click();
        assertThat(page.getByTestId("waiting")).hasText("Everything is saved", SENT_IN_TIME);
    }
}
