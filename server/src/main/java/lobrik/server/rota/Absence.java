package lobrik.server.rota;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Days on which somebody said that they will not be there. */
@Entity
class Absence {

    @Id
    private UUID id;

    private UUID traineeId;
    private LocalDate firstDay;
    private LocalDate lastDay;
    private String reason;
    private @Nullable UUID notedBy;

    @SuppressWarnings("NullAway.Init")
    protected Absence() {}

    Absence(UUID id, UUID traineeId, LocalDate firstDay, LocalDate lastDay, String reason, @Nullable UUID notedBy) {
        this.id = id;
        this.traineeId = traineeId;
        this.firstDay = firstDay;
        this.lastDay = lastDay;
        this.reason = reason;
        this.notedBy = notedBy;
    }

    UUID id() {
        return id;
    }

    UUID traineeId() {
        return traineeId;
    }

    LocalDate firstDay() {
        return firstDay;
    }

    LocalDate lastDay() {
        return lastDay;
    }

    String reason() {
        return reason;
    }

    @Nullable
    UUID notedBy() {
        return notedBy;
    }

    boolean isOn(LocalDate day) {
        return !day.isBefore(firstDay) && !day.isAfter(lastDay);
    }
}
