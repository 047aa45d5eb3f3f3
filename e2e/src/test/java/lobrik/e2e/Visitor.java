package lobrik.e2e;

import com.google.gson.JsonElement;
import com.google.gson.JsonParser;
import java.io.BufferedInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Consumer;

/** Speaks HTTP by itself over one connection, so that it can say what no library would. */
final class Visitor implements AutoCloseable {

    private static final int PATIENCE_MS = 60_000;

    private final int port;
    private final Map<String, String> cookies = new TreeMap<>();
    private Socket socket;

    Visitor(int port) {
        this.port = port;
    }

    /** An answer; of a stream only its head. */
    record Answer(int status, Map<String, String> headers, String body) {

        JsonElement json() {
            return JsonParser.parseString(body);
        }
    }

    /** One who is signed in. */
    static Visitor signedIn(Launched lobrik, String name) throws IOException {
        Visitor visitor = new Visitor(lobrik.port());
        visitor.get("/api/status");
        visitor.signIn(name, lobrik.password());
        return visitor;
    }

    /** The same person on another connection. */
    Visitor again() {
        Visitor other = new Visitor(port);
        other.cookies.putAll(cookies);
        return other;
    }

    /** Sends a request with less of a body than its head promises, and leaves it at that. */
    Socket sendHalf(String method, String path, int promised, byte[] body) throws IOException {
        Socket open = connected();
        open.getOutputStream().write(join(head(method, path, "application/json", promised), body));
        open.getOutputStream().flush();
        return open;
    }

    /** Asks for something and reads it so slowly: so many bytes at a time, each time after a pause; gives its status. */
    int readSlowly(String path, int bytes, Duration pause) throws IOException, InterruptedException {
        try (Socket open = connected()) {
            open.setReceiveBufferSize(bytes);
            open.getOutputStream().write(head("GET", path, null, 0));
            InputStream in = open.getInputStream();
            int status = Integer.parseInt(line(in).substring(9, 12));
            while (in.readNBytes(bytes).length == bytes) {
                Thread.sleep(pause);
            }
            return status;
        }
    }

    /** Listens to a stream of events until it ends; hears the data of each. */
    void listen(String path, Consumer<String> data) throws IOException {
        try (Socket open = connected()) {
            open.getOutputStream().write(head("GET", path, null, 0));
            InputStream in = new BufferedInputStream(open.getInputStream());
            String first = line(in);
            if (!first.contains(" 200")) {
                throw new IOException("no stream: " + first);
            }
            while (!line(in).isEmpty()) {
                // Nothing in the head matters.
            }
            StringBuilder heard = new StringBuilder();
            for (int size = Integer.parseInt(line(in), 16); size > 0; size = Integer.parseInt(line(in), 16)) {
                heard.append(new String(in.readNBytes(size), StandardCharsets.UTF_8));
                line(in);
                for (int end = heard.indexOf("\n"); end >= 0; end = heard.indexOf("\n")) {
                    String line = heard.substring(0, end);
                    heard.delete(0, end + 1);
                    if (line.startsWith("data:")) {
                        data.accept(line.substring("data:".length()));
                    }
                }
            }
        }
    }

    /** Signs in, again if need be: the device is known then. */
    void signIn(String name, String password) throws IOException {
        Answer answer = send(
                "POST",
                "/api/session",
                "application/json",
                "{\"name\":\"%s\",\"password\":\"%s\"}"
                        .formatted(name, password)
                        .getBytes(StandardCharsets.UTF_8));
        if (answer.status() != 200) {
            throw new IOException("could not sign in: " + answer);
        }
    }

    Answer get(String path) throws IOException {
        return send("GET", path, null, new byte[0]);
    }

    Answer send(String method, String path, String type, byte[] body) throws IOException {
        boolean fresh = socket == null;
        try {
            return exchange(method, path, type, body);
        } catch (IOException e) {
            close();
            // The other end may close a connection that was kept.
            if (fresh) {
                throw e;
            }
            return exchange(method, path, type, body);
        }
    }

