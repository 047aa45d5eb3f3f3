package lobrik.server.rota;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.LocalDate;
import java.util.UUID;

/** Days on which the school is closed. */
@Entity
class Holiday {

    @Id
    private UUID id;

    private UUID centreId;
    private String name;
    private LocalDate firstDay;
    private LocalDate lastDay;

    @SuppressWarnings("NullAway.Init")
    protected Holiday() {}

    Holiday(UUID id, UUID centreId, String name, LocalDate firstDay, LocalDate lastDay) {
        this.id = id;
        this.centreId = centreId;
        this.name = name;
        this.firstDay = firstDay;
        this.lastDay = lastDay;
    }

    UUID id() {
        return id;
    }

    boolean isIn(UUID centre) {
        return centreId.equals(centre);
    }

    String name() {
        return name;
    }

    LocalDate firstDay() {
        return firstDay;
    }

    LocalDate lastDay() {
        return lastDay;
    }

    boolean isOn(LocalDate day) {
        return !day.isBefore(firstDay) && !day.isAfter(lastDay);
    }
}
