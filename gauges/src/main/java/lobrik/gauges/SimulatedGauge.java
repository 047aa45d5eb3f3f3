package lobrik.gauges;

import java.io.BufferedReader;
import java.io.BufferedWriter;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStreamWriter;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicLong;
import java.util.random.RandomGenerator;

/**
 * One gauge: whoever connects is told who it is and then, eight times a second, what it shows. A line that begins with
 * {@code sim} tells it what to show; a real gauge has no such line, but a hand.
 */
public final class SimulatedGauge implements AutoCloseable {

    private static final long PERIOD_MILLIS = 125;

    private static final long AWAY_MILLIS = 4_000;

    /** A hand that puts a gauge on gets nearer by this part of the way each time. */
    private static final double NEARER = 0.55;

    private final String hello;
    private final ServerSocket socket;
    private final Set<Socket> connected = ConcurrentHashMap.newKeySet();
    private final RandomGenerator random;

    private volatile double wanted;
    private volatile double shown;
    private volatile double noise;
    private volatile String unit;
    private volatile boolean away;
    private final AtomicLong sequence = new AtomicLong();

    private SimulatedGauge(int port, String hello, double value, String unit, double noise) throws IOException {
        this.hello = hello;
        this.wanted = value;
        this.shown = value;
        this.unit = unit;
        this.noise = noise;
        this.random = RandomGenerator.of("L64X128MixRandom");
        this.socket = new ServerSocket(port, 8, InetAddress.getLoopbackAddress());
        Thread.ofVirtual().start(this::accept);
        Thread.ofVirtual().start(this::show);
    }

    /** An angle gauge. */
    public static SimulatedGauge angle(int port) throws IOException {
        return new SimulatedGauge(port, "gauge 1 angle-1 angle Angle gauge 1", 30.1, "deg", 0.02);
    }

    /** A height gauge in millimetres. */
    public static SimulatedGauge height(int port) throws IOException {
        return new SimulatedGauge(port, "gauge 1 height-1 height Height gauge 1", 85.7, "mm", 0.02);
    }

    /** Where it listens, on loopback only. */
    public int port() {
        return socket.getLocalPort();
    }

    private void accept() {
        while (!socket.isClosed()) {
            try {
                Socket peer = socket.accept();
                if (away) {
                    peer.close();
                    continue;
                }
                send(peer, hello);
                connected.add(peer);
                Thread.ofVirtual().start(() -> listen(peer));
            } catch (IOException closed) {
                // Either the gauge was closed, which ends the loop, or this one peer went away.
            }
        }
    }

    private void show() {
        try {
            while (!socket.isClosed()) {
                shown = Math.abs(wanted - shown) < 0.01 ? wanted : shown + NEARER * (wanted - shown);
                double value = shown + noise * (2 * random.nextDouble() - 1);
                String line = String.format(Locale.ROOT, "read %d %.3f %s", sequence.incrementAndGet(), value, unit);
                connected.forEach(peer -> {
                    if (!send(peer, line)) {
                        connected.remove(peer);
                    }
                });
                Thread.sleep(PERIOD_MILLIS);
            }
        } catch (InterruptedException ended) {
            Thread.currentThread().interrupt();
        }
    }

    private void listen(Socket peer) {
        try (BufferedReader lines =
                new BufferedReader(new InputStreamReader(peer.getInputStream(), StandardCharsets.UTF_8))) {
            for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                obey(line.strip().split(" +"));
            }
        } catch (IOException gone) {
            // The one who listened went away.
        }
        connected.remove(peer);
    }

    /**
     * {@code sim value 30.1}, {@code sim noise 0.8}, {@code sim unit mm} and
     * {@code sim away}.
     */
    private void obey(String[] words) {
        if (words.length < 2 || !words[0].equals("sim")) {
            return;
        }
        try {
            switch (words[1]) {
                case "value" -> wanted = Double.parseDouble(words[2]);
                case "noise" -> noise = Double.parseDouble(words[2]);
                case "unit" -> unit = words[2];
                case "away" -> leave();
                default -> {
                    // What it does not know it leaves alone, like any gauge.
                }
            }
        } catch (NumberFormatException | ArrayIndexOutOfBoundsException unreadable) {
            // So with what it cannot read.
        }
    }

    /** As if its battery were empty: everybody is dropped, and nobody is let in. Somebody changes it soon. */
    private void leave() {
        away = true;
        connected.forEach(peer -> {
            try {
                peer.close();
            } catch (IOException alreadyGone) {
                // It wanted to go anyway.
            }
        });
        connected.clear();
        Thread.ofVirtual().start(() -> {
            try {
                Thread.sleep(AWAY_MILLIS);
                away = false;
            } catch (InterruptedException ended) {
                Thread.currentThread().interrupt();
            }
        });
    }

    private static boolean send(Socket peer, String line) {
        try {
            BufferedWriter writer =
                    new BufferedWriter(new OutputStreamWriter(peer.getOutputStream(), StandardCharsets.UTF_8));
            writer.write(line);
            writer.write('\n');
            writer.flush();
            return true;
        } catch (IOException gone) {
            return false;
        }
    }

    @Override
    public void close() throws IOException {
        socket.close();
        for (Socket peer : connected) {
            peer.close();
        }
    }
}
