package lobrik.layout;

import java.util.Optional;
import lobrik.bend.Run;
import lobrik.feature.FeatureId;

/** On which feature of a run each of its sizes is drawn, by the path of the input. */
final class RunDimensions {

    private RunDimensions() {}

    /** Empty for what is on no dimension: play, readings of which only the difference is drawn, places along a leg. */
    static Optional<FeatureId> feature(Run run, String path) {
        String[] steps = path.split("/");
        String last = steps[steps.length - 1];
        return switch (steps[0]) {
            case "legs" ->
                last.equals("lengthIn") || last.equals("readToIn")
                        ? Optional.of(FeatureId.leg(1 + Integer.parseInt(steps[1])))
                        : Optional.empty();
            case "startOffset" -> last.equals("riseIn") ? Optional.of(FeatureId.START_RISE) : Optional.empty();
            case "endOffset" -> last.equals("riseIn") ? Optional.of(FeatureId.END_RISE) : Optional.empty();
            case "along" -> onLeg(run.along().get(Integer.parseInt(steps[1])).leg(), last);
            default -> Optional.empty();
        };
    }

    private static Optional<FeatureId> onLeg(int leg, String input) {
        return switch (input) {
            case "riseIn" -> Optional.of(FeatureId.rise(leg));
            case "heightIn" -> Optional.of(FeatureId.height(leg));
            default -> Optional.empty();
        };
    }
}
