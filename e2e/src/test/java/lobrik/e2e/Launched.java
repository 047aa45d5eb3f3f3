package lobrik.e2e;

import java.io.BufferedReader;
import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.Properties;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Lobrik as the launcher starts it: a process with a server and a database of its own. */
final class Launched implements AutoCloseable {

    private static final Path ROOT = Path.of("..").toAbsolutePath().normalize();

    /** The jar that was just built and tested. */
    static final Path JAR = ROOT.resolve("server/target/lobrik.jar");

    private static final Pattern PASSWORD = Pattern.compile("password(?: of all three is)?  ([a-z]+-[a-z]+-\\d{5})");

    /** No measure of anything, only an end to waiting on a machine that stands still. */
    private static final Duration PATIENCE = Duration.ofMinutes(2);

    private Process launcher;
    private final Path data;
    private final int port;
    private final String password;
    private final Map<String, String> environment;

    private Launched(Process launcher, Path data, int port, String password, Map<String, String> environment) {
        this.launcher = launcher;
        this.environment = Map.copyOf(environment);
        this.data = data;
        this.port = port;
        this.password = password;
    }

    /** What a command of the launcher said and how it ended. */
    record Said(int code, String text) {}

    /** A demo school of its own, as it is after its first start. */
    static Launched school(String... options) throws IOException {
        return start(PreparedSchool.copy(), freePort(), options);
    }

    /** The same in a folder of somebody's own. */
    static Launched in(Path data) throws IOException {
        return start(data, freePort());
    }

    /** Starts for the first time: makes the database and what is in it. */
    static Launched startNew(Path data, String... options) throws IOException {
        return start(data, freePort(), options);
    }

    /** Starts again where it was before it was stopped or killed. */
    void again() throws IOException {
        again("start");
    }

    /** The same by another command that does. */
    void again(String command) throws IOException {
        launcher = start(command, environment, data, port).launcher;
    }

    /** The process of its server. */
    ProcessHandle server() throws IOException {
        return ProcessHandle.of(Long.parseLong(
                        Files.readString(data.resolve("server.pid")).strip()))
                .orElseThrow();
    }

    /** The same with a launcher that is told otherwise by its environment. */
    static Launched withEnvironment(Path data, Map<String, String> environment, String... options) throws IOException {
        return start("start", environment, data, freePort(), options);
    }

    /**
     * The same on another host.
     *
     * @param on what has a command run there
     */
    static Launched onHost(List<String> on, Path data, String... options) throws IOException {
        return start("start", Map.of(), on, data, freePort(), options);
    }

    private static Launched start(Path data, int port, String... options) throws IOException {
        return start("start", Map.of(), data, port, options);
    }

    private static Launched start(
            String command, Map<String, String> environment, Path data, int port, String... options)
            throws IOException {
        return start(command, environment, List.of(), data, port, options);
    }

    private static Launched start(
            String command, Map<String, String> environment, List<String> on, Path data, int port, String... options)
            throws IOException {
        List<String> arguments =
                new ArrayList<>(List.of(command, "--port", String.valueOf(port), "--data", data.toString()));
        arguments.addAll(List.of(options));
        ProcessBuilder there = process(environment, arguments);
        there.command().addAll(0, on);
        Process launcher = there.start();
        StringBuilder said = new StringBuilder();
        BufferedReader output = launcher.inputReader(StandardCharsets.UTF_8);
        for (String line = output.readLine(); line != null; line = output.readLine()) {
            said.append(line).append('\n');
            if (line.startsWith("Data: ")) {
                Matcher password = PASSWORD.matcher(said);
                if (!password.find()) {
                    throw new IOException("no password was printed: " + said);
                }
                return new Launched(launcher, data, port, password.group(1), environment);
            }
        }
        throw new IOException("the launcher did not get ready: " + said);
    }

    /** Runs a command of the launcher to its end. */
    static Said run(Map<String, String> environment, String... arguments) throws IOException {
        Process process = process(environment, List.of(arguments)).start();
        String text = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        return new Said(process.onExit().join().exitValue(), text);
    }

    private static ProcessBuilder process(Map<String, String> environment, List<String> arguments) throws IOException {
        List<String> command = new ArrayList<>(List.of(ROOT.resolve("lobrik").toString()));
        command.addAll(arguments);
        ProcessBuilder builder = new ProcessBuilder(command).redirectErrorStream(true);
        // The launcher would otherwise build its own.
        builder.environment()
                .put("LOBRIK_APPLICATION", PreparedSchool.application().toString());
        // These servers live for some minutes: the slow, good machine code would cost more than it saves. Their start
        // cache is made with the same option.
        builder.environment().put("JAVA_TOOL_OPTIONS", "-XX:TieredStopAtLevel=1");
        builder.environment().putAll(environment);
        return builder;
    }

    /** A folder that the database's own user can reach. */
    static Path newFolder() throws IOException {
        Path folder = Files.createTempDirectory("lobrik-e2e-");
        Files.setPosixFilePermissions(folder, PosixFilePermissions.fromString("rwxr-xr-x"));
        return folder.resolve("data");
    }

    static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    String base() {
        return "http://127.0.0.1:" + port;
    }

    int port() {
        return port;
    }

    String password() {
        return password;
    }

