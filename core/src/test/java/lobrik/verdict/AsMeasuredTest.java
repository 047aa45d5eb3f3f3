package lobrik.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import lobrik.bend.BendKind;
import lobrik.bend.Leg;
import lobrik.bend.Run;
import lobrik.bend.Towards;
import lobrik.feature.FeatureId;
import lobrik.layout.Job;
import lobrik.layout.Jobs;
import lobrik.layout.Layout;
import lobrik.layout.Method;
import lobrik.layout.PlannedFeature;
import lobrik.layout.School;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.measure.TapeDivision;
import lobrik.shape.BendMade;
import lobrik.shape.Feature;
import lobrik.shape.Features;
import lobrik.shape.Piece;
import lobrik.shape.Vector3;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class AsMeasuredTest {

    /** A piece bent off its rings and off its angles, in one plane; what is read on it is all that the fit knows. */
    private static Map<FeatureId, Quantity> readings(Layout layout, Random random) {
        List<BendMade> bends = layout.marks().stream()
                .map(mark -> new BendMade(
                        mark.position().plus(Length.ofInches(0.5 * random.nextDouble() - 0.25)),
                        mark.placing(),
                        mark.angle().plus(Angle.ofDegrees(-3 * random.nextDouble())),
                        mark.roll()))
                .toList();
        Piece piece = Piece.simulate(layout.job().tooling(), layout.predicted().length(), bends);
        Map<FeatureId, Quantity> readings = new TreeMap<>();
        for (Feature feature : Features.of(layout.job().bend(), piece)) {
            if (layout.features().stream().map(PlannedFeature::id).anyMatch(feature.id()::equals)) {
                readings.put(feature.id(), feature.value());
            }
        }
        return readings;
    }

    @ParameterizedTest
    @EnumSource(BendKind.class)
    void pieceFound_showsWhatWasRead(BendKind kind) {
        Random random = new Random(71);
        Jobs jobs = new Jobs(72);
        for (int i = 0; i < 40; i++) {
            Layout layout = Layout.of(jobs.next(kind, Method.CHART, TapeDivision.SIXTEENTH));
            Map<FeatureId, Quantity> readings = readings(layout, random);
            Piece found = AsMeasured.of(layout, readings).orElseThrow();
            for (Feature feature : Features.of(layout.job().bend(), found)) {
                Quantity read = readings.get(feature.id());
                if (read != null && feature.id().isOfFinishedPiece()) {
                    double off = feature.value().minus(read).count() / (read instanceof Length ? 25.4e9 : 1e9);
                    assertThat(off)
                            .as("%s of %s", feature.id(), layout.job().bend())
                            .isCloseTo(0, within(0.01));
                }
            }
        }
    }

    @Test
    void pieceGrows_fromItsFirstReading() {
        Layout layout = Layout.of(new Jobs(73).next(BendKind.OFFSET, Method.EXACT, TapeDivision.SIXTEENTH));
        Map<FeatureId, Quantity> readings = new TreeMap<>();
        readings.put(FeatureId.mark(1), layout.marks().getFirst().position());
        assertThat(AsMeasured.of(layout, readings)).isEmpty();
        Angle read = Angle.ofDegrees(27);
        readings.put(FeatureId.angle(2), read);
        Piece begun = AsMeasured.of(layout, readings).orElseThrow();
        assertThat(begun.bends().get(1).angle().degrees()).isCloseTo(27, within(0.01));
        assertThat(begun.bends().get(0).angle())
                .isEqualTo(layout.marks().getFirst().angle());
    }

    @Test
    void readingsThatNoConduitShows_giveNoPiece() {
        Layout layout = Layout.of(new Jobs(75).next(BendKind.STUB_90, Method.EXACT, TapeDivision.SIXTEENTH));
        Map<FeatureId, Quantity> readings = readings(layout, new Random(76));
        readings.put(FeatureId.angle(1), Angle.ofDegrees(20));
        assertThat(AsMeasured.of(layout, readings)).isEmpty();
    }

    /** Somebody bent the second ninety to the other side: the piece that is drawn goes where it really went. */
    @Test
    void aRunBentTheWrongWay_isFoundAsItWasBent() {
        Run run = Run.of(List.of(
                new Leg(Length.ofInches(30), Towards.UP, Length.ZERO),
                new Leg(Length.ofInches(36), Towards.RIGHT, Length.ZERO),
                new Leg(Length.ofInches(24), Towards.OUT, Length.ZERO)));
        Layout layout = Layout.of(new Job(run, Jobs.threeQuarters(), School.of(Method.EXACT, TapeDivision.SIXTEENTH)));
        List<BendMade> bends = layout.marks().stream()
                .map(mark -> new BendMade(
                        mark.position(),
                        mark.placing(),
                        mark.angle(),
                        mark.number() == 1 ? mark.roll() : mark.roll().plus(Angle.HALF_TURN)))
                .toList();
        Piece bent = Piece.simulate(layout.job().tooling(), layout.predicted().length(), bends);
        Map<FeatureId, Quantity> readings = new TreeMap<>();
        Features.of(run, bent).forEach(feature -> readings.put(feature.id(), feature.value()));
        Piece found = AsMeasured.of(layout, readings).orElseThrow();
        Vector3 off = found.straights()
                .getLast()
                .end()
                .origin()
                .minus(bent.straights().getLast().end().origin());
        assertThat(off.norm()).isLessThan(0.05);
    }
}
