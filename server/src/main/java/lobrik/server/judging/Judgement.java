package lobrik.server.judging;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.List;
import lobrik.server.attempt.Fact;
import lobrik.wire.DiagnoseAnswer;
import lobrik.wire.LayoutRequest;
import lobrik.wire.PieceShape;
import lobrik.wire.Unit;
import org.jspecify.annotations.Nullable;

/**
 * The verdict on a piece.
 *
 * @param marksheet once everything is read or known not to have been
 * @param finding what is said of it first
 * @param diagnosis why; once anything was read
 * @param budgets where the deviation of each finished dimension came from
 * @param advice what to do with this piece
 * @param fit whether a run goes into both of its fittings; null for anything else, and until the readings describe a shape
 * @param farEnd where along a run the error at its far end came in; null for anything else, and until the readings describe a shape
 * @param nextTime what to do differently next time, where a cause is clear
 * @param bender what the bender is known to add to this piece; null where that is nothing
 * @param marked the shape that the rings alone would have given
 * @param nearLimits what reads so near to its limit that the piece may well be on the other side of it
 */
public record Judgement(
        @Nullable MarksheetView marksheet,
        FindingWords finding,
        @Nullable DiagnoseAnswer diagnosis,
        List<BudgetView> budgets,
        @Nullable AdviceView advice,
        @Nullable FitView fit,
        @Nullable FarEndView farEnd,
        @Nullable NextTimeView nextTime,
        @Nullable PieceShape marked,
        @Nullable BenderNote bender,
        List<NearLimitView> nearLimits) {

    /** A feature that reads near its limit, and what to say of it. */
    public record NearLimitView(String feature, String sentence) {}

    /**
     * What the bender is known to add to this piece.
     *
     * @param sentence that says so, and whether the piece is within its tolerances without that
     * @param leftOut whether the points leave it out: then readings are held to what the right piece comes to on this bender
     */
    public record BenderNote(String sentence, boolean leftOut, List<BenderAdds> features) {}

    /**
     * What the bender adds to a feature; inches or degrees.
     *
     * @param own the deviation without that
     * @param within whether that is within the tolerance
     */
    public record BenderAdds(String feature, Unit unit, double adds, double own, boolean within) {}

    /**
     * What is said first.
     *
     * @param named whether that is the first of the causes; else none of them stands out, or none is worth a big word
     * @param headline in a few words
     * @param sentence to the trainee
     */
    public record FindingWords(boolean named, String headline, String sentence) {}

    /** When a deviation came in. */
    public enum StageName {
        @JsonProperty("plan")
        PLAN,
        @JsonProperty("arithmetic")
        ARITHMETIC,
        @JsonProperty("rings")
        RINGS,
        @JsonProperty("bender")
        BENDER,
        @JsonProperty("angles")
        ANGLES,
        @JsonProperty("plane")
        PLANE,
        @JsonProperty("rest")
        REST
    }

    /** The deviation of a dimension, in parts that add up to it; inches or degrees. */
    public record BudgetView(String feature, Unit unit, double deviation, List<PartView> parts) {}

    /** What a stage adds; a stage of which nothing was read has its share in the next. */
    public record PartView(StageName stage, double change, boolean known) {}

    /** What a piece comes to. */
    public enum OutcomeName {
        @JsonProperty("leave")
        LEAVE,
        @JsonProperty("rework")
        REWORK,
        @JsonProperty("accept")
        ACCEPT,
        @JsonProperty("scrap")
        SCRAP
    }

    /** What to do with the piece. */
    public record AdviceView(OutcomeName outcome, String words, List<AdviceStep> steps, List<ExpectedView> expected) {}

    /**
     * Where along a run the error at its far end came in.
     *
     * @param sentence the place that stands out, or that none does
     * @param shares that move the far end by what a tape reads, from the datum end
     */
    public record FarEndView(String sentence, List<FarEndShare> shares) {}

    /**
     * What one place of a run moves its far end by.
     *
     * @param place what it is called: {@code Leg 2}
     * @param brings in which directions, in words
     * @param farIn how far in all, inches
     */
    public record FarEndShare(String place, String brings, double farIn) {}

    /**
     * Whether a run goes into both of its fittings.
     *
     * @param sentence that says so, with where its far end is
     * @param ways what would make it fit, one sentence each, the least work first
     */
    public record FitView(boolean enters, String sentence, List<String> ways) {}

    /**
     * One thing to do.
     *
     * @param bend that it is done to, from 1; null for cutting
     * @param change what is done to it, where it goes back into the bender
     * @param byDeg more is closing
     */
    public record AdviceStep(
            String words,
            @Nullable Integer bend,
            Fact.@Nullable Change change,
            @Nullable Double byDeg,
            @Nullable Double cutIn) {}

    /** A dimension as it is read and as it will be after the steps. */
    public record ExpectedView(
            String feature,
            Unit unit,
            double target,
            double now,
            double after,
            boolean insideNow,
            boolean insideAfter) {}

    /**
     * A sentence to the trainee and a piece to try it on.
     *
     * @param kind of bend of that piece, by id
     */
    public record NextTimeView(String sentence, String kind, LayoutRequest definition) {}
}
