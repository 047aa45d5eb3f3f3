package lobrik.server.progress;

import java.util.List;
import java.util.Map;
import lobrik.progress.Family;
import org.jspecify.annotations.Nullable;

/**
 * What a record of achievement says of somebody.
 *
 * @param number that the school knows them by
 * @param pieces how many were finished, by family of bends, in the order in which bends are learnt
 * @param signOffs every signature that was ever given, from the oldest
 */
public record Achievement(
        String fullName,
        @Nullable String number,
        String cohortName,
        String centreName,
        Map<Family, Integer> pieces,
        List<SignOffView> signOffs) {}
