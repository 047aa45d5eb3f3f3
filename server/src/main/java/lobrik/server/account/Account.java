package lobrik.server.account;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import lobrik.measure.LengthUnit;

/** Somebody who may sign in. */
@Entity
public class Account {

    @Id
    private UUID id;

    private UUID centreId;
    private String signInName;
    private String fullName;

    @Enumerated(EnumType.STRING)
    private Role role;

    private String passwordHash;

    @Enumerated(EnumType.STRING)
    private LengthUnit unit;

    private Instant createdAt;

    @SuppressWarnings("NullAway.Init")
    protected Account() {}

    public Account(
            UUID id,
            UUID centreId,
            String signInName,
            String fullName,
            Role role,
            String passwordHash,
            Instant createdAt) {
        this.id = id;
        this.centreId = centreId;
        this.signInName = signInName;
        this.fullName = fullName;
        this.role = role;
        this.passwordHash = passwordHash;
        this.unit = LengthUnit.INCH;
        this.createdAt = createdAt;
    }

    public UUID id() {
        return id;
    }

    UUID centreId() {
        return centreId;
    }

    String passwordHash() {
        return passwordHash;
    }

    LengthUnit unit() {
        return unit;
    }

    void prefer(LengthUnit preferred) {
        this.unit = preferred;
    }

    public SignedIn signedIn() {
        return new SignedIn(id, centreId, fullName, role);
    }
}
