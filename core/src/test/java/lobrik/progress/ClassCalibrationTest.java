package lobrik.progress;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.progress.ClassCalibration.Figure;
import lobrik.progress.ClassCalibration.Told;
import lobrik.progress.ClassPiece.Ninety;
import lobrik.progress.ClassPiece.Turn;
import org.junit.jupiter.api.Test;

/**
 * Benders calibrated from what classes bent, in simulated schools whose benders are known: people who place, pull and read each in their
 * own way, figures rounded as instruments show them, now and then a piece that is another bend than was asked for.
 */
class ClassCalibrationTest {

    private static final int SCHOOLS = Boolean.getBoolean("lobrik.full") ? 250 : 50;
    private static final int PIECES = 300;
    private static final int WEEKS = 8;
    private static final int PEOPLE = 24;
    private static final int BENDERS = 6;

    /** How people differ, and how one piece differs from the next: inches and degrees. */
    private static final double PLACING = 1 / 16.0;

    private static final double PLACING_EACH = 1 / 20.0;
    private static final double PULLING = 1;
    private static final double PULLING_EACH = 0.8;
    private static final double READING = 1 / 32.0;
    private static final double READING_ANGLE = 0.35;
    private static final double CUTTING = 1 / 32.0;
    private static final double DIAMETER = 0.922;

    /** A bender as it truly is: inches and degrees. */
    private record True(double takeUp, double radius, double springback) {

        double of(Figure figure) {
            return switch (figure) {
                case TAKE_UP -> takeUp;
                case RADIUS -> radius;
                case SPRINGBACK -> springback;
            };
        }
    }

    private record Person(String name, double placing, double pulling) {}

    /** A school and its benders; one may be another from some week on. */
    private static final class School {

        private final RandomGenerator random;
        private final List<True> benders = new ArrayList<>();
        private final List<Person> people = new ArrayList<>();
        private final Map<Integer, True> changed;

        School(long seed, Map<Integer, True> changes) {
            random = RandomGeneratorFactory.of("L64X128MixRandom").create(seed);
            for (int i = 0; i < BENDERS; i++) {
                benders.add(new True(
                        6 + 0.25 * random.nextGaussian(),
                        5.125 + 0.2 * random.nextGaussian(),
                        2 + random.nextGaussian()));
            }
            for (int i = 0; i < PEOPLE; i++) {
                people.add(new Person("person " + i, PLACING * random.nextGaussian(), PULLING * random.nextGaussian()));
            }
            changed = changes;
        }

        /** The pieces of some weeks, each on a day of its week. */
        List<ClassPiece> pieces(int each, int weeks) {
            List<ClassPiece> pieces = new ArrayList<>();
            for (int week = 0; week < weeks; week++) {
                for (int i = 0; i < each; i++) {
                    // As a rota has it: every bender is used about as often.
                    pieces.add(piece(week, (week + i) % BENDERS));
                }
            }
            return pieces;
        }

        private ClassPiece piece(int week, int bender) {
            boolean isChanged = week >= 4 && changed.containsKey(bender);
            True is = isChanged ? Optional.ofNullable(changed.get(bender)).orElseThrow() : benders.get(bender);
            Person person = people.get(random.nextInt(PEOPLE));
            boolean ninety = random.nextInt(3) > 0;
            double asked = ninety ? 90 : 30;
            // Whoever slips makes another piece than was asked for.
            double slip = random.nextInt(25) == 0 ? 4 + 8 * random.nextDouble() : 0;
            double theta = asked + 2 - is.springback() + person.pulling() + PULLING_EACH * random.nextGaussian() + slip;
            double read = Math.round(2 * (theta + READING_ANGLE * random.nextGaussian())) / 2.0;
            Turn turn = new Turn(Angle.ofDegrees(asked), Angle.ofDegrees(read), Angle.ofDegrees(2));
            long day = 7L * week + random.nextInt(2);
            return new ClassPiece(
                    person.name(),
                    "bender " + bender,
                    day,
                    ninety ? Optional.of(stub(is, person, theta, read)) : Optional.empty(),
                    List.of(turn));
        }

