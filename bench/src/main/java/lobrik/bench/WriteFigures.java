package lobrik.bench;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;

/**
 * Measures how fast readings are kept and how fast questions are answered, over HTTP, at a server that runs: {@code ./lobrik writes}.
 * Each instructor has a session and cohorts of their own. A server that has just been started runs its program slowly for a minute or
 * two, until the machine code of what is used most is made: that minute is measured too, apart.
 */
public final class WriteFigures {

    /** What an instructor does again and again. */
    @FunctionalInterface
    private interface Work {
        void once(Instructor instructor, Spread taken) throws IOException, InterruptedException;
    }

    private final Caller.Account account;

    private WriteFigures(Caller.Account account) {
        this.account = account;
    }

    /** Takes the address, a name, its password, how long the first time and every other run is (seconds), and how many write. */
    public static void main(String[] arguments) throws Exception {
        WriteFigures figures = new WriteFigures(new Caller.Account(arguments[0], arguments[1], arguments[2]));
        int first = Integer.parseInt(arguments[3]);
        int seconds = Integer.parseInt(arguments[4]);
        int many = Integer.parseInt(arguments[5]);
        Work reading = (instructor, taken) -> instructor.measurePiece(new Spread(), taken);
        figures.measure("readings, at first", many, first, reading);
        figures.measure("readings", many, seconds, reading);
        figures.measure("readings, again", many, seconds, reading);
        figures.measure("readings", 1, seconds, reading);
        figures.measure("floors of thirty", many, seconds, Instructor::lookAtFloor);
        figures.measure("verdicts", many, seconds, Instructor::lookAtVerdict);
        figures.measureAnswers(seconds);
    }

    private void measure(String what, int many, int seconds, Work work) throws Exception {
        List<Instructor> ready = new ArrayList<>();
        for (int i = 0; i < many; i++) {
            ready.add(Instructor.signedIn(account));
        }
        Spread taken = new Spread();
        try (ExecutorService threads = Executors.newFixedThreadPool(many)) {
            long begun = System.nanoTime();
            long until = begun + seconds * 1_000_000_000L;
            List<Callable<Void>> calls = ready.stream()
                    .<Callable<Void>>map(instructor -> () -> {
                        while (System.nanoTime() < until) {
                            work.once(instructor, taken);
                        }
                        return null;
                    })
                    .toList();
            for (Future<Void> done : threads.invokeAll(calls)) {
                done.get();
            }
            double lasted = (System.nanoTime() - begun) / 1e9;
            System.out.printf("%s, %d at once: %.0f a second, %s%n", what, many, taken.count() / lasted, taken);
        }
    }

    /** What one instructor waits for who works with a cohort of thirty: an attempt opened, the floor, a verdict. */
    private void measureAnswers(int seconds) throws IOException, InterruptedException {
        Instructor instructor = Instructor.signedIn(account);
        Spread opened = new Spread();
        Spread floor = new Spread();
        Spread verdict = new Spread();
        long until = System.nanoTime() + seconds * 1_000_000_000L;
        while (System.nanoTime() < until) {
            instructor.measurePiece(opened, new Spread());
            instructor.lookAtFloor(floor);
            instructor.lookAtVerdict(verdict);
        }
        System.out.printf("an attempt opened: %s%n", opened);
        System.out.printf("the floor of thirty: %s%n", floor);
        System.out.printf("a verdict: %s%n", verdict);
    }
}
