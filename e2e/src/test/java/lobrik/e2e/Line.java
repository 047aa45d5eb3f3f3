package lobrik.e2e;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.time.Duration;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * The line between people and the servers of a school, with what stands in it: it takes each connection to one of the servers in turn, or
 * to another where that one does not answer. It can be cut, fall silent, and be slow.
 */
final class Line implements AutoCloseable {

    private static final int CONNECTED_WITHIN_MS = 500;
    private static final int MOST_AT_ONCE = 16 * 1024;

    private final ServerSocket door;
    private final List<Integer> servers;
    private final Set<Socket> open = ConcurrentHashMap.newKeySet();
    private final AtomicInteger turn = new AtomicInteger();
    private volatile boolean cut;
    private volatile boolean silent;
    private volatile long lateMillis;

    private Line(List<Integer> servers) throws IOException {
        this.servers = servers;
        this.door = new ServerSocket(0, 512, InetAddress.getLoopbackAddress());
        Thread.ofVirtual().name("line").start(this::serve);
    }

    /** To servers at these ports of this machine. */
    static Line to(Integer... ports) throws IOException {
        return new Line(List.of(ports));
    }

    /** Where people find the school. */
    String base() {
        return "http://127.0.0.1:" + door.getLocalPort();
    }

    private void serve() {
        while (!door.isClosed()) {
            try {
                Socket from = door.accept();
                Thread.ofVirtual().start(() -> join(from));
            } catch (IOException closed) {
                return;
            }
        }
    }

    private void join(Socket from) {
        try (from;
                Socket to = server()) {
            open.add(from);
            open.add(to);
            Thread there = Thread.ofVirtual().start(() -> pass(from, to));
            pass(to, from);
            there.join();
        } catch (IOException away) {
            // Whoever asked finds nobody, as without a line.
        } catch (InterruptedException ended) {
            Thread.currentThread().interrupt();
        } finally {
            open.remove(from);
        }
    }

    private Socket server() throws IOException {
        if (cut) {
            throw new IOException("the line is cut");
        }
        int first = turn.getAndIncrement();
        IOException last = new IOException("there is no server");
        for (int i = 0; i < servers.size(); i++) {
            Socket to = new Socket();
            try {
                to.connect(
                        new InetSocketAddress(
                                InetAddress.getLoopbackAddress(),
                                servers.get(Math.floorMod(first + i, servers.size()))),
                        CONNECTED_WITHIN_MS);
                return to;
            } catch (IOException away) {
                to.close();
                last = away;
            }
        }
        throw last;
    }

    /** One direction; when it ends, so does the other: nobody waits at half a connection. */
    private void pass(Socket from, Socket to) {
        try {
            InputStream in = from.getInputStream();
            OutputStream out = to.getOutputStream();
            byte[] some = new byte[MOST_AT_ONCE];
            for (int read = in.read(some); read >= 0; read = in.read(some)) {
                if (silent) {
                    continue;
                }
                if (lateMillis > 0) {
                    Thread.sleep(lateMillis);
                }
                out.write(some, 0, read);
                out.flush();
            }
        } catch (IOException ended) {
            // By either side, or cut.
        } catch (InterruptedException ended) {
            Thread.currentThread().interrupt();
        } finally {
            hangUp(from);
            hangUp(to);
        }
    }

    private void hangUp(Socket socket) {
        open.remove(socket);
        try {
            socket.close();
        } catch (IOException gone) {
            // That is what was meant.
        }
    }

    /** Cuts it for a while: whoever talks is cut off, and nobody gets through. */
    void cut(Duration time) throws InterruptedException {
        cut = true;
        Set.copyOf(open).forEach(this::hangUp);
        Thread.sleep(time);
        cut = false;
    }

    /** For a while all that is said is lost on the way, and nobody is told; then those connections break. */
    void fallSilent(Duration time) throws InterruptedException {
        silent = true;
        Thread.sleep(time);
        Set.copyOf(open).forEach(this::hangUp);
        silent = false;
    }

    /** For a while everything takes so much longer in each direction. */
    void beSlow(Duration time, Duration late) throws InterruptedException {
        lateMillis = late.toMillis();
        Thread.sleep(time);
        lateMillis = 0;
    }

    @Override
    public void close() throws IOException {
        door.close();
        Set.copyOf(open).forEach(this::hangUp);
    }
}
