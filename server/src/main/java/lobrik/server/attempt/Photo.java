package lobrik.server.attempt;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** A photo of a piece: a JPEG that was made small and says nothing but what it shows. */
@Entity
@Immutable
class Photo {

    /** All but the picture itself. */
    record Caption(
            UUID id, UUID attemptId, String about, String note, int width, int height, UUID takenBy, Instant takenAt) {}

    @Id
    private UUID id;

    private UUID attemptId;
    private String about;
    private String note;
    private int width;
    private int height;
    private byte[] content;
    private String digest;
    private UUID takenBy;
    private Instant takenAt;
    private @Nullable Instant saidAt;
    private @Nullable Long deviceAheadMs;
    private Instant receivedAt;

    @SuppressWarnings("NullAway.Init")
    protected Photo() {}

    /**
     * A photo.
     *
     * @param digest of what was sent, to recognise it when it is sent again
     */
    Photo(Caption caption, byte[] content, String digest, DeviceTime time, Instant receivedAt) {
        this.id = caption.id();
        this.attemptId = caption.attemptId();
        this.about = caption.about();
        this.note = caption.note();
        this.width = caption.width();
        this.height = caption.height();
        this.content = content.clone();
        this.digest = digest;
        this.takenBy = caption.takenBy();
        this.takenAt = caption.takenAt();
        this.saidAt = time.said();
        this.deviceAheadMs = time.aheadMillis();
        this.receivedAt = receivedAt;
    }

    UUID attemptId() {
        return attemptId;
    }

    byte[] content() {
        return content.clone();
    }

    String digest() {
        return digest;
    }

    Instant receivedAt() {
        return receivedAt;
    }

    Caption caption() {
        return new Caption(id, attemptId, about, note, width, height, takenBy, takenAt);
    }
}
