package lobrik.server.platform;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;

/** Days as the school has them: those of the place where the server stands. */
public final class Days {

    private Days() {}

    /** The day of a moment. */
    public static LocalDate of(Instant at) {
        return LocalDate.ofInstant(at, ZoneId.systemDefault());
    }

    /** When a day begins. */
    public static Instant begin(LocalDate day) {
        return day.atStartOfDay(ZoneId.systemDefault()).toInstant();
    }

    public static LocalDate today(Clock clock) {
        return of(clock.instant());
    }
}
