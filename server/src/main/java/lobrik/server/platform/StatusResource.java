package lobrik.server.platform;

import org.springframework.boot.availability.ApplicationAvailability;
import org.springframework.boot.availability.ReadinessState;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Says whether the server is ready, first contents and all; the launcher asks it. */
@RestController
class StatusResource {

    record Status(boolean ready) {}

    private final ApplicationAvailability availability;

    StatusResource(ApplicationAvailability availability) {
        this.availability = availability;
    }

    @GetMapping("/api/status")
    Status status() {
        return new Status(availability.getReadinessState() == ReadinessState.ACCEPTING_TRAFFIC);
    }
}