    private Answer exchange(String method, String path, String type, byte[] body) throws IOException {
        Socket open = socket;
        if (open == null) {
            open = connected();
            socket = open;
        }
        open.getOutputStream().write(join(head(method, path, type, body.length), body));
        open.getOutputStream().flush();
        return read(new BufferedInputStream(open.getInputStream()));
    }

    private Socket connected() throws IOException {
        Socket open = new Socket(InetAddress.getLoopbackAddress(), port);
        open.setSoTimeout(PATIENCE_MS);
        return open;
    }

    private byte[] head(String method, String path, String type, int length) {
        StringBuilder head = new StringBuilder(method.toUpperCase(Locale.ROOT) + " " + path
                + " HTTP/1.1\r\nHost: 127.0.0.1:" + port + "\r\nContent-Length: " + length + "\r\n");
        if (type != null) {
            head.append("Content-Type: ").append(type).append("\r\n");
        }
        if (!cookies.isEmpty()) {
            head.append("Cookie: ");
            cookies.forEach(
                    (name, value) -> head.append(name).append('=').append(value).append("; "));
            head.append("\r\n");
        }
        String token = cookies.get("XSRF-TOKEN");
        if (token != null) {
            head.append("X-XSRF-TOKEN: ").append(token).append("\r\n");
        }
        head.append("\r\n");
        return head.toString().getBytes(StandardCharsets.ISO_8859_1);
    }

    private static byte[] join(byte[] head, byte[] body) {
        byte[] whole = java.util.Arrays.copyOf(head, head.length + body.length);
        System.arraycopy(body, 0, whole, head.length, body.length);
        return whole;
    }

    private Answer read(InputStream in) throws IOException {
        String first = line(in);
        if (!first.startsWith("HTTP/1.1 ")) {
            throw new IOException("no answer: “" + first + "”");
        }
        int status = Integer.parseInt(first.substring(9, 12));
        Map<String, String> headers = new TreeMap<>();
        for (String line = line(in); !line.isEmpty(); line = line(in)) {
            int colon = line.indexOf(':');
            String name = line.substring(0, colon).toLowerCase(Locale.ROOT);
            String value = line.substring(colon + 1).strip();
            headers.put(name, value);
            if (name.equals("set-cookie")) {
                String[] cookie = value.split(";")[0].split("=", 2);
                if (cookie[1].isEmpty()) {
                    cookies.remove(cookie[0]);
                } else {
                    cookies.put(cookie[0], cookie[1]);
                }
            }
        }
        if (headers.getOrDefault("content-type", "").startsWith("text/event-stream")) {
            close();
            return new Answer(status, headers, "");
        }
        byte[] body = body(in, status, headers);
        if (headers.getOrDefault("connection", "").equals("close")) {
            close();
        }
        return new Answer(status, headers, new String(body, StandardCharsets.UTF_8));
    }

    private static byte[] body(InputStream in, int status, Map<String, String> headers) throws IOException {
        if (status == 204 || status == 304) {
            return new byte[0];
        }
        if (!headers.getOrDefault("transfer-encoding", "").equals("chunked")) {
            String length = headers.get("content-length");
            return length == null ? in.readAllBytes() : in.readNBytes(Integer.parseInt(length));
        }
        ByteArrayOutputStream whole = new ByteArrayOutputStream();
        for (int size = Integer.parseInt(line(in), 16); size > 0; size = Integer.parseInt(line(in), 16)) {
            whole.write(in.readNBytes(size));
            line(in);
        }
        line(in);
        return whole.toByteArray();
    }

    private static String line(InputStream in) throws IOException {
        StringBuilder line = new StringBuilder();
        for (int c = in.read(); c != '\n'; c = in.read()) {
            if (c < 0) {
                throw new IOException("the connection was closed");
            }
            line.append((char) c);
        }
        return line.toString().strip();
    }

    @Override
    public void close() throws IOException {
        Socket open = socket;
        socket = null;
        if (open != null) {
            open.close();
        }
    }
}
