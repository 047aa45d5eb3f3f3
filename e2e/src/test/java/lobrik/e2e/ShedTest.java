package lobrik.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.eatthepath.otp.TimeBasedOneTimePasswordGenerator;
import com.google.gson.JsonObject;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.security.InvalidKeyException;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import javax.crypto.spec.SecretKeySpec;
import org.apache.commons.codec.binary.Base32;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A school that began empty, set up and kept by its lead on the screens alone. */
@ExtendWith(School.class)
class ShedTest {

    private static final String PASSWORD = "a slow ferry at noon";

    private final List<String> errors = new ArrayList<>();

    @Test
    void emptySchool_isSetUp_invites_movesUpAYear_andShutsSomebodyOut(School.Room room) throws Exception {
        try (Launched school = Launched.startNew(Launched.newFolder(), "--empty")) {
            Page lead = room.screen(1280, 800, "film", errors);
            lead.navigate(school.base());
            lead.getByLabel("Name").fill("lead");
            lead.getByLabel("Password").fill(school.password());
            lead.keyboard().press("Enter");
            lead.getByLabel("Name of the cohort").waitFor();
            nobodyYet(lead);
            ownPassword(lead, school);
            setUp(lead, school);
            cohort(lead);
            bender(lead);
            String link = invited(lead);
            Page wim = joined(room, link);
            teaches(lead, wim, school);
            new FirstSession(lead, school).isHeld();
            yearChange(lead, school);
            shutOut(lead, wim, school);
            audit(lead, school);
            passkey(room, school);
            secondFactor(room, lead, school);
            assertThat(errors).isEmpty();
            theRecordOfANewerBuildIsLeftAlone(school);
        }
    }

    private static void nobodyYet(Page lead) {
        for (String side : List.of("matrix", "plan", "files")) {
            School.go(lead, "/progress?side=" + side);
            assertThat(lead.getByText("There is nobody here yet")).isVisible();
        }
        lead.getByText("Start a cohort on the floor").click();
        lead.getByLabel("Name of the cohort").waitFor();
    }

    /** In one sentence; and it is left as it is. */
    private static void theRecordOfANewerBuildIsLeftAlone(Launched school) throws Exception {
        String data = school.data().toString();
        try (Connection connection = DriverManager.getConnection(
                        school.databaseUrl(), "lobrik_owner", school.setting("spring.flyway.password"));
                Statement statement = connection.createStatement()) {
            statement.execute(
                    "insert into flyway_schema_history select installed_rank + 1, '9999', 'of another time', type,"
                            + " 'V9999__of_another_time.sql', 1, installed_by, installed_on, 1, true from flyway_schema_history"
                            + " order by installed_rank desc limit 1");
        }
        assertThat(Launched.run(Map.of(), "status", "--data", data).text()).contains("running at " + school.base());
        assertThat(school.terminate()).isZero();
        assertThat(Launched.run(Map.of(), "status", "--data", data).code()).isEqualTo(3);
        Launched.Said said = Launched.run(Map.of(), "start", "--data", data, "--port", String.valueOf(school.port()));
        assertThat(said.code()).isNotZero();
        assertThat(said.text())
                .contains("was used by a newer Lobrik (its record is of form 9999", "nothing was changed")
                .doesNotContain("Exception", "\tat ");
    }

    private static Locator side(Page page, String name) {
        return page.getByRole(AriaRole.RADIOGROUP, new Page.GetByRoleOptions().setName("Shown"))
                .getByText(name, new Locator.GetByTextOptions().setExact(true));
    }

