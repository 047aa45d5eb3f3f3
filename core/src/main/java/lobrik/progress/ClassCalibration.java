package lobrik.progress;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import lobrik.measure.Length;

/**
 * The figures of benders from what classes bent on them: take-up and radius from the legs of stub nineties (handbook 2, as
 * {@link lobrik.shop.Calibration} has them from test bends), springback from how much less than asked bends came out.
 *
 * <p>Symbols: {@code L0} straight length, {@code m} mark as ringed, {@code a} leg with the mark, {@code b} other leg, {@code θ} angle as
 * read, {@code d} outside diameter, {@code T} take-up, {@code R} radius, {@code k = (1 − cos θ) / sin θ}. Each piece says by itself
 *
 * <pre>
 * R = (a + b − L0 − d / sin θ) / (2k − θ)
 * T = (a − b − 2m + L0 + d + R (2 − θ)) / 2
 * springback = springback that was counted on − (θ read − θ asked)
 * </pre>
 *
 * <p>Whoever bends sets the arrow a little before or beyond the mark, pulls a little far, reads a little long: that is the person's
 * ({@link MixedFit}), is taken to be nothing on the whole over all people, and widens what is said of a bender that few people used.
 * The radius hangs on the sum of the legs alone, so placing does not come into it. What lies further from the median of the pieces about that time than
 * {@value #FAR} robust standard deviations is another bend than was asked for, and is left out and counted. Formula
 * {@code class-calibration}, handbook 2.
 */
public final class ClassCalibration {

    /** Beyond that many robust standard deviations a piece says nothing of its bender. */
    static final double FAR = 3.5;

    /** A robust standard deviation is this many times the median of the absolute deviations. */
    private static final double OF_MEDIAN = 1.4826;

    /** Instruments say no more than that, however alike figures are: 1/64 in, and a quarter of a degree. */
    private static final double LEAST_LENGTH = 1 / 64.0;

    private static final double LEAST_ANGLE = 0.25;

    /** Pieces before and after one that it is held against. */
    private static final int AROUND = 4;

    private static final int FEWEST_PIECES = 8;
    private static final int FEWEST_PEOPLE = 3;

    /** A figure of a bender. */
    public enum Figure {
        TAKE_UP,
        RADIUS,
        SPRINGBACK
    }

    /**
     * What the class says of one figure of a bender.
     *
     * @param value inches or degrees
     * @param reach half the width of its interval at 95 %, in the same
     * @param pieces that say it
     * @param people who bent them
     * @param leftOut pieces that lie too far off
     * @param since the first day that it is said of: the bender changed then; empty if it did not
     */
    public record Told(
            Figure figure, double value, double reach, int pieces, int people, int leftOut, Optional<Change> since) {}

    /**
     * That a bender changed.
     *
     * @param day from which on it is another
     * @param by how much more than before, inches or degrees
     * @param reach half the width of the interval of that at 95 %
     */
    public record Change(long day, double by, double reach) {}

    /** What one piece says of a figure of its bender. */
    record Said(String person, String bender, long day, double value) {}

    private final Map<String, Map<Figure, Told>> told;

    private ClassCalibration(Map<String, Map<Figure, Told>> told) {
        this.told = told;
    }

    /** What pieces say of the benders that they were bent on; of those that too few people or pieces speak of, nothing. */
    public static ClassCalibration of(List<ClassPiece> pieces) {
        Map<String, Map<Figure, Told>> told = new LinkedHashMap<>();
        List<Said> springback = springbacks(pieces);
        List<Said> radius = radii(pieces);
        add(told, Figure.SPRINGBACK, springback, LEAST_ANGLE);
        add(told, Figure.RADIUS, radius, LEAST_LENGTH);
        Map<String, Double> radii = told.entrySet().stream()
                .filter(each -> each.getValue().containsKey(Figure.RADIUS))
                .collect(Collectors.toMap(
                        Map.Entry::getKey,
                        each -> each.getValue().get(Figure.RADIUS).value()));
        add(told, Figure.TAKE_UP, takeUps(pieces, radii), LEAST_LENGTH);
        told.values().forEach(ClassCalibration::widenTakeUp);
        return new ClassCalibration(told);
    }

    /** The take-up of a bender is worked out with its radius, so what is not known of that is not known of it: 1 − π/4 of it at 90°. */
    private static void widenTakeUp(Map<Figure, Told> of) {
        Told takeUp = of.get(Figure.TAKE_UP);
        Told radius = of.get(Figure.RADIUS);
        if (takeUp != null && radius != null) {
            double reach = Math.hypot(takeUp.reach(), (1 - Math.PI / 4) * radius.reach());
            of.put(
                    Figure.TAKE_UP,
                    new Told(
                            Figure.TAKE_UP,
                            takeUp.value(),
                            reach,
                            takeUp.pieces(),
                            takeUp.people(),
                            takeUp.leftOut(),
                            takeUp.since()));
        }
    }

