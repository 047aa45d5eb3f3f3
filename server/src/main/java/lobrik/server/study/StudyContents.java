package lobrik.server.study;

import jakarta.persistence.EntityManager;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.random.RandomGenerator;
import java.util.stream.Collectors;
import lobrik.feature.FeatureKind;
import lobrik.measure.Quantity;
import lobrik.measure.QuantityKind;
import lobrik.server.study.MeasuringStudy.Asked;
import lobrik.server.study.MeasuringStudy.Instrument;
import lobrik.server.study.MeasuringStudy.Plan;
import lobrik.server.study.StudyFigure.Turn;

/** Writes studies that nobody made on a screen: for a school that is made up. */
public final class StudyContents {

    /**
     * How something is read.
     *
     * @param around what pieces lie, give or take {@code apart}
     * @param again standard deviation of the same person's readings
     * @param line readings are written down to so much of an inch or a degree
     */
    public record Read(FeatureKind kind, double tolerance, double around, double apart, double again, double line) {}

    /** Who reads, and how much longer than all, in lines. */
    public record Reader(UUID account, double bias) {}

    private static final Duration BETWEEN = Duration.ofMinutes(2);

    private final EntityManager entities;
    private final UUID centreId;
    private final RandomGenerator random;

    public StudyContents(EntityManager entities, UUID centreId, RandomGenerator random) {
        this.entities = entities;
        this.centreId = centreId;
        this.random = random;
    }

    /**
     * A study by hand, twice each.
     *
     * @param turns how many pieces everybody has read; all, and it is closed, if there are no more
     */
    public void study(
            UUID id, String title, int pieces, List<Read> reads, List<Reader> readers, int turns, Instant at) {
        int repeats = 2;
        MeasuringStudy study = new MeasuringStudy(
                id,
                centreId,
                new Plan(
                        title,
                        Instrument.HAND,
                        pieces,
                        repeats,
                        reads.stream()
                                .map(read -> new Asked(
                                        read.kind().id(),
                                        quantity(read, read.tolerance()).count()))
                                .toList(),
                        Set.copyOf(readers.stream().map(Reader::account).toList())),
                readers.getFirst().account(),
                at);
        Instant written = at;
        Map<FeatureKind, double[]> made = reads.stream()
                .collect(Collectors.toMap(
                        Read::kind,
                        read -> random.doubles(pieces)
                                .map(by -> read.around() + read.apart() * (2 * by - 1))
                                .toArray()));
        entities.persist(study);
        entities.flush();
        for (Reader reader : readers) {
            for (int turn = 0; turn < Math.min(turns, pieces * repeats); turn++) {
                written = written.plus(BETWEEN);
                Turn piece = new Turn(reader.account(), turn % pieces + 1, turn / pieces + 1);
                for (Read read : reads) {
                    double truly = Objects.requireNonNull(made.get(read.kind()))[piece.piece() - 1];
                    double seen = truly + reader.bias() * read.line() + read.again() * random.nextGaussian();
                    entities.persist(new StudyFigure(
                            id,
                            piece,
                            read.kind().id(),
                            quantity(read, Math.round(seen / read.line()) * read.line()),
                            written));
                }
            }
        }
        if (turns >= pieces * repeats) {
            study.close(readers.getFirst().account(), written);
        }
    }

    private static Quantity quantity(Read read, double number) {
        QuantityKind measured = read.kind().measured();
        return measured.of(number);
    }
}
