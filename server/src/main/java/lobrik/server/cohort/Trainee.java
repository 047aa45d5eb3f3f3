package lobrik.server.cohort;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.DynamicUpdate;
import org.jspecify.annotations.Nullable;

/** Somebody who learns to bend, at a bench. */
@Entity
@DynamicUpdate // The application may only update what can change.
public class Trainee {

    @Id
    private UUID id;

    private UUID cohortId;
    private String fullName;
    private int bench;
    private @Nullable String number;

    private @Nullable Instant leftAt;
    private boolean largerPrint;
    private int extraTimePct;
    private @Nullable Instant portraitAt;

    /** Counts what is kept of them, so that two who change it at once do not write over each other. */
    private int edition;

    /** Written by the database when somebody is added. */
    @Column(insertable = false, updatable = false)
    private @Nullable Instant joinedAt;

    @SuppressWarnings("NullAway.Init")
    protected Trainee() {}

    public Trainee(UUID id, UUID cohortId, String fullName, int bench) {
        this(id, cohortId, fullName, bench, null);
    }

    /** @param number that the school knows them by, if it has one */
    public Trainee(UUID id, UUID cohortId, String fullName, int bench, @Nullable String number) {
        this.id = id;
        this.cohortId = cohortId;
        this.fullName = fullName;
        this.bench = bench;
        this.number = number;
    }

    public UUID id() {
        return id;
    }

    public UUID cohortId() {
        return cohortId;
    }

    public String fullName() {
        return fullName;
    }

    public int bench() {
        return bench;
    }

    /** Since when they are there; nothing before they are kept. */
    public @Nullable Instant joinedAt() {
        return joinedAt;
    }

    public @Nullable String number() {
        return number;
    }

    /** Since when they are not there any more; null while they are. */
    public @Nullable Instant leftAt() {
        return leftAt;
    }

    public boolean hasLeft() {
        return leftAt != null;
    }

    /** What they need, wherever they are. */
    public Needs needs() {
        return new Needs(largerPrint, extraTimePct);
    }

    /** Since when the photograph of them is kept that is kept now; null where there is none. */
    public @Nullable Instant portraitAt() {
        return portraitAt;
    }

    void portrayed(@Nullable Instant at) {
        portraitAt = at;
    }

    int edition() {
        return edition;
    }

    void become(String newName, @Nullable String newNumber, Needs needs) {
        fullName = newName;
        number = newNumber;
        largerPrint = needs.largerPrint();
        extraTimePct = needs.extraTimePct();
        edition++;
    }

    void move(UUID cohort, int newBench) {
        cohortId = cohort;
        bench = newBench;
        edition++;
    }

    void leave(@Nullable Instant at) {
        leftAt = at;
        edition++;
    }

    /**
     * What somebody needs so that they are judged by their bending alone.
     *
     * @param largerPrint sheets in larger print
     * @param extraTimePct so much more time than the others, in per cent
     */
    public record Needs(boolean largerPrint, int extraTimePct) {

        public static final Needs NONE = new Needs(false, 0);
    }
}
