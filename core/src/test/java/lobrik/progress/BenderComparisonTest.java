package lobrik.progress;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import lobrik.bend.BendKind;
import lobrik.measure.Angle;
import lobrik.progress.BenderComparison.Effect;
import lobrik.progress.BenderComparison.Finding;
import lobrik.progress.BenderComparison.Seen;
import lobrik.verdict.DeviationKind;
import org.hipparchus.stat.regression.OLSMultipleLinearRegression;
import org.junit.jupiter.api.Test;

class BenderComparisonTest {

    private static final List<Family> FAMILIES =
            List.of(Family.byHand(BendKind.STUB_90), Family.byHand(BendKind.OFFSET), Family.byHand(BendKind.SADDLE_3));

    /** A class: each session one kind of bend, the benders dealt out, everybody with a bias and a spread of their own. */
    private static List<Seen> bent(SplittableRandom random, int people, int sessions, Map<String, Double> benders) {
        List<Seen> seen = new ArrayList<>();
        List<String> names = benders.keySet().stream().sorted().toList();
        double[] bias = random.doubles(people, -1.5, 1.5).toArray();
        double[] spread = random.doubles(people, 0.4, 1.6).toArray();
        for (int session = 0; session < sessions; session++) {
            Family family = FAMILIES.get(session % FAMILIES.size());
            for (int person = 0; person < people; person++) {
                String bender = names.get(random.nextInt(names.size()));
                double off = bias[person]
                        + benders.get(bender)
                        + 0.4 * FAMILIES.indexOf(family)
                        + spread[person] * random.nextGaussian();
                seen.add(new Seen("person " + person, bender, family, Angle.ofDegrees(off)));
            }
        }
        return seen;
    }

