package lobrik.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import java.io.IOException;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.assertj.core.api.Assertions;

/** The first session of a school: stock, room, calendar, who sits where, plan, sheets, a piece measured and signed. */
final class FirstSession {

    private static final int READINGS_OF_A_STUB = 4;

    private final Page lead;
    private final Launched school;

    FirstSession(Page lead, Launched school) {
        this.lead = lead;
        this.school = school;
    }

    /** From the delivery of conduit to a signature. */
    void isHeld() throws IOException {
        stock();
        room();
        calendar();
        seats();
        exercise();
        plan();
        begun();
        sheets();
        measured();
        signed();
    }

    private Locator button(String name) {
        return lead.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private Locator choice(String name) {
        return lead.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName(name));
    }

    private Locator dialog() {
        return lead.getByRole(AriaRole.DIALOG);
    }

    private void go(String path) {
        School.go(lead, path);
    }

    private void stock() {
        go("/shed?side=stock");
        lead.getByLabel("Conduit").getByText("3/4 EMT").click();
        assertThat(lead.getByText("Nothing is kept of this conduit yet")).isVisible();
        button("How it is kept…").click();
        lead.getByLabel("Fewer sticks are too few").fill("8");
        button("Keep it so").click();
        button("Came or went…").click();
        dialog().getByLabel("Pieces").fill("9");
        button("Write it down").click();
        assertThat(lead.getByLabel("On the rack")).containsText("9 ×");
    }

    private void room() {
        go("/shed?side=sessions");
        assertThat(lead.getByText("No session in these weeks")).isVisible();
        button("Rooms and holidays…").click();
        lead.getByLabel("Name of a room").fill("Quay bay");
        lead.getByLabel("Benches", new Page.GetByLabelOptions().setExact(true)).fill("4");
        button("Add the room").click();
        assertThat(lead.getByText("4 benches, 2 places at each")).isVisible();
        lead.keyboard().press("Escape");
    }

    /** From today on, three weeks: a week from now the school is closed. */
    private void calendar() {
        button("Add sessions").click();
        lead.getByLabel("From").fill("00:01");
        lead.getByLabel("Until").fill("23:59");
        lead.getByLabel("Repeat").check();
        lead.getByLabel("Shoe 1").check();
        assertThat(lead.getByText("Nothing is in the way on any of 10 days")).isVisible();
        button("Add these 10").click();
        lead.getByLabel("Calendar")
                .getByRole(AriaRole.BUTTON)
                .filter(new Locator.FilterOptions().setHasText("First year 2026"))
                .first()
                .click();
        assertThat(lead.getByLabel("Session", new Page.GetByLabelOptions().setExact(true)))
                .containsText("Quay bay, benches 1–4");
    }

    private void seats() {
        lead.getByText("Who sits where").click();
        lead.getByText("Keep two apart").click();
        button("Keep them apart").click();
        assertThat(lead.getByText("Ada Finch and Bo Rill")).isVisible();
        button("Work it out").click();
        button("Keep this").click();
        assertThat(lead.getByText("every bender as evenly as can be")).isVisible();
        lead.getByLabel("Rota").getByRole(AriaRole.BUTTON).first().click();
        assertThat(dialog()).containsText("Shoe 1 for the first time. Not at the bench of Bo Rill.");
        choice("Bench").selectOption("4");
        button("Seat them here, and keep it so").click();
        assertThat(lead.getByLabel("Rota")).containsText("◆");
    }

    private void exercise() {
        go("/set");
        choice("Bender").selectOption("Shoe 1");
        lead.getByRole(
                        AriaRole.TEXTBOX,
                        new Page.GetByRoleOptions().setName("Leg").setExact(true))
                .last()
                .fill("14 1/2");
        button("Save").click();
        lead.getByLabel("Title of the exercise").fill("Up to the quay lamp");
        dialog().getByText("Save", new Locator.GetByTextOptions().setExact(true))
                .click();
        lead.getByText("Saved as version 1").waitFor();
    }

    private void plan() {
        go("/progress?side=plan");
        assertThat(lead.getByText("Up to the quay lamp").first()).isAttached();
        choice("When").selectOption(new SelectOption().setIndex(1));
        button("Plan it for this session").click();
        lead.getByText("See the session").click();
        assertThat(lead.getByLabel("Plan", new Page.GetByLabelOptions().setExact(true)))
                .containsText("Up to the quay lamp: 7 trainees");
        assertThat(lead.getByLabel("Plan", new Page.GetByLabelOptions().setExact(true)))
                .containsText("9 on the rack");
    }

    private void begun() {
        go("/floor");
        button("Who is there").click();
        choice("Eda Quill is").selectOption("AWAY");
        button("The other 6 are here").click();
        assertThat(choice("Ada Finch is")).hasValue("HERE");
        lead.keyboard().press("Escape");
        assertThat(Bench.row(lead, "Eda Quill")).containsText("✕ away");
        button("Begin: give out 1 exercise").click();
        assertThat(Bench.row(lead, "Ada Finch")).containsText("Up to the quay lamp");
        assertThat(Bench.row(lead, "Eda Quill")).containsText("Nothing given yet");
        go("/shed?side=stock");
        assertThat(lead.getByLabel("What came and went")).containsText("taken to be cut");
    }

    private void sheets() throws IOException {
        go("/set/library?side=given");
        lead.getByText("Sheets", new Page.GetByTextOptions().setExact(true)).click();
        button("Print the sheets").click();
        Locator link = lead.getByText("Open the 6 sheets (PDF)");
        link.waitFor();
        Download sheets = lead.waitForDownload(link::click);
        try (PDDocument pdf = Loader.loadPDF(sheets.path().toFile())) {
            Assertions.assertThat(new PDFTextStripper().getText(pdf))
                    .contains("Ada Finch", "Up to the quay lamp", "Straps within 36 in");
        }
    }

    private void measured() {
        go("/floor");
        Bench.row(lead, "Ada Finch")
                .getByText("Measure", new Locator.GetByTextOptions().setExact(true))
                .click();
        Locator rows = lead.getByLabel("Readings", new Page.GetByLabelOptions().setExact(true))
                .locator("tbody tr");
        assertThat(rows).hasCount(READINGS_OF_A_STUB);
        for (int i = 0; i < READINGS_OF_A_STUB; i++) {
            lead.locator("[data-place] input:focus").waitFor();
            Bench.button(lead, "Spot on").click();
            rows.nth(i).locator("[data-band=close]").waitFor();
        }
        lead.getByText("See the verdict").click();
        assertThat(lead.getByTestId("score")).containsText("100");
    }

    /** One piece is less than the rule asks, so that it takes a reason. */
    private void signed() {
        lead.navigate(school.base() + "/progress");
        lead.getByLabel("Cohort matrix").getByText("Ada Finch").click();
        lead.getByText("Stub ninety").first().click();
        lead.getByText("Sign off all the same…").click();
        dialog().getByRole(AriaRole.TEXTBOX).fill("Has bent for years elsewhere");
        dialog().getByText("Sign", new Locator.GetByTextOptions().setExact(true))
                .click();
        assertThat(lead.getByLabel("Sign-off", new Page.GetByLabelOptions().setExact(true)))
                .containsText("Signed by");
    }
}
