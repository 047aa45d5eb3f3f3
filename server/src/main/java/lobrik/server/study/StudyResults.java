package lobrik.server.study;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import lobrik.server.study.MeasuringStudy.Asked;
import lobrik.server.study.MeasuringStudy.Plan;
import lobrik.server.study.StudyFigure.Turn;
import lobrik.study.MeasurementStudy;

/**
 * What a study came to: of the pieces that everybody read as often as they should, without those that were left out.
 *
 * @param readers whose figures count, in the order of their names
 * @param pieces whose figures count
 * @param figures by feature and turn, in inches, degrees or per cent
 */
record StudyResults(Plan plan, List<UUID> readers, List<Integer> pieces, Map<String, Map<Turn, Double>> figures) {

    /**
     * Puts together what was read.
     *
     * @param readers in the order in which they are to be shown; who read nothing at all is left out
     * @param without pieces to leave out
     */
    static StudyResults of(Plan plan, List<UUID> readers, List<StudyFigure> read, Collection<Integer> without) {
        Map<String, Map<Turn, Double>> figures = new HashMap<>();
        for (Asked asked : plan.asked()) {
            figures.put(asked.feature(), new HashMap<>());
        }
        for (StudyFigure figure : read) {
            Map<Turn, Double> own = figures.get(figure.feature());
            if (own != null) {
                own.put(
                        figure.turn(),
                        plan.asked().stream()
                                .filter(asked -> asked.feature().equals(figure.feature()))
                                .findFirst()
                                .orElseThrow()
                                .kind()
                                .measured()
                                .ofCount(figure.count())
                                .number());
            }
        }
        List<UUID> whoRead = readers.stream()
                .filter(reader -> read.stream()
                        .anyMatch(figure -> figure.turn().accountId().equals(reader)))
                .toList();
        List<Integer> whole = IntStream.rangeClosed(1, plan.pieces())
                .filter(piece -> !without.contains(piece))
                .filter(piece -> whoRead.stream()
                        .allMatch(reader -> IntStream.rangeClosed(1, plan.repeats())
                                .mapToObj(round -> new Turn(reader, piece, round))
                                .allMatch(turn -> figures.values().stream().allMatch(own -> own.containsKey(turn)))))
                .boxed()
                .toList();
        return new StudyResults(plan, whoRead, whole, figures);
    }

    /** What came out of one feature; empty where too few people read too few pieces. */
    Optional<MeasurementStudy> of(Asked asked) {
        if (readers.size() < MeasurementStudy.FEWEST_PEOPLE || pieces.size() < MeasurementStudy.FEWEST_PIECES) {
            return Optional.empty();
        }
        return Optional.of(MeasurementStudy.of(readers.stream()
                .map(reader -> pieces.stream()
                        .map(piece -> of(asked, reader, piece).stream()
                                .mapToDouble(Double::doubleValue)
                                .toArray())
                        .toArray(double[][]::new))
                .toArray(double[][][]::new)));
    }

    /** What somebody read of a piece, round by round; as far as they did. */
    List<Double> of(Asked asked, UUID reader, int piece) {
        List<Double> rounds = new ArrayList<>();
        for (int round = 1; round <= plan.repeats(); round++) {
            Double read = figures.getOrDefault(asked.feature(), Map.of()).get(new Turn(reader, piece, round));
            if (read != null) {
                rounds.add(read);
            }
        }
        return rounds;
    }
}
