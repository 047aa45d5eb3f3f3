package lobrik.bench;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Measures how fast readings are kept, over HTTP, at a server that runs: {@code ./lobrik writes}. Each writer has a session and cohorts
 * of its own, and measures four-point saddles of 14 features, one piece after the other. A server that has just been started runs its
 * program slowly for a minute or two, until the machine code of what is used most is made: that minute is measured too, apart.
 */
public final class WriteFigures {

    private static final int TRAINEES = 30;
    private static final List<String> READINGS = List.of(
            "mark1 25",
            "mark2 33 1/2",
            "mark3 46",
            "mark4 54",
            "height 4",
            "flat 12 1/2",
            "landing 33 1/2",
            "angle1 30",
            "angle2 30",
            "angle3 30",
            "angle4 30",
            "tailLift 0",
            "dogLeg 0",
            "overall 92");

    private static final String SADDLE = """
            {"method":"chart","tapeDivisionIn":0.0625,"conduit":{"outsideDiameterIn":0.922},\
            "bender":{"takeUpIn":6,"radiusIn":5.125},"bend":{"kind":"saddle4","heightIn":3.25,"clearanceIn":0.75,\
            "angleDeg":30,"widthIn":11.5,"edgeClearanceIn":0.5,"reference":"nearEdge","distanceIn":34,"overallIn":92}}""";

    private static final Pattern ID = Pattern.compile("\"id\":\"([0-9a-f-]{36})\"");

    private final String base;
    private final String name;
    private final String password;

    private WriteFigures(String base, String name, String password) {
        this.base = base;
        this.name = name;
        this.password = password;
    }

    /** Takes the address, a name, its password, how long the first time and every other run is (seconds), and how many write. */
    public static void main(String[] arguments) throws Exception {
        WriteFigures figures = new WriteFigures(arguments[0].replaceAll("/$", ""), arguments[1], arguments[2]);
        int first = Integer.parseInt(arguments[3]);
        int seconds = Integer.parseInt(arguments[4]);
        int many = Integer.parseInt(arguments[5]);
        figures.measure("at first", many, first);
        figures.measure("then", many, seconds);
        figures.measure("again", many, seconds);
        figures.measure("alone", 1, seconds);
        figures.measureAnswers(seconds);
    }

    private void measure(String when, int writers, int seconds) throws Exception {
        List<Writer> ready = new ArrayList<>();
        for (int i = 0; i < writers; i++) {
            ready.add(new Writer(i));
        }
        try (ExecutorService threads = Executors.newFixedThreadPool(writers)) {
            for (Writer writer : ready) {
                writer.newCohort();
            }
            long begun = System.nanoTime();
            List<long[]> taken = new ArrayList<>();
            for (Future<long[]> done : threads.invokeAll(calls(ready, begun + seconds * 1_000_000_000L))) {
                taken.add(done.get());
            }
            double lasted = (System.nanoTime() - begun) / 1e9;
            long[] all = taken.stream().flatMapToLong(Arrays::stream).sorted().toArray();
            System.out.printf(
                    "%s, %d writing: %.0f readings a second, %s%n", when, writers, all.length / lasted, spread(all));
        }
    }

    /** What one instructor waits for who works with a cohort of thirty: an attempt opened, the floor, a verdict. */
    private void measureAnswers(int seconds) throws IOException, InterruptedException {
        Writer instructor = new Writer(0);
        List<Long> opened = new ArrayList<>();
        List<Long> floor = new ArrayList<>();
        List<Long> verdict = new ArrayList<>();
        long until = System.nanoTime() + seconds * 1_000_000_000L;
        while (System.nanoTime() < until) {
            String attempt = instructor.piece(opened, new ArrayList<>());
            instructor.ask("/api/floor/" + instructor.cohort, floor);
            instructor.ask("/api/attempts/" + attempt + "/judgement", verdict);
        }
        System.out.printf("an attempt opened: %s%n", spread(nanoseconds(opened)));
        System.out.printf("the floor of thirty: %s%n", spread(nanoseconds(floor)));
        System.out.printf("a verdict: %s%n", spread(nanoseconds(verdict)));
    }

    private static long[] nanoseconds(List<Long> taken) {
        return taken.stream().mapToLong(Long::longValue).sorted().toArray();
    }

