package lobrik.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import lobrik.bend.BendKind;
import lobrik.bend.Situation;
import lobrik.measure.Length;
import lobrik.measure.TapeDivision;
import lobrik.shape.Feature;
import lobrik.shape.Features;
import lobrik.shape.Piece;
import lobrik.shape.Surround;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What is drawn beside the predicted piece: the piece that was asked for, and what stands around it. */
class WantedTest {

    @ParameterizedTest
    @EnumSource(BendKind.class)
    void wantedPiece_hasEveryFinishedDimensionAsAsked(BendKind kind) {
        Jobs jobs = new Jobs(7);
        for (int i = 0; i < 200; i++) {
            Layout layout = Layout.of(jobs.next(kind, Method.CHART, TapeDivision.SIXTEENTH));
            Piece wanted = layout.wanted().orElseThrow();
            assertThat(wanted.arcs()).hasSameSizeAs(layout.predicted().arcs());
            for (PlannedFeature planned : layout.features()) {
                if (planned.id().isOfFinishedPiece() && planned.asked() instanceof Length target) {
                    assertThat(feature(layout, wanted, planned).inches())
                            .as(planned.id() + " of " + layout.job().bend())
                            .isCloseTo(target.inches(), within(1e-6));
                }
            }
        }
    }

    private static Length feature(Layout layout, Piece piece, PlannedFeature planned) {
        return Features.of(layout.job().bend(), piece).stream()
                .filter(feature -> feature.id().equals(planned.id()))
                .map(Feature::value)
                .map(Length.class::cast)
                .findFirst()
                .orElseThrow();
    }

    @ParameterizedTest
    @EnumSource(Situation.class)
    void situation_drawsBoxesRoundItsEnds_asDeepAsTheyAreEntered(Situation situation) {
        Layout layout = Layout.of(new Jobs(3).next(situation.kind(), Method.EXACT, TapeDivision.SIXTEENTH));
        Piece piece = layout.predicted();
        List<Surround> around = Surround.of(situation, piece, Surround.USUAL_INSERTION);
        assertThat(Situation.withId(situation.id())).contains(situation);
        for (Surround box : around) {
            assertThat(box.into().norm()).isCloseTo(1, within(1e-12));
            if (box.kind() == Surround.Kind.BOX) {
                Length nearest = Length.ofInches(Math.min(
                        box.at().norm(),
                        box.at()
                                .minus(piece.straights().getLast().end().origin())
                                .norm()));
                assertThat(nearest.inches()).isCloseTo(0.625, within(1e-9));
            }
        }
    }

    @Test
    void wallsOfAU_standAsFarApartAsItsBacks() {
        Layout layout = Layout.of(new Jobs(5).next(BendKind.BACK_TO_BACK_90, Method.EXACT, TapeDivision.NONE));
        List<Surround> walls = Surround.of(Situation.BETWEEN_WALLS, layout.predicted(), Surround.USUAL_INSERTION);
        double apart = walls.get(1).at().y() - walls.get(0).at().y();
        Optional<PlannedFeature> between = layout.features().stream()
                .filter(feature -> feature.id().id().equals("between"))
                .findFirst();
        assertThat(apart).isCloseTo(((Length) between.orElseThrow().asked()).inches(), within(1e-6));
    }
}
