package lobrik.progress;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import lobrik.bend.BendKind;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.progress.NextExercise.Reason;
import lobrik.shop.ToolKind;
import org.junit.jupiter.api.Test;

class NextExerciseTest {

    private static final Set<ToolKind> BY_HAND = Set.of(ToolKind.SHOE);
    private static final Set<ToolKind> EVERY_TOOL = Set.of(ToolKind.values());

    private static NextExercise next(Map<BendKind, Standing> standings, List<Habit> habits) {
        return NextExercise.of(Curriculum.USUAL, byHand(standings), habits, Map.of(), BY_HAND);
    }

    private static NextExercise next(Map<BendKind, Standing> standings) {
        return next(standings, List.of());
    }

    private static <T> Map<Family, T> byHand(Map<BendKind, T> ofBends) {
        Map<Family, T> all = new HashMap<>();
        ofBends.forEach((bend, what) -> all.put(Family.byHand(bend), what));
        return all;
    }

    private static Family atTheMachine(BendKind bend) {
        return new Family(bend, ToolKind.MACHINE);
    }

    @Test
    void whoeverBeginsNew_bendsAStub() {
        assertThat(next(Map.of()))
                .isEqualTo(new NextExercise(Family.byHand(BendKind.STUB_90), Reason.FIRST, Optional.empty()));
    }

    @Test
    void firstKindThatIsNotSteady_comesNext() {
        NextExercise next = next(Map.of(
                BendKind.STUB_90, Standing.SIGNED,
                BendKind.BACK_TO_BACK_90, Standing.LEARNING,
                BendKind.BOX_OFFSET, Standing.LEARNING));
        assertThat(next.family().bend()).isEqualTo(BendKind.BACK_TO_BACK_90);
        assertThat(next.reason()).isEqualTo(Reason.NOT_STEADY);
    }

    @Test
    void whatBuildsOnAnother_waitsForIt() {
        assertThat(next(Map.of(BendKind.STUB_90, Standing.LEARNING, BendKind.OFFSET, Standing.LEARNING))
                        .family()
                        .bend())
                .isEqualTo(BendKind.STUB_90);
    }

    @Test
    void whoeverHasBegunASaddle_neededNoStubForTheRecord() {
        assertThat(next(Map.of(BendKind.SADDLE_3, Standing.LEARNING)).family().bend())
                .isNotIn(BendKind.STUB_90, BendKind.OFFSET);
        assertThat(next(Map.of(BendKind.SADDLE_4, Standing.STEADY, BendKind.OFFSET, Standing.LEARNING))
                        .family()
                        .bend())
                .isIn(BendKind.BACK_TO_BACK_90, BendKind.OFFSET);
        assertThat(next(Map.of(BendKind.STUB_90, Standing.LEARNING, BendKind.SADDLE_4, Standing.STEADY))
                        .family()
                        .bend())
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
                Family.byHand(BendKind.OFFSET),
                FeatureId.angle(2),
                Estimate.of(offs, 0.99).orElseThrow(),
                Angle.ofDegrees(2),
                2,
                0,
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
        NextExercise next = NextExercise.of(Curriculum.USUAL, byHand(standings), List.of(), byHand(days), BY_HAND);
        assertThat(next.family().bend()).isEqualTo(BendKind.KICK);
        assertThat(next.reason()).isEqualTo(Reason.REFRESH);
    }

    @Test
    void schoolThatHasOtherTools_goesOnWithThem_onceEverythingByHandIsSteady() {
        Map<Family, Standing> standings = new HashMap<>();
        for (BendKind bend : BendKind.values()) {
            standings.put(Family.byHand(bend), Standing.SIGNED);
        }
        NextExercise next = NextExercise.of(Curriculum.USUAL, standings, List.of(), Map.of(), EVERY_TOOL);
        assertThat(next).isEqualTo(new NextExercise(atTheMachine(BendKind.STUB_90), Reason.NEXT, Optional.empty()));
    }

    @Test
    void whoeverIsAtTheMachine_staysThere_whateverWasNeverBentByHand() {
        Map<Family, Standing> standings = Map.of(atTheMachine(BendKind.STUB_90), Standing.STEADY);
        NextExercise next = NextExercise.of(
                Curriculum.USUAL, standings, List.of(), Map.of(atTheMachine(BendKind.STUB_90), 3L), EVERY_TOOL);
        assertThat(next)
                .isEqualTo(new NextExercise(atTheMachine(BendKind.BACK_TO_BACK_90), Reason.NEXT, Optional.empty()));
    }

    @Test
    void toolOfTheLastPiece_isTheOneThatSomebodyIsAt() {
        Map<Family, Standing> standings = Map.of(
                atTheMachine(BendKind.STUB_90), Standing.LEARNING, Family.byHand(BendKind.STUB_90), Standing.STEADY);
        Map<Family, Long> days = Map.of(atTheMachine(BendKind.STUB_90), 3L, Family.byHand(BendKind.STUB_90), 4L);
        assertThat(NextExercise.of(Curriculum.USUAL, standings, List.of(), days, EVERY_TOOL)
                        .family())
                .isEqualTo(Family.byHand(BendKind.BACK_TO_BACK_90));
    }

    @Test
    void schoolWithoutAnyTool_stillHasAnOrder() {
        assertThat(NextExercise.of(Curriculum.USUAL, Map.of(), List.of(), Map.of(), Set.of())
                        .family())
                .isEqualTo(Family.byHand(BendKind.STUB_90));
    }
}
