package lobrik.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * The whole demo school on foot: every exercise of the library, every page and every link on it, every trainee, verdicts, sheets
 * and files open with their drawing and without an error. In each build the lead, who sees what everybody sees, walks through the
 * pages; of a cohort's pages for a trainee's kinds of bend it looks at one each, with its newest verdict; an instructor, who may
 * less, opens sheets and files, and both share the library. In a full run every account looks at everything.
 */
@ExtendWith(School.class)
class DemoWalkTest {

    private static final boolean FULL = Boolean.getBoolean("lobrik.full");

    private final List<String> errors = new ArrayList<>();

    /** Strings that an expression picks from what the server answers. */
    @SuppressWarnings("unchecked") // JSON of the server.
    private static List<String> strings(Page page, String address, String pick) {
        return (List<String>) page.evaluate(
                "async address => { const answer = await (await fetch(address)).json(); return " + pick + "; }",
                address);
    }

    /** Other tests add cohorts to the same school. */
    private static List<String> demoCohorts(Page page) {
        return strings(
                page,
                "/api/cohorts",
                "answer.filter(cohort => / year$|^Tuesday evening, /.test(cohort.name)).map(cohort => cohort.id)");
    }

    /** Addresses within the application that a page's links lead to. */
    @SuppressWarnings("unchecked") // Strings of the page.
    private static List<String> links(Page page) {
        return (List<String>) page.evaluate("""
                () => [...document.querySelectorAll('a[href]')]
                  .filter(a => a.origin === location.origin && !a.pathname.startsWith('/api/'))
                  .map(a => a.pathname + a.search)""");
    }

    private void assertWhole(Page page, String place) {
        page.locator("main").waitFor();
        if (!place.startsWith("/verdict/")) {
            // The screen before stands until the next is there: its links are no longer meant.
            assertThat(page.getByText("Show the trainee")).hasCount(0);
        }
        assertThat(page.getByText("Opening…")).hasCount(0);
        assertThat(page.getByText("Something in this screen went wrong")).hasCount(0);
        assertThat(page.locator("main")).not().hasText("");
        assertThat(errors).as(place).isEmpty();
    }

    /** Cells of one trainee lead to the same page, each to another kind of bend: one of them is enough for every build. */
    private static String likeness(String link) {
        return link.startsWith("/progress/") ? link.replaceAll("\\?.*", "") : link;
    }

    /** Until what a page lists is there. */
    private static void untilListed(Page page, String place) {
        if (place.startsWith("/floor") || place.startsWith("/wall")) {
            page.locator("main li").first().waitFor();
        } else if (place.startsWith("/shed")) {
            page.getByRole(
                            AriaRole.HEADING,
                            new Page.GetByRoleOptions().setName("Shed").setExact(true))
                    .waitFor();
        } else if (place.startsWith("/set/library")) {
            page.locator("main li, main tr").first().waitFor();
        } else if (place.startsWith("/progress?cohort") || place.endsWith("side=matrix")) {
            page.locator("main td a").first().waitFor();
        }
    }

    private static void assertDrawn(Page page) {
        // A run is drawn in its room, and on the plans of its walls.
        assertThat(page.getByTestId("elevation")
                        .or(page.getByTestId("room"))
                        .or(page.getByTestId("wall"))
                        .locator("[data-tube]")
                        .first())
                .isVisible();
        assertThat(page.getByTestId("strip").getByLabel("Ring 1 at").first()).isVisible();
    }

    static List<String> whoOpensExercises() {
        return FULL ? everybody() : List.of("runa");
    }

    static List<String> whoWalks() {
        return FULL ? everybody() : List.of("oskar");
    }

    static List<String> whoFetches() {
        return FULL ? everybody() : List.of("runa");
    }

    private static List<String> everybody() {
        return List.of("runa", "dessa", "oskar");
    }

    @ParameterizedTest
    @MethodSource("whoOpensExercises")
    void everyExerciseOfTheLibrary_opensWithItsDrawing(String account, School.Room room) {
        Page page = room.signedIn(account, errors);
        List<String> entries =
                strings(page, "/api/library", "answer.entries.map(entry => entry.id + ' ' + entry.title).sort()");
        assertThat(entries).hasSizeGreaterThan(20);
        List<String> sharing = FULL ? List.of(account) : whoOpensExercises();
        for (int i = sharing.indexOf(account); i < entries.size(); i += sharing.size()) {
            String[] parts = entries.get(i).split(" ", 2);
            School.go(page, "/set?exercise=" + parts[0]);
            assertThat(page.getByLabel("Title")).hasValue(parts[1]);
            assertDrawn(page);
            assertThat(page.getByText("Cannot be laid out.")).hasCount(0);
            assertThat(errors).as(parts[1]).isEmpty();
        }
    }