    private static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static Locator choice(Page page, String name) {
        return page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName(name));
    }

    private static void ownPassword(Page lead, Launched school) {
        School.go(lead, "/shed?side=you");
        lead.getByLabel("Your password now").fill(school.password());
        lead.getByLabel("Another one").fill("short");
        button(lead, "Take the other one").click();
        assertThat(lead.getByRole(AriaRole.ALERT)).containsText("at least 12 characters");
        lead.getByLabel("Another one").fill("grey herons at low tide");
        button(lead, "Take the other one").click();
        assertThat(lead.getByText("It counts from now on")).isVisible();
        assertThat(lead.getByText("(this one)")).isVisible();
    }

    private static void setUp(Page lead, Launched school) {
        side(lead, "School").click();
        lead.getByLabel("Name of the school").fill("Gull Point Training Shed");
        lead.getByLabel("What of the local code").fill("Straps within 36 in of every box.");
        button(lead, "This is our school").click();
        assertThat(lead.getByText("● Kept.")).isVisible();
        // Somebody else was first: what they kept is not lost, and whoever comes later is told.
        assertThat(Bench.call(lead, "PUT", "/api/school", "{\"edition\":0,\"name\":\"Another\",\"divisionIn\":0.0625}")
                        .get("status"))
                .isEqualTo(409);
    }

    private static void cohort(Page lead) {
        side(lead, "Cohorts").click();
        button(lead, "Start a cohort").click();
        lead.getByLabel("Name of the cohort").fill("First year 2026");
        lead.getByLabel("Trainees, one name a line")
                .fill("Ada Finch\nBo Rill\nCai Tamsin\nDov Harrow\nEda Quill\nFen Marsh");
        button(lead, "Start with 6 trainees").click();
        assertThat(lead.getByLabel("Trainees", new Page.GetByLabelOptions().setExact(true))
                        .first())
                .isVisible();
        button(lead, "Add trainees").click();
        lead.getByLabel("Names, one a line").fill("Gus Orme");
        button(lead, "Add 1 trainee").click();
        button(lead, "Change Gus Orme").click();
        lead.getByLabel("Sheets in larger print").check();
        lead.getByLabel("More time than the others").fill("25");
        button(lead, "Keep").click();
        assertThat(lead.getByText("larger print, 25 % more time")).isVisible();
    }

    /** Conduit and a bender of one's own; its figures are those of three nineties that were bent on it. */
    private static void bender(Page lead) {
        side(lead, "Benders").click();
        button(lead, "Conduit…").click();
        lead.getByLabel("Conduit of your own, called").fill("Dock rail");
        lead.getByLabel("Outside diameter, in").fill("7/8");
        button(lead, "Add it").click();
        assertThat(lead.getByLabel("Sizes of conduit").getByText("Dock rail")).isVisible();
        lead.keyboard().press("Escape");
        button(lead, "Add a bender").click();
        lead.getByRole(AriaRole.DIALOG).getByLabel("Number or name").fill("Shoe 1");
        choice(lead, "Bends").selectOption("3/4 EMT");
        lead.getByLabel("Take-up, as it says").fill("6");
        lead.getByLabel("Radius of the centreline").fill("5 1/8");
        button(lead, "Add it").click();
        lead.getByLabel("Benders").getByText("Shoe 1").click();
        assertThat(lead.getByText("Nothing was bent on it yet")).isVisible();
        button(lead, "Test bends…").click();
        // T 6 1/4 and R 5 1/4: leg = ring + T, both legs = straight + gain, which is (2 − π/2) R + d = 3.175.
        String[][] bends = {
            {"40", "12", "18 1/4", "24 15/16"}, {"36", "10", "16 1/4", "22 15/16"}, {"44", "14", "20 1/4", "26 15/16"}
        };
        for (int i = 0; i < bends.length; i++) {
            String bend = ", bend " + (i + 1);
            lead.getByLabel("Straight" + bend).fill(bends[i][0]);
            lead.getByLabel("Ring at" + bend).fill(bends[i][1]);
            lead.getByLabel("Leg with the ring" + bend).fill(bends[i][2]);
            lead.getByLabel("Other leg" + bend).fill(bends[i][3]);
        }
        assertThat(lead.getByText("One more bend would bring")).isVisible();
        button(lead, "Give Shoe 1 these figures").click();
        assertThat(lead.getByText("Of 3 test bends")).isVisible();
        assertThat(lead.getByText("What it was before (1)")).isVisible();
    }

    private static String invited(Page lead) {
        side(lead, "People").click();
        assertThat(lead.getByText("You are the only one here")).isVisible();
        button(lead, "Invite somebody").click();
        lead.getByLabel("Full name").fill("Wim Askel");
        assertThat(lead.getByLabel("Signs in as")).hasValue("wim.askel");
        button(lead, "Make the invitation").click();
        String link = lead.getByText(Pattern.compile("http://.+/join/.+")).textContent();
        lead.keyboard().press("Escape");
        assertThat(lead.getByText("○ invited")).isVisible();
        return link;
    }

    /** On a device of their own. */
    private Page joined(School.Room room, String link) {
        Page wim = room.browser().newContext(new Browser.NewContextOptions()).newPage();
        wim.onPageError(errors::add);
        wim.navigate(link);
        assertThat(wim.getByText("Gull Point Training Shed")).isVisible();
        wim.getByLabel("A password of your own").fill(PASSWORD);
        wim.keyboard().press("Enter");
        assertThat(wim.getByText("Start your first cohort")).isVisible();
        return wim;
    }

    /** An instructor sees a cohort once it is theirs, and signs nothing once they are an assistant. */
    private static void teaches(Page lead, Page wim, Launched school) {
        button(lead, "Change Wim Askel").click();
        lead.getByLabel("First year 2026").click();
        assertThat(lead.getByLabel("First year 2026")).isChecked();
        // It shows what was pressed before the server has said, and can be pressed again after.
        assertThat(lead.getByLabel("First year 2026")).isEnabled();
        wim.navigate(school.base() + "/floor");
        assertThat(wim.getByText("Ada Finch")).isVisible();
        lead.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("Assistant:"))
                .check();
        assertThat(lead.getByText("is signed out everywhere")).isVisible();
        button(lead, "Keep").click();
        assertThat(lead.getByLabel("People").getByText("Assistant")).isVisible();
        wim.navigate(school.base() + "/floor");
        // What this device remembers of the floor is gone as soon as the server is asked for anything.
        wim.getByLabel("Password").fill(PASSWORD);
        wim.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("wim.askel");
        wim.keyboard().press("Enter");
        assertThat(wim.getByText("Ada Finch")).isVisible();
        wim.getByText("Ada Finch").click();
        assertThat(wim.getByText("Nothing is measured to the end yet")).isVisible();
        assertThat(wim.getByText("Own page")).isHidden();
    }

    private static void yearChange(Page lead, Launched school) {
        School.go(lead, "/shed");
        side(lead, "Cohorts").click();
        button(lead, "End the year…").click();
        assertThat(lead.getByLabel("Next year First year 2026 is called")).hasValue("Second year 2027");
        button(lead, "End the year of 1 cohort, 7 trainees").click();
        assertThat(lead.getByText("Earlier years")).isVisible();
        button(lead, "Change Bo Rill").click();
        lead.getByLabel("Leaves the school").fill("has a job");
        button(lead, "Has left").click();
        assertThat(button(lead, "Change Bo Rill")).isHidden();
        // As it was: seven trainees, also the one who has left since.
        lead.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("First year 2026"))
                .click();
        assertThat(lead.getByLabel("Cohort matrix").getByText("Bo Rill")).isVisible();
        School.go(lead, "/shed?side=cohorts");
        choice(lead, "Trainees").selectOption("left");
        button(lead, "Change Bo Rill").click();
        button(lead, "Comes back here").click();
        assertThat(lead.getByText("Nobody of that name")).isVisible();
        choice(lead, "Trainees").selectOption("here");
        button(lead, "Change Cai Tamsin").click();
        lead.getByLabel("Bench", new Page.GetByLabelOptions().setExact(true)).fill("12");
        button(lead, "Moves here").click();
        assertThat(lead.getByRole(AriaRole.ROW).filter(new Locator.FilterOptions().setHasText("Cai Tamsin")))
                .containsText("12");
    }

    private static void shutOut(Page lead, Page wim, Launched school) {
        wim.navigate(school.base() + "/shed?side=you");
        assertThat(wim.getByText("(this one)")).isVisible();
        side(lead, "People").click();
        button(lead, "Change Wim Askel").click();
        lead.getByLabel("Let in no more, because").fill("left the school");
        button(lead, "Disable the account").click();
        assertThat(lead.getByText("✕ not let in")).isVisible();
        assertThat(Bench.call(wim, "GET", "/api/cohorts", "").get("status")).isEqualTo(401);
        wim.reload();
        assertThat(button(wim, "Sign in")).isVisible();
    }

    /** Set up with an app, and asked for by the next device. */
    private void secondFactor(School.Room room, Page lead, Launched school) throws Exception {
        side(lead, "Your account").click();
        button(lead, "Set it up").click();
        assertThat(lead.getByLabel("Code for your authenticator app")).isVisible();
        String secret = lead.locator("p.select-all").innerText().replace(" ", "");
        lead.getByLabel("The code that it shows now").fill(appCode(secret));
        button(lead, "Let it count from now on").click();
        Locator paper = lead.getByLabel("Recovery codes").locator("li");
        assertThat(paper).hasCount(8);
        String recoveryCode = paper.nth(2).innerText();
        side(lead, "People").click();
        Locator needed = lead.getByLabel("Leads need a second factor");
        assertThat(needed).isEnabled();
        needed.click();
        assertThat(lead.getByText("with a second factor")).isVisible();
        assertThat(needed).isChecked();
        Page fresh = room.screen(1280, 800, "film", new ArrayList<>());
        fresh.navigate(school.base());
        fresh.getByLabel("Name").fill("lead");
        fresh.getByLabel("Password").fill("not the herons at all");
        fresh.keyboard().press("Enter");
        assertThat(fresh.getByRole(AriaRole.ALERT)).containsText("do not belong together");
        fresh.getByLabel("Password").fill("grey herons at low tide");
        fresh.keyboard().press("Enter");
        fresh.getByLabel("Code of your app").fill("not one");
        fresh.keyboard().press("Enter");
        assertThat(fresh.getByRole(AriaRole.ALERT)).containsText("not the code that your app shows now");
        fresh.getByLabel("Code of your app").fill(recoveryCode);
        fresh.keyboard().press("Enter");
        assertThat(fresh.getByLabel("Places")).isVisible();
        side(lead, "Your account").click();
        assertThat(lead.getByText("7 recovery codes are left")).isVisible();
    }

    /** Made by a device that knows its holder, at a name that a key can belong to; signing in with it takes nothing else. */
    private void passkey(School.Room room, Launched school) {
        Page device = room.screen(1280, 800, "film", new ArrayList<>());
        CDPSession authenticator = device.context().newCDPSession(device);
        authenticator.send("WebAuthn.enable");
        JsonObject options = new JsonObject();
        options.addProperty("protocol", "ctap2");
        options.addProperty("transport", "internal");
        options.addProperty("hasResidentKey", true);
        options.addProperty("hasUserVerification", true);
        options.addProperty("isUserVerified", true);
        JsonObject added = new JsonObject();
        added.add("options", options);
        authenticator.send("WebAuthn.addVirtualAuthenticator", added);
        String base = school.base().replace("127.0.0.1", "localhost");
        device.navigate(base);
        device.getByLabel("Name").fill("lead");
        device.getByLabel("Password").fill("grey herons at low tide");
        device.keyboard().press("Enter");
        device.getByLabel("Places").waitFor();
        School.go(device, "/shed?side=you");
        device.getByLabel("What this device is called").fill("The tablet at bench 4");
        button(device, "Make a passkey here").click();
        assertThat(device.getByLabel("Your passkeys")).containsText("The tablet at bench 4");
        device.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Sign out Centre lead"))
                .click();
        button(device, "Sign in with a passkey").click();
        device.getByLabel("Places").waitFor();
        School.go(device, "/shed?side=you");
        button(device, "Take The tablet at bench 4 away").click();
        assertThat(device.getByLabel("Your passkeys")).not().containsText("The tablet at bench 4");
        device.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Sign out Centre lead"))
                .click();
        button(device, "Sign in with a passkey").click();
        assertThat(device.getByRole(AriaRole.ALERT)).containsText("opens nothing here");
    }

    /** What an app makes of a secret in this half minute. */
    private static String appCode(String secret) throws InvalidKeyException {
        TimeBasedOneTimePasswordGenerator app = new TimeBasedOneTimePasswordGenerator();
        return app.generateOneTimePasswordString(
                new SecretKeySpec(new Base32().decode(secret), app.getAlgorithm()), Instant.now());
    }

    private static void audit(Page lead, Launched school) throws Exception {
        side(lead, "Records").click();
        assertThat(lead.getByLabel("Entries").getByText("“left the school”")).isVisible();
        lead.getByLabel("Find", new Page.GetByLabelOptions().setExact(true)).fill("has a job");
        assertThat(lead.getByLabel("Entries").getByRole(AriaRole.LISTITEM)).hasCount(1);
        button(lead, "Check that it is whole").click();
        assertThat(lead.getByText("none changed, taken out or put in")).isVisible();
        Launched.Said said =
                Launched.run(Map.of(), "audit", "--data", school.data().toString());
        assertThat(said.code()).as(said.text()).isZero();
        assertThat(said.text()).contains("Gull Point Training Shed", "whole", "head ");
    }
}
