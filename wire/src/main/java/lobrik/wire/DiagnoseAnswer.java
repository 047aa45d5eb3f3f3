package lobrik.wire;

import java.util.List;
import lobrik.cause.Cause;
import lobrik.cause.Diagnosis;
import lobrik.cause.Telling;
import lobrik.measure.LengthUnit;
import org.jspecify.annotations.Nullable;

/**
 * What most likely went wrong.
 *
 * @param causes most probable first; {@code none} and {@code no-clear-cause} are among them
 * @param clear whether the first is probable enough to be named alone
 * @param further the reading that would decide between the first ones, where one would
 */
public record DiagnoseAnswer(
        List<CauseAnswer> causes, boolean clear, @Nullable FurtherAnswer further) {

    /**
     * A cause.
     *
     * @param bendNumber the bend or mark that it is about, from the datum end; null where it is about the whole piece
     * @param amount inches or degrees, as docs/judging.md says for its id
     * @param probability that it played a part, alone or with another: those of a pair both count it
     * @param title as a heading
     * @param what what happened, in a sentence
     * @param evidence the reading that speaks most for it, against the plan and against the simulation of it
     */
    public record CauseAnswer(
            String id,
            @Nullable Integer bendNumber,
            @Nullable Double amount,
            double probability,
            String title,
            String what,
            String evidence) {

        static CauseAnswer of(Cause cause, Telling telling) {
            return new CauseAnswer(
                    cause.id().id(),
                    cause.bend().isPresent() ? cause.bend().getAsInt() : null,
                    cause.amount().map(Numbers::of).orElse(null),
                    cause.probability(),
                    telling.title(cause),
                    telling.what(cause),
                    telling.evidence(cause));
        }
    }

    /** A reading that is worth taking. */
    public record FurtherAnswer(String feature, String text) {}

    /** What was found, said with lengths in this unit. */
    public static DiagnoseAnswer of(Diagnosis diagnosis, LengthUnit unit) {
        Telling telling = new Telling(diagnosis, unit);
        return new DiagnoseAnswer(
                diagnosis.causes().stream()
                        .map(cause -> CauseAnswer.of(cause, telling))
                        .toList(),
                diagnosis.clear().isPresent(),
                diagnosis
                        .further()
                        .map(further -> new FurtherAnswer(
                                further.feature().id(), telling.further().orElse("")))
                        .orElse(null));
    }
}
