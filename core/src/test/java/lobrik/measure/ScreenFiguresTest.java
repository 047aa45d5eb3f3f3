package lobrik.measure;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The screens write figures by the same rules: these are the cases that the client's own tests read too. */
class ScreenFiguresTest {

    private static final Path CASES = Path.of("..", "web", "src", "entry", "figures.cases.json");

    private static final Map<String, TapeDivision> DIVISIONS = Map.of(
            "1/16", TapeDivision.SIXTEENTH,
            "1/32", TapeDivision.THIRTY_SECOND,
            "1 mm", TapeDivision.MILLIMETRE,
            "0.1 mm", new TapeDivision(Length.ofMillimetres(0.1)));

    @Test
    void figuresOnScreen_areWrittenAsTheCoreWritesThem() throws IOException {
        JsonNode cases = JsonMapper.shared().readTree(Files.readString(CASES));
        assertThat(cases.size()).isGreaterThan(15);
        for (JsonNode each : cases) {
            TapeDivision division = DIVISIONS.get(each.get("division").asString());
            Length length = Length.ofInches(each.get("inches").asDouble());
            String written = each.get("signed").asBoolean() ? division.signedText(length) : division.text(length);
            assertThat(written).isEqualTo(each.get("text").asString());
        }
    }
}
