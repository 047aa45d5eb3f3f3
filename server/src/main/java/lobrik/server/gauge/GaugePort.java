package lobrik.server.gauge;

import java.util.Optional;
import java.util.UUID;

/**
 * Where a gauge speaks.
 *
 * @param number of a port of this machine
 * @param school that the gauge belongs to; empty where there is only one
 */
record GaugePort(int number, Optional<UUID> school) {

    /**
     * As it is set up: {@code 4711}, or {@code 4711@} and the id of a school.
     *
     * @throws IllegalArgumentException if it is neither
     */
    static GaugePort of(String setting) {
        String[] parts = setting.strip().split("@", 2);
        return new GaugePort(
                Integer.parseInt(parts[0]),
                parts.length == 1 ? Optional.empty() : Optional.of(UUID.fromString(parts[1])));
    }
}
