package lobrik.bench;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;

/**
 * Measures a backup of a server that runs, while people ask it fifty times a second, and compares what is restored of it with the
 * record, row by row: {@code ./lobrik backup-figures}. What people ask comes at its moment whether or not what was asked before is
 * answered, and each answer's time counts from that moment.
 */
public final class BackupFigures {

    private static final int A_SECOND = 50;
    private static final int WARM_UP_S = 60;
    private static final int BEFORE_S = 60;
    private static final int INSTRUCTORS = 8;

    private final Caller anybody;
    private final LoadedCentre centre;
    private final List<Instructor> instructors = new ArrayList<>();
    private final ConcurrentLinkedQueue<Exception> refused = new ConcurrentLinkedQueue<>();
    private volatile Spread taken = new Spread();
    private volatile boolean over;

    private BackupFigures(Caller.Account account) throws IOException, InterruptedException {
        this.anybody = Caller.signedIn(account);
        this.centre = LoadedCentre.of(anybody);
        for (int i = 0; i < INSTRUCTORS; i++) {
            instructors.add(Instructor.signedIn(account));
        }
    }

    /**
     * Takes the address, a name, its password, the database's address, its owner's password, the server's process; then the words of the
     * command that makes a backup, and after {@code --} of the one that restores it and says, as the last thing, where the database of
     * that is and its owner's password. Ends with 1 if anything is not as it was.
     */
    public static void main(String[] arguments) throws Exception {
        Caller.Account account = new Caller.Account(arguments[0], arguments[1], arguments[2]);
        List<String> commands = List.of(arguments).subList(6, arguments.length);
        List<String> backup = commands.subList(0, commands.indexOf("--"));
        List<String> restore = commands.subList(commands.indexOf("--") + 1, commands.size());

        RecordRows before = RecordRows.of(arguments[3], "lobrik_owner", arguments[4]);
        System.out.printf(
                "%,d rows in %d tables%n", before.count(), before.tables().size());
        new BackupFigures(account).measure(backup, Long.parseLong(arguments[5]));
        RecordRows after = RecordRows.of(arguments[3], "lobrik_owner", arguments[4]);

        List<String> said = command("restored", restore);
        RecordRows restored = RecordRows.of(said.get(said.size() - 2), "lobrik_owner", said.getLast());
        System.exit(compare(before, restored, after) ? 0 : 1);
    }

    private void measure(List<String> backup, long server) throws IOException, InterruptedException {
        Thread asking = Thread.ofPlatform().start(this::ask);
        Thread.sleep(WARM_UP_S * 1_000L);
        taken = new Spread();
        Thread.sleep(BEFORE_S * 1_000L);
        System.out.printf("%d requests a second, without a backup: %s%n", A_SECOND, taken);
        long memoryBefore = Memory.resident(server);
        Spread meanwhile = new Spread();
        taken = meanwhile;
        command("backup made", backup);
        taken = new Spread();
        System.out.printf("while it was made: %s%n", meanwhile);
        System.out.printf(
                "the server before and after: %d and %d MB%n", memoryBefore / 1024, Memory.resident(server) / 1024);
        over = true;
        asking.join();
        if (!refused.isEmpty()) {
            throw new IOException(refused.size() + " were refused, first", refused.peek());
        }
    }

    /** Each at its moment, until it is over. */
    private void ask() {
        SplittableRandom random = new SplittableRandom(11);
        long begun = System.nanoTime();
        try (ExecutorService each = Executors.newVirtualThreadPerTaskExecutor()) {
            for (int i = 0; !over; i++) {
                long due = begun + i * 1_000_000_000L / A_SECOND;
                while (System.nanoTime() < due) {
                    Thread.sleep(1);
                }
                int number = i;
                String cohort = LoadedCentre.any(centre.cohorts(), random);
                String trainee = LoadedCentre.any(centre.trainees(), random);
                each.execute(() -> once(number, due, cohort, trainee));
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    /** Of ten: four readings kept, three verdicts, a floor, and in progress a cohort and a trainee of the load. */
    private void once(int number, long due, String cohort, String trainee) {
        Spread to = taken;
        Instructor instructor = instructors.get(number / 10 % INSTRUCTORS);
        try {
            switch (number % 10) {
                case 0, 2, 4, 6 -> {
                    synchronized (instructor) {
                        instructor.takeReading(new Spread(), new Spread());
                    }
                }
                case 1 -> anybody.get("/api/cohorts/" + cohort + "/matrix");
                case 3 -> anybody.get("/api/trainees/" + trainee + "/progress");
                case 5 -> instructor.lookAtFloor(new Spread());
                default -> instructor.lookAtVerdict(new Spread());
            }
            to.add(System.nanoTime() - due);
        } catch (IOException e) {
            refused.add(e);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    /** Runs one to its end and says how long it took and how much memory; what it said. */
    private static List<String> command(String what, List<String> words) throws IOException, InterruptedException {
        long begun = System.nanoTime();
        Process process = new ProcessBuilder(words)
                .redirectError(ProcessBuilder.Redirect.INHERIT)
                .start();
        Memory memory = new Memory(process);
        Thread watching = Thread.ofPlatform().start(memory);
        List<String> said = process.inputReader().lines().toList();
        int code = process.waitFor();
        watching.join();
        if (code != 0) {
            throw new IOException(Path.of(words.getFirst()).getFileName() + " ended with " + code + ": " + said);
        }
        System.out.printf("%s in %.0f s; %s%n", what, (System.nanoTime() - begun) / 1e9, memory);
        return said;
    }

    /**
     * What stood before and stands after, unchanged, must be in the backup; what is in the backup must have stood before or after,
     * but for what was changed twice meanwhile.
     */
    private static boolean compare(RecordRows before, RecordRows restored, RecordRows after) {
        Set<String> names = new TreeSet<>(before.tables().keySet());
        names.addAll(restored.tables().keySet());
        names.addAll(after.tables().keySet());
        int missing = 0;
        System.out.printf(
                "%,d rows before, %,d restored, %,d after%n", before.count(), restored.count(), after.count());
        System.out.println(
                "| table | rows restored | that stood throughout and are missing | of neither before nor after |");
        System.out.println("|---|---|---|---|");
        for (String name : names) {
            long[] throughout = RecordRows.both(before.table(name), after.table(name));
            int lost = RecordRows.without(throughout, restored.table(name)).length;
            long[] changed = RecordRows.without(restored.table(name), before.table(name));
            int fromNowhere = RecordRows.without(changed, after.table(name)).length;
            missing += lost;
            if (lost > 0 || fromNowhere > 0) {
                System.out.printf("| %s | %,d | %d | %d |%n", name, restored.table(name).length, lost, fromNowhere);
            }
        }
        System.out.printf("rows missing: %d%n", missing);
        return missing == 0;
    }
}
