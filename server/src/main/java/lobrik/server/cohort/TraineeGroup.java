package lobrik.server.cohort;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import java.util.HashSet;
import java.util.Set;
import java.util.UUID;
import org.hibernate.annotations.DynamicUpdate;

/** Some trainees of a cohort who are often given the same. */
@Entity
@DynamicUpdate // The application may only update what can change.
public class TraineeGroup {

    @Id
    private UUID id;

    private UUID cohortId;
    private String name;

    @ElementCollection(fetch = FetchType.EAGER)
    @CollectionTable(name = "trainee_group_member", joinColumns = @JoinColumn(name = "group_id"))
    @Column(name = "trainee_id")
    private Set<UUID> trainees = new HashSet<>();

    @SuppressWarnings("NullAway.Init")
    protected TraineeGroup() {}

    public TraineeGroup(UUID id, UUID cohortId, String name, Set<UUID> trainees) {
        this.id = id;
        this.cohortId = cohortId;
        this.name = name;
        this.trainees = new HashSet<>(trainees);
    }

    public UUID id() {
        return id;
    }

    public UUID cohortId() {
        return cohortId;
    }

    public String name() {
        return name;
    }

    public Set<UUID> trainees() {
        return Set.copyOf(trainees);
    }

    void become(String newName, Set<UUID> newTrainees) {
        this.name = newName;
        this.trainees.retainAll(newTrainees);
        this.trainees.addAll(newTrainees);
    }
}
