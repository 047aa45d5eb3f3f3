package lobrik.server;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.concurrent.atomic.AtomicReference;
import org.springframework.context.annotation.Primary;
import org.springframework.stereotype.Component;

/** The server's clock, which a test may put wrong; each application has one of its own. */
@Primary
@Component
public final class MovableClock extends Clock {

    private final AtomicReference<Duration> off = new AtomicReference<>(Duration.ZERO);

    /** Puts it wrong by so much, ahead or behind; nothing puts it right. */
    public void putOffBy(Duration by) {
        off.set(by);
    }

    @Override
    public ZoneId getZone() {
        return ZoneOffset.UTC;
    }

    @Override
    public Clock withZone(ZoneId zone) {
        throw new UnsupportedOperationException("nobody asks for another zone");
    }

    @Override
    public Instant instant() {
        return Instant.now().plus(off.get());
    }
}
