package lobrik.server.live;

import java.io.IOException;
import java.util.UUID;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * The stream to one screen. It has a thread of its own, so that a screen that takes nothing any more holds up nobody else;
 * one that falls far behind is let go, and asks for everything when it comes back.
 */
final class Screen {

    private static final int FAR_BEHIND = 64;
    private static final long BEAT_SECONDS = 10;

    /** The browser opens a new one; so whoever lost their account meanwhile is noticed. */
    private static final long LONGEST_MILLIS = TimeUnit.MINUTES.toMillis(30);

    private record Event(String name, Object said) {}

    private static final Event END = new Event("end", "");

    /** By whose right a screen listens. */
    record Listener(UUID accountId, String sessionId) {}

    private final UUID cohortId;
    private final Listener listener;
    private final Consumer<Screen> onClosed;
    private final SseEmitter emitter = new SseEmitter(LONGEST_MILLIS);
    private final BlockingQueue<Event> waiting = new LinkedBlockingQueue<>(FAR_BEHIND);

    Screen(UUID cohortId, Listener listener, Consumer<Screen> onClosed) {
        this.cohortId = cohortId;
        this.listener = listener;
        this.onClosed = onClosed;
    }

    UUID cohortId() {
        return cohortId;
    }

    Listener listener() {
        return listener;
    }

    SseEmitter start() {
        emitter.onCompletion(this::close);
        emitter.onTimeout(this::close);
        emitter.onError(_ -> close());
        tell("hello", "");
        Thread.ofVirtual().name("screen").start(this::run);
        return emitter;
    }

    void tell(String name, Object said) {
        if (!waiting.offer(new Event(name, said))) {
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
            for (Event event = next(); !END.equals(event); event = next()) {
                emitter.send(
                        event == null
                                ? SseEmitter.event().comment("beat")
                                : SseEmitter.event().name(event.name()).data(event.said()));
            }
            emitter.complete();
        } catch (IOException | IllegalStateException gone) {
            onClosed.accept(this);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            onClosed.accept(this);
        }
    }

    /** The next event, or nothing when it is time to show that the server is there. */
    private @Nullable Event next() throws InterruptedException {
        return waiting.poll(BEAT_SECONDS, TimeUnit.SECONDS);
    }
}