    @ParameterizedTest
    @MethodSource("whoWalks")
    void everyPage_andEveryLinkOnIt_opens(String account, School.Room room) {
        Page page = room.signedIn(account, errors);
        Set<String> known = new LinkedHashSet<>(List.of(
                "/floor",
                "/wall",
                "/set",
                "/set/library",
                "/set/library?side=given",
                "/set/library?side=tolerances",
                "/measure",
                "/progress?side=matrix",
                "/progress?side=plan",
                "/progress?side=benders",
                "/progress?side=order",
                "/progress?side=rules",
                "/progress?side=files",
                "/shed?side=school",
                "/shed?side=cohorts",
                "/shed?side=benders",
                "/shed?side=people",
                "/shed?side=records",
                "/shed?side=you"));
        demoCohorts(page).forEach(cohort -> known.add("/progress?cohort=" + cohort));
        List<String> waiting = new ArrayList<>(known);
        Set<String> likes = new HashSet<>();
        int trainees = 0;
        int verdicts = 0;
        while (!waiting.isEmpty()) {
            String place = waiting.removeFirst();
            School.go(page, place);
            assertWhole(page, place);
            untilListed(page, place);
            boolean verdict = place.startsWith("/verdict/");
            if (verdict) {
                verdicts++;
                assertDrawn(page);
                page.getByTestId("score").waitFor();
            }
            boolean trainee = place.matches("/progress/[^?]+.*");
            if (trainee) {
                trainees++;
                page.getByLabel("Pieces", new Page.GetByLabelOptions().setExact(true))
                        .waitFor();
            }
            List<String> further = links(page);
            // A trainee has a page for each kind of bend with all its pieces: the newest is enough for every build.
            long verdictsHere = 0;
            for (String link : further) {
                boolean another = link.startsWith("/verdict/") && !link.endsWith("/show");
                boolean library = link.startsWith("/set?exercise=");
                if (library || (verdict && !FULL) || (another && trainee && !FULL && verdictsHere++ > 0)) {
                    continue;
                }
                if (known.add(link) && (FULL || likes.add(likeness(link)))) {
                    waiting.add(link);
                }
            }
        }
        assertThat(trainees).isGreaterThan(8);
        assertThat(verdicts).isGreaterThan(8);
    }

    @ParameterizedTest
    @MethodSource("whoFetches")
    void everySheetAndEveryFile_opens(String account, School.Room room) {
        Page page = room.signedIn(account, errors);
        List<String> cohorts = demoCohorts(page);
        List<String> files =
                new ArrayList<>(List.of("/api/readings.csv", "/api/readings-columns.csv", "/api/library/file"));
        for (String cohort : cohorts) {
            for (String file : List.of("gradebook.csv", "gradebook.xlsx", "statements.json")) {
                files.add("/api/cohorts/" + cohort + "/" + file);
            }
            List<String> trainees =
                    strings(page, "/api/cohorts/" + cohort + "/matrix", "answer.rows.map(row => row.traineeId)");
            for (String trainee : FULL ? trainees : trainees.subList(0, 2)) {
                files.add("/api/trainees/" + trainee + "/record.pdf");
                files.add("/api/trainees/" + trainee + "/everything.json");
            }
            for (String attempt : strings(
                    page,
                    "/api/floor/" + cohort,
                    "answer.benches.flatMap(bench => bench.attempt == null ? [] : [bench.attempt.id]).slice(0, 3)")) {
                files.add("/api/attempts/" + attempt + "/verdict.pdf");
            }
        }
        for (String file : files) {
            APIResponse answer = page.request().get(room.lobrik().base() + file);
            assertThat(answer.status()).as(file).isEqualTo(200);
            assertThat(answer.body().length).as(file).isGreaterThan(100);
        }
        List<String> codes = strings(
                page,
                "/api/givings",
                "answer.slice(0, 3).flatMap(given => given.sheets.slice(0, 2)).map(sheet => sheet.code)");
        Page phone = room.screen(390, 844, "film", errors);
        for (String code : codes) {
            phone.navigate(room.lobrik().base() + "/bench/" + code);
            Bench.button(phone, "Working it out")
                    .or(phone.getByLabel("What became of it"))
                    .first()
                    .waitFor();
        }
        assertThat(errors).isEmpty();
    }
}
