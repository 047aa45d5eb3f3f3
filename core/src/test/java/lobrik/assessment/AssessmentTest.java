package lobrik.assessment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import lobrik.assessment.Assessment.Assessed;
import lobrik.assessment.Assessment.State;
import lobrik.bend.BendKind;
import lobrik.cause.Pieces;
import lobrik.feature.FeatureId;
import lobrik.layout.Layout;
import lobrik.layout.PlannedFeature;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.reading.ReadingList;
import lobrik.verdict.CarriedOn;
import lobrik.verdict.InspectionPoint;
import lobrik.verdict.Judged;
import lobrik.verdict.Reading;
import lobrik.verdict.Score;
import lobrik.verdict.TolerancePreset;
import lobrik.verdict.Tolerances;
import lobrik.verdict.Workmanship;
import lobrik.verdict.Yardstick;
import org.junit.jupiter.api.Test;

/** What a piece comes to. */
class AssessmentTest {

    private static final Layout SADDLE = Pieces.saddle();
    private static final Tolerances SITE = TolerancePreset.SITE.tolerances();
    private static final Basis BASIS = basis(Yardstick.RIGHT_PIECE, ReadingList.ALL);

    private static final FeatureId CRITICAL = BASIS.features().stream()
            .filter(Basis.Held::critical)
            .map(Basis.Held::id)
            .findFirst()
            .orElseThrow();

    private static Basis basis(Yardstick yardstick, ReadingList list) {
        return Basis.of(SADDLE, yardstick, yardstick::target, SITE, list);
    }

    /** All that was asked, as it is held to. */
    private static Map<FeatureId, Quantity> right(Basis basis) {
        Map<FeatureId, Quantity> values = new TreeMap<>();
        basis.features().forEach(held -> values.put(held.id(), held.target()));
        return values;
    }

    private static Evidence read(Map<FeatureId, Quantity> values) {
        return new Evidence(values, Set.of(), Set.of(), Set.of(), false, false, Map.of());
    }

    private static Assessment assess(Basis basis, Evidence evidence) {
        return Assessment.of(basis, SITE, evidence, Optional::empty);
    }

    @Test
    void pieceAsItShouldBe_isCompleteInsideAndHasAllPoints() {
        Assessment right = assess(BASIS, read(right(BASIS)));
        assertThat(right.isComplete()).isTrue();
        assertThat(right.isInside()).isTrue();
        assertThat(right.failing()).isEmpty();
        assertThat(right.score().orElseThrow().points()).isEqualTo(100);
        assertThat(right.score().orElseThrow().passed()).isTrue();
        assertThat(right.measured()).isEqualTo(BASIS.features().size());
    }

    @Test
    void untilEverythingIsSettled_thereIsNoScore() {
        Map<FeatureId, Quantity> values = right(BASIS);
        FeatureId last = BASIS.features().getLast().id();
        values.remove(last);
        Assessment open = assess(BASIS, read(values));
        assertThat(open.isComplete()).isFalse();
        assertThat(open.score()).isEmpty();
        assertThat(open.features().getLast().state()).isEqualTo(State.OPEN);
        assertThat(open.measured()).isEqualTo(BASIS.features().size() - 1);

        Assessment omitted =
                assess(BASIS, new Evidence(values, Set.of(last), Set.of(), Set.of(), false, false, Map.of()));
        assertThat(omitted.isComplete()).isTrue();
        assertThat(omitted.features().getLast().state()).isEqualTo(State.OMITTED);
    }

    @Test
    void criticalThatNobodyMeasured_failsThePiece_withAllItsPoints() {
        Map<FeatureId, Quantity> values = right(BASIS);
        values.remove(CRITICAL);
        Assessment without =
                assess(BASIS, new Evidence(values, Set.of(CRITICAL), Set.of(), Set.of(), false, false, Map.of()));
        assertThat(without.criticalOmitted()).containsExactly(CRITICAL);
        assertThat(without.failing()).containsExactly(CRITICAL.id());
        assertThat(without.score().orElseThrow().points()).isEqualTo(100);
        assertThat(without.score().orElseThrow().passed()).isFalse();
    }

