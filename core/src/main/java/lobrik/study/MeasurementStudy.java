package lobrik.study;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.hipparchus.distribution.continuous.ChiSquaredDistribution;
import org.hipparchus.distribution.continuous.FDistribution;
import org.hipparchus.distribution.continuous.TDistribution;

/**
 * A study of repeatability and reproducibility: everybody measured every piece equally often. A two-way analysis of variance with pieces and
 * people taken at random (handbook 7 asks for the instruments' spread; the method is the usual crossed one of measurement system analysis):
 * a reading is the piece, and how its reader reads, and how this reader reads this piece, and what differs when they read it again.
 *
 * <p>Figures are in inches, degrees or per cent; what is worked out is in the same.
 */
public final class MeasurementStudy {

    public static final int FEWEST_PIECES = 3;
    public static final int FEWEST_PEOPLE = 2;
    public static final int FEWEST_REPEATS = 2;

    /**
     * Where people differ from piece to piece no more than this likely by chance, that is told apart from reading again; otherwise both are
     * taken together, which has more to go by.
     */
    private static final double POOLED_ABOVE = 0.25;

    /** Of intervals: that all of them together hold the truth. */
    private static final double CONFIDENCE = 0.95;

    /** A range of so many standard deviations holds as good as every reading. */
    private static final double WHOLE_RANGE = 6;

    /** One over the part of a piece's range that a class of pieces takes up, by the usual convention: the root of two. */
    private static final double CLASSES = Math.sqrt(2);

    /**
     * A line of the analysis.
     *
     * @param squares sum of squares
     * @param freedom degrees of freedom
     */
    public record Line(double squares, int freedom) {

        public double meanSquare() {
            return squares / freedom;
        }

        Line with(Line other) {
            return new Line(squares + other.squares, freedom + other.freedom);
        }
    }

    /**
     * How somebody reads.
     *
     * @param bias how much longer than the mean of all
     * @param low of an interval; the intervals of all people together hold what is so in 95 of 100 studies
     * @param spread standard deviation of their own readings of one piece
     */
    public record Reader(double bias, double low, double high, double spread) {

        /** Whether it is not chance that they read long, or short. */
        public boolean isOff() {
            return low > 0 || high < 0;
        }
    }

    private final double[][][] figures;
    private final int people;
    private final int pieces;
    private final int repeats;
    private final double mean;
    private final double[] byPerson;
    private final double[] byPiece;
    private final double[][] byBoth;

    private MeasurementStudy(double[][][] figures) {
        this.figures = figures;
        this.people = figures.length;
        this.pieces = figures[0].length;
        this.repeats = figures[0][0].length;
        this.byBoth = Arrays.stream(figures)
                .map(own ->
                        Arrays.stream(own).mapToDouble(MeasurementStudy::mean).toArray())
                .toArray(double[][]::new);
        this.byPerson =
                Arrays.stream(byBoth).mapToDouble(MeasurementStudy::mean).toArray();
        this.byPiece = IntStream.range(0, pieces)
                .mapToDouble(piece -> mean(
                        Arrays.stream(byBoth).mapToDouble(own -> own[piece]).toArray()))
                .toArray();
        this.mean = mean(byPerson);
    }

    private static double mean(double[] of) {
        return Arrays.stream(of).average().orElseThrow();
    }

    /**
     * Analyses a study.
     *
     * @param figures by person, piece and repeat: of at least two people, three pieces and two repeats, of everybody equally many
     * @throws IllegalArgumentException where there are fewer, or not equally many
     */
    public static MeasurementStudy of(double[][][] figures) {
        if (figures.length < FEWEST_PEOPLE
                || figures[0].length < FEWEST_PIECES
                || figures[0][0].length < FEWEST_REPEATS
                || Arrays.stream(figures)
                        .anyMatch(own -> own.length != figures[0].length
                                || Arrays.stream(own).anyMatch(again -> again.length != figures[0][0].length))) {
            throw new IllegalArgumentException("a study is of everybody, every piece and every repeat");
        }
        return new MeasurementStudy(figures);
    }

    public double mean() {
        return mean;
    }

    /** Between people, over all pieces. */
    public Line people() {
        return new Line(pieces * repeats * squares(byPerson, mean), people - 1);
    }

    /** Between pieces, over all people. */
    public Line pieces() {
        return new Line(people * repeats * squares(byPiece, mean), pieces - 1);
    }

    /** People who differ from one another in one way on this piece and in another on that. */
    public Line together() {
        double squares = 0;
        for (int person = 0; person < people; person++) {
            for (int piece = 0; piece < pieces; piece++) {
                double alone = byBoth[person][piece] - byPerson[person] - byPiece[piece] + mean;
                squares += alone * alone;
            }
        }
        return new Line(repeats * squares, (people - 1) * (pieces - 1));
    }

