package lobrik.server.study;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import lobrik.measure.Quantity;
import org.hibernate.annotations.Immutable;

/** What somebody read of a piece in a round of a study. */
@Entity
@Immutable
class StudyFigure {

    /** Whose turn it was: a reader's, at a piece, in a round; both from 1. */
    record Turn(UUID accountId, int piece, int round) {}

    @Id
    private UUID id;

    private UUID studyId;
    private UUID accountId;
    private int piece;
    private int round;
    private String feature;
    private long value;
    private Instant at;

    @SuppressWarnings("NullAway.Init")
    protected StudyFigure() {}

    StudyFigure(UUID studyId, Turn turn, String feature, Quantity value, Instant at) {
        this.id = UUID.randomUUID();
        this.studyId = studyId;
        this.accountId = turn.accountId();
        this.piece = turn.piece();
        this.round = turn.round();
        this.feature = feature;
        this.value = value.count();
        this.at = at;
    }

    Turn turn() {
        return new Turn(accountId, piece, round);
    }

    String feature() {
        return feature;
    }

    /** In picometres, nanodegrees or billionths of one per cent. */
    long count() {
        return value;
    }
}
