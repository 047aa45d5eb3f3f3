package lobrik.server.transfer;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.time.Duration;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Semaphore;
import lobrik.server.account.Audit;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.Scratch;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.Waiting;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Component;

/**
 * Sends large files. Each is written to the disk first, as fast as it can be, and only then sent, as slowly as it is read:
 * so nobody's slow line holds a connection to the database, and a file that cannot be finished is never begun. Few are
 * written at once, and nobody has many on the way.
 */
@Component
class Outgoing {

    private static final int WRITTEN_AT_ONCE = 2;
    private static final int MOST_OF_AN_ACCOUNT = 6;
    private static final int MOST_OF_ALL = 40;
    private static final Duration PATIENCE = Duration.ofSeconds(30);

    /** 100 MB at 1.5 Mbit a second. */
    private static final Duration LONGEST = Duration.ofMinutes(10);

    private final Semaphore writing = new Semaphore(WRITTEN_AT_ONCE, true);
    private final Semaphore onTheWay = new Semaphore(MOST_OF_ALL, true);
    private final Map<UUID, Integer> byAccount = new ConcurrentHashMap<>();
    private final Scratch scratch;
    private final Audit audit;

    Outgoing(Scratch scratch, Audit audit) {
        this.scratch = scratch;
        this.audit = audit;
    }

    /** A file: what it is, what it is called, and what of it is noted. */
    record Letter(String type, String name, String about) {}

    /** Writes what is in a file. */
    interface Content {

        void writeTo(OutputStream to) throws IOException;
    }

    /**
     * Sends a file.
     *
     * @throws TurnedDown if it cannot be written now, or too many are on the way
     */
    void send(SignedIn who, Letter letter, Content content, HttpServletRequest request, HttpServletResponse response)
            throws IOException {
        boolean few = byAccount.merge(who.accountId(), 1, Integer::sum) <= MOST_OF_AN_ACCOUNT;
        try {
            if (!few || !onTheWay.tryAcquire()) {
                throw TurnedDown.tooOften("Many files are on the way already; wait until some of them have arrived");
            }
            try (Scratch.Sheet file = scratch.sheet()) {
                write(file, content);
                audit.export(who, letter.about(), request.getRemoteAddr());
                Files.announce(response, letter.type(), letter.name());
                response.setHeader(HttpHeaders.CACHE_CONTROL, "no-store");
                copy(file, response.getOutputStream());
            } finally {
                onTheWay.release();
            }
        } finally {
            byAccount.computeIfPresent(who.accountId(), (_, open) -> open == 1 ? null : open - 1);
        }
    }

    private void write(Scratch.Sheet file, Content content) throws IOException {
        if (!Waiting.forTurn(writing, PATIENCE)) {
            throw TurnedDown.unavailable("Many files are being written just now; try again in a moment");
        }
        try (OutputStream to = new BufferedOutputStream(file.write())) {
            content.writeTo(to);
        } finally {
            writing.release();
        }
    }

    /** Whoever reads a byte now and then is let go in the end. */
    private static void copy(Scratch.Sheet file, OutputStream to) throws IOException {
        long end = System.nanoTime() + LONGEST.toNanos();
        byte[] some = new byte[32 * 1024];
        try (InputStream from = file.read()) {
            for (int read = from.read(some); read >= 0; read = from.read(some)) {
                if (System.nanoTime() - end > 0) {
                    throw new IOException("a file was read too slowly");
                }
                to.write(some, 0, read);
            }
        }
    }
}
