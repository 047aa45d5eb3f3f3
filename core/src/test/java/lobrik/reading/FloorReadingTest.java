package lobrik.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.stream.Stream;
import lobrik.fault.Refused;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** A level on a floor that is not level. */
class FloorReadingTest {

    @ParameterizedTest
    @CsvSource({"+½, 89½, 89", "−1, 89, 90", "0, 30, 30", "+1/4, 22 3/4, 22.5"})
    void reading_lessTheFloor_isTheAngle(String floor, String read, String angle) {
        FloorReading reading = new FloorReading(Angle.parseSigned(floor));
        assertThat(reading.corrected(Angle.parse(read))).isEqualTo(Angle.parse(angle));
    }

    /** The horizontal is all that a level knows: an angle between two directions is the difference of their slopes. */
    @Test
    void correction_agreesWithTheSlopesOfBothLegs() {
        double floor = Math.toRadians(1.25);
        double bend = Math.toRadians(45);
        double slopeOfLeg = Math.toDegrees(Math.atan2(Math.sin(floor + bend), Math.cos(floor + bend)));
        assertThat(new FloorReading(Angle.ofRadians(floor)).corrected(Angle.ofDegrees(slopeOfLeg)))
                .isEqualTo(Angle.ofDegrees(45));
    }

    @ParameterizedTest
    @ValueSource(strings = {"10.1", "-45"})
    void floorSteeperThanAFloorIs_isRefusedWithItsCure(String text) {
        Angle tilt = Angle.parseSigned(text);
        assertThatThrownBy(() -> new FloorReading(tilt))
                .isInstanceOf(Refused.class)
                .hasMessageContaining(tilt.signedText())
                .hasMessageContaining("+10°")
                .hasMessageContaining("lay the level on the floor");
    }

    @Test
    void onlyAngles_areReadAgainstTheHorizontal() {
        assertThat(Stream.of("angle1", "angle3", "dogLeg", "leg", "mark2", "flattening1")
                        .filter(id -> FloorReading.concerns(FeatureId.withId(id).orElseThrow())))
                .containsExactly("angle1", "angle3");
    }
}
