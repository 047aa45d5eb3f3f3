package lobrik.cause;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import lobrik.bend.Placement;
import lobrik.bend.Stub90;
import lobrik.feature.FeatureId;
import lobrik.layout.Job;
import lobrik.layout.Layout;
import lobrik.layout.Mark;
import lobrik.layout.Method;
import lobrik.layout.PlannedFeature;
import lobrik.layout.School;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.Percentage;
import lobrik.measure.Quantity;
import lobrik.measure.TapeDivision;
import lobrik.remedy.Advice;
import lobrik.remedy.AdviceWords;
import lobrik.shape.BendMade;
import lobrik.shape.Features;
import lobrik.shape.Piece;
import lobrik.shop.ConduitMaterial;
import lobrik.shop.ConduitTable;
import lobrik.shop.FormerTable;
import lobrik.shop.ToolKind;
import lobrik.shop.Tooling;
import lobrik.shop.TradeSize;
import lobrik.verdict.InspectionPoint;
import lobrik.verdict.TolerancePreset;
import lobrik.verdict.Yardstick;
import org.junit.jupiter.api.Test;

/** What is looked at counts beside what is read: a kink and a scorch tell what no tape does. */
class HeatDiagnosisTest {

    private static final Layout LAYOUT = Layout.of(new Job(
            new Stub90(Length.ofInches(16), Optional.of(Length.ofInches(24)), Placement.ARROW),
            new Tooling(
                    ConduitTable.conduit(ConduitMaterial.PVC, TradeSize.THREE_QUARTERS),
                    FormerTable.forPvc(TradeSize.THREE_QUARTERS).orElseThrow()),
            School.of(Method.EXACT, TapeDivision.SIXTEENTH)));

    private static Map<FeatureId, Quantity> right() {
        Map<FeatureId, Quantity> readings = new TreeMap<>();
        for (PlannedFeature feature : LAYOUT.features()) {
            readings.put(feature.id(), feature.right());
        }
        return readings;
    }

    /** Read off the piece that opened after it was bent on its ring. */
    private static Map<FeatureId, Quantity> bentTo(double degrees) {
        Mark mark = LAYOUT.marks().getFirst();
        Piece piece = Piece.simulate(
                LAYOUT.job().tooling(),
                LAYOUT.cutLength().orElseThrow(),
                List.of(new BendMade(mark.position(), mark.placing(), Angle.ofDegrees(degrees), Angle.ZERO)));
        Map<FeatureId, Quantity> readings = new TreeMap<>();
        Features.of(LAYOUT.job().bend(), piece).forEach(feature -> readings.put(feature.id(), feature.value()));
        return readings;
    }

    private static Cause first(Map<FeatureId, Quantity> readings, Set<InspectionPoint> faulty) {
        return Diagnosis.of(Case.of(LAYOUT, readings).lookedOver(faulty))
                .causes()
                .getFirst();
    }

    @Test
    void scorch_saysThatItWasTooHot_whateverTheTapeSays() {
        Cause cause = first(right(), Set.of(InspectionPoint.SCORCH));
        assertThat(cause.id()).isEqualTo(CauseId.TOO_HOT);
        assertThat(cause.probability()).isGreaterThan(0.9);
        assertThat(first(right(), Set.of()).id()).isEqualTo(CauseId.NONE);
    }

    @Test
    void scorchBesideAnOpenAngle_isTwoThings_andBothAreTold() {
        Map<FeatureId, Quantity> readings = bentTo(85);
        Diagnosis both = Diagnosis.of(Case.of(LAYOUT, readings).lookedOver(Set.of(InspectionPoint.SCORCH)));
        assertThat(both.explanations().getFirst().causes())
                .extracting(Cause::id)
                .containsExactlyInAnyOrder(CauseId.TOO_HOT, CauseId.LET_GO_WARM);
    }

    @Test
    void kinkMakesAShortHeat_theLikelierReasonOfShortLegs() {
        Map<FeatureId, Quantity> readings = right();
        readings.put(FeatureId.LEG, Length.ofInches(15.9375));
        readings.put(FeatureId.OTHER_LEG, Length.ofInches(23.9375));
        readings.put(FeatureId.flattening(1), Percentage.of(8));
        double without = probability(CauseId.HEATED_SHORT, readings, Set.of());
        double with = probability(CauseId.HEATED_SHORT, readings, Set.of(InspectionPoint.KINK));
        assertThat(with).isGreaterThan(without).isGreaterThan(0.8);
        Telling telling = new Telling(
                Diagnosis.of(Case.of(LAYOUT, readings).lookedOver(Set.of(InspectionPoint.KINK))), LengthUnit.INCH);
        assertThat(telling.what(telling.diagnosis().causes().getFirst())).contains("warmed", "too short");
    }

    private static double probability(CauseId cause, Map<FeatureId, Quantity> readings, Set<InspectionPoint> faulty) {
        return Diagnosis.of(Case.of(LAYOUT, readings).lookedOver(faulty)).causes().stream()
                .filter(each -> each.id() == cause)
                .mapToDouble(Cause::probability)
                .sum();
    }

    @Test
    void scorchedPiece_isScrap_andOneThatOpened_isWarmedAgain() {
        Map<FeatureId, Quantity> readings = bentTo(83);
        Advice scorched = advice(readings, Set.of(InspectionPoint.SCORCH));
        assertThat(scorched.reason()).contains(Advice.Scrap.SCORCHED);
        assertThat(words(scorched).outcome()).contains("scorched plastic is brittle");
        Advice open = advice(readings, Set.of());
        assertThat(open.steps()).isNotEmpty();
        assertThat(words(open).step(open.steps().getFirst()))
                .startsWith("Warm the bend again over its whole length, close it by")
                .endsWith("hold it until it is cold.");
    }

    private static AdviceWords words(Advice advice) {
        return new AdviceWords(advice, 1, LengthUnit.INCH, ToolKind.FORMER);
    }

    private static Advice advice(Map<FeatureId, Quantity> readings, Set<InspectionPoint> faulty) {
        return Advice.of(new Advice.Piecework(
                        LAYOUT, readings, Yardstick.RIGHT_PIECE, TolerancePreset.SITE.tolerances(), faulty, 0))
                .orElseThrow();
    }
}
