package lobrik.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** A machine's ninety and an offset with heat: set on the desk, given on paper, bent by the phone, measured, judged, in progress. */
@ExtendWith(School.class)
class WholeWayByToolTest {

    private final List<String> errors = new ArrayList<>();

    /**
     * A bend with a tool.
     *
     * @param sizes that differ from what the desk offers
     * @param desk what the order of bending says
     * @param own the trainee's figures, as the phone asks for them
     * @param steps what the phone says of the first bend
     */
    record Way(
            String kind,
            String tool,
            String conduit,
            String trainee,
            Map<String, String> sizes,
            String desk,
            Map<String, String> own,
            List<String> steps,
            int readings) {

        /** What the instructor signs for. */
        String asSigned() {
            return (kind.equals("stub90") ? "stub ninety" : kind)
                    + (tool.equals("machine") ? " at the machine" : " with heat");
        }
    }

    static List<Way> ways() {
        return List.of(
                new Way(
                        "stub90",
                        "machine",
                        "3 EMT",
                        "Ulf Brackenby",
                        Map.of("Leg", "30", "Other leg", "40"),
                        "Push to 93.5° under load: ram out",
                        Map.of("Mark 1", "12 1/2", "Cut to", "61"),
                        List.of("93.5°", "ram out"),
                        4),
                new Way(
                        "offset",
                        "former",
                        "3/4 PVC",
                        "Wilf Okonde",
                        Map.of(),
                        "ready-made elbows are square",
                        Map.of(),
                        List.of("Warm from", "hold it until it is cold"),
                        9));
    }

    private static Locator field(Page page, String name) {
        return page.getByTestId("elevation").getByLabel(Pattern.compile("^" + name + "\\b.*"));
    }

    @ParameterizedTest
    @MethodSource("ways")
    void bend_goesTheWholeWay(Way way, School.Room room) {
        Page page = room.signedIn("dessa", errors);
        String trainee = Bench.withEmptyHands(page, way.trainee());
        School.go(page, "/set");
        page.getByLabel("Bend", new Page.GetByLabelOptions().setExact(true)).selectOption(way.kind());
        page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Conduit"))
                .selectOption(way.conduit());
        way.sizes().forEach((name, text) -> field(page, name).fill(text));
        page.getByText("Bending", new Page.GetByTextOptions().setExact(true)).click();
        assertThat(page.locator("aside")).containsText(way.desk());
        String title = way.conduit() + " " + way.kind() + " of this test";
        page.getByLabel("Title").fill(title);
        page.getByText("Give out", new Page.GetByTextOptions().setExact(true)).click();
        page.getByLabel("Give to").selectOption(way.trainee());
        Locator allTheSame = page.getByLabel("Give it all the same");
        Locator give = Bench.button(page, "Give");
        give.and(page.locator(":enabled")).or(allTheSame).first().waitFor();
        if (allTheSame.isVisible()) {
            allTheSame.check();
        }
        give.click();
        page.getByText("Given to one trainee").waitFor();

        String code = (String) page.evaluate("""
                async title => (await (await fetch('/api/givings')).json())
                  .find(given => given.title === title || given.exerciseTitle === title).sheets[0].code""", title);
        onThePhone(room, code, way);

        School.go(page, "/floor");
        Locator bench = Bench.row(page, way.trainee()).filter(new Locator.FilterOptions().setHasText(title));
        bench.getByText("Measure", new Locator.GetByTextOptions().setExact(true))
                .click();
        Locator rows = page.getByLabel("Readings", new Page.GetByLabelOptions().setExact(true))
                .locator("tbody tr");
        assertThat(rows).hasCount(way.readings());
        for (int i = 0; i < way.readings(); i++) {
            page.locator("[data-place] input:focus").waitFor();
            Bench.button(page, "Spot on").click();
            rows.nth(i).locator("[data-band=close]").waitFor();
        }
        page.getByText("See the verdict").click();
        assertThat(page.getByTestId("score")).containsText("100");
        School.go(page, "/progress/" + trainee + "?bend=" + way.kind() + "." + way.tool());
        assertThat(page.getByLabel("Pieces", new Page.GetByLabelOptions().setExact(true))
                        .getByRole(AriaRole.ROW)
                        .filter(new Locator.FilterOptions().setHasText(title))
                        .first())
                .isVisible();
        sign(page, way);
        Assertions.assertThat(errors).isEmpty();
    }

    /** One piece is less than the rule asks, so that it takes a reason. */
    private static void sign(Page page, Way way) {
        Locator aside = page.getByLabel("Sign-off", new Page.GetByLabelOptions().setExact(true));
        aside.getByText("Sign off all the same…").click();
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        assertThat(dialog).containsText(way.asSigned());
        dialog.getByRole(AriaRole.TEXTBOX).fill("Bends them at work every day");
        dialog.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("Sign").setExact(true))
                .click();
        assertThat(aside).containsText("Signed by Dessa Quillow");
        assertThat(aside).containsText("Bends them at work every day");
    }

    /** The sheet is before the phone: look over, figures where they are asked, and the first bend. */
    private void onThePhone(School.Room room, String code, Way way) {
        Page phone = FloorTest.phone(room, code, errors);
        Locator figures = phone.getByLabel(Pattern.compile("^Mark \\d$"));
        figures.first().waitFor();
        way.own().forEach((name, text) -> phone.getByLabel(name).fill(text));
        if (way.own().isEmpty()) {
            figures.all().forEach(figure -> figure.fill("1"));
        }
        Bench.button(phone, "Send my figures").click();
        Locator answer = Bench.button(phone, "Show the answer");
        Locator look = phone.getByLabel("Before you bend");
        answer.or(look).first().waitFor();
        if (answer.isVisible()) {
            Locator hint = phone.getByLabel(Pattern.compile("^A hint for"));
            while (answer.isDisabled()) {
                hint.first().click();
            }
            answer.click();
        }
        look.waitFor();
        look.getByRole(AriaRole.CHECKBOX).all().forEach(Locator::check);
        Bench.button(phone, "All right: first bend").click();
        Locator bending = phone.getByLabel("Bending", new Page.GetByLabelOptions().setExact(true));
        way.steps().forEach(words -> assertThat(bending).containsText(words));
        Assertions.assertThat(School.barriers(phone)).isEmpty();
        phone.close();
    }
}
