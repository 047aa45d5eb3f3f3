package lobrik.server.network;

import java.util.List;
import lobrik.server.account.Audit;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.SchoolsHere;
import lobrik.server.platform.TurnedDown;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What the lead of a school may do about how its server is reached: all, where it is the only school there and nobody decided at the start. */
@Service
class SharingByTheLead {

    private final Sharing sharing;
    private final Audit audit;
    private final SchoolsHere schools;

    SharingByTheLead(Sharing sharing, Audit audit, SchoolsHere schools) {
        this.sharing = sharing;
        this.audit = audit;
        this.schools = schools;
    }

    /**
     * Has other devices reach the server, or no longer.
     *
     * @throws TurnedDown if it is not for the lead to say, or cannot be done
     */
    @Transactional
    public void change(SignedIn who, boolean shared) {
        String whyNot = whyNot();
        if (whyNot != null) {
            throw TurnedDown.conflict("not-here", whyNot);
        }
        boolean before = sharing.now() != null;
        try {
            if (shared) {
                sharing.openForGood();
            } else {
                sharing.closeForGood();
            }
        } catch (CannotShare why) {
            throw TurnedDown.conflict("cannot-share", String.valueOf(why.getMessage()));
        }
        audit.changed(
                who,
                new Audit.Subject(Audit.Kind.SCHOOL, who.centreId(), "On the network"),
                List.of(Audit.Change.of("reached by other devices", yesOrNo(before), yesOrNo(shared))),
                null);
    }

    private static String yesOrNo(boolean is) {
        return is ? "yes" : "no";
    }

    /** Why it is not for the lead to say; null if it is. */
    @Nullable
    String whyNot() {
        if (!sharing.isPossible()) {
            return "This server has no folder for certificates; whoever runs it starts it with ./lobrik start";
        }
        if (sharing.isAskedForAtTheStart()) {
            return "Whoever started this server shares it on the network; they end that by starting it without --share";
        }
        return schools.areSeveral()
                ? "Several schools share this server; whoever runs it starts it with --share"
                : null;
    }
}