    Path data() {
        return data;
    }

    /** Where its database answers, as long as it runs. */
    String databaseUrl() throws IOException {
        return "jdbc:postgresql://127.0.0.1:"
                + Files.readAllLines(data.resolve("postgres/postmaster.pid")).get(3) + "/lobrik";
    }

    /** What its settings say. */
    String setting(String name) throws IOException {
        Properties settings = new Properties();
        try (var reader = Files.newBufferedReader(data.resolve("settings.properties"))) {
            settings.load(reader);
        }
        return settings.getProperty(name);
    }

    /** Has the simulated gauge do something, as a hand would: {@code value 30.1}, {@code noise 1}, {@code away}. */
    void sim(String gauge, String command) throws IOException {
        String[] ready = Files.readString(data.resolve("gauges")).strip().split(" ");
        int gaugePort = Integer.parseInt(ready[gauge.equals("angle") ? 1 : 2]);
        try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), gaugePort)) {
            socket.getOutputStream().write(("sim " + command + "\n").getBytes(StandardCharsets.UTF_8));
            socket.getOutputStream().flush();
            socket.getInputStream().readNBytes(60);
        }
    }

    int get(String path) throws IOException, InterruptedException {
        try (HttpClient client = HttpClient.newHttpClient()) {
            return client.send(HttpRequest.newBuilder(URI.create(base() + path)).build(), BodyHandlers.discarding())
                    .statusCode();
        }
    }

    /** The process that runs its database. */
    ProcessHandle database() throws IOException {
        return ProcessHandle.of(Long.parseLong(Files.readAllLines(data.resolve("postgres/postmaster.pid"))
                        .getFirst()
                        .strip()))
                .orElseThrow();
    }

    /** The process that watches over both. */
    Process launcher() {
        return launcher;
    }

    /** Waits until it answers calls that need the database, and the launcher knows it. */
    void awaitReady() throws IOException, InterruptedException {
        long end = System.nanoTime() + PATIENCE.toNanos();
        while (!isReady() || !asksItsDatabase() || !Files.exists(data.resolve("address"))) {
            if (System.nanoTime() > end) {
                throw new IOException("not ready after " + PATIENCE.toSeconds() + " s: "
                        + run(environment, "status", "--data", data.toString()).text());
            }
            Thread.sleep(50);
        }
    }

    /** Waits until what follows from everything that was written down is worked out. */
    void awaitFollowedUp() throws IOException {
        long end = System.nanoTime() + PATIENCE.toNanos();
        try (Connection connection =
                        DriverManager.getConnection(databaseUrl(), "lobrik_owner", setting("spring.flyway.password"));
                Statement statement = connection.createStatement()) {
            while (isAnythingLeft(statement)) {
                if (System.nanoTime() > end) {
                    throw new IOException("not followed up after " + PATIENCE.toSeconds() + " s");
                }
                Thread.sleep(100);
            }
        } catch (SQLException e) {
            throw new IOException("its database does not answer", e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException(e);
        }
    }

    private static boolean isAnythingLeft(Statement statement) throws SQLException {
        try (ResultSet left = statement.executeQuery("select 1 from follow_up limit 1")) {
            return left.next();
        }
    }

    /** Whether it finds out that there is no such session: for that it has to look. */
    private boolean asksItsDatabase() throws InterruptedException {
        String nobodys =
                Base64.getEncoder().encodeToString(UUID.randomUUID().toString().getBytes(StandardCharsets.UTF_8));
        try (HttpClient client = HttpClient.newHttpClient()) {
            HttpRequest me = HttpRequest.newBuilder(URI.create(base() + "/api/me"))
                    .header("Cookie", "lobrik-session=" + nobodys)
                    .build();
            return client.send(me, BodyHandlers.discarding()).statusCode() == 401;
        } catch (IOException away) {
            return false;
        }
    }

    /** Whether it says itself that it is ready. */
    boolean isReady() throws InterruptedException {
        try {
            return get("/api/health") == 200;
        } catch (IOException away) {
            return false;
        }
    }

    /** Kills the server, and only the server, without a warning. */
    void killServer() throws IOException, InterruptedException {
        kill(server());
    }

    /**
     * Kills a process without a warning and waits until it is gone. Not through {@link ProcessHandle#onExit()}: that counts one
     * as alive whose parent did not fetch it, for minutes.
     */
    static void kill(ProcessHandle process) throws IOException, InterruptedException {
        process.destroyForcibly();
        Path stat = Path.of("/proc", String.valueOf(process.pid()), "stat");
        while (Files.exists(stat) && !Files.readString(stat).matches("(?s).*\\) [ZX] .*")) {
            Thread.sleep(5);
        }
    }

    /** Kills the launcher alone: server and database go on without it. */
    void killLauncher() {
        launcher.destroyForcibly().onExit().join();
    }

    /** Asks the launcher to stop, as Ctrl-C or a service manager would. */
    int terminate() throws InterruptedException {
        launcher.destroy();
        if (!launcher.waitFor(40, TimeUnit.SECONDS)) {
            throw new IllegalStateException("the launcher did not stop");
        }
        return launcher.exitValue();
    }

    @Override
    public void close() throws IOException {
        run(Map.of(), "stop", "--data", data.toString());
    }
}
