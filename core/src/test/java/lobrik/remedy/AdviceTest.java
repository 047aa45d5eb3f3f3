package lobrik.remedy;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import lobrik.bend.BendKind;
import lobrik.bend.Saddle4;
import lobrik.cause.CauseId;
import lobrik.cause.Pieces;
import lobrik.fault.Refused;
import lobrik.feature.FeatureId;
import lobrik.layout.Jobs;
import lobrik.layout.Layout;
import lobrik.layout.Mark;
import lobrik.layout.Method;
import lobrik.layout.PlannedFeature;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.Percentage;
import lobrik.measure.Quantity;
import lobrik.measure.TapeDivision;
import lobrik.shape.BendMade;
import lobrik.shape.Feature;
import lobrik.shape.Features;
import lobrik.shape.Piece;
import lobrik.shop.ToolKind;
import lobrik.verdict.InspectionPoint;
import lobrik.verdict.Judged;
import lobrik.verdict.Reading;
import lobrik.verdict.Rebending;
import lobrik.verdict.Score;
import lobrik.verdict.TolerancePreset;
import lobrik.verdict.Tolerances;
import lobrik.verdict.Yardstick;
import org.junit.jupiter.api.Test;

class AdviceTest {

    private static final Tolerances SITE = TolerancePreset.SITE.tolerances();
    private static final double[] NOT = {0, 0, 0, 0};

    private static Advice advice(Layout layout, Map<FeatureId, Quantity> readings) {
        return Advice.of(new Advice.Piecework(layout, readings, Yardstick.RIGHT_PIECE, SITE, Set.of(), 0))
                .orElseThrow();
    }

    private static Advice advice(Map<FeatureId, Quantity> offset, Set<InspectionPoint> faulty, int rebent) {
        return Advice.of(new Advice.Piecework(Pieces.offset(), offset, Yardstick.RIGHT_PIECE, SITE, faulty, rebent))
                .orElseThrow();
    }

    @Test
    void goodPiece_isLeftAlone() {
        Advice advice = advice(Pieces.saddle(), Pieces.readings(Pieces.saddle(), NOT, NOT, NOT));
        assertThat(advice.outcome()).isEqualTo(Advice.Outcome.LEAVE);
        assertThat(advice.steps()).isEmpty();
    }

    @Test
    void overBentBend_isEasedByWhatItIsOver() {
        double[] second = {0, 4};
        Advice advice = advice(Pieces.offset(), Pieces.readings(Pieces.offset(), NOT, second, NOT));
        assertThat(advice.outcome()).isEqualTo(Advice.Outcome.REWORK);
        assertThat(advice.steps()).singleElement().isInstanceOfSatisfying(RemedyStep.Rebend.class, step -> {
            assertThat(step.bend()).isEqualTo(2);
            assertThat(step.by().degrees()).isCloseTo(-4, within(1.0));
        });
        assertThat(new AdviceWords(advice, 2, LengthUnit.INCH, ToolKind.SHOE)
                        .step(advice.steps().getFirst()))
                .startsWith("Ease bend 2 open by ");
    }

    @Test
    void dogLeg_isTurnedBack() {
        double[] last = {0, 5};
        Advice advice = advice(Pieces.offset(), Pieces.readings(Pieces.offset(), NOT, NOT, last));
        assertThat(advice.steps()).singleElement().isInstanceOf(RemedyStep.Untwist.class);
        assertThat(advice.outcome()).isEqualTo(Advice.Outcome.REWORK);
    }

    @Test
    void whatIsTooLong_isCut() {
        Map<FeatureId, Quantity> readings = Pieces.readings(Pieces.offset(), NOT, NOT, NOT);
        readings.put(FeatureId.OVERALL, Length.ofInches(80.5));
        assertThat(advice(Pieces.offset(), readings).steps())
                .containsExactly(new RemedyStep.Trim(RemedyStep.End.FAR, Length.ofFraction(0, 1, 2)));
    }

    @Test
    void ringThatLandsShort_isScrap_andSaysWhy() {
        double[] short_ = {-1.5, -1.5};
        Advice advice = advice(Pieces.offset(), Pieces.readings(Pieces.offset(), short_, NOT, NOT));
        assertThat(advice.outcome()).isEqualTo(Advice.Outcome.SCRAP);
        assertThat(advice.reason()).contains(Advice.Scrap.OUT_OF_REACH);
        assertThat(new AdviceWords(advice, 2, LengthUnit.INCH, ToolKind.SHOE).outcome())
                .contains("landing", "1 1/2 in under");
    }

    @Test
    void kink_andTooOftenRebent_areScrap() {
        double[] second = {0, 4};
        Map<FeatureId, Quantity> readings = Pieces.readings(Pieces.offset(), NOT, second, NOT);
        assertThat(advice(readings, EnumSet.of(InspectionPoint.KINK), 0).reason())
                .contains(Advice.Scrap.KINKED);
        assertThat(advice(readings, Set.of(), Rebending.USUAL.mostTimes()).reason())
                .contains(Advice.Scrap.REBENT_TOO_OFTEN);
    }

    /** Random pieces with angles off: the advice is carried out on the true piece, which then is measured anew. */
    @Test
    void followingIt_givesWhatItPromises_andNeverMakesThePieceWorse() {
        Random random = new Random(20261124);
        Jobs jobs = new Jobs(20261124);
        List<BendKind> kinds = List.of(BendKind.values());
        int reworked = 0;
        for (int i = 0; i < 240; i++) {
            BendKind kind = kinds.get(i % kinds.size());
            Layout layout =
                    Layout.of(jobs.next(kind, i % 16 < 8 ? Method.CHART : Method.EXACT, TapeDivision.SIXTEENTH));
            Optional<Piece> made = bentBadly(layout, random);
            if (made.isPresent() && follows(layout, made.get())) {
                reworked++;
            }
        }
        assertThat(reworked).isGreaterThan(60);
    }

