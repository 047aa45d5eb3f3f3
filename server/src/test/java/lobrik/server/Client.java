package lobrik.server;

import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Talks to the running server as a browser would: with cookies, and with the token against forged requests. */
public final class Client {

    private static final JsonMapper JSON = JsonMapper.shared();

    private static final int MOST_SIGN_INS = 20;

    /** Cookies of those who signed in, by server and name. */
    private static final Map<String, List<HttpCookie>> TICKETS = new ConcurrentHashMap<>();

    /** A status with its body; the body is missing where there is none. */
    public record Answer(int status, JsonNode body, HttpResponse<String> response) {

        public JsonNode at(String pointer) {
            return body.at(pointer);
        }

        public String contentType() {
            return response.headers().firstValue("content-type").orElse("");
        }
    }

    /** A request that is not made yet. */
    public record Call(String method, String path, String body) {}

    private final RunningServer.Address server;
    private final String base;
    private final CookieManager cookies = new CookieManager();
    private final HttpClient http;

    public Client(RunningServer.Address server) {
        this.server = server;
        this.base = server.base();
        this.http = HttpClient.newBuilder().cookieHandler(cookies).build();
    }

    /** A client signed in as one of the demo school, in the session that the first who asked began: a password takes its time. */
    public static Client signedIn(RunningServer.Address server, String name) {
        List<HttpCookie> ticket = TICKETS.computeIfAbsent(
                server.base() + " " + name,
                _ -> byPassword(server, name).cookies.getCookieStore().getCookies());
        Client client = new Client(server);
        ticket.forEach(cookie -> client.cookies.getCookieStore().add(URI.create(server.base()), cookie));
        return client;
    }

    /** The same browser, whose next requests come to another server of the same record. */
    public Client at(RunningServer.Address another) {
        Client moved = new Client(another);
        cookies.getCookieStore()
                .getCookies()
                .forEach(cookie -> moved.cookies.getCookieStore().add(URI.create(another.base()), cookie));
        return moved;
    }

    /** A client signed in, in a session of its own. */
    public static Client byPassword(RunningServer.Address server, String name) {
        Client client = new Client(server);
        client.get("/api/me");
        String who = "{\"name\":\"" + name + "\",\"password\":\"" + RunningServer.Address.PASSWORD + "\"}";
        Answer answer = client.post("/api/session", who);
        // One password is worked through at a time; on a slow machine a crowd is asked to try again, and does.
        for (int tries = 1; answer.status() == 503 && tries < MOST_SIGN_INS; tries++) {
            answer = client.post("/api/session", who);
        }
        if (answer.status() != 200) {
            throw new IllegalStateException("signing in as " + name + " failed: " + answer.body());
        }
        return client;
    }

    /** Whom it talks to. */
    public RunningServer.Address server() {
        return server;
    }

    /** What a cookie holds; nothing if there is none. */
    public String cookie(String name) {
        return cookies.getCookieStore().getCookies().stream()
                .filter(cookie -> cookie.getName().equals(name))
                .map(HttpCookie::getValue)
                .findFirst()
                .orElse("");
    }

    public Answer get(String path) {
        return send(request(path).GET());
    }

    public Answer post(String path, String body) {
        return send(request(path).POST(BodyPublishers.ofString(body)));
    }

    public Answer put(String path, String body) {
        return send(request(path).PUT(BodyPublishers.ofString(body)));
    }

    /** The same from a window that says which it is. */
    public Answer put(String path, String body, String screen) {
        return send(request(path).header("X-Lobrik-Screen", screen).PUT(BodyPublishers.ofString(body)));
    }

    /** The same from a window whose screens are of an edition. */
    public Answer putByEdition(int edition, String path, String body) {
        return send(request(path)
                .header("X-Lobrik-Screen", UUID.randomUUID().toString())
                .header("X-Lobrik-Edition", String.valueOf(edition))
                .PUT(BodyPublishers.ofString(body)));
    }

    /** The same from a device that says what time it is there. */
    public Answer putAt(Instant sent, String path, String body) {
        return send(request(path).header("X-Lobrik-Sent-At", sent.toString()).PUT(BodyPublishers.ofString(body)));
    }

    /** The same from a window that says for which account it writes. */
    public Answer putFor(String account, String path, String body) {
        return send(request(path).header("X-Lobrik-Account", account).PUT(BodyPublishers.ofString(body)));
    }

    public Answer delete(String path) {
        return send(request(path).DELETE());
    }

    /** A call of which {@link CountedStatements} notes what it asks of the database. */
    public Answer counted(String name, Call call) {
        return send(request(call.path())
                .header(CountedStatements.HEADER, name)
                .method(call.method(), BodyPublishers.ofString(call.body())));
    }

    /** Any method, for tests that go through all endpoints. */
    public Answer call(String method, String path, String body) {
        return send(request(path).method(method, BodyPublishers.ofString(body)));
    }

    /** A file as bytes; fails if it is not there. */
    public byte[] file(String path) {
        return bytes(request(path).GET());
    }

    /** A file that is made from what is sent. */
    public byte[] file(String path, String body) {
        return bytes(request(path).POST(BodyPublishers.ofString(body)));
    }

    private byte[] bytes(HttpRequest.Builder request) {
        try {
            HttpResponse<byte[]> response = http.send(request.build(), BodyHandlers.ofByteArray());
            if (response.statusCode() != 200) {
                throw new IllegalStateException(
                        response.statusCode() + ": " + new String(response.body(), StandardCharsets.UTF_8));
            }
            return response.body();
        } catch (IOException e) {
            throw new IllegalStateException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    /** The lines of an answer that goes on. */
    public Stream<String> lines(String path) {
        try {
            return http.send(request(path).GET().build(), BodyHandlers.ofLines())
                    .body();
        } catch (IOException e) {
            throw new IllegalStateException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    /** Sends bytes, as a photo is sent. */
    public Answer putBytes(String path, byte[] bytes) {
        return send(request(path).PUT(BodyPublishers.ofByteArray(bytes)));
    }

    /** The cookies and the token against forged requests, for a test that speaks HTTP by itself. */
    public String headers() {
        String all = cookies.getCookieStore().getCookies().stream()
                .map(cookie -> cookie.getName() + "=" + cookie.getValue())
                .collect(Collectors.joining("; "));
        return "Cookie: " + all + "\r\nX-XSRF-TOKEN: "
                + cookies.getCookieStore().getCookies().stream()
                        .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
                        .map(HttpCookie::getValue)
                        .findFirst()
                        .orElseThrow()
                + "\r\n";
    }

    private HttpRequest.Builder request(String path) {
        HttpRequest.Builder request =
                HttpRequest.newBuilder(URI.create(base + path)).header("content-type", "application/json");
        cookies.getCookieStore().getCookies().stream()
                .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue)
                .findFirst()
                .ifPresent(token -> request.header("X-XSRF-TOKEN", token));
        return request;
    }

    private Answer send(HttpRequest.Builder request) {
        try {
            HttpResponse<String> response = http.send(request.build(), BodyHandlers.ofString());
            boolean json =
                    response.headers().firstValue("content-type").orElse("").contains("json");
            JsonNode body = json ? JSON.readTree(response.body()) : JSON.missingNode();
            return new Answer(response.statusCode(), body, response);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }
}
