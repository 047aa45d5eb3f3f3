package lobrik;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Every formula stands at one place, with its id and its source. */
class FormulasTest {

    private static final Path SOURCES = Path.of("src", "main", "java");
    private static final Pattern COMMENT = Pattern.compile("/\\*\\*.*?\\*/", Pattern.DOTALL);
    private static final Pattern ID = Pattern.compile("\\{@code ([a-z0-9-]+)}");

    /** Doc comments that name a formula; the words around the id are wrapped as it happens. */
    private static List<String> formulaComments() throws IOException {
        List<String> comments = new ArrayList<>();
        try (Stream<Path> files = Files.walk(SOURCES)) {
            for (Path file :
                    files.filter(path -> path.toString().endsWith(".java")).toList()) {
                Matcher comment = COMMENT.matcher(Files.readString(file));
                while (comment.find()) {
                    String text = comment.group().replaceAll("\\s*\\n\\s*\\*\\s*", " ");
                    if (text.contains("Formula {@code")) {
                        comments.add(text);
                    }
                }
            }
        }
        return comments;
    }

    @Test
    void formulas_haveOnePlaceEach() throws IOException {
        List<String> ids = new ArrayList<>();
        for (String comment : formulaComments()) {
            Matcher id = ID.matcher(comment.substring(comment.indexOf("Formula {@code")));
            assertThat(id.find()).as(comment).isTrue();
            ids.add(id.group(1));
        }
        assertThat(ids)
                .doesNotHaveDuplicates()
                .contains(
                        "stub-mark",
                        "offset-spacing",
                        "offset-shrink",
                        "saddle3-exact-marks",
                        "saddle4-marks",
                        "calibration");
    }

    @Test
    void formulas_nameTheirSource() throws IOException {
        assertThat(formulaComments())
                .hasSizeGreaterThan(25)
                .allSatisfy(comment ->
                        assertThat(comment).containsAnyOf("handbook 2", "handbook 3", "handbook 4", "handbook 6"));
    }
}
