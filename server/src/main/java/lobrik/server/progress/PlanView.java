package lobrik.server.progress;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * What a cohort bends next: groups by family of bends, in the order in which bends are learnt.
 *
 * @param ready who may be signed off, before they bend anything else
 */
record PlanView(UUID cohortId, List<PlanGroup> groups, List<ReadyView> ready) {

    /**
     * Trainees who bend the same family.
     *
     * @param entry of the library that they have had least; null where it has none of this family
     * @param others of this family that could be taken instead
     */
    record PlanGroup(String family, @Nullable EntryName entry, List<EntryName> others, List<MemberView> trainees) {}

    /** A library entry. */
    record EntryName(UUID id, String title, boolean varies) {}

    /** Who, and why. */
    record MemberView(UUID traineeId, String fullName, int bench, TraineeProgress.NextView next) {}

    record ReadyView(UUID traineeId, String fullName, String family) {}
}
