package lobrik.server.cohort;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HashSet;
import java.util.Set;
import java.util.UUID;
import org.hibernate.annotations.DynamicUpdate;
import org.jspecify.annotations.Nullable;

/** Trainees who are taught together, and the instructors who teach them. */
@Entity
@DynamicUpdate // The application may only update what can change.
public class Cohort {

    @Id
    private UUID id;

    private UUID centreId;
    private String name;
    private Instant createdAt;
    private @Nullable LocalDate beginsOn;
    private @Nullable LocalDate endsOn;
    private @Nullable Instant archivedAt;

    /** Counts what is kept of its name and dates, so that two who change them at once do not write over each other. */
    private int edition;

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

    /** The accounts of those who teach it or help with it. */
    Set<UUID> staff() {
        return Set.copyOf(instructors);
    }

    void staff(UUID accountId, boolean isStaff) {
        if (isStaff) {
            instructors.add(accountId);
        } else {
            instructors.remove(accountId);
        }
    }

    /** Its last day, where one is known; the keys of its trainees open nothing after it. */
    public @Nullable LocalDate endsOn() {
        return endsOn;
    }

    /** Its first day, where one is known. */
    public @Nullable LocalDate beginsOn() {
        return beginsOn;
    }

    int edition() {
        return edition;
    }

    void become(String newName, @Nullable LocalDate begins, @Nullable LocalDate ends) {
        name = newName;
        beginsOn = begins;
        endsOn = ends;
        edition++;
    }

    /** Since when it stays as it was then; null while it goes on. */
    public @Nullable Instant archivedAt() {
        return archivedAt;
    }

    public boolean isArchived() {
        return archivedAt != null;
    }

    void archive(Instant at) {
        archivedAt = at;
        edition++;
    }

    void endOn(@Nullable LocalDate day) {
        endsOn = day;
    }

    /** Whether its last day is over. */
    public boolean isOver(LocalDate today) {
        return endsOn != null && endsOn.isBefore(today);
    }
}
