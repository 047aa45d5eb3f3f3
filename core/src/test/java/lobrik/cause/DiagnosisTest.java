package lobrik.cause;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import lobrik.bend.BackToBack90;
import lobrik.bend.BendKind;
import lobrik.fault.Refused;
import lobrik.feature.FeatureId;
import lobrik.layout.Job;
import lobrik.layout.Jobs;
import lobrik.layout.Layout;
import lobrik.layout.Method;
import lobrik.layout.School;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.Quantity;
import lobrik.measure.TapeDivision;
import lobrik.shape.Surround;
import lobrik.verdict.BenderShare;
import lobrik.verdict.DeviationKind;
import lobrik.verdict.KnownBender;
import org.junit.jupiter.api.Test;

class DiagnosisTest {

    private static final double[] NOT = {0, 0, 0, 0};

    private static Telling told(Layout layout, Map<FeatureId, Quantity> readings) {
        return new Telling(Diagnosis.of(Case.of(layout, readings)), LengthUnit.INCH);
    }

    private static Cause first(Telling telling) {
        return telling.diagnosis().causes().getFirst();
    }

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
        assertThat(first(stub, readings, worked)).isEqualTo(CauseId.BURNED_INCH);
        assertThat(first(stub, readings, worked.plus(Length.ofInches(1)))).isEqualTo(CauseId.TAKEUP_WRONG_SIZE);
    }

    private static CauseId first(Layout layout, Map<FeatureId, Quantity> readings, Length own) {
        Case seen = new Case(
                layout,
                readings,
                Map.of(1, own),
                Case.USUAL_SIGMA_LENGTH,
                Case.USUAL_SIGMA_ANGLE,
                Surround.USUAL_INSERTION,
                Priors.USUAL);
        return Diagnosis.of(seen).causes().getFirst().id();
    }

    @Test
    void takeUpThatIsOnTheSheetAndNotOnTheConduit_isForgottenAllTheSame() {
        Layout stub = Pieces.stub();
        Map<FeatureId, Quantity> readings = Pieces.readings(stub, new double[] {6}, new double[] {0}, new double[] {0});
        assertThat(first(stub, readings, stub.marks().getFirst().position())).isEqualTo(CauseId.TAKEUP_OMITTED);
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

    /**
     * The first ring is right, the bend was made a quarter beside it, and the second was rung from the back of what was bent:
     * the length between the backs is right, the legs are not.
     */
    @Test
    void markFromTheBackOfABendThatSlipped_followedIt() {
        Layout u = u();
        Length quarter = Length.ofFraction(0, 1, 4);
        Map<FeatureId, Quantity> readings = new TreeMap<>();
        u.features().forEach(feature -> readings.put(feature.id(), feature.asked()));
        readings.put(FeatureId.LEG, Length.ofInches(12).plus(quarter));
        readings.put(FeatureId.SECOND_LEG, Length.ofInches(14).minus(quarter));
        Explanation first =
                Diagnosis.of(seen(u, readings, Set.of(2))).explanations().getFirst();
        assertThat(first.causes()).hasSize(1).first().satisfies(cause -> {
            assertThat(cause.id()).isEqualTo(CauseId.MARK_SLIPPED);
            assertThat(cause.bend()).hasValue(1);
        });
        assertThat(first.probability()).isGreaterThan(0.6);
        // Measured from the end, it takes two of them to leave the length between the backs right.
        assertThat(Diagnosis.of(seen(u, readings, Set.of()))
                        .explanations()
                        .getFirst()
                        .causes())
                .hasSize(2);
    }

    /** An inch too much, from the trainee's own figure to the leg; what came after it followed rightly. */
    @Test
    void figureThatIsWrongByNoNamedSlip_isSaidToBe_andSoIsThatItWasCarriedOn() {
        Layout u = u();
        Length inch = Length.ofInches(1);
        Map<FeatureId, Quantity> readings = new TreeMap<>();
        u.features().forEach(feature -> readings.put(feature.id(), feature.predicted()));
        readings.put(FeatureId.mark(1), u.marks().getFirst().position().plus(inch));
        readings.put(FeatureId.LEG, Length.ofInches(13));
        readings.put(FeatureId.SECOND_LEG, Length.ofInches(13));
        Map<Integer, Length> own = Map.of(
                1, u.marks().getFirst().position().plus(inch),
                2, u.marks().getLast().position().plus(inch));
        Telling told = new Telling(Diagnosis.of(seen(u, readings, own, Set.of(2))), LengthUnit.INCH);
        assertThat(first(told).id()).isEqualTo(CauseId.FIGURE_WRONG);
        assertThat(first(told).bend()).hasValue(1);
        assertThat(first(told).probability()).isGreaterThan(0.9);
        assertThat(told.title(first(told))).isEqualTo("Mark 1 worked out wrong");
        assertThat(told.what(first(told)))
                .isEqualTo("The figure worked out for mark 1 is 1 in too large: ring and bend are where it says.");
    }

    @Test
    void ringFarOff_byNoNamedSlip_isSaidToBe() {
        Layout stub = Pieces.stub();
        Telling told = told(stub, Pieces.readings(stub, new double[] {-2.5}, new double[] {0}, new double[] {0}));
        assertThat(first(told).id()).isEqualTo(CauseId.MARK_MISPLACED);
        assertThat(told.title(first(told))).isEqualTo("Ring in the wrong place");
        assertThat(told.what(first(told))).isEqualTo("The ring stands 2 1/2 in short, and the bend was made there.");
        // All of them, from the first on: the distance itself was taken wrong.
        Telling all = told(Pieces.offset(), Pieces.readings(Pieces.offset(), new double[] {4, 4}, NOT, NOT));
        assertThat(first(all).id()).isEqualTo(CauseId.MARK_MISPLACED);
        assertThat(first(all).bend()).hasValue(1);
        assertThat(all.what(first(all)))
                .isEqualTo("Ring 1 stands 4 in too far, and the bend was made there, and ring 2 was measured from it.");
    }

    /** Whoever sets the second ring by the spacing carries a misread first one on. */
    @Test
    void fractionThatWasMisread_isCarriedOnToTheRingsThatWereMeasuredFromIt() {
        Telling told = told(Pieces.offset(), Pieces.readings(Pieces.offset(), new double[] {0.25, 0.25}, NOT, NOT));
        assertThat(first(told).id()).isEqualTo(CauseId.MISREAD_FRACTION);
        assertThat(told.what(first(told)))
                .isEqualTo("Ring 1 stands 1/4 in too far; a fraction was misread, and ring 2 was measured from it.");
        Telling alone = told(Pieces.offset(), Pieces.readings(Pieces.offset(), new double[] {0.25, 0}, NOT, NOT));
        assertThat(alone.what(first(alone))).isEqualTo("Ring 1 stands 1/4 in too far; a fraction was misread.");
    }

    /** Both are sure: what was done first is named first. */
    @Test
    void ofTwoThatHappenedTogether_theEarlierIsToldFirst() {
        Layout stub = Pieces.stub();
        Map<FeatureId, Quantity> readings = Pieces.readings(stub, new double[] {6}, new double[] {0}, new double[] {0});
        readings.put(FeatureId.LEG, Length.ofInches(24.25));
        readings.computeIfPresent(FeatureId.OTHER_LEG, (_, read) -> read.minus(Length.ofFraction(0, 1, 4)));
        Diagnosis found = told(stub, readings).diagnosis();
        assertThat(found.causes().subList(0, 2))
                .extracting(Cause::id)
                .containsExactly(CauseId.TAKEUP_OMITTED, CauseId.MARK_SLIPPED);
    }

    /** The slips that have a name are as much as those that have none, and go before them. */
    @Test
    void namedSlip_goesBeforeAnyFigure() {
        Layout stub = Pieces.stub();
        Length worked = stub.marks().getFirst().position();
        Map<FeatureId, Quantity> readings = Pieces.readings(stub, new double[] {6}, new double[] {0}, new double[] {0});
        Diagnosis found = Diagnosis.of(seen(stub, readings, Map.of(1, worked.plus(Length.ofInches(6))), Set.of()));
        assertThat(found.causes().getFirst().id()).isEqualTo(CauseId.TAKEUP_OMITTED);
        assertThat(found.causes().getFirst().probability()).isGreaterThan(0.9);
    }

    private static Layout u() {
        return Layout.of(new Job(
                new BackToBack90(Length.ofInches(12), Length.ofInches(20), Length.ofInches(14)),
                Jobs.threeQuarters(),
                School.of(Method.CHART, TapeDivision.SIXTEENTH)));
    }

    private static Case seen(Layout layout, Map<FeatureId, Quantity> readings, Set<Integer> fromBack) {
        return seen(layout, readings, Map.of(), fromBack);
    }

    private static Case seen(
            Layout layout, Map<FeatureId, Quantity> readings, Map<Integer, Length> own, Set<Integer> fromBack) {
        return new Case(
                layout,
                readings,
                own,
                Case.USUAL_SIGMA_LENGTH,
                Case.USUAL_SIGMA_ANGLE,
                Surround.USUAL_INSERTION,
                Priors.USUAL,
                fromBack,
                BenderShare.NONE);
    }

    /** A stub whose leg and other leg are so far off, on a bender that is known to add a quarter to legs. */
    private static Telling onBender7(double leg, double degrees) {
        Layout stub = Pieces.stub();
        KnownBender bender = new KnownBender(
                "Bender 7",
                Map.of(
                        DeviationKind.LEGS,
                        new KnownBender.Effect(Length.ofFraction(0, 1, 4), Length.ofFraction(0, 1, 64))));
        Map<FeatureId, Quantity> readings =
                Pieces.readings(stub, new double[] {leg}, new double[] {degrees}, new double[] {0});
        // The ring stands where it should.
        readings.put(FeatureId.mark(1), stub.marks().getFirst().position());
        return new Telling(
                Diagnosis.of(new Case(
                        stub,
                        readings,
                        Map.of(),
                        Case.USUAL_SIGMA_LENGTH,
                        Case.USUAL_SIGMA_ANGLE,
                        Surround.USUAL_INSERTION,
                        Priors.USUAL,
                        Set.of(),
                        BenderShare.of(bender, stub))),
                LengthUnit.INCH);
    }

    @Test
    void whatTheBenderIsKnownToAdd_isTheBenders() {
        Telling told = onBender7(0.25, 0);
        assertThat(first(told).id()).isEqualTo(CauseId.BENDER);
        assertThat(first(told).id().isFault()).isFalse();
        assertThat(first(told).probability()).isGreaterThan(0.8);
        assertThat(told.what(first(told))).startsWith("It is what this bender adds; besides that everything reads");
        assertThat(told.evidence(first(told)))
                .isEqualTo("4 of 4 readings fit what was planned, with what the bender adds.");
        // Without a word of the bender it is the hands that slipped.
        assertThat(first(told(Pieces.stub(), told.diagnosis().seen().readings()))
                        .id())
                .isEqualTo(CauseId.MARK_SLIPPED);
    }

    @Test
    void whatHandsDoBesidesTheBender_isTheirs_byItsOwnAmount() {
        Cause slipped = first(onBender7(0.75, 0));
        assertThat(slipped.id()).isEqualTo(CauseId.MARK_SLIPPED);
        assertThat(slipped.amount())
                .hasValueSatisfying(amount -> assertThat(amount.number()).isCloseTo(0.5, within(0.04)));
        assertThat(first(onBender7(0.25, 5)).id()).isEqualTo(CauseId.ANGLE_OFF);
    }

    /** Somebody may have put the bender right since: then a piece without its share is just as planned. */
    @Test
    void benderThatAddsNothingAnyMore_isNobodysFault() {
        Cause first = first(onBender7(0, 0));
        assertThat(first.id()).isEqualTo(CauseId.NONE);
        assertThat(first.probability()).isGreaterThan(0.5);
    }
}