    /** The same person, the same piece, again. */
    public Line again() {
        double squares = 0;
        for (int person = 0; person < people; person++) {
            for (int piece = 0; piece < pieces; piece++) {
                squares += squares(figures[person][piece], byBoth[person][piece]);
            }
        }
        return new Line(squares, people * pieces * (repeats - 1));
    }

    private static double squares(double[] of, double from) {
        return Arrays.stream(of).map(each -> (each - from) * (each - from)).sum();
    }

    /** How likely people who read every piece alike differ as much from piece to piece as they did. */
    public double togetherByChance() {
        return byChance(together(), again());
    }

    /** How likely people who all read alike differ as much as they did. */
    public double peopleByChance() {
        return byChance(people(), error());
    }

    private static double byChance(Line line, Line against) {
        if (line.squares() == 0) {
            return 1;
        }
        return against.squares() == 0
                ? 0
                : 1
                        - new FDistribution(line.freedom(), against.freedom())
                                .cumulativeProbability(line.meanSquare() / against.meanSquare());
    }

    /** Whether what people make of single pieces counts as reading again. */
    public boolean isPooled() {
        return togetherByChance() > POOLED_ABOVE;
    }

    /** What people and pieces are held against. */
    private Line error() {
        return isPooled() ? together().with(again()) : together();
    }

    /** Variance of the same person's readings of the same piece. */
    private double againVariance() {
        return (isPooled() ? error() : again()).meanSquare();
    }

    /** Variance between people: in general, and from piece to piece. */
    private double peopleVariance() {
        double general = Math.max(0, (people().meanSquare() - error().meanSquare()) / (pieces * repeats));
        double byPieces = isPooled() ? 0 : Math.max(0, (together().meanSquare() - again().meanSquare()) / repeats);
        return general + byPieces;
    }

    /** Repeatability: standard deviation of readings of one piece by one person. */
    public double repeatability() {
        return Math.sqrt(againVariance());
    }

    /** The interval that holds it in 95 of 100 studies. */
    public double[] repeatabilityInterval() {
        Line line = isPooled() ? error() : again();
        ChiSquaredDistribution distribution = new ChiSquaredDistribution(line.freedom());
        double tail = (1 - CONFIDENCE) / 2;
        return new double[] {
            Math.sqrt(line.squares() / distribution.inverseCumulativeProbability(1 - tail)),
            Math.sqrt(line.squares() / distribution.inverseCumulativeProbability(tail))
        };
    }

    /** Reproducibility: standard deviation between people who read one piece. */
    public double reproducibility() {
        return Math.sqrt(peopleVariance());
    }

    /** Standard deviation of one reading by anybody: repeatability and reproducibility together. */
    public double spread() {
        return Math.sqrt(againVariance() + peopleVariance());
    }

    /** Standard deviation between the pieces themselves. */
    public double pieceSpread() {
        return Math.sqrt(Math.max(0, (pieces().meanSquare() - error().meanSquare()) / (people * repeats)));
    }

    /** Standard deviation of one reading of any piece. */
    public double total() {
        return Math.hypot(spread(), pieceSpread());
    }

    /**
     * What part of a tolerance the readings alone eat up, 1 for all of it.
     *
     * @param tolerance to either side, more than 0
     */
    public double share(double tolerance) {
        return WHOLE_RANGE * spread() / (2 * tolerance);
    }

    /** Into how many sorts pieces such as these can be told apart; infinitely many where readings do not differ at all. */
    public double toldApart() {
        return CLASSES * pieceSpread() / spread();
    }

    /** How far every reading lies from what all read of its piece on the whole, by person, piece and repeat. */
    public double[][][] offPiece() {
        double[][][] off = new double[people][pieces][];
        for (int person = 0; person < people; person++) {
            for (int piece = 0; piece < pieces; piece++) {
                double of = byPiece[piece];
                off[person][piece] = Arrays.stream(figures[person][piece])
                        .map(read -> read - of)
                        .toArray();
            }
        }
        return off;
    }

    /** How everybody reads, in the order of the figures. */
    public List<Reader> readers() {
        Line error = error();
        double tail = (1 - CONFIDENCE) / (2 * people);
        double times = new TDistribution(error.freedom()).inverseCumulativeProbability(1 - tail);
        double reach = times * Math.sqrt(error.meanSquare() * (1 - 1.0 / people) / (pieces * repeats));
        List<Reader> readers = new ArrayList<>();
        for (int person = 0; person < people; person++) {
            double bias = byPerson[person] - mean;
            double own = 0;
            for (int piece = 0; piece < pieces; piece++) {
                own += squares(figures[person][piece], byBoth[person][piece]);
            }
            readers.add(new Reader(bias, bias - reach, bias + reach, Math.sqrt(own / (pieces * (repeats - 1)))));
        }
        return List.copyOf(readers);
    }
}
