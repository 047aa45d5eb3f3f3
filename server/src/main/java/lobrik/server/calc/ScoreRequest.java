package lobrik.server.calc;

import com.fasterxml.jackson.annotation.JsonProperty;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Readings to score. */
public record ScoreRequest(
        @Nullable BendKind bend,
        @Nullable SchemeName scheme,
        @Nullable List<@Nullable ReadingToScore> items,
        @Schema(defaultValue = "70") @Nullable Double passMark,
        @Schema(defaultValue = "0") @Nullable Double deductions) {

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
            @Schema(defaultValue = "1") @Nullable Double weight,
            @Schema(defaultValue = "true") @Nullable Boolean critical) {}

    /** How credit falls with the deviation. */
    public enum SchemeName {
        @JsonProperty("graded")
        GRADED,
        @JsonProperty("bands")
        BANDS,
        @JsonProperty("passFail")
        PASS_FAIL
    }
}
