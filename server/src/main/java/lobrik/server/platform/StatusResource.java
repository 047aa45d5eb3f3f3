package lobrik.server.platform;

import io.swagger.v3.oas.annotations.Operation;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.availability.ApplicationAvailability;
import org.springframework.boot.availability.ReadinessState;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Says whether the server can work now; the launcher asks it, and whatever else watches over it. */
@RestController
class StatusResource {

    /**
     * How it stands.
     *
     * @param ready whether calls are answered: it has started, first contents and all, and its database answers
     * @param started whether it has started, first contents and all
     * @param database whether the database answers
     * @param secureAddress where other devices reach it by HTTPS; null if they do not
     */
    record Status(
            boolean ready,
            boolean started,
            boolean database,
            @Nullable String secureAddress) {}

    private final ApplicationAvailability availability;
    private final DatabaseWatch database;
    private final PublicAddress address;

    StatusResource(ApplicationAvailability availability, DatabaseWatch database, PublicAddress address) {
        this.address = address;
        this.availability = availability;
        this.database = database;
    }

    @Operation(summary = "How the server stands, for people and screens; always answered")
    @NeedsNoAccount
    @GetMapping("/api/status")
    Status status() {
        boolean started = availability.getReadinessState() == ReadinessState.ACCEPTING_TRAFFIC;
        boolean answers = database.answers();
        return new Status(started && answers, started, answers, address.secureBase());
    }

    @Operation(summary = "The same for programs that watch over it: 200 if it is ready, else 503")
    @NeedsNoAccount
    @GetMapping("/api/health")
    ResponseEntity<Status> health() {
        Status status = status();
        return ResponseEntity.status(status.ready() ? HttpStatus.OK : HttpStatus.SERVICE_UNAVAILABLE)
                .cacheControl(CacheControl.noStore())
                .body(status);
    }
}
