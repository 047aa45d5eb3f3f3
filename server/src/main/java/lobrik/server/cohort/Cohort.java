package lobrik.server.cohort;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import java.time.Instant;
import java.util.HashSet;
import java.util.Set;
import java.util.UUID;

/** Trainees who are taught together, and the instructors who teach them. */
@Entity
public class Cohort {

    @Id
    private UUID id;

    private UUID centreId;
    private String name;
    private Instant createdAt;

    @ElementCollection
    @CollectionTable(name = "cohort_instructor", joinColumns = @JoinColumn(name = "cohort_id"))
    @Column(name = "account_id")
    private Set<UUID> instructors = new HashSet<>();

    @SuppressWarnings("NullAway.Init")
    protected Cohort() {}

    public Cohort(UUID id, UUID centreId, String name, Set<UUID> instructors, Instant createdAt) {
        this.id = id;
        this.centreId = centreId;
        this.name = name;
        this.instructors = new HashSet<>(instructors);
        this.createdAt = createdAt;
    }

    public UUID id() {
        return id;
    }

    public String name() {
        return name;
    }
}
