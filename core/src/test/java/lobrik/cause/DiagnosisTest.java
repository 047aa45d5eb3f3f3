package lobrik.cause;

import static lobrik.cause.Tellings.NOT;
import static lobrik.cause.Tellings.first;
import static lobrik.cause.Tellings.told;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import java.util.OptionalInt;
import java.util.Random;
import lobrik.bend.BendKind;
import lobrik.fault.Refused;
import lobrik.feature.FeatureId;
import lobrik.layout.Layout;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.Quantity;
import lobrik.shape.Surround;
import lobrik.verdict.ReadingSpread;
import org.junit.jupiter.api.Test;

class DiagnosisTest {

    @Test
    void faithfulPiece_hasNoFault() {
        Telling told = told(Pieces.saddle(), Pieces.readings(Pieces.saddle(), NOT, NOT, NOT));
        assertThat(first(told).id()).isEqualTo(CauseId.NONE);
        assertThat(told.diagnosis().clear()).isPresent();
        assertThat(told.what(first(told))).contains("as planned");
    }

    @Test
    void forgottenShrink_isNamedWithItsFigureAndItsEvidence() {
        double[] short_ = {-1.5, -1.5};
        Telling told = told(Pieces.offset(), Pieces.readings(Pieces.offset(), short_, NOT, NOT));
        assertThat(first(told).id()).isEqualTo(CauseId.SHRINK_OMITTED);
        assertThat(first(told).probability()).isGreaterThan(0.9);
        assertThat(told.what(first(told))).isEqualTo("The shrink of 1 1/2 in was not added.");
        assertThat(told.evidence(first(told)))
                .startsWith("The landing reads 34 1/2 in where 36 in was to be expected")
                .endsWith("8 of 8 readings fit it.");
    }

    @Test
    void overBentSecondBend_isNamedWithTheFittedAngle() {
        double[] second = {0, 3.5};
        Telling told = told(Pieces.offset(), Pieces.readings(Pieces.offset(), NOT, second, NOT));
        assertThat(first(told).id()).isEqualTo(CauseId.ANGLE_OFF);
        assertThat(first(told).bend()).isEqualTo(OptionalInt.of(2));
        assertThat(((Angle) first(told).amount().orElseThrow()).degrees()).isCloseTo(3.5, within(0.5));
        assertThat(told.title(first(told))).isEqualTo("Bend 2 over-bent");
    }

    @Test
    void dogLeg_isNamed_andLocatedOnlyWhereThatCanBeTold() {
        double[] last = {0, 5};
        Telling two = told(Pieces.offset(), Pieces.readings(Pieces.offset(), NOT, NOT, last));
        assertThat(first(two).id()).isEqualTo(CauseId.DOG_LEG);
        assertThat(first(two).bend()).isEqualTo(OptionalInt.of(2));
        double[] third = {0, 0, 4, 0};
        Telling four = told(Pieces.saddle(), Pieces.readings(Pieces.saddle(), NOT, NOT, third));
        assertThat(first(four).id()).isEqualTo(CauseId.DOG_LEG);
        assertThat(first(four).bend()).isEmpty();
    }

    @Test
    void twoThingsAtOnce_areBothNamed() {
        double[] short_ = {-1.5, -1.5};
        double[] second = {0, 4};
        Diagnosis found = told(Pieces.offset(), Pieces.readings(Pieces.offset(), short_, second, NOT))
                .diagnosis();
        assertThat(found.causes().subList(0, 2))
                .extracting(Cause::id)
                .containsExactlyInAnyOrder(CauseId.SHRINK_OMITTED, CauseId.ANGLE_OFF);
        assertThat(found.explanations().getFirst().causes()).hasSize(2);
    }

    @Test
    void probabilities_ofExplanations_addUpToOne() {
        double[] second = {0, 3.5};
        Diagnosis found = told(Pieces.offset(), Pieces.readings(Pieces.offset(), NOT, second, NOT))
                .diagnosis();
        assertThat(found.explanations().stream()
                        .mapToDouble(Explanation::probability)
                        .sum())
                .isCloseTo(1, within(0.01));
        assertThat(found.causes())
                .allSatisfy(cause -> assertThat(cause.probability()).isBetween(0.0, 1.0));
    }

    @Test
    void oneReading_leavesItOpen_andTheNextReadingIsNamedThatDecides() {
        double[] second = {0, 5};
        Map<FeatureId, Quantity> all = Pieces.readings(Pieces.offset(), NOT, second, NOT);
        Telling told = told(Pieces.offset(), Pieces.only(all, FeatureId.RISE));
        assertThat(told.diagnosis().clear()).isEmpty();
        FurtherReading further = told.diagnosis().further().orElseThrow();
        assertThat(told.further().orElseThrow()).startsWith("Measure ").contains("speaks for");
        Map<FeatureId, Quantity> more = Pieces.only(all, FeatureId.RISE, FeatureId.angle(2), further.feature());
        assertThat(first(told(Pieces.offset(), more)).id()).isEqualTo(CauseId.ANGLE_OFF);
    }

