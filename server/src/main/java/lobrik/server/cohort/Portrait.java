package lobrik.server.cohort;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.util.UUID;
import org.hibernate.annotations.DynamicUpdate;

/** A photograph of a trainee: a JPEG that was made small and says nothing but what it shows. */
@Entity
@DynamicUpdate // The application may only update what can change.
class Portrait {

    /** The trainee's. */
    @Id
    private UUID id;

    private byte[] content;

    @SuppressWarnings("NullAway.Init")
    protected Portrait() {}

    Portrait(UUID traineeId, byte[] content) {
        this.id = traineeId;
        this.content = content.clone();
    }

    byte[] content() {
        return content.clone();
    }

    void become(byte[] other) {
        content = other.clone();
    }
}
