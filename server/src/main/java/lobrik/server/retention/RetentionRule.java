package lobrik.server.retention;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.io.Serializable;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.DynamicUpdate;

/** How many months a school keeps data of a kind. */
@Entity
@DynamicUpdate // The application may only update what can change.
class RetentionRule {

    /** A school's rule about a kind. */
    @Embeddable
    record Id(UUID centreId, @Enumerated(EnumType.STRING) DataKind kind) implements Serializable {}

    @EmbeddedId
    private Id id;

    private int months;
    private boolean byCalendar;
    private int edition;
    private UUID keptBy;
    private Instant keptAt;

    @SuppressWarnings("NullAway.Init")
    protected RetentionRule() {}

    RetentionRule(Id id, int months, boolean byCalendar, UUID keptBy, Instant keptAt) {
        this.id = id;
        this.months = months;
        this.byCalendar = byCalendar;
        this.keptBy = keptBy;
        this.keptAt = keptAt;
    }

    Id id() {
        return id;
    }

    int months() {
        return months;
    }

    boolean isByCalendar() {
        return byCalendar;
    }

    /** How often it was changed. */
    int edition() {
        return edition;
    }

    UUID keptBy() {
        return keptBy;
    }

    void become(int newMonths, boolean calendar, UUID by, Instant at) {
        months = newMonths;
        byCalendar = calendar;
        keptBy = by;
        keptAt = at;
        edition++;
    }
}