    @Test
    void ownFigure_tellsTheTakeUpOfAnotherSize_fromAnInchBurned() {
        Layout stub = Pieces.stub();
        double[] beyond = {1};
        Map<FeatureId, Quantity> readings = Pieces.readings(stub, beyond, new double[] {0}, new double[] {0});
        Length worked = stub.marks().getFirst().position();
        assertThat(firstKnowing(stub, readings, worked)).isEqualTo(CauseId.BURNED_INCH);
        assertThat(firstKnowing(stub, readings, worked.plus(Length.ofInches(1))))
                .isEqualTo(CauseId.TAKEUP_WRONG_SIZE);
    }

    private static CauseId firstKnowing(Layout layout, Map<FeatureId, Quantity> readings, Length own) {
        Case seen =
                new Case(layout, readings, Map.of(1, own), ReadingSpread.USUAL, Surround.USUAL_INSERTION, Priors.USUAL);
        return Diagnosis.of(seen).causes().getFirst().id();
    }

    @Test
    void takeUpThatIsOnTheSheetAndNotOnTheConduit_isForgottenAllTheSame() {
        Layout stub = Pieces.stub();
        Map<FeatureId, Quantity> readings = Pieces.readings(stub, new double[] {6}, new double[] {0}, new double[] {0});
        assertThat(firstKnowing(stub, readings, stub.marks().getFirst().position()))
                .isEqualTo(CauseId.TAKEUP_OMITTED);
    }

    @Test
    void oneReadingThatNoPieceCanHave_isDoubted() {
        Map<FeatureId, Quantity> readings = Pieces.readings(Pieces.saddle(), NOT, NOT, NOT);
        readings.put(FeatureId.HEIGHT, Length.ofInches(5.5));
        Telling told = told(Pieces.saddle(), readings);
        assertThat(first(told).id()).isEqualTo(CauseId.READING_DOUBTFUL);
        assertThat(told.what(first(told))).contains("the height").contains("read it again");
        assertThat(told.readAgain()).hasValue("First read the height again: all that follows rests on it.");
        assertThat(told(Pieces.saddle(), Pieces.readings(Pieces.saddle(), NOT, NOT, NOT))
                        .readAgain())
                .isEmpty();
    }

    @Test
    void nonsense_hasNoClearCause() {
        Map<FeatureId, Quantity> readings = Pieces.readings(Pieces.offset(), NOT, NOT, NOT);
        readings.put(FeatureId.mark(1), Length.ofInches(21.3));
        readings.put(FeatureId.mark(2), Length.ofInches(40.6));
        readings.put(FeatureId.RISE, Length.ofInches(4.1));
        readings.put(FeatureId.LANDING, Length.ofInches(37.9));
        readings.put(FeatureId.angle(1), Angle.ofDegrees(34));
        readings.put(FeatureId.OVERALL, Length.ofInches(76.5));
        assertThat(first(told(Pieces.offset(), readings)).id()).isEqualTo(CauseId.UNCLEAR);
    }

    @Test
    void anySubsetOfReadings_hasAnAnswer() {
        PlantedPieces pieces = new PlantedPieces(7);
        Random random = new Random(7);
        for (int i = 0; i < 400; i++) {
            PlantedPieces.Planted piece =
                    pieces.next(BendKind.OFFSET, CauseId.ANGLE_OFF).orElseThrow();
            piece.readings().keySet().removeIf(_ -> random.nextInt(3) > 0);
            if (!piece.readings().isEmpty()) {
                Diagnosis found = Diagnosis.of(Case.of(piece.layout(), piece.readings()));
                assertThat(found.causes())
                        .isNotEmpty()
                        .allSatisfy(cause -> assertThat(cause.probability()).isFinite());
                Telling telling = new Telling(found, LengthUnit.MILLIMETRE);
                assertThat(found.causes())
                        .allSatisfy(cause -> assertThat(telling.what(cause) + telling.evidence(cause))
                                .isNotBlank()
                                .doesNotContainPattern("\\d in (was|were|of|where|too|short)"));
            }
        }
    }

    @Test
    void everyCause_hasWords_andItsIdLeadsBackToIt() {
        assertThat(CauseId.values()).allSatisfy(cause -> {
            assertThat(CauseId.withId(cause.id())).contains(cause);
            assertThat(cause.title()).isNotBlank();
        });
        assertThat(CauseId.withId("bad-luck")).isEmpty();
    }

    @Test
    void nothingRead_isRefused() {
        Refused refused = catchThrowableOfType(Refused.class, () -> Case.of(Pieces.offset(), Map.of()));
        assertThat(refused.faults())
                .singleElement()
                .satisfies(fault -> assertThat(fault.input()).isEqualTo("readings"));
    }
}
