package lobrik.server.together;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import org.postgresql.PGConnection;
import org.postgresql.PGNotification;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Tells the other servers of the same record what only matters just now, by the database's own notifications. Nothing is kept: whoever
 * was away, and whoever misses a server that told something, hears {@link Missed} and asks for everything.
 *
 * <p>What is told goes out after what it tells of is on disk, many at once and beside the work: a notification inside of the transaction
 * would have all transactions that send one wait for each other's write to the disk. A server that ends between the two is missed by the
 * others within {@link #SILENT}.
 */
@Component
public class Together implements SmartLifecycle {

    private static final Logger LOG = LoggerFactory.getLogger(Together.class);
    private static final String NAME = "lobrik-together";
    private static final String CHANNEL = "lobrik";
    private static final int BEAT_MS = 1_000;

    /** A server that was not heard of for so long is gone, or cannot be heard. */
    static final Duration SILENT = Duration.ofSeconds(3);

    private static final int PATIENCE_S = 2;
    private static final int AGAIN_AFTER_MS = 250;

    /** PostgreSQL takes less than 8000 bytes in one. */
    private static final int LONGEST = 7_500;

    private static final int MOST_WAITING = 10_000;
    private static final int MOST_AT_ONCE = 200;
    private static final String BEAT = "beat";
    private static final String BYE = "bye";

    /** Something may have been told that this server did not hear. */
    public record Missed() {}

    private record Heard(Class<?> type, Consumer<Object> by) {}

    private final JsonMapper json = JsonMapper.builder().build();
    private final UUID id = UUID.randomUUID();
    private final OwnConnection connections;
    private final ApplicationEventPublisher events;
    private final Map<String, Heard> hearers = new ConcurrentHashMap<>();
    private final BlockingQueue<String> toTell = new LinkedBlockingQueue<>(MOST_WAITING);

    /** Others, and when each was heard of, on the clock that never jumps. */
    private final Map<UUID, Long> others = new ConcurrentHashMap<>();

    private final List<Thread> threads = new ArrayList<>();
    private volatile boolean running;

    public Together(OwnConnection connections, ApplicationEventPublisher events) {
        this.connections = connections;
        this.events = events;
    }

    /** This server, for as long as it runs. */
    public UUID id() {
        return id;
    }

    /** Whether no other server was heard of lately. */
    public boolean isAlone() {
        return others.isEmpty();
    }

    /** How many servers there are, this one among them. */
    public int servers() {
        return 1 + others.size();
    }

    /**
     * Has something done with what other servers tell, on a thread that all of it shares: it must not take long.
     *
     * @param about names it
     */
    public <T> void hear(String about, Class<T> type, Consumer<T> by) {
        hearers.put(about, new Heard(type, said -> by.accept(type.cast(said))));
    }

    /**
     * Tells all other servers, soon.
     *
     * @param said goes as JSON
     */
    public void tell(String about, Object said) {
        String text = json.writeValueAsString(Map.of("from", id, "about", about, "said", said));
        // What is too long or too much is told as something that was missed: whoever hears of it asks for everything.
        if (text.length() > LONGEST || !toTell.offer(text)) {
            LOG.warn("Too much to tell other servers: they ask for everything");
            boolean _ = toTell.offer(json.writeValueAsString(Map.of("from", id, "about", "missed", "said", "")));
        }
    }

    @Override
    public void start() {
        running = true;
        threads.add(Thread.ofPlatform().name("together-listening").daemon().start(this::listen));
        threads.add(Thread.ofPlatform().name("together-telling").daemon().start(this::tellAll));
    }

    /** Before anything else ends, so that others need not find out. */
    @Override
    public void stop() {
        running = false;
        try {
            for (Thread each : threads) {
                each.interrupt();
                each.join(Duration.ofSeconds(PATIENCE_S));
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        threads.clear();
    }

    @Override
    public boolean isRunning() {
        return running;
    }

    // --- telling ---

    private void tellAll() {
        List<String> batch = new ArrayList<>();
        while (running) {
            try (Connection connection = connections.open(NAME, PATIENCE_S);
                    PreparedStatement notify =
                            connection.prepareStatement("select pg_notify(?, said) from unnest(?::text[]) said")) {
                notify.setString(1, CHANNEL);
                while (running) {
                    fill(batch);
                    send(connection, notify, batch);
                    batch.clear();
                }
                send(connection, notify, List.of(mark(BYE)));
            } catch (SQLException e) {
                // The database is away, and with it all that could be told of: whoever comes back asks for everything.
                LOG.debug("Other servers cannot be told", e);
                batch.clear();
                toTell.clear();
                pause();
            }
        }
    }

    /** Waits for something to tell, until it is time for a sign of life. */
    private void fill(List<String> batch) {
        try {
            String first = toTell.poll(BEAT_MS, TimeUnit.MILLISECONDS);
            batch.add(first == null ? mark(BEAT) : first);
            toTell.drainTo(batch, MOST_AT_ONCE);
        } catch (InterruptedException ending) {
            toTell.drainTo(batch);
        }
    }

    private static void send(Connection connection, PreparedStatement notify, List<String> batch) throws SQLException {
        notify.setArray(2, connection.createArrayOf("text", batch.toArray()));
        notify.execute();
    }

    private String mark(String what) {
        return json.writeValueAsString(Map.of("from", id, "about", what, "said", ""));
    }

    // --- listening ---

    private void listen() {
        boolean before = false;
        while (running) {
            try (Connection connection = connections.open(NAME, PATIENCE_S)) {
                try (Statement statement = connection.createStatement()) {
                    statement.execute("listen " + CHANNEL);
                }
                if (before) {
                    events.publishEvent(new Missed());
                }
                before = true;
                PGConnection heard = connection.unwrap(PGConnection.class);
                long asked = System.nanoTime();
                while (running) {
                    for (PGNotification each : heard.getNotifications(BEAT_MS / 2)) {
                        hear(each.getParameter());
                    }
                    missWhoIsSilent();
                    if (System.nanoTime() - asked > SILENT.toNanos()) {
                        asked = System.nanoTime();
                        if (!connection.isValid(PATIENCE_S)) {
                            break;
                        }
                    }
                }
            } catch (SQLException e) {
                LOG.debug("Other servers cannot be heard", e);
                others.clear();
                pause();
            }
        }
    }

    private void hear(String text) {
        try {
            JsonNode message = json.readTree(text);
            UUID from = UUID.fromString(message.path("from").asString());
            if (from.equals(id)) {
                return;
            }
            String about = message.path("about").asString();
            if (about.equals(BYE)) {
                if (others.remove(from) != null) {
                    LOG.info("Another server ended; {} left", servers());
                }
                return;
            }
            if (others.put(from, System.nanoTime()) == null) {
                LOG.info("Another server is there; {} altogether", servers());
            }
            Heard heard = hearers.get(about);
            if (heard != null) {
                heard.by().accept(json.treeToValue(message.path("said"), heard.type()));
            } else if (!about.equals(BEAT)) {
                // Of a newer build, or too much for one message.
                events.publishEvent(new Missed());
            }
        } catch (JacksonException | IllegalArgumentException e) {
            LOG.warn("What another server told cannot be read", e);
            events.publishEvent(new Missed());
        }
    }

    private void missWhoIsSilent() {
        long now = System.nanoTime();
        if (others.values().removeIf(heard -> now - heard > SILENT.toNanos())) {
            LOG.warn("Another server is gone; {} left", servers());
            events.publishEvent(new Missed());
        }
    }

    private static void pause() {
        try {
            Thread.sleep(AGAIN_AFTER_MS);
        } catch (InterruptedException ending) {
            Thread.currentThread().interrupt();
        }
    }
}
