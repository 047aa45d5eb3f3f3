package lobrik.server.attempt;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import lobrik.assessment.Assessment;
import lobrik.assessment.Assessment.Assessed;
import lobrik.verdict.Judged;
import lobrik.verdict.Score;
import lobrik.wire.Numbers;
import lobrik.wire.Unit;
import org.jspecify.annotations.Nullable;

/**
 * A time that the piece was bent on or eased and measured again: what was done, what it cost, and what it brought.
 *
 * @param number of the stage that it began, from 2
 * @param minutes from the last reading before it to the first after it; null while nothing is read, or where the clocks say nothing
 * @param pointsOff taken off for it
 */
public record StageView(
        UUID id,
        int number,
        List<RebentView> bends,
        String takenBy,
        Instant takenAt,
        @Nullable Integer minutes,
        double pointsOff,
        CameTo before,
        CameTo after) {

    /** A bend, and what was done to it. */
    public record RebentView(int bend, Fact.Change change) {}

    /**
     * What the piece came to in a stage.
     *
     * @param points null while it is not measured to the end
     * @param off each feature that was read, and how far it is off
     */
    public record CameTo(@Nullable Double points, @Nullable Boolean passed, List<OffView> off) {

        private static CameTo of(Assessment assessment) {
            Optional<Score> score = assessment.score();
            return new CameTo(
                    score.map(Score::points).orElse(null),
                    score.map(Score::passed).orElse(null),
                    assessment.features().stream().flatMap(CameTo::off).toList());
        }

        private static Stream<OffView> off(Assessed feature) {
            return feature.judged().stream()
                    .map(judged -> new OffView(
                            feature.id().id(), Unit.of(feature.id()), Numbers.of(judged.deviation()), judged.band()));
        }
    }

    /** How far a feature is off. */
    public record OffView(String feature, Unit unit, double deviation, Judged.Band band) {}

    /** Nobody is at it for longer: it was left lying, or a clock was put right meanwhile. */
    private static final long LONGEST_MINUTES = 24L * 60;

    /** Of each time, from the first. */
    static List<StageView> of(Measured measured, Names names) {
        return IntStream.rangeClosed(ReadingRow.FIRST_STAGE + 1, measured.stages())
                .mapToObj(stage -> of(measured, stage, names))
                .toList();
    }

    private static StageView of(Measured measured, int stage, Names names) {
        FactRow row = measured.ledger().began(stage).orElseThrow();
        Fact.Stage said = (Fact.Stage) row.said();
        return new StageView(
                row.id(),
                stage,
                Objects.requireNonNullElse(said.bends(), List.<Fact.Rebent>of()).stream()
                        .map(each -> new RebentView(
                                Objects.requireNonNullElse(each.bend(), 0),
                                Objects.requireNonNullElse(each.change(), Fact.Change.ADDED)))
                        .toList(),
                names.of(row.takenBy()),
                row.takenAt(),
                minutes(measured.ledger(), stage),
                measured.attempt().tolerances().toCore().rebending().pointsEach(),
                CameTo.of(measured.inStage(stage - 1)),
                CameTo.of(measured.inStage(stage)));
    }

    private static @Nullable Integer minutes(Ledger ledger, int stage) {
        Instant before = taken(ledger, stage - 1).max(Comparator.naturalOrder()).orElse(null);
        Instant after = taken(ledger, stage).min(Comparator.naturalOrder()).orElse(null);
        if (before == null || after == null) {
            return null;
        }
        long minutes = Duration.between(before, after).toMinutes();
        return minutes < 0 || minutes > LONGEST_MINUTES ? null : Math.toIntExact(minutes);
    }

    private static Stream<Instant> taken(Ledger ledger, int stage) {
        return ledger.readings().stream().filter(row -> row.stage() == stage).map(ReadingRow::takenAt);
    }
}