    private static String spread(long[] sorted) {
        return "median %.1f ms, 95 %% %.1f, 99 %% %.1f, slowest %.0f of %d"
                .formatted(at(sorted, 0.5), at(sorted, 0.95), at(sorted, 0.99), at(sorted, 1), sorted.length);
    }

    private static double at(long[] sorted, double part) {
        return sorted[(int) Math.min(sorted.length - 1L, Math.round(part * sorted.length))] / 1e6;
    }

    private static List<Callable<long[]>> calls(List<Writer> writers, long until) {
        return writers.stream()
                .<Callable<long[]>>map(writer -> () -> writer.write(until))
                .toList();
    }

    /** An instructor who measures. */
    private final class Writer {

        private final CookieManager cookies = new CookieManager();
        private final HttpClient http =
                HttpClient.newBuilder().cookieHandler(cookies).build();
        private final int number;
        private final List<String> trainees = new ArrayList<>();
        private String cohort = "";

        Writer(int number) throws IOException, InterruptedException {
            this.number = number;
            send("GET", "/api/me", "");
            send("POST", "/api/session", "{\"name\":\"" + name + "\",\"password\":\"" + password + "\"}");
        }

        /** Nanoseconds that each reading took. */
        long[] write(long until) throws IOException, InterruptedException {
            List<Long> taken = new ArrayList<>();
            while (System.nanoTime() < until) {
                piece(new ArrayList<>(), taken);
            }
            return nanoseconds(taken);
        }

        /** Measures a piece; its attempt. */
        String piece(List<Long> opened, List<Long> read) throws IOException, InterruptedException {
            if (trainees.isEmpty()) {
                newCohort();
            }
            String attempt = UUID.randomUUID().toString();
            long begun = System.nanoTime();
            send("PUT", "/api/attempts/" + attempt, "{\"traineeId\":\"" + trainees.removeLast() + "\"}");
            opened.add(System.nanoTime() - begun);
            for (String reading : READINGS) {
                int space = reading.indexOf(' ');
                begun = System.nanoTime();
                send(
                        "PUT",
                        "/api/attempts/" + attempt + "/readings/" + UUID.randomUUID(),
                        "{\"feature\":\"" + reading.substring(0, space) + "\",\"text\":\""
                                + reading.substring(space + 1) + "\"}");
                read.add(System.nanoTime() - begun);
            }
            return attempt;
        }

        void ask(String path, List<Long> taken) throws IOException, InterruptedException {
            long begun = System.nanoTime();
            send("GET", path, "");
            taken.add(System.nanoTime() - begun);
        }

        void newCohort() throws IOException, InterruptedException {
            cohort = UUID.randomUUID().toString();
            String names = IntStream.rangeClosed(1, TRAINEES)
                    .mapToObj(i -> "\"Trainee " + i + "\"")
                    .collect(Collectors.joining(","));
            String started = send(
                    "PUT",
                    "/api/cohorts/" + cohort,
                    "{\"name\":\"Writing " + number + " " + cohort + "\",\"trainees\":[" + names + "]}");
            send("PUT", "/api/givings/" + UUID.randomUUID(), """
                    {"exercise":{"title":"Over the duct","conduitLabel":"3/4 EMT","benderLabel":"Bender 4","definition":%s,
                     "tolerances":{"preset":"site","lengthIn":0.125,"angleDeg":2,"dogLegDeg":2,"passMark":70}},
                     "giveTo":{"cohortId":"%s"}}""".formatted(SADDLE, cohort));
            Matcher ids = ID.matcher(started.substring(started.indexOf("\"trainees\"")));
            while (ids.find()) {
                trainees.add(ids.group(1));
            }
        }

        private String send(String method, String path, String body) throws IOException, InterruptedException {
            HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(base + path))
                    .header("content-type", "application/json")
                    .method(method, HttpRequest.BodyPublishers.ofString(body));
            cookies.getCookieStore().getCookies().stream()
                    .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
                    .findFirst()
                    .ifPresent(token -> request.header("X-XSRF-TOKEN", token.getValue()));
            HttpResponse<String> answer = http.send(request.build(), HttpResponse.BodyHandlers.ofString());
            if (answer.statusCode() != 200 && !path.equals("/api/me")) {
                throw new IOException(method + " " + path + ": " + answer.statusCode() + " " + answer.body());
            }
            return answer.body();
        }
    }
}
