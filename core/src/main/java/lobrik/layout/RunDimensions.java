package lobrik.layout;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import lobrik.bend.Along;
import lobrik.bend.InputId;
import lobrik.bend.Run;
import lobrik.feature.FeatureId;

/** On which feature of a run each of its sizes is drawn, by the path of the input. */
final class RunDimensions {

    private RunDimensions() {}

    /** Empty for what is on no dimension: play, the first of two readings, places along a leg. */
    static Optional<FeatureId> feature(Run run, String path) {
        return Optional.ofNullable(byPath(run).get("bend/" + path));
    }

    private static Map<String, FeatureId> byPath(Run run) {
        Map<String, FeatureId> features = new HashMap<>();
        for (int leg = 1; leg <= run.legs().size(); leg++) {
            features.put(run.pointer(leg), FeatureId.leg(leg));
        }
        features.put("bend/startOffset/" + InputId.RISE.id(), FeatureId.START_RISE);
        features.put("bend/endOffset/" + InputId.RISE.id(), FeatureId.END_RISE);
        for (int i = 0; i < run.along().size(); i++) {
            Along along = run.along().get(i);
            String path = "bend/along/" + i + "/";
            features.put(path + InputId.RISE.id(), FeatureId.rise(along.leg()));
            features.put(path + InputId.HEIGHT.id(), FeatureId.height(along.leg()));
        }
        return features;
    }
}
