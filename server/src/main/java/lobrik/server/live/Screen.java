package lobrik.server.live;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.UUID;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.ThreadLocalRandom;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * The stream to one screen. It has a thread of its own, so that a screen that takes nothing any more holds up nobody else;
 * one that falls far behind is let go, and asks for everything when it comes back.
 */
final class Screen {

    private static final int FAR_BEHIND = 64;
    /** So often it is shown that the server is there. */
    private static final long BEAT_NANOS = TimeUnit.SECONDS.toNanos(10);

    /** The browser opens a new one; so whoever lost their account meanwhile is noticed. */
    private static final long LONGEST_MILLIS = TimeUnit.MINUTES.toMillis(30);

    /** Whoever measures at thirty benches writes more often than anybody looks. */
    private static final long CHANGES_APART_NANOS = TimeUnit.MILLISECONDS.toNanos(500);

    /** A screen whose stream ended, by a server that did, looks for another one so soon. */
    private static final long BACK_AFTER_MILLIS = 200;

    private static final long BACK_WITHIN_MILLIS = 1_000;

    private record Event(String name, Object said) {}

    /** Only wakes the thread: what changed is in {@link #news}. */
    private static final Event WAKE = new Event("wake", "");

    private static final Event END = new Event("end", "");

    /** By whose right a screen listens; its session by a name that opens nothing. */
    record Listener(UUID accountId, String session) {}

    private final UUID screenId;
    private final UUID cohortId;
    private final Listener listener;
    private final Consumer<Screen> onClosed;
    private final SseEmitter emitter = new SseEmitter(LONGEST_MILLIS);
    private final News news;
    private final BlockingQueue<Event> waiting = new LinkedBlockingQueue<>(FAR_BEHIND);

    Screen(UUID screenId, UUID cohortId, Listener listener, Consumer<Screen> onClosed) {
        this.screenId = screenId;
        this.cohortId = cohortId;
        this.news = new News(cohortId);
        this.listener = listener;
        this.onClosed = onClosed;
    }

    UUID cohortId() {
        return cohortId;
    }

    Listener listener() {
        return listener;
    }

    /**
     * Opens the stream. The first word is said here, so that it goes out with the head of the answer before the request's own thread goes
     * back through the filters: they may still add to the head of an answer of which nothing was sent, and a head is not to be
     * written by two threads at once.
     */
    SseEmitter start() {
        emitter.onCompletion(this::close);
        emitter.onTimeout(this::close);
        emitter.onError(_ -> close());
        try {
            emitter.send(SseEmitter.event().name("hello").data("").reconnectTime(backWithin()));
        } catch (IOException gone) {
            throw new UncheckedIOException(gone);
        }
        Thread.ofVirtual().name("screen").start(this::run);
        return emitter;
    }

    /** Browsers would wait for some seconds; not all at the same moment, as a server that ended had many. */
    private static long backWithin() {
        return ThreadLocalRandom.current().nextLong(BACK_AFTER_MILLIS, BACK_WITHIN_MILLIS);
    }

    void tell(String name, Object said) {
        if (!waiting.offer(new Event(name, said))) {
            close();
        }
    }

    /** Has the screen told of a change, together with what else changes meanwhile. */
    void changed(Live.Change change) {
        if (news.add(change, screenId) && !waiting.offer(WAKE)) {
            close();
        }
    }

    void close() {
        onClosed.accept(this);
        waiting.clear();
        // There is room: it was cleared, and whoever else put something in puts it in for nobody.
        boolean _ = waiting.offer(END);
    }

    private void run() {
        try {
            long changesFrom = System.nanoTime();
            while (true) {
                long now = System.nanoTime();
                long untilChanges = changesFrom - now;
                boolean isNews = !news.isEmpty();
                if (isNews && untilChanges <= 0) {
                    send(new Event("changed", news.take()));
                    changesFrom = now + CHANGES_APART_NANOS;
                    continue;
                }
                Event event = waiting.poll(isNews ? untilChanges : BEAT_NANOS, TimeUnit.NANOSECONDS);
                if (END.equals(event)) {
                    break;
                }
                if (event == null && !isNews) {
                    emitter.send(SseEmitter.event().comment("beat"));
                } else if (event != null && !WAKE.equals(event)) {
                    send(event);
                }
            }
            emitter.complete();
        } catch (IOException | IllegalStateException gone) {
            onClosed.accept(this);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            onClosed.accept(this);
        }
    }

    private void send(Event event) throws IOException {
        emitter.send(SseEmitter.event().name(event.name()).data(event.said()));
    }
}