    private static Optional<Piece> bentBadly(Layout layout, Random random) {
        List<BendMade> bends = new ArrayList<>();
        for (Mark mark : layout.marks()) {
            double off = random.nextInt(2) == 0 ? 0 : 6 * (random.nextDouble() - 0.5);
            bends.add(new BendMade(
                    mark.position(), mark.placing(), mark.angle().plus(Angle.ofDegrees(off)), mark.roll()));
        }
        try {
            return Optional.of(
                    Piece.simulate(layout.job().tooling(), layout.predicted().length(), bends));
        } catch (Refused noRoom) {
            return Optional.empty();
        }
    }

    private static Map<FeatureId, Quantity> measured(Layout layout, Piece piece) {
        Map<FeatureId, Quantity> values = new TreeMap<>();
        for (Feature feature : Features.of(layout.job().bend(), piece)) {
            values.put(feature.id(), feature.value());
        }
        values.keySet()
                .retainAll(layout.features().stream().map(PlannedFeature::id).toList());
        return values;
    }

    /** Whether there was something to do. */
    private static boolean follows(Layout layout, Piece made) {
        Map<FeatureId, Quantity> before = measured(layout, made);
        Advice advice = advice(layout, before);
        if (advice.steps().isEmpty()) {
            return false;
        }
        Map<FeatureId, Quantity> after = measured(layout, reworked(made, advice.steps()));
        assertThat(score(layout, after))
                .as("%s: %s", layout.job(), advice.steps())
                .isGreaterThanOrEqualTo(score(layout, before) - 0.05);
        for (Advice.Predicted each : advice.predicted()) {
            double promised = inUnits(each.after());
            Quantity got = after.get(each.feature());
            assertThat(got).isNotNull();
            assertThat(inUnits(got))
                    .as("%s of %s", each.feature(), layout.job())
                    .isCloseTo(promised, within(0.02));
            if (advice.outcome() == Advice.Outcome.REWORK) {
                assertThat(each.then().band()).isNotEqualTo(Judged.Band.OUTSIDE);
            }
        }
        return true;
    }

    private static double inUnits(Quantity quantity) {
        return switch (quantity) {
            case Length length -> length.inches();
            case Angle angle -> angle.degrees();
            case Percentage part -> part.perCent();
        };
    }

    private static Piece reworked(Piece made, List<RemedyStep> steps) {
        List<BendMade> bends = new ArrayList<>(made.bends());
        Length length = made.length();
        for (RemedyStep step : steps) {
            switch (step) {
                case RemedyStep.Rebend rebend ->
                    bends.set(rebend.bend() - 1, closed(bends.get(rebend.bend() - 1), rebend.by()));
                case RemedyStep.Untwist _ -> {}
                case RemedyStep.Trim trim -> {
                    length = length.minus(trim.by());
                    if (trim.end() == RemedyStep.End.DATUM) {
                        bends.replaceAll(bend -> moved(bend, trim.by()));
                    }
                }
            }
        }
        return Piece.simulate(made.tooling(), length, bends);
    }

    private static BendMade closed(BendMade b, Angle by) {
        return new BendMade(b.position(), b.placing(), b.angle().plus(by), b.roll());
    }

    private static BendMade moved(BendMade b, Length by) {
        return new BendMade(b.position().minus(by), b.placing(), b.angle(), b.roll());
    }

    private static double score(Layout layout, Map<FeatureId, Quantity> values) {
        List<Reading> readings = layout.features().stream()
                .filter(feature -> feature.id().isOfFinishedPiece())
                .map(feature -> Reading.of(
                        layout.job().bend().kind(),
                        feature.id(),
                        feature.right(),
                        values.getOrDefault(feature.id(), feature.right()),
                        SITE))
                .toList();
        return Score.of(readings, SITE.judging().scheme(), 70, 0).points();
    }

    @Test
    void adviceSpeaksOfWhatThisBendIsMeasuredTo() {
        Jobs jobs = new Jobs(7);
        for (int i = 0; i < 40; i++) {
            Layout layout = Layout.of(jobs.next(BendKind.SADDLE_4, Method.CHART, TapeDivision.SIXTEENTH));
            Saddle4 saddle = (Saddle4) layout.job().bend();
            String where = saddle.measuredTo() == Saddle4.MeasuredTo.NEAR_EDGE ? "near edge" : "middle";
            NextTime.of(CauseId.SHRINK_OMITTED, layout)
                    .ifPresent(
                            next -> assertThat(next.sentence()).contains(where).doesNotContain("far side"));
        }
    }

    @Test
    void everyFault_hasASentenceForNextTime_andAPieceThatCanBeBent() {
        for (CauseId cause : CauseId.values()) {
            boolean taught = cause.isFault() && cause != CauseId.READING_DOUBTFUL;
            for (Layout layout : List.of(Pieces.stub(), Pieces.offset(), Pieces.saddle())) {
                Optional<NextTime> next = NextTime.of(cause, layout);
                assertThat(next.isPresent()).as(cause.id()).isEqualTo(taught);
                next.ifPresent(n -> assertThat(n.exercise().job().bend())
                        .isNotEqualTo(layout.job().bend()));
            }
        }
    }
}
