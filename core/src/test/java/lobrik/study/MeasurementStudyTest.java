package lobrik.study;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;

class MeasurementStudyTest {

    /** A worked example that has been published many times over: three people, ten pieces, three repeats. By person, repeat and piece. */
    private static final double[][][] PUBLISHED = {
        {
            {0.29, -0.56, 1.34, 0.47, -0.80, 0.02, 0.59, -0.31, 2.26, -1.36},
            {0.41, -0.68, 1.17, 0.50, -0.92, -0.11, 0.75, -0.20, 1.99, -1.25},
            {0.64, -0.58, 1.27, 0.64, -0.84, -0.21, 0.66, -0.17, 2.01, -1.31}
        },
        {
            {0.08, -0.47, 1.19, 0.01, -0.56, -0.20, 0.47, -0.63, 1.80, -1.68},
            {0.25, -1.22, 0.94, 1.03, -1.20, 0.22, 0.55, 0.08, 2.12, -1.62},
            {0.07, -0.68, 1.34, 0.20, -1.28, 0.06, 0.83, -0.34, 2.19, -1.50}
        },
        {
            {0.04, -1.38, 0.88, 0.14, -1.46, -0.29, 0.02, -0.46, 1.77, -1.49},
            {-0.11, -1.13, 1.09, 0.20, -1.07, -0.67, 0.01, -0.56, 1.45, -1.77},
            {-0.15, -0.96, 0.67, 0.11, -1.45, -0.49, 0.21, -0.49, 1.87, -2.16}
        }
    };

    private static double[][][] byPiece(double[][][] byRepeat) {
        int pieces = byRepeat[0][0].length;
        double[][][] turned = new double[byRepeat.length][pieces][byRepeat[0].length];
        for (int person = 0; person < turned.length; person++) {
            for (int piece = 0; piece < pieces; piece++) {
                for (int again = 0; again < byRepeat[0].length; again++) {
                    turned[person][piece][again] = byRepeat[person][again][piece];
                }
            }
        }
        return turned;
    }

    @Test
    void publishedExample_comesOut() {
        MeasurementStudy study = MeasurementStudy.of(byPiece(PUBLISHED));
        assertThat(study.people().squares()).isCloseTo(3.1673, within(5e-5));
        assertThat(study.people().freedom()).isEqualTo(2);
        assertThat(study.pieces().squares()).isCloseTo(88.3619, within(5e-5));
        assertThat(study.pieces().freedom()).isEqualTo(9);
        assertThat(study.together().squares()).isCloseTo(0.3590, within(5e-5));
        assertThat(study.together().freedom()).isEqualTo(18);
        assertThat(study.again().squares()).isCloseTo(2.7589, within(5e-5));
        assertThat(study.again().freedom()).isEqualTo(60);
        assertThat(study.togetherByChance()).isCloseTo(0.974, within(5e-4));
        assertThat(study.isPooled()).isTrue();
        assertThat(study.repeatability()).isCloseTo(0.19993, within(5e-6));
        assertThat(study.reproducibility()).isCloseTo(0.22684, within(5e-6));
        assertThat(study.spread()).isCloseTo(0.30237, within(5e-6));
        assertThat(study.pieceSpread()).isCloseTo(1.04233, within(5e-6));
        assertThat(study.total()).isCloseTo(1.08530, within(5e-5));
        assertThat((int) study.toldApart()).isEqualTo(4);
        assertThat(study.share(4)).as("a tolerance of 8 in all").isCloseTo(6 * 0.30237 / 8, within(1e-5));
        assertThat(study.readers().getFirst().isOff()).as("A reads long").isTrue();
        assertThat(study.readers().getFirst().bias()).isCloseTo(0.1903 - 0.0014, within(1e-4));
        assertThat(study.readers().getLast().bias()).as("C reads short").isNegative();
    }

