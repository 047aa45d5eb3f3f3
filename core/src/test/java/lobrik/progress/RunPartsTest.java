package lobrik.progress;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import lobrik.bend.BendKind;
import lobrik.bend.BoxEnd;
import lobrik.bend.Leg;
import lobrik.bend.Run;
import lobrik.bend.Towards;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.progress.RunParts.ShownBy;
import lobrik.shop.ToolKind;
import org.junit.jupiter.api.Test;

/** A run tells of the ninetys and offsets that it is made of. */
class RunPartsTest {

    private static final FeatureId NINETY = FeatureId.angle(1);

    private static Leg leg(double inches, Towards towards) {
        return new Leg(Length.ofInches(inches), towards, Length.ZERO);
    }

    private static Outcome.Missed missed(FeatureId feature, double degrees) {
        return new Outcome.Missed(feature, Angle.ofDegrees(degrees), Angle.ZERO, Angle.ofDegrees(2));
    }

    @Test
    void everyBend_standsForOneOfItsOwnKind_andABoxAtTheFarEndIsCountedFromItsBox() {
        BoxEnd box = new BoxEnd(Length.ofInches(0.5), Angle.ofDegrees(10), Length.ofInches(2), Towards.OUT);
        Run run = new Run(
                List.of(leg(30, Towards.RIGHT), leg(40, Towards.UP)),
                Length.ZERO,
                Length.ZERO,
                Optional.of(box),
                Optional.of(box),
                List.of(),
                List.of());
        assertThat(RunParts.of(run))
                .containsExactlyInAnyOrderEntriesOf(Map.of(
                        FeatureId.angle(1),
                        new ShownBy(BendKind.BOX_OFFSET, FeatureId.angle(1)),
                        FeatureId.angle(2),
                        new ShownBy(BendKind.BOX_OFFSET, FeatureId.angle(2)),
                        FeatureId.START_RISE,
                        new ShownBy(BendKind.BOX_OFFSET, FeatureId.RISE),
                        FeatureId.angle(3),
                        new ShownBy(BendKind.STUB_90, FeatureId.angle(1)),
                        FeatureId.angle(4),
                        new ShownBy(BendKind.BOX_OFFSET, FeatureId.angle(2)),
                        FeatureId.angle(5),
                        new ShownBy(BendKind.BOX_OFFSET, FeatureId.angle(1)),
                        FeatureId.END_RISE,
                        new ShownBy(BendKind.BOX_OFFSET, FeatureId.RISE)));
    }

    @Test
    void whatIsStored_isReadAgain() {
        ShownBy rise = new ShownBy(BendKind.OFFSET, FeatureId.RISE);
        assertThat(ShownBy.withId(rise.id())).contains(rise);
        assertThat(ShownBy.withId("")).isEmpty();
        assertThat(ShownBy.withId("spiral:rise")).isEmpty();
    }

    /** Bends of one piece come from the same hands in one go: their mean counts, once. */
    @Test
    void severalNinetysOfARun_countOnce_byTheirMean() {
        Map<FeatureId, ShownBy> shown = Map.of(
                FeatureId.angle(1), new ShownBy(BendKind.STUB_90, NINETY),
                FeatureId.angle(2), new ShownBy(BendKind.STUB_90, NINETY));
        assertThat(RunParts.parts(
                        shown,
                        ToolKind.SHOE,
                        List.of(
                                missed(FeatureId.angle(1), 1),
                                missed(FeatureId.angle(2), 2),
                                missed(FeatureId.turn(1), 9))))
                .singleElement()
                .satisfies(part -> {
                    assertThat(part.family()).isEqualTo(Family.byHand(BendKind.STUB_90));
                    assertThat(part.missed()).containsExactly(missed(NINETY, 1.5));
                });
    }

    /** Three stubs are too few to say anything; with five runs whose ninetys come out as heavy there is a habit, and it says where from. */
    @Test
    void ninetysOfRuns_makeAHabitOfStubs() {
        SplittableRandom random = new SplittableRandom(1761);
        List<Outcome> pieces = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            double off = 2 + random.nextGaussian() / 4;
            boolean run = i >= 3;
            pieces.add(new Outcome(
                    "p" + i,
                    i,
                    Family.byHand(run ? BendKind.RUN : BendKind.STUB_90),
                    "B",
                    80,
                    true,
                    MadeUpPieces.SITE,
                    0,
                    Optional.empty(),
                    List.of(missed(NINETY, off)),
                    run
                            ? List.of(new Outcome.Part(Family.byHand(BendKind.STUB_90), List.of(missed(NINETY, off))))
                            : List.of()));
        }
        Habits habits = new Habits(Map.of(), Map.of());
        assertThat(habits.of(pieces.subList(0, 3))).isEmpty();
        // A bend of a run is told as what it is, and not once more by its number along the run.
        assertThat(habits.of(pieces)).hasSize(1);
        Habit habit = habits.of(pieces).getFirst();
        assertThat(habit.family()).isEqualTo(Family.byHand(BendKind.STUB_90));
        assertThat(new HabitWords(LengthUnit.INCH).evidence(habit))
                .startsWith("The same way in 8 of the last 8 stub nineties (5 of them in runs)");
    }
}