        /** Bent for real: the arrow not quite on the mark, cut not quite to length, read to 1/16. */
        private Ninety stub(True is, Person person, double theta, double read) {
            double mark = 8 + 10 * random.nextDouble();
            double straight = mark + 16 + 10 * random.nextDouble();
            double cut = straight + CUTTING * random.nextGaussian();
            double at = mark + person.placing() + PLACING_EACH * random.nextGaussian();
            double t = Math.toRadians(theta);
            double half = DIAMETER / 2;
            double back = (is.radius() * (1 - Math.cos(t)) + half) / Math.sin(t);
            double marked = at + is.takeUp() - is.radius() - half + back;
            double other = cut - at - is.takeUp() + is.radius() + half - is.radius() * t + back;
            return new Ninety(
                    Length.ofInches(DIAMETER),
                    Length.ofInches(straight),
                    Length.ofInches(rounded(mark + READING / 2 * random.nextGaussian())),
                    Length.ofInches(rounded(marked + READING * random.nextGaussian())),
                    Length.ofInches(rounded(other + READING * random.nextGaussian())),
                    Angle.ofDegrees(read));
        }

        private static double rounded(double inches) {
            return Math.round(16 * inches) / 16.0;
        }
    }

    private static double median(List<Double> values) {
        List<Double> sorted = new ArrayList<>(values);
        Collections.sort(sorted);
        return sorted.get(sorted.size() / 2);
    }

    @Test
    void classOf300Pieces_givesEveryFigure_andIntervalsHoldTheTruth() {
        Map<Figure, List<Double>> off = new EnumMap<>(Figure.class);
        Map<Figure, Integer> held = new EnumMap<>(Figure.class);
        for (int seed = 0; seed < SCHOOLS; seed++) {
            School school = new School(1_000 + seed, Map.of());
            ClassCalibration told = ClassCalibration.of(school.pieces(PIECES / WEEKS, WEEKS));
            for (int i = 0; i < BENDERS; i++) {
                True truth = school.benders.get(i);
                told.of("bender " + i).forEach((figure, each) -> {
                    double error = Math.abs(each.value() - truth.of(figure));
                    off.computeIfAbsent(figure, _ -> new ArrayList<>()).add(error);
                    held.merge(figure, error <= each.reach() ? 1 : 0, Integer::sum);
                });
            }
        }
        for (Figure figure : Figure.values()) {
            List<Double> errors = Optional.ofNullable(off.get(figure)).orElseThrow();
            double within = Optional.ofNullable(held.get(figure)).orElseThrow() / (double) errors.size();
            double limit = switch (figure) {
                case TAKE_UP -> 1 / 32.0;
                case RADIUS -> 1 / 16.0;
                case SPRINGBACK -> 0.25;
            };
            assertThat(errors).hasSizeGreaterThan(SCHOOLS * BENDERS * 9 / 10);
            assertThat(median(errors)).as(figure.name()).isLessThanOrEqualTo(limit);
            assertThat(within).as(figure + " intervals").isCloseTo(0.95, within(0.03));
        }
    }

    @Test
    void benderThatChangesInWeek5_isFoundWithinAWeek() {
        int found = 0;
        int falseAlarms = 0;
        int wrongDay = 0;
        for (int seed = 0; seed < SCHOOLS; seed++) {
            School before = new School(5_000 + seed, Map.of());
            True is = before.benders.getFirst();
            School school =
                    new School(5_000 + seed, Map.of(0, new True(is.takeUp(), is.radius(), is.springback() + 3)));
            ClassCalibration told = ClassCalibration.of(school.pieces(PIECES / WEEKS, 5));
            Told each = told.of("bender 0").get(Figure.SPRINGBACK);
            if (each != null && each.since().isPresent()) {
                found++;
                wrongDay += each.since().get().day() < 28 ? 1 : 0;
            }
            for (String bender : told.benders()) {
                falseAlarms += told.of(bender).values().stream()
                                        .filter(other -> other.since().isPresent()
                                                && !(bender.equals("bender 0") && other.figure() == Figure.SPRINGBACK))
                                        .count()
                                > 0
                        ? 1
                        : 0;
            }
        }
        assertThat(found).isGreaterThanOrEqualTo(SCHOOLS * 9 / 10);
        assertThat(falseAlarms).as("told of a bender that did not change").isLessThanOrEqualTo(SCHOOLS * 2 / 25);
        assertThat(wrongDay).as("told too early").isLessThanOrEqualTo(SCHOOLS * 2 / 25);
    }

    @Test
    void fewPeopleOrPieces_sayNothing() {
        School school = new School(1, Map.of());
        assertThat(ClassCalibration.of(school.pieces(2, 1)).benders()).isEmpty();
        assertThat(ClassCalibration.of(List.of()).benders()).isEmpty();
    }
}