    @Test
    void nothingMeasuredAtAll_isNothing() {
        Set<FeatureId> all = right(BASIS).keySet();
        Assessment nothing = assess(BASIS, new Evidence(Map.of(), all, Set.of(), Set.of(), false, false, Map.of()));
        assertThat(nothing.isComplete()).isTrue();
        assertThat(nothing.marksheet()).isEmpty();
        assertThat(nothing.score().orElseThrow().points()).isZero();
        assertThat(nothing.score().orElseThrow().passed()).isFalse();
    }

    @Test
    void whatTwoPeopleReadDifferently_isDisputed_andHoldsThePieceUp() {
        Map<FeatureId, Quantity> values = right(BASIS);
        values.remove(CRITICAL);
        Assessment disputed =
                assess(BASIS, new Evidence(values, Set.of(), Set.of(CRITICAL), Set.of(), false, false, Map.of()));
        assertThat(disputed.isDisputed()).isTrue();
        assertThat(disputed.isComplete()).isFalse();
        Assessment finding =
                assess(BASIS, new Evidence(right(BASIS), Set.of(), Set.of(), Set.of(), true, true, Map.of()));
        assertThat(finding.isDisputed()).isFalse();
        assertThat(finding.isComplete()).isFalse();
    }

    @Test
    void criticalFault_failsThePiece_andEveryFaultCostsItsPoints() {
        Evidence kinked = new Evidence(
                right(BASIS),
                Set.of(),
                Set.of(),
                Set.of(InspectionPoint.KINK, InspectionPoint.RIPPLE),
                true,
                false,
                Map.of());
        Assessment found = assess(BASIS, kinked);
        Workmanship.Found cost = SITE.workmanship().found(Set.of(InspectionPoint.KINK, InspectionPoint.RIPPLE));
        assertThat(found.failing()).containsExactly("kink");
        assertThat(found.isInside()).isTrue();
        assertThat(found.score().orElseThrow().points()).isEqualTo(100 - cost.deductions());
        assertThat(found.score().orElseThrow().passed()).isFalse();
    }

    @Test
    void randomReadings_areJudgedAsOneByOne() {
        Random random = new Random(11);
        for (int i = 0; i < 200; i++) {
            Map<FeatureId, Quantity> values = new HashMap<>();
            for (Basis.Held held : BASIS.features()) {
                if (held.id().isOfFinishedPiece()) {
                    long off = Math.round(held.tolerance().over().count() * 4 * (random.nextDouble() - 0.5));
                    values.put(held.id(), held.target().withCount(held.target().count() + off));
                } else {
                    values.put(held.id(), held.target());
                }
            }
            Assessment assessed = assess(BASIS, read(values));
            double credits = 0;
            boolean inside = true;
            for (Assessed feature : assessed.features()) {
                Judged alone = Reading.of(
                                SADDLE.job().bend().kind(),
                                feature.id(),
                                feature.target(),
                                values.get(feature.id()),
                                SITE)
                        .judged(SITE.judging().scheme());
                assertThat(feature.judged()).contains(alone);
                credits += alone.credit();
                inside &= alone.band() != Judged.Band.OUTSIDE;
            }
            assertThat(assessed.score().orElseThrow().points())
                    .isCloseTo(100 * credits / assessed.features().size(), within(1e-6));
            assertThat(assessed.isInside()).isEqualTo(inside);
            assertThat(assessed.failing().isEmpty()).isEqualTo(inside);
        }
    }

    @Test
    void ringOnTheTraineesOwnFigure_isRightlyRinged_andTheFigureIsCharged() {
        Map<FeatureId, Quantity> values = right(BASIS);
        Length wrong = ((Length) values.get(FeatureId.mark(2))).plus(Length.ofInches(1));
        values.put(FeatureId.mark(2), wrong);
        Assessment charged = assess(BASIS, read(values));
        assertThat(mark(charged, 2).isOutside()).isTrue();
        Assessment carried =
                assess(BASIS, new Evidence(values, Set.of(), Set.of(), Set.of(), false, false, Map.of(2, wrong)));
        assertThat(mark(carried, 2).isOutside()).isFalse();
        assertThat(mark(carried, 2).carried()).contains(CarriedOn.Reason.OWN_FIGURE);
        assertThat(carried.arithmetic().map(Score::points).orElseThrow()).isZero();
    }

