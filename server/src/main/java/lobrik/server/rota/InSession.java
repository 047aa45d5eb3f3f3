package lobrik.server.rota;

import jakarta.persistence.Embeddable;
import java.io.Serializable;
import java.util.UUID;

/** Somebody in a session. */
@Embeddable
public record InSession(UUID sessionId, UUID traineeId) implements Serializable {}
