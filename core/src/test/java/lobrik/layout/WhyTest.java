package lobrik.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import lobrik.bend.BendKind;
import lobrik.bend.Offset;
import lobrik.bend.OffsetLayout;
import lobrik.bend.Placement;
import lobrik.bend.Stub90;
import lobrik.derivation.AddingUp;
import lobrik.derivation.Line;
import lobrik.derivation.Operation;
import lobrik.derivation.Part;
import lobrik.derivation.Sum;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.measure.TapeDivision;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Every number of a layout can be asked why, and the sum that is shown gives that number. */
class WhyTest {

    private static final int CASES = 60;

    static Stream<Arguments> kindsAndMethods() {
        return Stream.of(BendKind.values())
                .flatMap(kind -> Stream.of(Method.values()).map(method -> Arguments.of(kind, method)));
    }

    private static double number(Quantity quantity) {
        return quantity instanceof Length length ? length.inches() : ((Angle) quantity).degrees();
    }

    /** Works the sum from left to right, as it is written; only squares and roots are not of this form. */
    private static double worked(List<Line.Term> terms) {
        double sum = 0;
        for (Line.Term term : terms) {
            double value = switch (term) {
                case Line.Term.Of of -> number(of.value());
                case Line.Term.Above above -> above.value().inches();
                case Line.Term.Factor factor -> factor.value();
            };
            sum = switch (term.operation().text()) {
                case "" -> value;
                case "+" -> sum + value;
                case "−" -> sum - value;
                case "2 ×" -> 2 * value;
                case "+ 2 ×" -> sum + 2 * value;
                case "− 2 ×" -> sum - 2 * value;
                case "×" -> sum * value;
                case ", ÷" -> sum / value;
                default -> throw new AssertionError("unknown sign " + term.operation());
            };
        }
        return sum;
    }

    @ParameterizedTest
    @MethodSource("kindsAndMethods")
    void everySum_givesItsResult(BendKind kind, Method method) {
        Jobs jobs = new Jobs(41);
        for (int i = 0; i < CASES; i++) {
            Layout layout = Layout.of(jobs.next(kind, method, TapeDivision.SIXTEENTH));
            for (Line explanation : Why.of(layout)) {
                if (!List.of("true-offset", "rolling-turn").contains(explanation.formula())) {
                    assertThat(worked(explanation.terms()))
                            .as(explanation.about() + " of " + layout.job().bend())
                            .isCloseTo(number(explanation.result()), within(1e-6));
                }
            }
        }
    }

    /** Worked once more with the figures that are written, as somebody with a pencil does. */
    @ParameterizedTest
    @MethodSource("kindsAndMethods")
    void everySum_addsUp_asItIsWritten(BendKind kind, Method method) {
        Jobs jobs = new Jobs(43);
        int sums = 0;
        int off = 0;
        for (int i = 0; i < CASES; i++) {
            for (Line sum : Why.of(Layout.of(jobs.next(kind, method, TapeDivision.SIXTEENTH)))) {
                if (!isOfLengths(sum)) {
                    continue;
                }
                for (List<TapeDivision> divisions : List.of(AddingUp.INCHES, AddingUp.MILLIMETRES)) {
                    TapeDivision division = AddingUp.of(sum, divisions);
                    boolean adds = written(sum, division).equals(((Length) sum.result()).nearest(division));
                    assertThat(adds || division.equals(divisions.getLast()))
                            .as(sum.toString())
                            .isTrue();
                    sums++;
                    off += adds ? 0 : 1;
                }
            }
        }
        assertThat(off).as("sums that add up at no division, of " + sums).isLessThan(1 + sums / 20);
    }

    /** Of lengths that are added and taken away: what is multiplied is never exact once it is rounded. */
    private static boolean isOfLengths(Line sum) {
        return sum.result() instanceof Length
                && !List.of("true-offset", "rolling-turn").contains(sum.formula())
                && sum.terms().stream()
                        .allMatch(term -> term instanceof Line.Term.Above
                                || (term instanceof Line.Term.Of of && of.value() instanceof Length));
    }

    private static Length written(Line sum, TapeDivision division) {
        List<Line.Term> written = sum.terms().stream()
                .map(term -> switch (term) {
                    case Line.Term.Of(Operation operation, Part part, int number, String name, Length length) ->
                        new Line.Term.Of(operation, part, number, name, length.nearest(division));
                    case Line.Term.Above(Operation operation, String about, String name, Length place) ->
                        new Line.Term.Above(operation, about, name, place.nearest(division));
                    case Line.Term.Of _, Line.Term.Factor _ -> term;
                })
                .toList();
        return Length.ofInches(worked(written)).nearest(division);
    }

