package lobrik.progress;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.SplittableRandom;
import lobrik.bend.BendKind;
import lobrik.cause.CauseId;
import lobrik.feature.FeatureId;
import lobrik.progress.BenderComparison.Seen;
import lobrik.verdict.DeviationKind;
import lobrik.verdict.KnownBender;
import org.junit.jupiter.api.Test;

/** A whole class with known habits, on four benders of which one over-bends: the bender is found, and then just those habits. */
class SimulatedClassTest {

    private static final int PEOPLE = 15;
    private static final int PIECES = 24;
    private static final int CLASSES = 60;
    private static final List<String> BENDERS = List.of("Bender 1", "Bender 2", "Bender 3", "Bender 4");
    private static final String BAD = "Bender 3";
    private static final double BAD_BY = 2;

    /** Bends the second bend 2.4° heavy, whatever the bender. */
    private static final int HEAVY = 3;

    /** Rings the first mark 1/8 in short. */
    private static final int SHORT = 7;

    /** Forgets the shrink at every second piece. */
    private static final int FORGETFUL = 11;

    private static Map<Integer, List<Outcome>> aClass(SplittableRandom random) {
        Map<Integer, List<Outcome>> pieces = new LinkedHashMap<>();
        for (int person = 0; person < PEOPLE; person++) {
            List<Outcome> own = new ArrayList<>();
            double spread = 0.5 + random.nextDouble();
            for (int i = 0; i < PIECES; i++) {
                own.add(piece(random, person, spread, i));
            }
            pieces.put(person, own);
        }
        return pieces;
    }

    private static Outcome piece(SplittableRandom random, int person, double spread, int i) {
        String bender = BENDERS.get(random.nextInt(BENDERS.size()));
        double tool = bender.equals(BAD) ? BAD_BY : 0;
        boolean slip = random.nextDouble() < (person == FORGETFUL ? 0.5 : 0.01);
        double heavy = person == HEAVY ? 2.4 : 0;
        double mark = person == SHORT ? -0.125 : 0;
        return new Outcome(
                person + "/" + i,
                i,
                Family.byHand(BendKind.OFFSET),
                bender,
                80,
                true,
                MadeUpPieces.SITE,
                0,
                slip ? Optional.of(new Slip(CauseId.SHRINK_OMITTED, OptionalInt.empty())) : Optional.empty(),
                List.of(
                        MadeUpPieces.angle(FeatureId.angle(1), tool + spread * random.nextGaussian()),
                        MadeUpPieces.angle(FeatureId.angle(2), tool + heavy + spread * random.nextGaussian()),
                        MadeUpPieces.length(FeatureId.mark(1), mark + 0.04 * random.nextGaussian()),
                        MadeUpPieces.length(FeatureId.mark(2), 0.04 * random.nextGaussian()),
                        MadeUpPieces.length(FeatureId.RISE, 0.08 * random.nextGaussian()),
                        MadeUpPieces.angle(FeatureId.DOG_LEG, Math.abs(0.6 * random.nextGaussian()))));
    }

    private static BenderComparison compared(Map<Integer, List<Outcome>> pieces) {
        List<Seen> seen = new ArrayList<>();
        pieces.forEach((person, own) -> own.forEach(piece -> piece.off(DeviationKind.ANGLES)
                .ifPresent(off -> seen.add(new Seen("person " + person, piece.bender(), piece.family(), off)))));
        return BenderComparison.of(DeviationKind.ANGLES, seen);
    }

    private static Map<Integer, Set<Object>> habits(Map<Integer, List<Outcome>> pieces, BenderComparison comparison) {
        Map<String, KnownBender> known = new HashMap<>();
        comparison
                .known()
                .forEach((bender, effect) ->
                        known.put(bender, new KnownBender(bender, Map.of(DeviationKind.ANGLES, effect))));
        Map<Integer, Set<Object>> found = new HashMap<>();
        pieces.forEach((person, own) -> {
            Set<Object> about = new HashSet<>();
            for (Habit habit : new Habits(Map.of(CauseId.SHRINK_OMITTED, 0.03), known).of(own)) {
                about.add(
                        switch (habit) {
                            case Habit.Bias bias -> bias.feature();
                            case Habit.Recurring recurring -> recurring.cause();
                        });
            }
            found.put(person, about);
        });
        return found;
    }

    @Test
    void badBender_andEachHabit_areFound_andNobodyElseIsBlamed() {
        SplittableRandom random = new SplittableRandom(20_261_128);
        int benders = 0;
        int heavy = 0;
        int shorts = 0;
        int forgetful = 0;
        int blamed = 0;
        for (int i = 0; i < CLASSES; i++) {
            Map<Integer, List<Outcome>> pieces = aClass(random);
            BenderComparison comparison = compared(pieces);
            benders += comparison.known().keySet().equals(Set.of(BAD)) ? 1 : 0;
            Map<Integer, Set<Object>> found = habits(pieces, comparison);
            heavy += found.getOrDefault(HEAVY, Set.of()).contains(FeatureId.angle(2)) ? 1 : 0;
            shorts += found.getOrDefault(SHORT, Set.of()).contains(FeatureId.mark(1)) ? 1 : 0;
            forgetful += found.getOrDefault(FORGETFUL, Set.of()).contains(CauseId.SHRINK_OMITTED) ? 1 : 0;
            for (int person = 0; person < PEOPLE; person++) {
                boolean innocent = person != HEAVY && person != SHORT && person != FORGETFUL;
                blamed += innocent && !found.getOrDefault(person, Set.of()).isEmpty() ? 1 : 0;
            }
        }
        assertThat(benders)
                .as("classes whose bad bender is found, and no other")
                .isGreaterThanOrEqualTo(CLASSES - 2);
        assertThat(heavy).as("heavy second bends found").isGreaterThanOrEqualTo(CLASSES - 3);
        assertThat(shorts).as("short marks found").isEqualTo(CLASSES);
        assertThat(forgetful).as("forgotten shrinks found").isGreaterThanOrEqualTo(CLASSES - 2);
        // 12 without a habit in each of 60 classes are 720: 1 % is 7, and three standard errors are 8.
        assertThat(blamed).as("people without a habit who are told of one").isLessThanOrEqualTo(15);
    }
}