    private static Assessed mark(Assessment assessment, int number) {
        return assessment.features().stream()
                .filter(feature -> feature.id().equals(FeatureId.mark(number)))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void ownMethod_isNotHeldToMarks_andItsFiguresToNothing() {
        Basis free = basis(Yardstick.FREE_METHOD, ReadingList.ALL);
        assertThat(free.features()).allMatch(held -> held.id().isOfFinishedPiece());
        assertThat(free.marks()).isEmpty();
        Assessment assessed = assess(
                free,
                new Evidence(right(free), Set.of(), Set.of(), Set.of(), false, false, Map.of(1, Length.ofInches(3))));
        assertThat(assessed.isComplete()).isTrue();
        assertThat(assessed.arithmetic()).isEmpty();
    }

    @Test
    void shortList_readsTheFinishedPiece_andStillHoldsFiguresToTheirMarks() {
        Basis shorter = basis(Yardstick.RIGHT_PIECE, ReadingList.SHORT);
        assertThat(shorter.features().size()).isLessThan(BASIS.features().size());
        assertThat(shorter.holds(FeatureId.mark(1))).isFalse();
        assertThat(shorter.holds(CRITICAL)).isTrue();
        assertThat(shorter.marks()).isEqualTo(BASIS.marks());
    }

    @Test
    void earlierPieces_areHeldToWhatWasAsked_andTheirSlipsAreNotCarriedOn() {
        Basis asked = basis(Yardstick.AS_ASKED, ReadingList.ALL);
        assertThat(asked.slipsCountOnce()).isFalse();
        for (PlannedFeature plan : SADDLE.features()) {
            assertThat(asked.features())
                    .filteredOn(held -> held.id().equals(plan.id()))
                    .singleElement()
                    .satisfies(held -> assertThat(held.target()).isEqualTo(plan.asked()));
        }
    }

    @Test
    void whereOnlyTargetsAreKnown_thePieceIsJudgedByThem_asBefore() {
        for (ReadingList list : ReadingList.values()) {
            for (Yardstick yardstick : new Yardstick[] {Yardstick.RIGHT_PIECE, Yardstick.FREE_METHOD}) {
                Map<FeatureId, Quantity> targets = new HashMap<>();
                SADDLE.features().forEach(plan -> targets.put(plan.id(), yardstick.target(plan)));
                Basis whole = basis(yardstick, list);
                Basis known = Basis.of(targets, BendKind.SADDLE_4, yardstick, SITE, list);
                assertThat(known.marks()).isEqualTo(whole.marks());
                assertThat(known.slipsCountOnce()).isEqualTo(whole.slipsCountOnce());
                assertThat(known.features())
                        .extracting(Basis.Held::id)
                        .containsExactlyElementsOf(
                                whole.features().stream().map(Basis.Held::id).toList());
                Map<FeatureId, Quantity> off = right(whole);
                off.replaceAll((id, value) -> value.withCount(value.count() + 1_000_000));
                assertThat(assess(known, read(off)).score())
                        .isEqualTo(assess(whole, read(off)).score());
            }
        }
    }

    @Test
    void otherTolerances_moveLimitsAlone() {
        Tolerances assessment = TolerancePreset.ASSESSMENT.tolerances();
        Basis other = BASIS.under(assessment, BendKind.SADDLE_4);
        assertThat(other)
                .isEqualTo(Basis.of(
                        SADDLE, Yardstick.RIGHT_PIECE, Yardstick.RIGHT_PIECE::target, assessment, ReadingList.ALL));
        assertThat(other.features())
                .extracting(Basis.Held::target)
                .isEqualTo(BASIS.features().stream().map(Basis.Held::target).toList());
    }

    @Test
    void cut_isHeldToTheRightLength() {
        assertThat(BASIS.cut().map(Basis.HeldLength::right)).isEqualTo(SADDLE.cutLength());
        assertThat(BASIS.cut().map(Basis.HeldLength::tolerance))
                .isEqualTo(SADDLE.cutLength().map(cut -> SITE.of(BendKind.SADDLE_4, FeatureId.OVERALL)));
    }
}
