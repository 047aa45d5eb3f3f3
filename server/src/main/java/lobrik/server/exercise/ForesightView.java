package lobrik.server.exercise;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.List;
import lobrik.verdict.Foresight;
import lobrik.verdict.GapShare;
import lobrik.verdict.MethodShare;
import lobrik.wire.FaultAnswer.CureAnswer;
import lobrik.wire.Numbers;
import lobrik.wire.Unit;
import org.jspecify.annotations.Nullable;

/**
 * What is known of an exercise before it is given out.
 *
 * @param worst how much the largest miss matters
 * @param misses of the finished dimensions, of those that matter
 * @param gap to what has to be cleared, where it is smaller than asked by what matters
 * @param cures each was tried; pointers are those of the calculation interface, and {@code /tolerances/preset}
 */
public record ForesightView(
        GradeName worst, List<MissView> misses, @Nullable GapView gap, List<CureAnswer> cures) {

    /** How much a miss matters: at most half a tolerance, more, or more than a whole one. */
    public enum GradeName {
        @JsonProperty("slight")
        SLIGHT,
        @JsonProperty("noticeable")
        NOTICEABLE,
        @JsonProperty("beyond")
        BEYOND;

        public static GradeName of(MethodShare.Grade grade) {
            return valueOf(grade.name());
        }
    }

    /** A dimension of which the right piece misses what is asked; inches or degrees. */
    public record MissView(
            String feature, Unit unit, double asked, double right, double miss, double tolerance, GradeName grade) {

        private static MissView of(MethodShare share) {
            return new MissView(
                    share.feature().id(),
                    Unit.of(share.feature()),
                    Numbers.of(share.asked()),
                    Numbers.of(share.right()),
                    Numbers.of(share.miss()),
                    Numbers.of(share.tolerance().on(share.miss())),
                    GradeName.of(share.grade()));
        }
    }

    /** The least gap that is asked for, and that the right piece leaves; negative where it would have to pass through. */
    public record GapView(double askedIn, double rightIn, GradeName grade) {

        private static GapView of(GapShare gap) {
            return new GapView(gap.asked().inches(), gap.right().inches(), GradeName.of(gap.grade()));
        }
    }

    static ForesightView of(Foresight seen) {
        return new ForesightView(
                GradeName.of(seen.worst()),
                seen.shares().stream()
                        .filter(share -> share.grade() != MethodShare.Grade.SLIGHT)
                        .map(MissView::of)
                        .toList(),
                seen.gap()
                        .filter(gap -> gap.grade() != MethodShare.Grade.SLIGHT)
                        .map(GapView::of)
                        .orElse(null),
                seen.cures().stream().map(CureAnswer::of).toList());
    }
}
