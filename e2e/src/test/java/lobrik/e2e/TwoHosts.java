package lobrik.e2e;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import java.util.Map;

/**
 * Two hosts on one machine with a cable between them: network namespaces, each with addresses and ports of its own. The cable can be
 * pulled out and put in again.
 */
final class TwoHosts implements AutoCloseable {

    /** Where the first host answers to the second. */
    static final String SERVER = "10.77.0.1";

    private static final String DEVICE = "10.77.0.2";

    private final String server;
    private final String device;

    private TwoHosts(String server, String device) {
        this.server = server;
        this.device = device;
    }

    /** Only root may make them. */
    static boolean canBeMade() {
        return "root".equals(System.getProperty("user.name"));
    }

    /** Makes both and connects them. */
    static TwoHosts make() throws IOException {
        String mark = Long.toString(ProcessHandle.current().pid(), 36);
        TwoHosts hosts = new TwoHosts("lobrik-server-" + mark, "lobrik-device-" + mark);
        Commands.mustRun("ip", "netns", "add", hosts.server);
        Commands.mustRun("ip", "netns", "add", hosts.device);
        Commands.mustRun(
                "ip",
                "-n",
                hosts.server,
                "link",
                "add",
                "lan",
                "type",
                "veth",
                "peer",
                "name",
                "lan",
                "netns",
                hosts.device);
        for (Map.Entry<String, String> host :
                Map.of(hosts.server, SERVER, hosts.device, DEVICE).entrySet()) {
            Commands.mustRun("ip", "-n", host.getKey(), "address", "add", host.getValue() + "/24", "dev", "lan");
            Commands.mustRun("ip", "-n", host.getKey(), "link", "set", "lo", "up");
            Commands.mustRun("ip", "-n", host.getKey(), "link", "set", "lan", "up");
        }
        return hosts;
    }

    /** What has a command run on the server's host. */
    List<String> onServer() {
        return List.of("ip", "netns", "exec", server);
    }

    /** What has a command run on the device. */
    List<String> onDevice() {
        return List.of("ip", "netns", "exec", device);
    }

    /**
     * A program that starts the browser on a host, with a home of its own, where it keeps whom it trusts.
     *
     * @param on {@link #onServer()} or {@link #onDevice()}
     */
    static Path browser(List<String> on, Path home) throws IOException {
        Path program = home.resolve("browser");
        Files.writeString(
                program,
                "#!/bin/sh\nexec env HOME=%s %s %s \"$@\"\n".formatted(home, String.join(" ", on), School.CHROMIUM));
        Files.setPosixFilePermissions(program, PosixFilePermissions.fromString("rwxr-xr-x"));
        return program;
    }

    void pullTheCable() throws IOException {
        Commands.mustRun("ip", "-n", device, "link", "set", "lan", "down");
    }

    void putItInAgain() throws IOException {
        Commands.mustRun("ip", "-n", device, "link", "set", "lan", "up");
    }

    @Override
    public void close() throws IOException {
        Commands.mustRun("ip", "netns", "delete", device);
        Commands.mustRun("ip", "netns", "delete", server);
    }
}
