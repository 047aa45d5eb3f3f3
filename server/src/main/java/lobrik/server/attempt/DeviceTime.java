package lobrik.server.attempt;

import java.time.Duration;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import org.jspecify.annotations.Nullable;

/**
 * When something was written down on a device whose clock may be wrong.
 *
 * @param at what is concluded: never before the exercise was given, never after it came in
 * @param said by the device's clock; null if it said nothing
 * @param ahead by how much the device's clock was ahead of ours when it sent this; null if it did not tell
 */
public record DeviceTime(
        Instant at, @Nullable Instant said, @Nullable Duration ahead) {

    /** By its clock, when a device sends something. */
    static final String HEADER = "X-Lobrik-Sent-At";

    /** What a message takes, and what clocks differ by that are right: nothing is put right for less. */
    private static final Duration CLOSE = Duration.ofSeconds(10);

    private static final Duration WORTH_TELLING = Duration.ofMinutes(1);

    /** A clock that is further off says nothing at all, and is not kept: the database knows no such years. */
    private static final Duration FURTHEST = Duration.ofDays(365L * 200);

    /** What a device says, before it is known what can be true of it. */
    record Said(@Nullable Instant taken, @Nullable Instant sent) {

        static final Said NOTHING = new Said(null, null);

        /**
         * What came with a request. Nothing is turned down for a clock that is so wrong that it makes no sense.
         *
         * @param sent as in {@link #HEADER}
         */
        static Said of(@Nullable Instant taken, @Nullable String sent) {
            try {
                return new Said(taken, sent == null ? null : Instant.parse(sent));
            } catch (DateTimeParseException nonsense) {
                return new Said(taken, null);
            }
        }
    }

    /**
     * Concludes when it was.
     *
     * @param earliest before this it cannot have been
     * @param now when it came in
     */
    static DeviceTime of(Said device, Instant earliest, Instant now) {
        Instant taken = sensible(device.taken(), now);
        Instant sent = sensible(device.sent(), now);
        Duration ahead = sent == null ? null : Duration.between(now, sent);
        if (taken == null) {
            return new DeviceTime(now, null, ahead);
        }
        Instant at = ahead == null || ahead.abs().compareTo(CLOSE) <= 0 ? taken : taken.minus(ahead);
        // A clock of ours that was put back is no reason to say that something came before it came in.
        Instant from = earliest.isAfter(now) ? now : earliest;
        return new DeviceTime(at.isBefore(from) ? from : at.isAfter(now) ? now : at, taken, ahead);
    }

    /** As it is kept. */
    static DeviceTime kept(Instant at, @Nullable Instant said, @Nullable Long aheadMillis) {
        return new DeviceTime(at, said, aheadMillis == null ? null : Duration.ofMillis(aheadMillis));
    }

    /** When nobody asked a device. */
    static DeviceTime at(Instant at) {
        return new DeviceTime(at, null, null);
    }

    @Nullable
    Long aheadMillis() {
        return ahead == null ? null : ahead.toMillis();
    }

    /** By how many seconds the device's clock was ahead, where that is worth telling. */
    @Nullable
    Long wrongBySeconds() {
        return ahead == null || ahead.abs().compareTo(WORTH_TELLING) < 0 ? null : ahead.toSeconds();
    }

    private static @Nullable Instant sensible(@Nullable Instant said, Instant now) {
        return said == null || said.isBefore(now.minus(FURTHEST)) || said.isAfter(now.plus(FURTHEST)) ? null : said;
    }
}
