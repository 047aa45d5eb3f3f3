package lobrik.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Progress in a real browser: from the matrix to a piece and back, signing, files out and in, the plan, a trainee's own page. */
@ExtendWith(School.class)
class ProgressTest {

    private final List<String> errors = new ArrayList<>();

    private static Locator link(Page page, String name) {
        return page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile(name)));
    }

    private static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static void open(School.Room room, Page page, String side) {
        School.go(page, "/progress?side=" + side);
    }

    private static int scrolled(Page page) {
        return ((Number) page.getByLabel("Cohort matrix").evaluate("box => Math.round(box.scrollTop)")).intValue();
    }

    @Test
    void matrixToCellToTraineeToPiece_andBack_keepsThePlace(School.Room room) {
        Page page = room.signedIn("runa", room.screen(1280, 520, "film", errors));
        open(room, page, "matrix");
        page.getByLabel("Tolerances").selectOption("site");
        page.getByLabel("Sorted by").selectOption("name");
        Locator cell = link(page, "^Nuno Hask, Stub ninety");
        cell.scrollIntoViewIfNeeded();
        page.waitForCondition(() -> scrolled(page) > 50);
        int place = scrolled(page);
        String said = cell.getAttribute("aria-label");

        cell.click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                .hasText("Nuno Hask");
        assertThat(page.getByLabel("Kinds of bend").locator("[aria-current=true]"))
                .containsText("Stub ninety");
        Locator kinds = page.getByLabel("Kinds of bend");
        kinds.getByText("Box offset").click();
        assertThat(kinds.locator("[aria-current=true]")).containsText("Box offset");
        Locator piece = page.getByLabel("Pieces", new Page.GetByLabelOptions().setExact(true))
                .getByRole(AriaRole.LINK)
                .first();
        String title = piece.textContent();
        piece.click();
        page.getByTestId("score").waitFor();
        assertThat(page.getByText(title).first()).isVisible();

        page.goBack();
        assertThat(page.getByLabel("Kinds of bend").locator("[aria-current=true]"))
                .containsText("Box offset");
        page.goBack();
        assertThat(link(page, "^Nuno Hask, Stub ninety")).hasAttribute("aria-label", String.valueOf(said));
        assertThat(page.getByLabel("Tolerances")).hasValue("site");
        assertThat(page.getByLabel("Sorted by")).hasValue("name");
        page.waitForCondition(() -> scrolled(page) == place);
        assertThat(errors).isEmpty();
    }

    @Test
    void whoeverIsReady_isSignedByAPerson_andASignatureIsWithdrawnWithAReason(School.Room room) throws IOException {
        Page page = room.signedIn("runa", errors);
        open(room, page, "matrix");
        Locator waiting =
                page.getByRole(AriaRole.COMPLEMENTARY).getByRole(AriaRole.LINK).first();
        String name = waiting.locator("span").first().textContent();
        waiting.click();
        button(page, "Sign off…").click();
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("I, Runa Tolvane, sign that " + name);
        button(page, "Sign").click();
        assertThat(page.getByLabel("Sign-off")).containsText("Signed by Runa Tolvane");
        Download record = page.waitForDownload(
                () -> page.getByText("Record of achievement").click());
        try (PDDocument pdf = Loader.loadPDF(record.path().toFile())) {
            assertThat(new PDFTextStripper().getText(pdf)).contains("Record of achievement", name, "Runa Tolvane");
        }

        page.getByText("Withdraw…").last().click();
        page.getByLabel("Why").fill("Bent with somebody's help");
        button(page, "Withdraw").click();
        assertThat(page.getByLabel("Sign-off")).containsText("Withdrawn by Runa Tolvane");
        assertThat(page.getByLabel("Sign-off")).containsText("Bent with somebody's help");
        assertThat(button(page, "Sign off…")).isVisible();
        assertThat(errors).isEmpty();
    }

    @Test
    void gradebook_saysWhatTheMatrixShows(School.Room room) throws IOException {
        Page page = room.signedIn("dessa", errors);
        open(room, page, "matrix");
        link(page, "^Odile Farrant, Stub").waitFor();
        List<String> cells = page.locator("td a").all().stream()
                .map(cell -> cell.getAttribute("aria-label"))
                .toList();
        open(room, page, "files");
        Download file =
                page.waitForDownload(() -> page.getByText("Gradebook, CSV").click());
        // Text is quoted; none of it has a comma or a quote in it.
        List<String> lines = Files.readAllLines(file.path()).stream()
                .map(line -> line.replace("\"", ""))
                .toList();
        List<String> header = List.of(lines.getFirst().split(","));
        int kinds = Math.toIntExact(
                header.stream().filter(column -> column.endsWith(": standing")).count());
        assertThat(lines).hasSize(1 + cells.size() / kinds);
        for (String cell : cells) {
            // Odile Farrant, Offset: steady, 3 of the last 4 passed
            String[] said = cell.split(", |: ");
            String row = lines.stream()
                    .filter(line -> line.contains(said[0]))
                    .findFirst()
                    .orElseThrow();
            int column = header.indexOf(said[1].toLowerCase(Locale.ROOT) + ": standing");
            assertThat(row.split(",", -1)[column]).as(cell).isEqualTo(said[2]);
        }
        assertThat(errors).isEmpty();
    }

    @Test
    void leadWritesTheOrderOfBends_andTheUsualOneComesBack(School.Room room) {
        Page page = room.signedIn("oskar", errors);
        open(room, page, "order");
        Locator steps = page.getByRole(AriaRole.LIST).locator("li");
        assertThat(steps.nth(1)).containsText("Back-to-back ninety");
        button(page, "Back-to-back ninety further down").press("Enter");
        assertThat(steps.nth(1)).containsText("Box offset");
        assertThat(button(page, "Back-to-back ninety further down")).isFocused();
        page.getByLabel("Box offset no longer after stub ninety").click();
        button(page, "Box offset further up").click();
        button(page, "Stub ninety further down").click();
        button(page, "Keep it from now on").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("which does not stand before it; move that up");
        button(page, "Stub ninety further up").click();
        button(page, "Keep it from now on").click();
        assertThat(page.getByText("Oskar Brindlemay: 29 steps").first()).isVisible();
        assertThat(steps.first()).containsText("Box offset");
        button(page, "The usual order").click();
        button(page, "Keep it from now on").click();
        assertThat(page.getByText("Oskar Brindlemay: 29 steps")).hasCount(2);
        assertThat(steps.first()).containsText("Stub ninety");
        assertThat(errors).isEmpty();
    }

    private static void roster(Page page, String text) {
        page.getByLabel("Roster file")
                .setInputFiles(new FilePayload("class.csv", "text/csv", text.getBytes(StandardCharsets.UTF_8)));
    }

    @Test
    void rosterWithThreeBadRows_isNotTakenIn_andMendedItIs_andThePlanIsGivenOut(School.Room room) {
        Page page = room.signedIn("oskar", errors);
        open(room, page, "files");
        String good = "Name,Cohort,Bench,Number\nCy Marsh,Night class,1,E-1\nDi Reed,Night class,,\n";
        roster(page, good + ",Night class,3,\nEd Vane,Night class,many,\nFlo Beck,Night class,4,E-1\n");
        page.getByLabel("Start new cohorts").check();
        Locator table = page.getByLabel("Rows of the roster");
        assertThat(table.getByText("✕")).hasCount(3);
        assertThat(table).containsText("The name is missing");
        assertThat(table).containsText("“many” is no bench");
        assertThat(table).containsText("The number E-1 belongs to Cy Marsh already");
        assertThat(button(page, "3 rows are wrong")).isDisabled();
        roster(page, good);
        button(page, "Add 2 trainees").click();
        assertThat(page.getByText("2 trainees added.")).isVisible();

        open(room, page, "plan");
        page.getByLabel("Cohort", new Page.GetByLabelOptions().setExact(true))
                .getByText("Night class")
                .click();
        Locator stubs = page.getByLabel("Stub ninety", new Page.GetByLabelOptions().setExact(true));
        assertThat(stubs).containsText("Cy Marsh");
        assertThat(stubs).containsText("Di Reed");
        stubs.getByLabel("Exercise").selectOption("Down behind the plinth");
        button(page, "Give all of this out").click();
        assertThat(page.getByText("Given out.")).isVisible();
        Bench.place(page, "Floor").click();
        page.getByLabel("Cohort", new Page.GetByLabelOptions().setExact(true))
                .getByText("Night class")
                .click();
        assertThat(Bench.bench(page, "Cy Marsh")).containsText("Down behind the plinth");
        assertThat(errors).isEmpty();
    }

    @Test
    void ruleOfTheCentre_isChangedByTheLead(School.Room room) {
        Page page = room.signedIn("oskar", errors);
        open(room, page, "rules");
        page.getByLabel("A rule of its own for").selectOption("Rolling offset");
        page.getByLabel("Passes among them").fill("9");
        button(page, "Keep it from now on").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("must be from 1 to 4");
        page.getByLabel("Passes among them").fill("2");
        page.getByLabel("Days that they are on").fill("1");
        button(page, "Keep it from now on").click();
        assertThat(page.getByText("2 of the last 4 pieces passed")).isVisible();
        Page instructor = room.signedIn("runa", errors);
        open(room, instructor, "rules");
        instructor.getByText("2 of the last 4 pieces passed").waitFor();
        assertThat(button(instructor, "Change")).hasCount(0);
        assertThat(errors).isEmpty();
    }

    @Test
    void traineesOwnPage_opensOnAPhone_withoutAnAccount(School.Room room) {
        Page page = room.signedIn("runa", errors);
        open(room, page, "matrix");
        link(page, "^Edda Stroud, Stub").click();
        button(page, "Make a key").click();
        String key = page.getByLabel("The trainee's own page")
                .getByRole(AriaRole.LINK)
                .textContent();
        Page phone = room.screen(390, 844, "film", errors);
        phone.navigate(room.lobrik().base() + "/own/" + key);
        assertThat(phone.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                .hasText("Edda Stroud");
        assertThat(phone.getByLabel("What to work on")).containsText("heavy");
        assertThat(School.barriers(phone)).isEmpty();
        assertThat((Boolean) phone.evaluate("() => document.documentElement.scrollWidth <= window.innerWidth"))
                .isTrue();
        button(page, "Take it back").click();
        button(page, "Make a key").waitFor();
        phone.reload();
        assertThat(phone.getByText("This key opens nothing")).isVisible();
        assertThat(errors).isEmpty();
    }
}
