package lobrik.server.gauge;

import jakarta.annotation.PostConstruct;
import jakarta.annotation.PreDestroy;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicReference;
import lobrik.server.account.SignedIn;
import lobrik.server.cohort.Cohorts;
import lobrik.server.gauge.Claims.Claim;
import lobrik.server.gauge.GaugeView.GaugeState;
import lobrik.server.live.Live;
import lobrik.server.platform.TurnedDown;
import lobrik.server.together.Together;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;

/**
 * The gauges of the shed, at whatever server they are. A screen claims one, is told what it shows, and takes the reading; another screen
 * that wants it is told who has it, and may take it over.
 */
@Service
public class Gauges {

    /** Often enough to look alive, seldom enough for a tablet. */
    private static final long TELL_EVERY_MILLIS = 200;

    /** So often other servers hear of one that nobody has. */
    private static final long TELL_OTHERS_EVERY_MILLIS = 1_000;

    /** A gauge at another server that nothing was heard of for so long is lost, like its server. */
    private static final long SILENT_MILLIS = 4_000;

    private static final String SHOWN = "gauge";

    /**
     * A gauge as the server that has it tells the others.
     *
     * @param school that it belongs to; null where there is only one
     */
    record Shown(GaugeLine.Hello who, @Nullable UUID school, Gauge.Now now) {}

    private record Elsewhere(Shown shown, long heardMillis) {}

    private final Live live;
    private final Claims claims;
    private final Cohorts cohorts;
    private final Together together;
    private final List<GaugePort> ports;
    private final List<Thread> links = new ArrayList<>();
    private final Map<String, Gauge> gauges = new ConcurrentHashMap<>();
    private final Map<String, Elsewhere> elsewhere = new ConcurrentHashMap<>();
    private final Map<String, Long> toldAt = new ConcurrentHashMap<>();

    /**
     * Gauges on ports of this machine.
     *
     * @param ports separated by commas, each with the school that it belongs to where there are several; none if empty
     */
    Gauges(
            Live live,
            Claims claims,
            Cohorts cohorts,
            Together together,
            @Value("${lobrik.gauges:}") List<String> ports) {
        this.live = live;
        this.claims = claims;
        this.cohorts = cohorts;
        this.together = together;
        this.ports = ports.stream().map(GaugePort::of).toList();
        together.hear(SHOWN, Shown.class, this::hear);
    }

    @PostConstruct
    void connect() {
        for (GaugePort port : ports) {
            links.add(Thread.ofVirtual().name("gauge-" + port.number()).start(link(port)));
        }
    }

    @PreDestroy
    void disconnect() {
        links.forEach(Thread::interrupt);
    }

    private GaugeLink link(GaugePort port) {
        AtomicReference<@Nullable Gauge> speaking = new AtomicReference<>();
        return new GaugeLink(
                port.number(),
                line -> {
                    switch (line) {
                        case GaugeLine.Hello hello -> {
                            Gauge gauge = gauges.computeIfAbsent(hello.id(), key -> new Gauge(hello, port));
                            gauge.connect();
                            speaking.set(gauge);
                        }
                        case GaugeLine.Shown shown -> {
                            Gauge gauge = speaking.get();
                            if (gauge != null) {
                                gauge.show(shown, millis());
                                tell(gauge, false);
                            }
                        }
                    }
                },
                () -> {
                    Gauge gauge = speaking.get();
                    if (gauge != null) {
                        gauge.lose();
                        tell(gauge, true);
                    }
                });
    }

    private static long millis() {
        return System.nanoTime() / 1_000_000;
    }

    private void tell(Gauge gauge, boolean atOnce) {
        String id = gauge.who().id();
        Claim claim = claims.of(id);
        long now = millis();
        long every = claim == null ? TELL_OTHERS_EVERY_MILLIS : TELL_EVERY_MILLIS;
        if (!atOnce && now - toldAt.getOrDefault(id, now - every) < every) {
            return;
        }
        toldAt.put(id, now);
        if (claim != null) {
            tellScreen(claim, id);
        }
        if (!together.isAlone()) {
            together.tell(SHOWN, shown(gauge));
        }
    }

    private static Shown shown(Gauge gauge) {
        return new Shown(gauge.who(), gauge.port().school().orElse(null), gauge.now(millis()));
    }

    private void tellScreen(Claim claim, String id) {
        if (live.isOpen(claim.screen())) {
            live.tell(claim.screen(), SHOWN, view(id, claim.screen()));
        }
    }

    private void hear(Shown shown) {
        String id = shown.who().id();
        elsewhere.put(id, new Elsewhere(shown, millis()));
        Claim claim = claims.of(id);
        if (claim != null) {
            tellScreen(claim, id);
        }
    }

    /** A gauge here, or as it was heard of from the server that has it; here first. */
    private Optional<Shown> found(String id) {
        Gauge here = gauges.get(id);
        if (here != null) {
            return Optional.of(shown(here));
        }
        return Optional.ofNullable(elsewhere.get(id)).map(heard -> {
            GaugeLine.Hello who = heard.shown().who();
            return millis() - heard.heardMillis() <= SILENT_MILLIS
                    ? heard.shown()
                    : new Shown(who, heard.shown().school(), Gauge.lost(who));
        });
    }

    private Shown require(String id) {
        return found(id).orElseThrow(() -> TurnedDown.notFound("gauge"));
    }

    /** All gauges of one's school that were ever heard of, by label. */
    List<GaugeView> all(SignedIn who, UUID screen) {
        TreeSet<String> ids = new TreeSet<>(gauges.keySet());
        ids.addAll(elsewhere.keySet());
        return ids.stream()
                .filter(id -> belongsTo(who, require(id)))
                .map(id -> view(id, screen))
                .sorted(Comparator.comparing(GaugeView::label))
                .toList();
    }

    /** A gauge belongs to the school that its port was set up for; where none is named, to the one that was there first. */
    private boolean belongsTo(SignedIn who, Shown gauge) {
        UUID school = gauge.school();
        return (school == null ? cohorts.firstSchool() : school).equals(who.centreId());
    }

    private Shown require(SignedIn who, String id) {
        Shown gauge = require(id);
        if (!belongsTo(who, gauge)) {
            throw TurnedDown.notFound("gauge");
        }
        return gauge;
    }

    private GaugeView view(String id, UUID screen) {
        Shown gauge = require(id);
        Gauge.Now now = gauge.now();
        Claim claim = claims.of(id);
        return new GaugeView(
                id,
                gauge.who().kind(),
                gauge.who().label(),
                now.state(),
                now.text(),
                now.state() == GaugeState.STEADY ? null : now.said(),
                claim == null ? null : claim.name(),
                claim != null && claim.screen().equals(screen));
    }

    /**
     * Claims a gauge for a screen.
     *
     * @param takeOver from the screen that has it
     * @throws TurnedDown if another screen has it and it is not to be taken over
     */
    GaugeView claim(SignedIn who, String id, UUID screen, boolean takeOver) {
        Shown gauge = require(who, id);
        Claim before = claims.take(who, id, screen, takeOver);
        if (before != null && !before.screen().equals(screen) && !takeOver) {
            throw TurnedDown.conflict(
                    "claimed",
                    before.name() + " has " + gauge.who().label() + " on another screen; ask, or take it over");
        }
        return view(id, screen);
    }

    @EventListener
    void takenOver(Claims.TakenOver lost) {
        live.tell(lost.screen(), SHOWN, view(lost.gauge(), lost.screen()));
    }

    /** Gives a gauge back, which only whoever has it can. */
    void release(SignedIn who, String id, UUID screen) {
        claims.release(who, id, screen);
    }
}
