package lobrik.server.cohort;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;

/** A school or training centre: it owns everything else. */
@Entity
public class Centre {

    @Id
    private UUID id;

    private String name;
    private Instant createdAt;

    @SuppressWarnings("NullAway.Init")
    protected Centre() {}

    public Centre(UUID id, String name, Instant createdAt) {
        this.id = id;
        this.name = name;
        this.createdAt = createdAt;
    }

    public UUID id() {
        return id;
    }

    public String name() {
        return name;
    }
}
