package lobrik.server;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.UUID;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** A screen's stream of events, read in the background. */
public final class EventStream implements AutoCloseable {

    /** How long what must come may take: a machine that others use can stand still for seconds. */
    private static final long PATIENCE_S = 45;

    private record Event(String name, String data) {}

    private final BlockingQueue<Event> events = new LinkedBlockingQueue<>();
    private final CountDownLatch ended = new CountDownLatch(1);
    private final Stream<String> lines;

    private EventStream(Stream<String> lines) {
        this.lines = lines;
        Thread.ofVirtual().start(this::read);
    }

    public static EventStream open(Client who, UUID screen, String cohort) {
        return new EventStream(who.lines("/api/live?screen=" + screen + "&cohort=" + cohort));
    }

    private void read() {
        String[] name = {""};
        try {
            lines.forEach(line -> {
                if (line.startsWith("event:")) {
                    name[0] = line.substring("event:".length()).strip();
                } else if (line.startsWith("data:")) {
                    events.add(new Event(name[0], line.substring("data:".length())));
                }
            });
        } catch (UncheckedIOException closed) {
            // By the server or by the test.
        } finally {
            ended.countDown();
        }
    }

    /** The data of the next event with this name; those with another name are skipped. Nothing if none comes. */
    public @Nullable String next(String name) throws InterruptedException {
        return next(name, PATIENCE_S, TimeUnit.SECONDS);
    }

    /** As {@link #next(String)}, with a limit of its own: for what should not come. */
    public @Nullable String next(String name, long wait, TimeUnit unit) throws InterruptedException {
        long until = System.nanoTime() + unit.toNanos(wait);
        for (long left = until - System.nanoTime(); left > 0; left = until - System.nanoTime()) {
            Event event = events.poll(left, TimeUnit.NANOSECONDS);
            if (event != null && event.name().equals(name)) {
                return event.data();
            }
        }
        return null;
    }

    /** Whether an event with this name and this text in it comes. */
    public boolean nextWith(String name, String text) throws InterruptedException {
        for (String data = next(name); data != null; data = next(name)) {
            if (data.contains(text)) {
                return true;
            }
        }
        return false;
    }

    public boolean hasEnded(long wait, TimeUnit unit) throws InterruptedException {
        return ended.await(wait, unit);
    }

    @Override
    public void close() throws IOException {
        lines.close();
    }
}
