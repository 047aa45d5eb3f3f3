package lobrik.wire;

import java.util.List;
import lobrik.verdict.Judged;
import lobrik.verdict.Score;

/** A piece scored. */
public record ScoreAnswer(double score, boolean passed, List<ScoredReading> items) {

    /** One reading judged; the deviation is in inches or degrees as its feature has it. */
    public record ScoredReading(String feature, double deviation, double credit) {

        static ScoredReading of(Judged judged) {
            return new ScoredReading(judged.feature().id(), Numbers.of(judged.deviation()), judged.credit());
        }
    }

    static ScoreAnswer of(Score score) {
        return new ScoreAnswer(
                score.points(),
                score.passed(),
                score.items().stream().map(ScoredReading::of).toList());
    }
}
