package lobrik.server.gauge;

import jakarta.annotation.PostConstruct;
import jakarta.annotation.PreDestroy;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicReference;
import lobrik.server.account.SignedIn;
import lobrik.server.cohort.Cohorts;
import lobrik.server.gauge.GaugeView.GaugeState;
import lobrik.server.live.Live;
import lobrik.server.platform.TurnedDown;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;

/**
 * The gauges of the shed. A screen claims one, is told what it shows, and takes the reading; another screen that wants it
 * is told who has it, and may take it over. A claim ends when its screen is closed.
 */
@Service
public class Gauges {

    /** Often enough to look alive, seldom enough for a tablet. */
    private static final long TELL_EVERY_MILLIS = 200;

    /** A screen that was just reloaded gets its gauge back. */
    private static final long CLAIM_OUTLIVES_SCREEN_MILLIS = 10_000;

    /** Who has a gauge. */
    private record Claim(UUID screen, UUID account, String name, long screenSeenMillis) {

        Claim seen(long millis) {
            return new Claim(screen, account, name, millis);
        }
    }

    private final Live live;
    private final Cohorts cohorts;
    private final List<GaugePort> ports;
    private final List<Thread> links = new ArrayList<>();
    private final Map<String, Gauge> gauges = new ConcurrentHashMap<>();
    private final Map<String, Claim> claims = new ConcurrentHashMap<>();
    private final Map<String, Long> toldAt = new ConcurrentHashMap<>();

    /**
     * Gauges on ports of this machine.
     *
     * @param ports separated by commas, each with the school that it belongs to where there are several; none if empty
     */
    Gauges(Live live, Cohorts cohorts, @Value("${lobrik.gauges:}") List<String> ports) {
        this.live = live;
        this.cohorts = cohorts;
        this.ports = ports.stream().map(GaugePort::of).toList();
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
                                tell(gauge.who().id(), false);
                            }
                        }
                    }
                },
                () -> {
                    Gauge gauge = speaking.get();
                    if (gauge != null) {
                        gauge.lose();
                        tell(gauge.who().id(), true);
                    }
                });
    }

    private static long millis() {
        return System.nanoTime() / 1_000_000;
    }

    private void tell(String id, boolean atOnce) {
        Claim claim = claims.get(id);
        long now = millis();
        if (claim != null && (atOnce || now - toldAt.getOrDefault(id, 0L) >= TELL_EVERY_MILLIS)) {
            toldAt.put(id, now);
            live.tell(claim.screen(), "gauge", view(id, claim.screen()));
        }
    }

    /** All gauges of one's school that were ever heard of, by label. */
    List<GaugeView> all(SignedIn who, UUID screen) {
        return gauges.entrySet().stream()
                .filter(each -> belongsTo(who, each.getValue()))
                .map(each -> view(each.getKey(), screen))
                .sorted(Comparator.comparing(GaugeView::label))
                .toList();
    }

    /** A gauge belongs to the school that its port was set up for; where none is named, to the one that was there first. */
    private boolean belongsTo(SignedIn who, Gauge gauge) {
        return gauge.port().school().orElseGet(cohorts::firstSchool).equals(who.centreId());
    }

    private Gauge require(SignedIn who, String id) {
        Gauge gauge = require(id);
        if (!belongsTo(who, gauge)) {
            throw TurnedDown.notFound("gauge");
        }
        return gauge;
    }

    private GaugeView view(String id, UUID screen) {
        Gauge gauge = require(id);
        Gauge.Now now = gauge.now(millis());
        Claim claim = claim(id);
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

    private Gauge require(String id) {
        Gauge gauge = gauges.get(id);
        if (gauge == null) {
            throw TurnedDown.notFound("gauge");
        }
        return gauge;
    }

    /** The claim on a gauge, unless its screen has been gone for a while. */
    private @Nullable Claim claim(String id) {
        return claims.computeIfPresent(id, (key, claim) -> {
            long now = millis();
            if (live.isOpen(claim.screen())) {
                return claim.seen(now);
            }
            return now - claim.screenSeenMillis() <= CLAIM_OUTLIVES_SCREEN_MILLIS ? claim : null;
        });
    }

    /**
     * Claims a gauge for a screen.
     *
     * @param takeOver from the screen that has it
     * @throws TurnedDown if another screen has it and it is not to be taken over
     */
    GaugeView claim(SignedIn who, String id, UUID screen, boolean takeOver) {
        Gauge gauge = require(who, id);
        Claim before = claim(id);
        if (before != null && !before.screen().equals(screen) && !takeOver) {
            throw TurnedDown.conflict(
                    "claimed",
                    before.name() + " has " + gauge.who().label() + " on another screen; ask, or take it over");
        }
        claims.put(id, new Claim(screen, who.accountId(), who.fullName(), millis()));
        if (before != null && !before.screen().equals(screen)) {
            live.tell(before.screen(), "gauge", view(id, before.screen()));
        }
        return view(id, screen);
    }

    /** Gives a gauge back, which only whoever has it can. */
    void release(SignedIn who, String id, UUID screen) {
        claims.computeIfPresent(
                id,
                (key, claim) ->
                        claim.screen().equals(screen) && claim.account().equals(who.accountId()) ? null : claim);
    }
}
