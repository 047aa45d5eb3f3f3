package lobrik.server.account;

import java.io.Serializable;
import java.security.Principal;
import java.util.UUID;

/** Who is signed in; kept in the session. */
public record SignedIn(UUID accountId, UUID centreId, String fullName, Role role) implements Principal, Serializable {

    @Override
    public String getName() {
        return fullName;
    }

    public boolean isLead() {
        return role == Role.LEAD;
    }
}