    private static void add(Map<String, Map<Figure, Told>> told, Figure figure, List<Said> said, double least) {
        BenderSeries series = BenderSeries.of(said, least);
        series.told(figure)
                .forEach((bender, each) -> told.computeIfAbsent(bender, name -> new LinkedHashMap<>())
                        .put(figure, each));
    }

    static List<Said> springbacks(List<ClassPiece> pieces) {
        return pieces.stream()
                .filter(piece -> !piece.turns().isEmpty())
                .map(piece -> new Said(
                        piece.person(),
                        piece.bender(),
                        piece.day(),
                        piece.turns().stream()
                                .mapToDouble(ClassPiece.Turn::springback)
                                .average()
                                .orElseThrow()))
                .toList();
    }

    static List<Said> radii(List<ClassPiece> pieces) {
        return nineties(
                pieces, piece -> Optional.of(piece.ninety().orElseThrow().radius()));
    }

    private static List<Said> takeUps(List<ClassPiece> pieces, Map<String, Double> radii) {
        return nineties(
                pieces,
                piece -> Optional.ofNullable(radii.get(piece.bender()))
                        .map(radius -> piece.ninety().orElseThrow().takeUp(radius)));
    }

    private static List<Said> nineties(List<ClassPiece> pieces, Function<ClassPiece, Optional<Double>> of) {
        List<Said> said = new ArrayList<>();
        for (ClassPiece piece : pieces) {
            if (piece.ninety().filter(ClassPiece.Ninety::tells).isPresent()) {
                of.apply(piece)
                        .ifPresent(value -> said.add(new Said(piece.person(), piece.bender(), piece.day(), value)));
            }
        }
        return said;
    }

    /**
     * How far the legs of some nineties are off, root of the mean square over both legs, from those that a bender of these figures would
     * have given them; empty where there are none.
     */
    public static Optional<Length> offBy(List<ClassPiece> pieces, Length takeUp, Length radius) {
        OptionalDouble mean = pieces.stream()
                .flatMap(piece -> piece.ninety().stream())
                .mapToDouble(ninety -> ninety.squaresOff(takeUp.inches(), radius.inches()) / 2)
                .average();
        return mean.isPresent() ? Optional.of(Length.ofInches(Math.sqrt(mean.getAsDouble()))) : Optional.empty();
    }

    /** What each piece of a bender says of a figure by itself, inches or degrees, by day; the take-up with the radius that all say. */
    public static Map<Long, List<Double>> each(Figure figure, List<ClassPiece> pieces, Map<Figure, Told> told) {
        List<Said> said = switch (figure) {
            case SPRINGBACK -> near(springbacks(pieces), LEAST_ANGLE);
            case RADIUS -> near(radii(pieces), LEAST_LENGTH);
            case TAKE_UP -> {
                Told radius = told.get(Figure.RADIUS);
                yield radius == null
                        ? List.of()
                        : near(
                                nineties(
                                        pieces,
                                        piece -> Optional.of(
                                                piece.ninety().orElseThrow().takeUp(radius.value()))),
                                LEAST_LENGTH);
            }
        };
        return said.stream()
                .collect(Collectors.groupingBy(
                        Said::day, TreeMap::new, Collectors.mapping(Said::value, Collectors.toList())));
    }

    /** What is said of a bender, by figure. */
    public Map<Figure, Told> of(String bender) {
        return told.getOrDefault(bender, Map.of());
    }

    /** The benders of which something is said. */
    public List<String> benders() {
        return List.copyOf(new TreeSet<>(told.keySet()));
    }

    /** Whether that many pieces by that many people say anything. */
    static boolean areEnough(List<Said> own) {
        return own.size() >= FEWEST_PIECES && people(own) >= FEWEST_PEOPLE;
    }

    static int people(List<Said> own) {
        return (int) own.stream().map(Said::person).distinct().count();
    }

    /** What lies near the median of the pieces that were bent on the same bender about the same time. */
    static List<Said> near(List<Said> own, double least) {
        List<Said> sorted =
                own.stream().sorted(Comparator.comparingLong(Said::day)).toList();
        List<Double> off = new ArrayList<>();
        for (int i = 0; i < sorted.size(); i++) {
            int from = Math.max(0, Math.min(i - AROUND, sorted.size() - 2 * AROUND - 1));
            int to = Math.min(sorted.size(), from + 2 * AROUND + 1);
            double median =
                    median(sorted.subList(from, to).stream().map(Said::value).toList());
            off.add(Math.abs(sorted.get(i).value() - median));
        }
        double limit = FAR * Math.max(least, OF_MEDIAN * median(off));
        return IntStream.range(0, sorted.size())
                .filter(i -> off.get(i) <= limit)
                .mapToObj(sorted::get)
                .toList();
    }

    private static double median(List<Double> values) {
        List<Double> sorted = new ArrayList<>(values);
        Collections.sort(sorted);
        int half = sorted.size() / 2;
        return sorted.size() % 2 == 1 ? sorted.get(half) : (sorted.get(half - 1) + sorted.get(half)) / 2;
    }
}
