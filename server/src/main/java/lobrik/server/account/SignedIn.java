package lobrik.server.account;

import java.io.Serializable;
import java.security.Principal;
import java.util.UUID;
import lobrik.server.platform.Right;
import lobrik.server.platform.RightsGuard;
import lobrik.server.platform.SameAccount;

/**
 * Who is signed in; kept in the session.
 *
 * @param rightsEdition how often what they may do had changed when they signed in: the session is over with the next change
 */
public record SignedIn(UUID accountId, UUID centreId, String fullName, Role role, int rightsEdition)
        implements Principal, SameAccount.Holder, RightsGuard.Holder, Serializable {

    /** By which their sessions are found, and found only for as long as they may do what they could. */
    @Override
    public String getName() {
        return accountId + "." + rightsEdition;
    }

    @Override
    public boolean may(Right right) {
        return Permissions.of(role).contains(right);
    }

    /** Whether this is who made something of the school's, or leads it: nobody else changes that, the others copy it. */
    public boolean mayChangeWhatWasMadeBy(UUID maker) {
        return may(Right.LEAD) || (may(Right.TEACH) && accountId.equals(maker));
    }
}