    @Test
    void sumsAreWrittenAsOnATape_whereTheyAddUpSo_elseFiner() {
        Line fractions = line(
                Sum.of("leg", Length.ofFraction(18, 1, 4)).minus("take-up", Length.ofInches(6)),
                Length.ofFraction(12, 1, 4));
        assertThat(AddingUp.of(fractions, AddingUp.INCHES)).isEqualTo(TapeDivision.SIXTEENTH);
        // 914.4 − 12.7 + 27.0 is 928.7; in whole millimetres 914 − 13 + 27 would be 929.
        Line converted = line(
                Sum.of("distance", Length.ofInches(36))
                        .minus("edge clearance", Length.ofInches(0.5))
                        .plus("shrink", Length.ofFraction(1, 1, 16)),
                Length.ofFraction(36, 9, 16));
        assertThat(AddingUp.of(converted, AddingUp.INCHES)).isEqualTo(TapeDivision.SIXTEENTH);
        assertThat(AddingUp.of(converted, AddingUp.MILLIMETRES).step()).isEqualTo(Length.ofMillimetres(0.1));
    }

    private static Line line(Sum sum, Quantity result) {
        return new Line("mark2", "mark 2", "f", "w.", sum.terms(), result, Optional.empty());
    }

    @ParameterizedTest
    @MethodSource("kindsAndMethods")
    void everyMarkCutLengthAndPredictedFeature_isExplained(BendKind kind, Method method) {
        Jobs jobs = new Jobs(42);
        for (int i = 0; i < CASES; i++) {
            Layout layout = Layout.of(jobs.next(kind, method, TapeDivision.EIGHTH));
            List<Line> why = Why.of(layout);
            assertThat(why).allSatisfy(explanation -> {
                assertThat(explanation.words()).endsWith(".").hasSizeLessThan(200);
                assertThat(explanation.terms())
                        .isNotEmpty()
                        .as("one sign before each figure")
                        .noneMatch(term -> term instanceof Line.Term.Of of
                                && of.operation().text().matches("[+−].*")
                                && of.value().count() < 0);
            });
            for (Mark mark : layout.marks()) {
                assertThat(rounded(why, "mark" + mark.number())).contains(mark.position());
            }
            assertThat(rounded(why, "cutLength")).isEqualTo(layout.cutLength());
            layout.features().stream()
                    .filter(feature -> feature.id().isOfFinishedPiece())
                    .forEach(feature -> assertThat(
                                    about(why, "predicted/" + feature.id().id())
                                            .orElseThrow()
                                            .result())
                            .isEqualTo(feature.predicted()));
        }
    }

    private static Optional<Line> about(List<Line> why, String about) {
        return why.stream().filter(each -> each.about().equals(about)).findFirst();
    }

    private static Optional<Quantity> rounded(List<Line> why, String about) {
        return about(why, about).flatMap(Line::rounded);
    }

    @Test
    void stubMark_isTheLegLessTheTakeUp() {
        Stub90 stub = new Stub90(Length.ofFraction(17, 5, 8), Optional.empty(), Placement.ARROW);
        Line mark = Why.of(
                        Layout.of(new Job(stub, Jobs.threeQuarters(), School.of(Method.CHART, TapeDivision.SIXTEENTH))))
                .getFirst();
        assertThat(mark.terms())
                .containsExactly(
                        new Line.Term.Of(Operation.START, Part.PLACE, 0, "leg", Length.ofFraction(17, 5, 8)),
                        new Line.Term.Of(Operation.MINUS, Part.TAKE_UP, 0, "take-up", Length.ofInches(6)));
        assertThat(mark.result()).isEqualTo(Length.ofFraction(11, 5, 8));
        assertThat(mark.words()).contains("take-up");
    }

    /** 5 in at 45° by the card: 1.4 for 1.4142 makes the marks stand closer, so the rise comes out low by the method. */
    @Test
    void differenceOfTheRise_isSharedBetweenMethodAndRounding() {
        Offset offset = new Offset(
                Length.ofInches(5),
                Length.ZERO,
                Angle.ofDegrees(45),
                Length.ofInches(40),
                OffsetLayout.BEFORE_OBSTACLE,
                Optional.empty());
        Job job = new Job(offset, Jobs.threeQuarters(), School.of(Method.EXACT, TapeDivision.NONE));
        Line exact = about(Why.of(Layout.of(job)), "predicted/rise").orElseThrow();
        assertThat(exact.words()).contains("as asked");
        Line chart = about(
                        Why.of(Layout.of(new Job(
                                offset, Jobs.threeQuarters(), School.of(Method.CHART, TapeDivision.SIXTEENTH)))),
                        "predicted/rise")
                .orElseThrow();
        assertThat(chart.terms()).extracting(Line.Term::name).contains("from the method");
        assertThat(number(((Line.Term.Of) chart.terms().get(2)).value())).isZero();
        assertThat(chart.about()).isEqualTo("predicted/" + FeatureId.RISE.id());
    }
}
