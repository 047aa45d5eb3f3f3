package lobrik.server.attempt;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import lobrik.assessment.Basis;
import lobrik.server.platform.TurnedDown;
import org.springframework.stereotype.Component;

/** What pieces are judged by is shared by all schools under an id made of what it says: what came from elsewhere has to keep to that. */
@Component
public class BasisCheck {

    private static final int AT_ONCE = 500;

    private final Bases bases;

    BasisCheck(Bases bases) {
        this.bases = bases;
    }

    /**
     * Lets only those pass that say what their ids are made of.
     *
     * @throws TurnedDown if one does not
     */
    public void require(Collection<UUID> ids) {
        List<UUID> all = new ArrayList<>(ids);
        for (int from = 0; from < all.size(); from += AT_ONCE) {
            bases.afresh(all.subList(from, Math.min(from + AT_ONCE, all.size())))
                    .forEach(BasisCheck::require);
        }
    }

    private static void require(UUID id, Basis basis) {
        if (!Bases.Stored.of(basis).id().equals(id)) {
            throw TurnedDown.badInput(
                    "", "damaged", "this file is damaged: what a piece was judged by is not what it was");
        }
    }
}