    private static Effect effect(BenderComparison comparison, String bender) {
        return comparison.effects().stream()
                .filter(effect -> effect.bender().equals(bender))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void benderThatMakesEverybodyOverBend_isFound_andTheOthersAreNotBlamed() {
        List<Seen> seen = bent(
                new SplittableRandom(1),
                15,
                12,
                Map.of("Bender 1", 0.0, "Bender 2", 0.0, "Bender 3", 2.0, "Bender 4", 0.0));
        BenderComparison comparison = BenderComparison.of(DeviationKind.ANGLES, seen);
        Effect bad = effect(comparison, "Bender 3");
        assertThat(bad.finding()).isEqualTo(Finding.OFF);
        assertThat(bad.off().orElseThrow().number()).isCloseTo(2, within(0.6));
        assertThat(comparison.known()).containsOnlyKeys("Bender 3");
        assertThat(comparison.effects())
                .filteredOn(effect -> !effect.bender().equals("Bender 3"))
                .extracting(Effect::finding)
                .containsOnly(Finding.LIKE_THE_OTHERS);
    }

    @Test
    void personWithAHeavyHand_whoAlwaysUsesOneBender_isNotTheBendersFault() {
        List<Seen> seen = new ArrayList<>();
        SplittableRandom random = new SplittableRandom(2);
        for (int i = 0; i < 60; i++) {
            for (int person = 0; person < 6; person++) {
                // Person 0 over-bends by 4° and takes bender A nearly always; the others use both alike.
                String bender = person == 0 ? (i % 10 == 0 ? "B" : "A") : (i % 2 == 0 ? "A" : "B");
                double off = (person == 0 ? 4 : 0) + random.nextGaussian();
                seen.add(new Seen("person " + person, bender, Family.byHand(BendKind.STUB_90), Angle.ofDegrees(off)));
            }
        }
        assertThat(BenderComparison.of(DeviationKind.ANGLES, seen).effects())
                .extracting(Effect::finding)
                .containsOnly(Finding.LIKE_THE_OTHERS);
    }

    @Test
    void ofTwoThatDiffer_nobodyCanSayWhichIsOff() {
        List<Seen> seen = bent(new SplittableRandom(3), 12, 12, Map.of("A", 0.0, "B", 2.5));
        assertThat(BenderComparison.of(DeviationKind.ANGLES, seen).effects())
                .extracting(Effect::finding)
                .containsOnly(Finding.ONE_OF_TWO);
    }

    @Test
    void benderOfPeopleWhoUseNoOther_cannotBeCompared() {
        List<Seen> seen = new ArrayList<>(bent(new SplittableRandom(4), 12, 12, Map.of("A", 0.0, "B", 0.0)));
        bent(new SplittableRandom(5), 12, 12, Map.of("Far", 3.0))
                .forEach(each -> seen.add(new Seen("far " + each.person(), each.bender(), each.family(), each.off())));
        Effect far = effect(BenderComparison.of(DeviationKind.ANGLES, seen), "Far");
        assertThat(far.finding()).isEqualTo(Finding.NOT_COMPARABLE);
        assertThat(far.off()).isEmpty();
        assertThat(far.pieces()).isEqualTo(144);
    }

    /** Two sites that share neither people nor benders: each is compared by itself, and a bad one is found in either. */
    @Test
    void sitesThatShareNobody_areComparedEachByItself() {
        Map<String, Double> benders = Map.of("Bender 1", 0.0, "Bender 2", 2.0, "Bender 3", 0.0);
        List<Seen> seen = new ArrayList<>(bent(new SplittableRandom(7), 15, 12, benders));
        bent(new SplittableRandom(8), 15, 12, Map.of("Far 1", 0.0, "Far 2", 0.0, "Far 3", -2.0))
                .forEach(each -> seen.add(new Seen("far " + each.person(), each.bender(), each.family(), each.off())));
        BenderComparison comparison = BenderComparison.of(DeviationKind.ANGLES, seen);
        assertThat(comparison.known()).containsOnlyKeys("Bender 2", "Far 3");
        assertThat(effect(comparison, "Bender 2").off().orElseThrow().number()).isCloseTo(2, within(0.6));
        assertThat(effect(comparison, "Far 3").off().orElseThrow().number()).isCloseTo(-2, within(0.6));
        assertThat(comparison.effects()).extracting(Effect::finding).containsOnly(Finding.OFF, Finding.LIKE_THE_OTHERS);
    }

    @Test
    void withoutABadBender_oneIsBlamed_asSeldomAsIsSaid() {
        SplittableRandom random = new SplittableRandom(6);
        int blamed = 0;
        int all = 1500;
        for (int i = 0; i < all; i++) {
            List<Seen> seen = bent(random, 12, 10, Map.of("A", 0.0, "B", 0.0, "C", 0.0, "D", 0.0));
            blamed += BenderComparison.of(DeviationKind.ANGLES, seen).effects().stream()
                            .anyMatch(effect -> effect.finding() != Finding.LIKE_THE_OTHERS)
                    ? 1
                    : 0;
        }
        // 1 % of 1,500 is 15; three standard errors are 12.
        assertThat(blamed).isLessThanOrEqualTo(27);
    }

    @Test
    void contrast_isThatOfAnOrdinaryRegression_whereAllSpreadsAreAlike() {
        SplittableRandom random = new SplittableRandom(7);
        List<Seen> seen = new ArrayList<>();
        for (int i = 0; i < 80; i++) {
            seen.add(new Seen(
                    "p" + random.nextInt(5),
                    "b" + random.nextInt(3),
                    FAMILIES.get(random.nextInt(3)),
                    Angle.ofDegrees(random.nextGaussian())));
        }
        // Dummies for persons 1 to 4, benders 1 and 2, families 1 and 2, fitted by another implementation.
        double[] y = new double[seen.size()];
        double[][] x = new double[seen.size()][8];
        for (int i = 0; i < y.length; i++) {
            Seen one = seen.get(i);
            y[i] = one.off().count();
            dummy(x[i], 0, Integer.parseInt(one.person().substring(1)));
            dummy(x[i], 4, Integer.parseInt(one.bender().substring(1)));
            dummy(x[i], 6, FAMILIES.indexOf(one.family()));
        }
        OLSMultipleLinearRegression regression = new OLSMultipleLinearRegression();
        regression.newSampleData(y, x);
        double expected = regression.estimateRegressionParameters()[5];
        double error = regression.estimateRegressionParametersStandardErrors()[5];
        ThreeWayFit.Contrast contrast =
                ThreeWayFit.unweighted(seen).contrast("b1", Set.of("b0")).orElseThrow();
        assertThat(contrast.off()).isCloseTo(expected, within(1e-6 * error));
        assertThat(contrast.error()).isCloseTo(error, within(1e-6 * error));
    }

    private static void dummy(double[] row, int from, int level) {
        if (level > 0) {
            row[from + level - 1] = 1;
        }
    }
}