    /** Two people, three pieces, twice, by hand: the second always reads 2 more; repeats differ by 2 each. */
    @Test
    void bySmallFigures_asOnPaper() {
        double[][][] figures = {{{9, 11}, {19, 21}, {29, 31}}, {{11, 13}, {21, 23}, {31, 33}}};
        MeasurementStudy study = MeasurementStudy.of(figures);
        assertThat(study.mean()).isEqualTo(21);
        assertThat(study.people().squares()).as("twelve times one, squared").isCloseTo(12, within(1e-12));
        assertThat(study.pieces().squares()).as("four times 100 twice").isCloseTo(800, within(1e-9));
        assertThat(study.together().squares()).isCloseTo(0, within(1e-9));
        assertThat(study.again().squares()).as("twelve times one, squared").isCloseTo(12, within(1e-12));
        assertThat(study.isPooled()).isTrue();
        assertThat(study.repeatability()).as("12 over 8").isCloseTo(Math.sqrt(1.5), within(1e-12));
        assertThat(study.reproducibility()).as("(12 − 1.5) over 6").isCloseTo(Math.sqrt(1.75), within(1e-12));
        assertThat(study.readers().getLast().bias()).isCloseTo(1, within(1e-12));
        assertThat(study.readers().getLast().spread()).isCloseTo(Math.sqrt(2), within(1e-12));
        assertThat(study.offPiece()[0][1]).as("of 19 and 21, where all read 21").containsExactly(-2, 0);
        assertThat(study.offPiece()[1][2]).containsExactly(0, 2);
    }

    @Test
    void peopleWhoDifferFromPieceToPiece_countAsReproducibility() {
        double[][][] figures = {{{0, 0.1}, {10, 10.1}, {20, 20.1}}, {{1, 1.1}, {9, 9.1}, {20, 20.1}}};
        MeasurementStudy study = MeasurementStudy.of(figures);
        assertThat(study.isPooled()).isFalse();
        assertThat(study.repeatability()).isCloseTo(Math.sqrt(0.005), within(1e-9));
        assertThat(study.reproducibility()).isGreaterThan(0.5);
    }

    @Test
    void figuresThatNeverDiffer_haveNoSpread() {
        double[][][] figures = new double[2][3][2];
        MeasurementStudy study = MeasurementStudy.of(figures);
        assertThat(study.spread()).isZero();
        assertThat(study.readers()).noneMatch(MeasurementStudy.Reader::isOff);
        assertThat(study.togetherByChance()).isEqualTo(1);
    }

    @Test
    void fewerThanAStudyTakes_isNone() {
        assertThatIllegalArgumentException().isThrownBy(() -> MeasurementStudy.of(new double[1][3][2]));
        assertThatIllegalArgumentException().isThrownBy(() -> MeasurementStudy.of(new double[2][2][2]));
        assertThatIllegalArgumentException().isThrownBy(() -> MeasurementStudy.of(new double[2][3][1]));
        assertThatIllegalArgumentException()
                .isThrownBy(() -> MeasurementStudy.of(new double[][][] {new double[3][2], new double[4][2]}));
    }

    /** 400 made-up studies with known spreads: what comes out is right on the whole, and intervals hold the truth as often as they say. */
    @Test
    void knownSpreads_areFound_andIntervalsHoldThem() {
        Random random = new Random(18);
        int studies = 400;
        double variance = 0;
        double between = 0;
        int held = 0;
        int nobodyBlamed = 0;
        for (int i = 0; i < studies; i++) {
            MeasurementStudy study = MeasurementStudy.of(madeUp(random, 0.03, 0.02));
            variance += study.repeatability() * study.repeatability() / studies;
            between += study.reproducibility() * study.reproducibility() / studies;
            double[] interval = study.repeatabilityInterval();
            held += interval[0] <= 0.03 && 0.03 <= interval[1] ? 1 : 0;
            MeasurementStudy alike = MeasurementStudy.of(madeUp(random, 0.03, 0));
            nobodyBlamed += alike.readers().stream().noneMatch(MeasurementStudy.Reader::isOff) ? 1 : 0;
        }
        assertThat(Math.sqrt(variance)).isCloseTo(0.03, within(0.0015));
        assertThat(Math.sqrt(between)).isCloseTo(0.02, within(0.002));
        assertThat(held / (double) studies).isBetween(0.92, 0.98);
        assertThat(nobodyBlamed / (double) studies)
                .as("who reads as all do is told so")
                .isBetween(0.92, 1.0);
    }

    private static double[][][] madeUp(Random random, double again, double people) {
        double[][][] figures = new double[4][10][3];
        double[] pieces = random.doubles(10, 8, 9).toArray();
        for (double[][] person : figures) {
            double bias = people * random.nextGaussian();
            for (int piece = 0; piece < pieces.length; piece++) {
                for (int repeat = 0; repeat < person[piece].length; repeat++) {
                    person[piece][repeat] = pieces[piece] + bias + again * random.nextGaussian();
                }
            }
        }
        return figures;
    }
}
