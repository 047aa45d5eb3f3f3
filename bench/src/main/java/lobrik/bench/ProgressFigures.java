package lobrik.bench;

import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;

/**
 * Measures what people wait for in progress, over HTTP, at a server that runs: {@code ./lobrik figures}. Cohorts and trainees are
 * drawn at random from those of the load, so that hardly any page was asked for before; nothing is kept.
 */
public final class ProgressFigures {

    private static final int WARM_UP = 60;
    private static final int MEASURED = 300;
    private final Caller caller;

    private ProgressFigures(Caller caller) {
        this.caller = caller;
    }

    /** Takes the address, a name and its password. */
    public static void main(String[] arguments) throws IOException, InterruptedException {
        ProgressFigures figures =
                new ProgressFigures(Caller.signedIn(new Caller.Account(arguments[0], arguments[1], arguments[2])));
        LoadedCentre centre = LoadedCentre.of(figures.caller);
        List<String> cohorts = centre.cohorts();
        List<String> trainees = centre.trainees();
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

    private void measure(String what, List<String> ids, String path, SplittableRandom random)
            throws IOException, InterruptedException {
        double[] times = new double[MEASURED];
        int bytes = 0;
        for (int i = -WARM_UP; i < MEASURED; i++) {
            String asked = path.formatted(LoadedCentre.any(ids, random));
            long begun = System.nanoTime();
            String answer = caller.get(asked);
            if (i >= 0) {
                times[i] = (System.nanoTime() - begun) / 1e6;
                bytes = answer.length();
            }
        }
        Arrays.sort(times);
        System.out.printf(
                "%-24s median %6.1f ms, 95th percentile %6.1f ms, of %d (%d kB)%n",
                what, times[MEASURED / 2], times[MEASURED * 95 / 100], MEASURED, bytes / 1000);
    }

    private void stream(String what, String path) throws IOException, InterruptedException {
        long begun = System.nanoTime();
        long bytes = caller.length(path);
        System.out.printf("%-24s %.1f MB in %.1f s%n", what, bytes / 1e6, (System.nanoTime() - begun) / 1e9);
    }
}
