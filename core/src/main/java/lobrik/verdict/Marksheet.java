package lobrik.verdict;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import lobrik.feature.FeatureId;

/**
 * A score with the reason of every lost point, and the scores of its parts.
 *
 * @param score of the piece; what is lost adds up to what it lacks of 100, unless more is lost than there is
 * @param lost with the most expensive first
 * @param parts in the order of the work; those of which something was read
 */
public record Marksheet(Score score, List<Lost> lost, List<PartScore> parts) {

    /** A part of the work that is scored by itself (handbook 7). */
    public enum Part {
        /** The trainee's own figures for the marks. */
        ARITHMETIC,
        /** Marks as ringed. */
        LAYOUT,
        /** Angles and plane. */
        BENDING,
        /** Finished dimensions. */
        RESULT,
        /** What is looked over. */
        WORKMANSHIP
    }

    /** Points of a part, 0 to 100, as if there were nothing else. */
    public record PartScore(Part part, double points) {}

    /** Points that are lost, and at what. */
    public sealed interface Lost {

        /** Of the 100 of the piece. */
        double points();

        /** At a reading. */
        record At(Reading reading, Judged judged, double points) implements Lost {}

        /** For a fault of workmanship. */
        record For(InspectionPoint point, double points) implements Lost {}

        /** Because it was bent on or eased, so many times. */
        record Reworked(int times, double points) implements Lost {}
    }

    private static final double NOTHING = 1e-9;

    /**
     * Scores a piece as it was first bent.
     *
     * @param readings at least one
     * @param own the trainee's own figures, each as a reading of its mark; may be empty
     * @param faulty what was found when it was looked over; empty if nobody looked
     */
    public static Marksheet of(
            List<Reading> readings, List<Reading> own, Tolerances tolerances, Optional<Set<InspectionPoint>> faulty) {
        return of(readings, own, tolerances, faulty, 0);
    }

    /**
     * Scores a piece.
     *
     * @param readings at least one
     * @param own the trainee's own figures, each as a reading of its mark; may be empty
     * @param faulty what was found when it was looked over; empty if nobody looked
     * @param reworked how often it was bent on or eased and measured again
     */
    public static Marksheet of(
            List<Reading> readings,
            List<Reading> own,
            Tolerances tolerances,
            Optional<Set<InspectionPoint>> faulty,
            int reworked) {
        Scheme scheme = tolerances.judging().scheme();
        Set<InspectionPoint> found = faulty.orElse(Set.of());
        double forRework = tolerances.rebending().deduction(reworked);
        Score score = Score.of(
                readings,
                scheme,
                tolerances.passMark(),
                tolerances.workmanship().found(found).with(forRework));
        List<Lost> lost = new ArrayList<>();
        double weights = readings.stream().mapToDouble(Reading::weight).sum();
        for (int i = 0; i < readings.size(); i++) {
            Judged judged = score.items().get(i);
            double points = 100 * readings.get(i).weight() * (1 - judged.credit()) / weights;
            if (points > NOTHING) {
                lost.add(new Lost.At(readings.get(i), judged, points));
            }
        }
        for (InspectionPoint point : found) {
            double points = tolerances.workmanship().found(Set.of(point)).deductions();
            if (points > 0) {
                lost.add(new Lost.For(point, points));
            }
        }
        if (forRework > 0) {
            lost.add(new Lost.Reworked(reworked, forRework));
        }
        lost.sort((one, other) -> Double.compare(other.points(), one.points()));
        return new Marksheet(score, List.copyOf(lost), parts(readings, own, tolerances, faulty));
    }

    private static List<PartScore> parts(
            List<Reading> readings, List<Reading> own, Tolerances tolerances, Optional<Set<InspectionPoint>> faulty) {
        Map<Part, List<Reading>> byPart = new EnumMap<>(Part.class);
        byPart.put(Part.ARITHMETIC, own);
        for (Reading reading : readings) {
            byPart.computeIfAbsent(partOf(reading.feature()), _ -> new ArrayList<>())
                    .add(reading);
        }
        List<PartScore> parts = new ArrayList<>();
        byPart.forEach((part, of) -> {
            if (!of.isEmpty()) {
                parts.add(new PartScore(
                        part, Score.of(of, tolerances.judging().scheme(), 0, 0).points()));
            }
        });
        faulty.ifPresent(found -> parts.add(new PartScore(
                Part.WORKMANSHIP, 100 - tolerances.workmanship().found(found).deductions())));
        return List.copyOf(parts);
    }

    /** The part of the work that a feature shows. */
    public static Part partOf(FeatureId feature) {
        if (!feature.isOfFinishedPiece()) {
            return Part.LAYOUT;
        }
        return switch (feature.measured()) {
            case ANGLE, PERCENTAGE -> Part.BENDING;
            case LENGTH -> Part.RESULT;
        };
    }
}
