package lobrik.server.attempt;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import lobrik.assessment.Assessment;
import lobrik.assessment.Assessment.Assessed;
import lobrik.feature.FeatureId;
import lobrik.measure.Quantity;
import lobrik.server.cohort.Trainee;
import lobrik.shape.Piece;
import lobrik.verdict.Judged;
import lobrik.wire.Numbers;
import lobrik.wire.PieceShape;
import lobrik.wire.Unit;
import org.jspecify.annotations.Nullable;

/**
 * What may have changed of an attempt when something was written down on it; whoever wrote it has the rest, which stays as it was.
 *
 * @param made the shape that the readings describe, once they describe one
 * @param madeFirst the shape as it was first bent, where it was bent again since
 * @param drawnTimes how many times as large its difference to what was asked is best drawn
 * @param edition grows with all that is written down of it, so that an answer that comes late is known to be older
 */
public record AttemptChange(
        UUID id,
        AttemptView.AttemptTrainee trainee,
        List<AttemptView.FeatureView> features,
        BenchNotes bench,
        AttemptView.@Nullable ScoreView score,
        @Nullable PieceShape made,
        @Nullable PieceShape madeFirst,
        int drawnTimes,
        int edition) {

    static AttemptChange of(Measured measured, Trainee trainee, Names names) {
        Optional<Piece> made = measured.made();
        return new AttemptChange(
                measured.attempt().id(),
                new AttemptView.AttemptTrainee(trainee.id(), trainee.fullName(), trainee.bench(), trainee.cohortId()),
                measured.assessment().features().stream()
                        .map(feature -> feature(feature, measured, names))
                        .toList(),
                BenchNotes.of(measured, names),
                score(measured),
                made.map(piece -> shape(measured, piece)).orElse(null),
                measured.madeFirst().map(piece -> shape(measured, piece)).orElse(null),
                measured.drawnTimes(made),
                measured.ledger().size());
    }

    private static PieceShape shape(Measured measured, Piece piece) {
        return PieceShape.of(measured.question().layout().job().bend(), piece);
    }

    private static AttemptView.@Nullable ScoreView score(Measured measured) {
        Assessment assessment = measured.assessment();
        return assessment
                .score()
                .map(score -> new AttemptView.ScoreView(
                        score.points(),
                        score.passed(),
                        measured.attempt().tolerances().passMark(),
                        assessment.workmanship().deductions(),
                        assessment.criticalOmitted().stream().map(FeatureId::id).toList(),
                        assessment.failing()))
                .orElse(null);
    }

    private static AttemptView.FeatureView feature(Assessed feature, Measured measured, Names names) {
        Ledger ledger = measured.ledger();
        List<AttemptView.ReadingView> history = ledger.readings().stream()
                .filter(row -> row.feature().equals(feature.id()))
                .map(row -> reading(row, ledger, names))
                .toList();
        Set<UUID> standing =
                ledger.standing(feature.id()).stream().map(ReadingRow::id).collect(Collectors.toSet());
        List<AttemptView.ReadingView> counting =
                history.stream().filter(row -> standing.contains(row.id())).toList();
        Judged judged = feature.judged().orElse(null);
        return new AttemptView.FeatureView(
                feature.id().id(),
                Unit.of(feature.id()),
                Numbers.of(feature.asked()),
                Numbers.of(feature.target()),
                Numbers.of(feature.tolerance().over()),
                Numbers.of(feature.tolerance().under()),
                feature.critical(),
                measured.mayBeFound(feature.id()),
                feature.id().isSigned(),
                AttemptView.FeatureState.valueOf(feature.state().name()),
                feature.carried()
                        .map(reason -> AttemptView.CarriedName.valueOf(reason.name()))
                        .orElse(null),
                feature.from().stream().map(FeatureId::id).toList(),
                counting.size() == 1 ? counting.getFirst() : null,
                judged == null ? null : Numbers.of(judged.deviation()),
                judged == null ? null : judged.credit(),
                judged == null ? null : judged.band(),
                counting.size() > 1 ? counting : List.of(),
                history);
    }

    private static AttemptView.ReadingView reading(ReadingRow row, Ledger ledger, Names names) {
        Quantity value = ledger.value(row).orElse(null);
        AttemptView.ByLevel level = ledger.floorUnder(row)
                .map(floor -> new AttemptView.ByLevel(
                        Numbers.of(Objects.requireNonNull(row.value())),
                        floor.tilt().degrees()))
                .orElse(null);
        ReadingRow.Taken taken = row.taken();
        return new AttemptView.ReadingView(
                row.id(),
                value == null ? null : Numbers.of(value),
                level,
                row.stage(),
                row.isAsFound(),
                row.typed(),
                row.measuredFrom(),
                names.of(taken.by()),
                taken.time().at(),
                taken.received(),
                taken.time().wrongBySeconds(),
                taken.with(),
                taken.instrument(),
                row.omitted(),
                row.reason(),
                names.setAside(ledger, row.id()));
    }
}
