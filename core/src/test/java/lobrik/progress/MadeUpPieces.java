package lobrik.progress;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.SplittableRandom;
import lobrik.bend.BendKind;
import lobrik.cause.CauseId;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.verdict.TolerancePreset;

/** Pieces of made-up hands, for tests of what is concluded from them. */
final class MadeUpPieces {

    static final Strictness SITE = Strictness.of(TolerancePreset.SITE.tolerances());
    static final Strictness LEARNING = Strictness.of(TolerancePreset.LEARNING.tolerances());

    private MadeUpPieces() {}

    /** A piece that only matters by whether it passed. */
    static Outcome piece(BendKind kind, long day, boolean passed, Strictness strictness, int rebent) {
        return new Outcome(
                kind.id() + day,
                day,
                Family.byHand(kind),
                "B",
                passed ? 90 : 40,
                passed,
                strictness,
                rebent,
                Optional.empty(),
                List.of());
    }

    static Outcome pass(long day) {
        return piece(BendKind.OFFSET, day, true, SITE, 0);
    }

    static Outcome fail(long day) {
        return piece(BendKind.OFFSET, day, false, SITE, 0);
    }

    /** Offsets of somebody whose second bend is off by a bias, with an ordinary spread. */
    static List<Outcome> offsets(SplittableRandom random, int count, double biasDeg, double slipsOf) {
        List<Outcome> pieces = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            boolean slip = random.nextDouble() < slipsOf;
            pieces.add(new Outcome(
                    "p" + i,
                    i / 2,
                    Family.byHand(BendKind.OFFSET),
                    "B" + i % 3,
                    80,
                    true,
                    SITE,
                    0,
                    slip ? Optional.of(new Slip(CauseId.SHRINK_OMITTED, OptionalInt.empty())) : Optional.empty(),
                    List.of(
                            angle(FeatureId.angle(1), gaussian(random)),
                            angle(FeatureId.angle(2), biasDeg + gaussian(random)),
                            length(FeatureId.mark(1), 0.05 * gaussian(random)),
                            length(FeatureId.mark(2), 0.05 * gaussian(random)),
                            length(FeatureId.RISE, 0.08 * gaussian(random)),
                            length(FeatureId.LANDING, (slip ? -1.2 : 0) + 0.08 * gaussian(random)),
                            angle(FeatureId.DOG_LEG, Math.abs(0.6 * gaussian(random))))));
        }
        return pieces;
    }

    static Outcome.Missed angle(FeatureId feature, double degrees) {
        return new Outcome.Missed(feature, Angle.ofDegrees(degrees), Angle.ZERO, Angle.ofDegrees(2));
    }

    static Outcome.Missed length(FeatureId feature, double inches) {
        return new Outcome.Missed(feature, Length.ofInches(inches), Length.ZERO, Length.ofFraction(0, 1, 8));
    }

    static double gaussian(SplittableRandom random) {
        return random.nextGaussian();
    }
}
