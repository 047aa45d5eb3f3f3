package lobrik.server.account;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import lobrik.measure.LengthUnit;
import org.jspecify.annotations.Nullable;

/** Somebody who may sign in, or will be once they have taken their account up. */
@Entity
public class Account {

    @Id
    private UUID id;

    private UUID centreId;
    private String signInName;
    private String fullName;

    @Enumerated(EnumType.STRING)
    private Role role;

    private @Nullable String passwordHash;

    @Enumerated(EnumType.STRING)
    private LengthUnit unit;

    private Instant createdAt;
    private @Nullable UUID traineeId;
    private @Nullable Instant disabledAt;

    @Version
    private int edition;

    private int rightsEdition;

    /** Whether this is a lead who has to set up a second factor before they may do what a lead may. */
    private boolean heldBack;

    /** Made by the database of the id and the edition of the rights. */
    @Column(insertable = false, updatable = false)
    private @Nullable String sessionName;

    @SuppressWarnings("NullAway.Init")
    protected Account() {}

    /**
     * An account.
     *
     * @param passwordHash null until its holder chooses one
     */
    public Account(
            UUID id,
            UUID centreId,
            String signInName,
            String fullName,
            Role role,
            @Nullable String passwordHash,
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

    /** The account of a trainee, who has not taken it up. */
    static Account ofTrainee(
            UUID id, UUID centreId, String signInName, String fullName, UUID traineeId, Instant createdAt) {
        Account account = new Account(id, centreId, signInName, fullName, Role.TRAINEE, null, createdAt);
        account.traineeId = traineeId;
        return account;
    }

    public UUID id() {
        return id;
    }

    UUID centreId() {
        return centreId;
    }

    String signInName() {
        return signInName;
    }

    String fullName() {
        return fullName;
    }

    Role role() {
        return role;
    }

    @Nullable
    String passwordHash() {
        return passwordHash;
    }

    LengthUnit unit() {
        return unit;
    }

    @Nullable
    UUID traineeId() {
        return traineeId;
    }

    @Nullable
    Instant disabledAt() {
        return disabledAt;
    }

    public boolean isDisabled() {
        return disabledAt != null;
    }

    /** How often anything of it was changed. */
    int edition() {
        return edition;
    }

    void prefer(LengthUnit preferred) {
        this.unit = preferred;
    }

    void rename(String newName) {
        this.fullName = newName;
    }

    /** What they may do changes, at once: whoever is signed in with it is so no more. */
    void become(Role newRole) {
        this.role = newRole;
        this.rightsEdition++;
    }

    /** Lets its holder in no more, at once; or again. */
    void disable(@Nullable Instant at) {
        this.disabledAt = at;
        this.rightsEdition++;
    }

    /** Whoever is signed in with the old one is so no more. */
    void choosePassword(String hash) {
        this.passwordHash = hash;
        this.rightsEdition++;
    }

    /** Leaves its name to somebody else. */
    void leaveName() {
        this.signInName = "replaced-" + id;
    }

    boolean isHeldBack() {
        return heldBack;
    }

    /** What they may do changes, at once. */
    void holdBack(boolean back) {
        this.heldBack = back;
        this.rightsEdition++;
    }

    /** As they are let in: a lead who is held back may do what an instructor may. */
    public SignedIn signedIn() {
        return new SignedIn(id, centreId, fullName, heldBack ? Role.INSTRUCTOR : role, rightsEdition);
    }
}
