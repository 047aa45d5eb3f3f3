package lobrik.server.account;

import java.io.Serializable;
import java.security.Principal;
import java.util.UUID;
import lobrik.server.platform.SameAccount;

/** Who is signed in; kept in the session. */
public record SignedIn(UUID accountId, UUID centreId, String fullName, Role role)
        implements Principal, SameAccount.Holder, Serializable {

    /** By which their sessions are found. */
    @Override
    public String getName() {
        return accountId.toString();
    }

    public boolean isLead() {
        return role == Role.LEAD;
    }

    /** Whether this is who made something of the school's, or leads it: nobody else changes that, the others copy it. */
    public boolean mayChangeWhatWasMadeBy(UUID maker) {
        return isLead() || accountId.equals(maker);
    }
}
