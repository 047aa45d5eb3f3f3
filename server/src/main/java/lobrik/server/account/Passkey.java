package lobrik.server.account;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Set;
import java.util.UUID;
import org.hibernate.annotations.DynamicUpdate;
import org.jspecify.annotations.Nullable;
import org.springframework.security.web.webauthn.api.Bytes;
import org.springframework.security.web.webauthn.api.CredentialRecord;
import org.springframework.security.web.webauthn.api.ImmutableCredentialRecord;
import org.springframework.security.web.webauthn.api.ImmutablePublicKeyCose;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialType;

/** A key that a device keeps for somebody. */
@Entity
@DynamicUpdate // The application may only update what can change.
class Passkey {

    @Id
    private byte[] credentialId;

    private UUID accountId;
    private byte[] publicKey;
    private long signatureCount;
    private boolean backupEligible;
    private boolean backupState;
    private byte @Nullable [] attestationObject;
    private byte @Nullable [] clientData;
    private String label;
    private Instant createdAt;
    private Instant lastUsedAt;

    @SuppressWarnings("NullAway.Init")
    protected Passkey() {}

    Passkey(UUID accountId, CredentialRecord made, Instant at) {
        this.credentialId = made.getCredentialId().getBytes();
        this.accountId = accountId;
        this.publicKey = made.getPublicKey().getBytes();
        this.signatureCount = made.getSignatureCount();
        this.backupEligible = made.isBackupEligible();
        this.backupState = made.isBackupState();
        this.attestationObject = bytes(made.getAttestationObject());
        this.clientData = bytes(made.getAttestationClientDataJSON());
        this.label = made.getLabel();
        this.createdAt = at;
        this.lastUsedAt = at;
    }

    private static byte @Nullable [] bytes(@Nullable Bytes of) {
        return of == null ? null : of.getBytes();
    }

    UUID accountId() {
        return accountId;
    }

    String label() {
        return label;
    }

    Instant createdAt() {
        return createdAt;
    }

    Instant lastUsedAt() {
        return lastUsedAt;
    }

    /** As it is known in addresses. */
    String id() {
        return new Bytes(credentialId).toBase64UrlString();
    }

    /** It was used: it counts how often itself. */
    void used(CredentialRecord now, Instant at) {
        signatureCount = now.getSignatureCount();
        backupState = now.isBackupState();
        lastUsedAt = at;
    }

    CredentialRecord toRecord() {
        ImmutableCredentialRecord.ImmutableCredentialRecordBuilder record = ImmutableCredentialRecord.builder()
                .credentialType(PublicKeyCredentialType.PUBLIC_KEY)
                .credentialId(new Bytes(credentialId))
                .userEntityUserId(Passkeys.handle(accountId))
                .publicKey(new ImmutablePublicKeyCose(publicKey))
                .signatureCount(signatureCount)
                .uvInitialized(true)
                .transports(Set.of())
                .backupEligible(backupEligible)
                .backupState(backupState)
                .created(createdAt)
                .lastUsed(lastUsedAt)
                .label(label);
        if (attestationObject != null) {
            record.attestationObject(new Bytes(attestationObject));
        }
        if (clientData != null) {
            record.attestationClientDataJSON(new Bytes(clientData));
        }
        return record.build();
    }
}
