package lobrik.server.giving;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import lobrik.server.platform.Numbered;
import org.jspecify.annotations.Nullable;

/** An exercise given out to one or several trainees at once. */
@Entity
public class Giving extends Numbered {

    @Id
    private UUID id;

    private UUID centreId;
    private UUID exerciseId;
    private UUID givenBy;
    private Instant givenAt;
    private @Nullable LocalDate dueOn;
    private @Nullable Integer tries;
    private boolean varied;

    @SuppressWarnings("NullAway.Init")
    protected Giving() {}

    /**
     * Gives an exercise out.
     *
     * @param terms until when, and how often it may be tried
     * @param varied whether each trainee has a variant
     */
    public Giving(UUID id, UUID centreId, UUID exerciseId, UUID givenBy, Instant givenAt, Terms terms, boolean varied) {
        this.id = id;
        this.centreId = centreId;
        this.exerciseId = exerciseId;
        this.givenBy = givenBy;
        this.givenAt = givenAt;
        this.dueOn = terms.dueOn();
        this.tries = terms.tries();
        this.varied = varied;
    }

    /**
     * Until when, and how often.
     *
     * @param dueOn open if null
     * @param tries 1 or more; as often as one likes if null
     */
    public record Terms(@Nullable LocalDate dueOn, @Nullable Integer tries) {

        /** As long and as often as one likes. */
        public static final Terms OPEN = new Terms(null, null);
    }

    public UUID id() {
        return id;
    }

    public UUID centreId() {
        return centreId;
    }

    public UUID exerciseId() {
        return exerciseId;
    }

    public UUID givenBy() {
        return givenBy;
    }

    public Instant givenAt() {
        return givenAt;
    }

    public Terms terms() {
        return new Terms(dueOn, tries);
    }

    public boolean isVaried() {
        return varied;
    }
}
