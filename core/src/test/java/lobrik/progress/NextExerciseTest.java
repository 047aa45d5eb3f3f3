package lobrik.progress;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lobrik.bend.BendKind;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.progress.NextExercise.Reason;
import org.junit.jupiter.api.Test;

class NextExerciseTest {

    private static NextExercise next(Map<BendKind, Standing> standings, List<Habit> habits) {
        return NextExercise.of(Curriculum.USUAL, standings, habits, Map.of());
    }

    private static NextExercise next(Map<BendKind, Standing> standings) {
        return next(standings, List.of());
    }

    @Test
    void whoeverBeginsNew_bendsAStub() {
        assertThat(next(Map.of())).isEqualTo(new NextExercise(BendKind.STUB_90, Reason.FIRST, Optional.empty()));
    }

    @Test
    void firstKindThatIsNotSteady_comesNext() {
        NextExercise next = next(Map.of(
                BendKind.STUB_90, Standing.SIGNED,
                BendKind.BACK_TO_BACK_90, Standing.LEARNING,
                BendKind.BOX_OFFSET, Standing.LEARNING));
        assertThat(next.kind()).isEqualTo(BendKind.BACK_TO_BACK_90);
        assertThat(next.reason()).isEqualTo(Reason.NOT_STEADY);
    }

    @Test
    void whatBuildsOnAnother_waitsForIt() {
        assertThat(next(Map.of(BendKind.STUB_90, Standing.LEARNING, BendKind.OFFSET, Standing.LEARNING))
                        .kind())
                .isEqualTo(BendKind.STUB_90);
    }

    @Test
    void whoeverHasBegunASaddle_neededNoStubForTheRecord() {
        assertThat(next(Map.of(BendKind.SADDLE_3, Standing.LEARNING)).kind())
                .isNotIn(BendKind.STUB_90, BendKind.OFFSET);
        assertThat(next(Map.of(BendKind.SADDLE_4, Standing.STEADY, BendKind.OFFSET, Standing.LEARNING))
                        .kind())
                .isIn(BendKind.BACK_TO_BACK_90, BendKind.OFFSET);
        assertThat(next(Map.of(BendKind.STUB_90, Standing.LEARNING, BendKind.SADDLE_4, Standing.STEADY))
                        .kind())
                .isEqualTo(BendKind.STUB_90);
    }

    @Test
    void habitThatPersists_comesFirst_unlessThatBendIsReadyAnyway() {
        List<Habit> small = List.of(secondBend(0.8));
        assertThat(next(Map.of(BendKind.OFFSET, Standing.LEARNING), small).reason())
                .isEqualTo(Reason.HABIT);
        assertThat(next(Map.of(BendKind.OFFSET, Standing.READY), small).reason())
                .isNotEqualTo(Reason.HABIT);
        assertThat(next(Map.of(BendKind.OFFSET, Standing.READY), List.of(secondBend(1.4)))
                        .reason())
                .isEqualTo(Reason.HABIT);
    }

    private static Habit secondBend(double degrees) {
        List<Angle> offs = List.of(Angle.ofDegrees(degrees), Angle.ofDegrees(degrees));
        return new Habit.Bias(
                BendKind.OFFSET,
                FeatureId.angle(2),
                Estimate.of(offs, 0.99).orElseThrow(),
                Angle.ofDegrees(2),
                2,
                true);
    }

    @Test
    void everythingSteady_bringsBackWhatWasNotBentForLongest() {
        Map<BendKind, Standing> standings = new EnumMap<>(BendKind.class);
        Map<BendKind, Long> days = new EnumMap<>(BendKind.class);
        for (BendKind kind : BendKind.values()) {
            standings.put(kind, Standing.STEADY);
            days.put(kind, 100L + days.size());
        }
        days.put(BendKind.KICK, 7L);
        NextExercise next = NextExercise.of(Curriculum.USUAL, standings, List.of(), days);
        assertThat(next.kind()).isEqualTo(BendKind.KICK);
        assertThat(next.reason()).isEqualTo(Reason.REFRESH);
    }

    @Test
    void curriculum_holdsEveryKindOnce() {
        assertThat(Curriculum.USUAL.kinds()).containsExactlyInAnyOrder(BendKind.values());
    }
}
