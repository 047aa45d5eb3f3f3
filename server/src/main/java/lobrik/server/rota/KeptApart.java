package lobrik.server.rota;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import java.io.Serializable;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Two who do not share a bench. */
@Entity
class KeptApart {

    /** The same two once, in the order of the database. */
    @Embeddable
    record Pair(UUID oneId, UUID otherId) implements Serializable {

        /** In whatever order they are named. */
        static Pair of(UUID one, UUID other) {
            // As the database orders them, which is by their bytes.
            return one.toString().compareTo(other.toString()) < 0 ? new Pair(one, other) : new Pair(other, one);
        }
    }

    @EmbeddedId
    private Pair id;

    private @Nullable UUID notedBy;

    @SuppressWarnings("NullAway.Init")
    protected KeptApart() {}

    KeptApart(Pair id, UUID notedBy) {
        this.id = id;
        this.notedBy = notedBy;
    }

    Pair id() {
        return id;
    }

    @Nullable
    UUID notedBy() {
        return notedBy;
    }
}
