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
import java.net.http.HttpResponse.BodyHandlers;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Measures what people wait for in progress, over HTTP, at a server that runs: {@code ./lobrik figures}. Cohorts and trainees are
 * drawn at random from those of the load, so that hardly any page was asked for before; nothing is kept.
 */
public final class ProgressFigures {

    private static final int WARM_UP = 60;
    private static final int MEASURED = 300;
    private static final Pattern TRAINEE = Pattern.compile("\"id\":\"([0-9a-f-]{36})\",\"fullName\":\"Trainee \\d+\"");
    private static final Pattern COHORT =
            Pattern.compile("\\{\"id\":\"([0-9a-f-]{36})\",\"name\":\"Load \\d+, (?:seed, )?\\d+\"");

    private final String base;
    private final CookieManager cookies = new CookieManager();
    private final HttpClient http =
            HttpClient.newBuilder().cookieHandler(cookies).build();

    private ProgressFigures(String base) {
        this.base = base;
    }

    /** Takes the address, a name and its password. */
    public static void main(String[] arguments) throws IOException, InterruptedException {
        ProgressFigures figures = new ProgressFigures(arguments[0].replaceAll("/$", ""));
        figures.signIn(arguments[1], arguments[2]);
        String all = figures.text("/api/cohorts");
        List<String> cohorts = ids(COHORT, all);
        List<String> trainees = ids(TRAINEE, all);
        System.out.printf("%d cohorts, %d trainees%n", cohorts.size(), trainees.size());
        SplittableRandom random = new SplittableRandom(7);
        figures.measure("cohort matrix", cohorts, "/api/cohorts/%s/matrix", random);
        figures.measure("matrix of one bender", cohorts, "/api/cohorts/%s/matrix?preset=site&from=2026-01-01", random);
        figures.measure("trainee page", trainees, "/api/trainees/%s/progress", random);
        figures.measure("plan of a session", cohorts, "/api/cohorts/%s/plan", random);
        figures.stream("gradebook.xlsx of a cohort", "/api/cohorts/" + cohorts.getFirst() + "/gradebook.xlsx");
        figures.stream("statements of a cohort", "/api/cohorts/" + cohorts.getFirst() + "/statements.json");
        if (arguments.length > 3) {
            return;
        }
        figures.stream("every reading", "/api/readings.csv");
    }

    private static List<String> ids(Pattern pattern, String text) {
        List<String> ids = new ArrayList<>();
        Matcher matcher = pattern.matcher(text);
        while (matcher.find()) {
            ids.add(matcher.group(1));
        }
        return ids;
    }

    private void signIn(String name, String password) throws IOException, InterruptedException {
        text("/api/me");
        HttpResponse<String> answer = http.send(
                request("/api/session")
                        .POST(BodyPublishers.ofString("{\"name\":\"" + name + "\",\"password\":\"" + password + "\"}"))
                        .build(),
                BodyHandlers.ofString());
        if (answer.statusCode() != 200) {
            throw new IOException("signing in: " + answer.body());
        }
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

    private String text(String path) throws IOException, InterruptedException {
        return http.send(request(path).GET().build(), BodyHandlers.ofString()).body();
    }

    private void measure(String what, List<String> ids, String path, SplittableRandom random)
            throws IOException, InterruptedException {
        double[] times = new double[MEASURED];
        int bytes = 0;
        for (int i = -WARM_UP; i < MEASURED; i++) {
            String asked = path.formatted(ids.get(random.nextInt(ids.size())));
            long begun = System.nanoTime();
            HttpResponse<String> answer = http.send(request(asked).GET().build(), BodyHandlers.ofString());
            if (answer.statusCode() != 200) {
                throw new IOException(asked + ": " + answer.body());
            }
            if (i >= 0) {
                times[i] = (System.nanoTime() - begun) / 1e6;
                bytes = answer.body().length();
            }
        }
        Arrays.sort(times);
        System.out.printf(
                "%-24s median %6.1f ms, 95th percentile %6.1f ms, of %d (%d kB)%n",
                what, times[MEASURED / 2], times[MEASURED * 95 / 100], MEASURED, bytes / 1000);
    }

    private void stream(String what, String path) throws IOException, InterruptedException {
        long begun = System.nanoTime();
        HttpResponse<InputStream> answer = http.send(request(path).GET().build(), BodyHandlers.ofInputStream());
        long bytes = 0;
        byte[] buffer = new byte[1 << 16];
        try (InputStream in = answer.body()) {
            for (int read = in.read(buffer); read >= 0; read = in.read(buffer)) {
                bytes += read;
            }
        }
        System.out.printf(
                "%-24s %.1f MB in %.1f s (status %d)%n",
                what, bytes / 1e6, (System.nanoTime() - begun) / 1e9, answer.statusCode());
    }
}
