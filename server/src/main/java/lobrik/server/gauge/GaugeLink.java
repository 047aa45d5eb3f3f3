package lobrik.server.gauge;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.function.Consumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** The connection to one gauge. It comes back by itself, however often it is lost. */
final class GaugeLink implements Runnable {

    private static final Logger LOG = LoggerFactory.getLogger(GaugeLink.class);
    private static final int CONNECT_MILLIS = 2_000;

    /** A gauge speaks several times a second; after so long it is gone, even if nothing was closed. */
    private static final int SILENCE_MILLIS = 3_000;

    private static final int AGAIN_MILLIS = 1_000;

    private final int port;
    private final Consumer<GaugeLine> onLine;
    private final Runnable onLost;

    GaugeLink(int port, Consumer<GaugeLine> onLine, Runnable onLost) {
        this.port = port;
        this.onLine = onLine;
        this.onLost = onLost;
    }

    @Override
    public void run() {
        boolean told = false;
        while (!Thread.currentThread().isInterrupted()) {
            try (Socket socket = new Socket()) {
                socket.connect(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), CONNECT_MILLIS);
                socket.setSoTimeout(SILENCE_MILLIS);
                told = false;
                read(new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.UTF_8)));
            } catch (IOException lost) {
                if (!told) {
                    LOG.info("The gauge at port {} is not there: {}", port, lost.getMessage());
                    told = true;
                }
            }
            onLost.run();
            try {
                Thread.sleep(AGAIN_MILLIS);
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
            }
        }
    }

    /** A line that nothing can be made of is left out; the next one may be good again. */
    private void take(String line) {
        try {
            GaugeLine.read(line).ifPresent(onLine);
        } catch (RuntimeException nonsense) {
            LOG.debug("The gauge at port {} says what it cannot mean: {}", port, line, nonsense);
        }
    }

    private void read(BufferedReader reader) throws IOException {
        StringBuilder line = new StringBuilder();
        for (int c = reader.read(); c >= 0; c = reader.read()) {
            if (c == '\n') {
                take(line.toString());
                line.setLength(0);
            } else if (line.length() < GaugeLine.LONGEST) {
                line.append((char) c);
            } else {
                throw new IOException("a line of more than " + GaugeLine.LONGEST + " characters is no gauge's");
            }
        }
    }
}
