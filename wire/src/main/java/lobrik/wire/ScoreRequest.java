package lobrik.wire;

import java.util.List;
import lobrik.verdict.Scheme;
import org.jspecify.annotations.Nullable;

/** Readings to score. */
public record ScoreRequest(
        @Nullable BendKind bend,
        @Nullable Scheme scheme,
        @Nullable List<@Nullable ReadingToScore> items,
        @Nullable Double passMark,
        @Nullable Double deductions) {

    /** A bend of which only the kind matters. */
    public record BendKind(@Nullable String kind) {}

    /**
     * One reading with what it is judged against, in inches or degrees as its feature has it.
     *
     * @param tolerance how far it may be off
     * @param under how much less than its target it may be, where that is not the same
     */
    public record ReadingToScore(
            @Nullable String feature,
            @Nullable Double target,
            @Nullable Double reading,
            @Nullable Double tolerance,
            @Nullable Double under,
            @Nullable Double weight,
            @Nullable Boolean critical) {}
}
