package lobrik.bench;

import java.io.IOException;
import java.io.InputStream;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandler;
import java.net.http.HttpResponse.BodyHandlers;

/** Somebody who is signed in at a server that runs, and asks it over HTTP as a page does. */
final class Caller {

    private final String base;
    private final CookieManager cookies = new CookieManager();
    private final HttpClient http =
            HttpClient.newBuilder().cookieHandler(cookies).build();

    private Caller(String base) {
        this.base = base;
    }

    /** Throws if the server lets nobody in by this name and password. */
    static Caller signedIn(Account account) throws IOException, InterruptedException {
        Caller caller = new Caller(account.base());
        // Refused to somebody who is nobody yet, with the token that signing in needs.
        caller.answer("GET", "/api/me", "", BodyHandlers.ofString());
        caller.send(
                "POST",
                "/api/session",
                "{\"name\":\"%s\",\"password\":\"%s\"}".formatted(account.name(), account.password()));
        return caller;
    }

    /** Where a server is, and whom it knows. */
    record Account(String base, String name, String password) {

        Account {
            base = base.replaceAll("/$", "");
        }
    }

    String get(String path) throws IOException, InterruptedException {
        return send("GET", path, "");
    }

    /** What is answered; throws if it is anything but 200. */
    String send(String method, String path, String body) throws IOException, InterruptedException {
        HttpResponse<String> answer = answer(method, path, body, BodyHandlers.ofString());
        if (answer.statusCode() != 200) {
            throw new IOException(method + " " + path + ": " + answer.statusCode() + " " + answer.body());
        }
        return answer.body();
    }

    /** How many bytes something is, read to its end and not kept. */
    long length(String path) throws IOException, InterruptedException {
        HttpResponse<InputStream> answer = answer("GET", path, "", BodyHandlers.ofInputStream());
        try (InputStream in = answer.body()) {
            if (answer.statusCode() != 200) {
                throw new IOException(path + ": " + answer.statusCode());
            }
            long bytes = 0;
            byte[] buffer = new byte[1 << 16];
            for (int read = in.read(buffer); read >= 0; read = in.read(buffer)) {
                bytes += read;
            }
            return bytes;
        }
    }

    private <T> HttpResponse<T> answer(String method, String path, String body, BodyHandler<T> handler)
            throws IOException, InterruptedException {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(base + path))
                .header("content-type", "application/json")
                .method(method, body.isEmpty() ? BodyPublishers.noBody() : BodyPublishers.ofString(body));
        cookies.getCookieStore().getCookies().stream()
                .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue)
                .findFirst()
                .ifPresent(token -> request.header("X-XSRF-TOKEN", token));
        return http.send(request.build(), handler);
    }
}
