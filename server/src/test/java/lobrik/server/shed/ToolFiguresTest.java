package lobrik.server.shed;

import static org.assertj.core.api.Assertions.assertThat;

import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.shop.Shoe;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;

/** The figures of a tool as they are stored. */
class ToolFiguresTest {

    @Test
    void shoe_isStoredByItsKind_toTheLastDigit() {
        Shoe shoe = new Shoe(
                Length.ofInches(5.9375),
                Length.ofInches(5.125),
                Length.ofInches(3.3),
                Length.ofInches(2),
                Length.ofInches(4.0001),
                Angle.ofDegrees(2.35));
        String stored = JsonMapper.shared().writerFor(ToolFigures.class).writeValueAsString(ToolFigures.of(shoe));
        assertThat(stored).contains("\"kind\":\"shoe\"").contains("\"radiusPm\":130175000000");
        assertThat(JsonMapper.shared().readValue(stored, ToolFigures.class).toCore())
                .isEqualTo(shoe);
    }
}
