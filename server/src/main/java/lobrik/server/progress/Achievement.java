package lobrik.server.progress;

import java.util.List;
import java.util.Map;
import lobrik.bend.BendKind;
import org.jspecify.annotations.Nullable;

/**
 * What a record of achievement says of somebody.
 *
 * @param number that the school knows them by
 * @param pieces how many were finished, by kind of bend, in the order in which bends are learnt
 * @param signOffs every signature that was ever given, from the oldest
 */
public record Achievement(
        String fullName,
        @Nullable String number,
        String cohortName,
        String centreName,
        Map<BendKind, Integer> pieces,
        List<SignOffView> signOffs) {}
