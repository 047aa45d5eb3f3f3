package lobrik.progress;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.SplittableRandom;
import lobrik.bend.BendKind;
import lobrik.cause.CauseId;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.verdict.DeviationKind;
import lobrik.verdict.KnownBender;
import org.junit.jupiter.api.Test;

class HabitsTest {

    private static final Habits PLAIN = new Habits(Map.of(), Map.of());
    private static final HabitWords WORDS = new HabitWords(LengthUnit.INCH);

    @Test
    void heavySecondBend_isFoundAndSaid() {
        List<Habit> habits = PLAIN.of(MadeUpPieces.offsets(new SplittableRandom(1), 16, 2.4, 0));
        assertThat(habits).singleElement().isInstanceOfSatisfying(Habit.Bias.class, bias -> {
            assertThat(bias.feature()).isEqualTo(FeatureId.angle(2));
            assertThat(bias.persists()).isTrue();
            assertThat(WORDS.sentence(bias)).matches("Bend 2 of offsets comes out 2(\\.\\d)?° heavy\\.");
            assertThat(WORDS.evidence(bias)).contains("of the last 16 offsets", "(99.9 % sure)");
        });
    }

    @Test
    void forgottenShrink_isFound_andNotTakenForAShortLanding() {
        List<Habit> habits = PLAIN.of(MadeUpPieces.offsets(new SplittableRandom(4), 24, 0, 0.3));
        assertThat(habits).singleElement().isInstanceOfSatisfying(Habit.Recurring.class, recurring -> {
            assertThat(recurring.cause()).isEqualTo(CauseId.SHRINK_OMITTED);
            assertThat(recurring.times()).isGreaterThan(3);
            assertThat(WORDS.sentence(recurring)).isEqualTo("Shrink forgotten, again and again.");
        });
    }

    @Test
    void whoHasNoHabit_isToldOfOne_asSeldomAsIsSaid() {
        SplittableRandom random = new SplittableRandom(8);
        int told = 0;
        int all = 4000;
        for (int i = 0; i < all; i++) {
            told += PLAIN.of(MadeUpPieces.offsets(random, 24, 0, Habits.FALSE_ALARM))
                            .isEmpty()
                    ? 0
                    : 1;
        }
        // 1 % of 4,000 is 40; three standard errors are 19.
        assertThat(told).isLessThanOrEqualTo(59);
    }

    @Test
    void habitThatShows_isFoundInMostClasses() {
        SplittableRandom random = new SplittableRandom(9);
        int found = 0;
        for (int i = 0; i < 500; i++) {
            found += PLAIN.of(MadeUpPieces.offsets(random, 16, 2, 0)).isEmpty() ? 0 : 1;
        }
        assertThat(found).isGreaterThan(480);
    }

    @Test
    void slipThatEverybodyHas_isNobodysHabit() {
        List<Outcome> pieces = MadeUpPieces.offsets(new SplittableRandom(4), 24, 0, 0.3);
        assertThat(new Habits(Map.of(CauseId.SHRINK_OMITTED, 0.3), Map.of()).of(pieces))
                .isEmpty();
    }

    @Test
    void whatABenderIsKnownToAdd_isNobodysHabit() {
        List<Outcome> pieces = MadeUpPieces.offsets(new SplittableRandom(1), 16, 2.4, 0);
        KnownBender adds = new KnownBender(
                "B", Map.of(DeviationKind.ANGLES, new KnownBender.Effect(Angle.ofDegrees(2.4), Angle.ofDegrees(0.2))));
        List<Habit> habits = new Habits(Map.of(), Map.of("B0", adds, "B1", adds, "B2", adds)).of(pieces);
        assertThat(habits)
                .noneMatch(habit ->
                        habit instanceof Habit.Bias bias && FeatureId.angle(2).equals(bias.feature()));
    }

    @Test
    void whatThePlanItselfIsOff_isNobodysHabit() {
        List<Outcome> pieces = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            Length off = Length.ofFraction(0, 3, 32);
            pieces.add(new Outcome(
                    "p" + i,
                    i,
                    Family.byHand(BendKind.OFFSET),
                    "B",
                    90,
                    true,
                    MadeUpPieces.SITE,
                    0,
                    Optional.of(new Slip(CauseId.NONE, OptionalInt.empty())),
                    List.of(new Outcome.Missed(FeatureId.RISE, off, off, Length.ofFraction(0, 1, 8)))));
        }
        assertThat(PLAIN.of(pieces)).isEmpty();
    }

    @Test
    void habitThatIsGone_nolongerPersists() {
        List<Outcome> pieces = new ArrayList<>(MadeUpPieces.offsets(new SplittableRandom(2), 13, 4, 0));
        pieces.addAll(MadeUpPieces.offsets(new SplittableRandom(3), 3, -0.5, 0));
        assertThat(PLAIN.of(pieces))
                .filteredOn(Habit.Bias.class::isInstance)
                .extracting(Habit.Bias.class::cast)
                .filteredOn(bias -> FeatureId.angle(2).equals(bias.feature()))
                .singleElement()
                .satisfies(bias -> {
                    assertThat(bias.persists()).isFalse();
                    assertThat(WORDS.evidence(bias)).endsWith("The last ones were better.");
                });
    }

    @Test
    void words_fitEveryFeatureAndSide() {
        assertThat(said(BendKind.STUB_90, MadeUpPieces.angle(FeatureId.angle(1), 2.5)))
                .isEqualTo("The bend of stub nineties comes out 2.5° heavy.");
        assertThat(said(BendKind.SADDLE_3, MadeUpPieces.length(FeatureId.mark(2), -0.125)))
                .isEqualTo("Mark 2 of three-point saddles is ringed 1/8 in short.");
        assertThat(said(BendKind.SADDLE_3, MadeUpPieces.length(FeatureId.CENTRE, 0.1875)))
                .isEqualTo("The centre of three-point saddles comes 3/16 in too far out.");
        assertThat(said(BendKind.BACK_TO_BACK_90, MadeUpPieces.length(FeatureId.BETWEEN, 0.25)))
                .isEqualTo("The distance back to back of back-to-back nineties comes out 1/4 in long.");
        assertThat(said(BendKind.OFFSET, MadeUpPieces.length(FeatureId.RISE, -0.25)))
                .isEqualTo("The rise of offsets comes out 1/4 in low.");
        assertThat(said(BendKind.OFFSET, MadeUpPieces.angle(FeatureId.DOG_LEG, 4)))
                .isEqualTo("Offsets come out with a dog leg of 4°.");
        assertThat(said(BendKind.SADDLE_4, MadeUpPieces.length(FeatureId.TAIL_LIFT, -0.25)))
                .isEqualTo("The far end of four-point saddles dips 1/4 in.");
    }

    private static String said(BendKind kind, Outcome.Missed missed) {
        List<Outcome> pieces = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            pieces.add(new Outcome(
                    "p" + i,
                    i,
                    Family.byHand(kind),
                    "B",
                    50,
                    false,
                    MadeUpPieces.SITE,
                    0,
                    Optional.empty(),
                    List.of(missed)));
        }
        return WORDS.sentence(PLAIN.of(pieces).getFirst());
    }
}
