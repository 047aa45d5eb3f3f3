package lobrik.cause;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import lobrik.bend.BendKind;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.shape.Surround;
import lobrik.verdict.BenderShare;
import lobrik.verdict.DeviationKind;
import lobrik.verdict.KnownBender;
import lobrik.verdict.ReadingSpread;
import org.junit.jupiter.api.Test;

class BudgetTest {

    private static final List<CauseId> MIXED = List.of(
            CauseId.NONE,
            CauseId.ANGLE_OFF,
            CauseId.DOG_LEG,
            CauseId.MARK_SLIPPED,
            CauseId.BURNED_INCH,
            CauseId.HOOK_REVERSED,
            CauseId.WRONG_REFERENCE);

    private static Quantity change(List<Budget> budgets, FeatureId feature, Budget.Stage stage) {
        return budgets.stream()
                .filter(budget -> budget.feature().equals(feature))
                .flatMap(budget -> budget.parts().stream())
                .filter(part -> part.stage() == stage)
                .findFirst()
                .orElseThrow()
                .change();
    }

    /** Exactly, not to 1e-9 only: parts are whole picometres and nanodegrees. */
    @Test
    void parts_addUpToTheWholeDeviation_onAnyPiece() {
        PlantedPieces pieces = new PlantedPieces(11);
        for (BendKind kind : BendKind.values()) {
            for (CauseId cause : MIXED) {
                for (int i = 0; i < 12; i++) {
                    pieces.next(kind, cause).ifPresent(BudgetTest::assertAddsUp);
                }
            }
        }
    }

    private static void assertAddsUp(PlantedPieces.Planted piece) {
        List<Budget> budgets = Budget.of(Case.of(piece.layout(), piece.readings()));
        assertThat(budgets).isNotEmpty();
        for (Budget budget : budgets) {
            long sum = budget.parts().stream()
                    .mapToLong(part -> part.change().count())
                    .sum();
            assertThat(sum)
                    .as("%s of %s", budget.feature(), piece)
                    .isEqualTo(budget.deviation().count());
            assertThat(budget.parts()).extracting(Budget.Part::stage).doesNotHaveDuplicates();
        }
    }

    @Test
    void shortRings_areTheRingsShare() {
        double[] short_ = {-1.5, -1.5};
        Map<FeatureId, Quantity> readings =
                Pieces.readings(Pieces.offset(), short_, new double[] {0, 0}, new double[] {0, 0});
        List<Budget> budgets = Budget.of(Case.of(Pieces.offset(), readings));
        assertThat(change(budgets, FeatureId.LANDING, Budget.Stage.RINGS)).isEqualTo(Length.ofInches(-1.5));
        assertThat(change(budgets, FeatureId.LANDING, Budget.Stage.ANGLES)).isEqualTo(Length.ZERO);
    }

    @Test
    void ownFigures_takeTheShareOfTheRingsThatFollowThem() {
        double[] short_ = {-1.5, -1.5};
        Map<FeatureId, Quantity> readings =
                Pieces.readings(Pieces.offset(), short_, new double[] {0, 0}, new double[] {0, 0});
        Case seen = new Case(
                Pieces.offset(),
                readings,
                Map.of(1, Length.ofInches(24), 2, Length.ofInches(36)),
                ReadingSpread.USUAL,
                Surround.USUAL_INSERTION,
                Priors.USUAL);
        List<Budget> budgets = Budget.of(seen);
        assertThat(change(budgets, FeatureId.LANDING, Budget.Stage.ARITHMETIC)).isEqualTo(Length.ofInches(-1.5));
        assertThat(change(budgets, FeatureId.LANDING, Budget.Stage.RINGS)).isEqualTo(Length.ZERO);
    }

    @Test
    void whatTheBenderAdds_isItsShare_andTheAnglesAreChargedWithTheRest() {
        KnownBender bender = new KnownBender(
                "Bender 7",
                Map.of(DeviationKind.ANGLES, new KnownBender.Effect(Angle.ofDegrees(2), Angle.ofDegrees(0.2))));
        Map<FeatureId, Quantity> readings =
                Pieces.readings(Pieces.offset(), new double[] {0, 0}, new double[] {2, 5}, new double[] {0, 0});
        Case seen = new Case(
                Pieces.offset(),
                readings,
                Map.of(),
                ReadingSpread.USUAL,
                Surround.USUAL_INSERTION,
                Priors.USUAL,
                Set.of(),
                BenderShare.of(bender, Pieces.offset()),
                Set.of());
        List<Budget> budgets = Budget.of(seen);
        assertThat(change(budgets, FeatureId.angle(1), Budget.Stage.BENDER)).isEqualTo(Angle.ofDegrees(2));
        assertThat(change(budgets, FeatureId.angle(1), Budget.Stage.ANGLES)).isEqualTo(Angle.ZERO);
        assertThat(change(budgets, FeatureId.angle(2), Budget.Stage.ANGLES)).isEqualTo(Angle.ofDegrees(3));
        assertThat(change(budgets, FeatureId.RISE, Budget.Stage.BENDER).number())
                .isGreaterThan(0.3);
        for (Budget budget : budgets) {
            long parts = budget.parts().stream()
                    .mapToLong(part -> part.change().count())
                    .sum();
            assertThat(parts).isEqualTo(budget.deviation().count());
        }
    }

    @Test
    void wrongAngle_isTheAnglesShare_andSlipIsWhatIsLeft() {
        Map<FeatureId, Quantity> readings =
                Pieces.readings(Pieces.offset(), new double[] {0, 0}, new double[] {0, 6}, new double[] {0, 0});
        readings.put(FeatureId.LANDING, Length.ofInches(37));
        List<Budget> budgets = Budget.of(Case.of(Pieces.offset(), readings));
        assertThat(change(budgets, FeatureId.RISE, Budget.Stage.ANGLES).number())
                .isLessThan(-0.1);
        assertThat(change(budgets, FeatureId.LANDING, Budget.Stage.REST).number())
                .isBetween(0.8, 1.1);
        assertThat(budgets.stream()
                        .filter(budget -> FeatureId.angle(2).equals(budget.feature()))
                        .findFirst()
                        .orElseThrow()
                        .deviation())
                .isEqualTo(Angle.ofDegrees(6));
    }

    @Test
    void stagesOfWhichNothingIsRead_saySo() {
        Map<FeatureId, Quantity> readings = Map.of(FeatureId.RISE, Length.ofInches(6.5));
        Budget rise = Budget.of(Case.of(Pieces.offset(), readings)).getFirst();
        assertThat(rise.parts())
                .filteredOn(Budget.Part::known)
                .extracting(Budget.Part::stage)
                .containsExactly(Budget.Stage.PLAN, Budget.Stage.REST);
    }
}
