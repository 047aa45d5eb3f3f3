package lobrik.server.backup;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.SecureRandom;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.HexFormat;
import java.util.List;
import org.springframework.util.FileSystemUtils;

/**
 * A database on this machine for as long as it takes to look at a backup: on loopback, with passwords of its own, and nothing of it is
 * left. PostgreSQL refuses to run as root, and so does this.
 */
final class ThrowAwayCluster implements AutoCloseable {

    private static final String ADMIN = "lobrik_admin";
    private static final int PASSWORD_BYTES = 24;
    private static final String START_PATIENCE_S = "120";

    private final Path programs;
    private final Path folder;
    private final PostgresLogin login;

    private ThrowAwayCluster(Path programs, Path folder, PostgresLogin login) {
        this.programs = programs;
        this.folder = folder;
        this.login = login;
    }

    /**
     * Makes and starts one with an empty database of ours.
     *
     * @param folder that is not there yet, or was left by one that was cut short
     */
    static ThrowAwayCluster start(Path programs, Path folder) throws IOException, SQLException {
        discard(programs, folder);
        Files.createDirectories(
                folder, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rwx------")));
        String password = password();
        Path data = folder.resolve("data");
        Path passwordFile = Files.writeString(folder.resolve("admin"), password);
        int port = freePort();
        ThrowAwayCluster cluster = new ThrowAwayCluster(
                programs,
                folder,
                new PostgresLogin(programs, "jdbc:postgresql://127.0.0.1:" + port + "/lobrik", password));
        try {
            DatabaseProgram.run(
                    programs,
                    "initdb",
                    List.of(
                            "--pgdata=" + data,
                            "--username=" + ADMIN,
                            "--pwfile=" + passwordFile,
                            "--auth=scram-sha-256",
                            "--encoding=UTF8",
                            "--locale=C.UTF-8",
                            "--no-sync"));
            DatabaseProgram.run(
                    programs,
                    "pg_ctl",
                    List.of(
                            "--pgdata=" + data,
                            "--log=" + folder.resolve("log"),
                            "--wait",
                            "--timeout=" + START_PATIENCE_S,
                            "--options=-p " + port + " -c listen_addresses=127.0.0.1 -c unix_socket_directories="
                                    + " -c fsync=off -c full_page_writes=off -c wal_level=minimal -c max_wal_senders=0",
                            "start"));
            cluster.makeDatabase(port, password);
            return cluster;
        } catch (IOException | SQLException e) {
            cluster.close();
            throw e;
        }
    }

    private void makeDatabase(int port, String password) throws SQLException {
        try (Connection admin = DriverManager.getConnection(
                        "jdbc:postgresql://127.0.0.1:" + port + "/postgres", ADMIN, password);
                Statement statement = admin.createStatement()) {
            statement.execute("create role lobrik_owner login password '" + password + "'");
            statement.execute("create role lobrik_app");
            statement.execute("create database lobrik owner lobrik_owner");
        }
    }

    PostgresLogin login() {
        return login;
    }

    private static String password() {
        byte[] bytes = new byte[PASSWORD_BYTES];
        new SecureRandom().nextBytes(bytes);
        return HexFormat.of().formatHex(bytes);
    }

    private static int freePort() throws IOException {
        try (ServerSocket any = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            return any.getLocalPort();
        }
    }

    @Override
    public void close() throws IOException {
        discard(programs, folder);
    }

    /** Ends and deletes what is in the folder, whoever left it. */
    static void discard(Path programs, Path folder) throws IOException {
        Path data = folder.resolve("data");
        if (Files.exists(data.resolve("postmaster.pid"))) {
            try {
                DatabaseProgram.run(
                        programs, "pg_ctl", List.of("--pgdata=" + data, "--mode=immediate", "--wait", "stop"));
            } catch (IOException notRunning) {
                // A mark without a process; without the mark a process ends by itself.
                Files.deleteIfExists(data.resolve("postmaster.pid"));
            }
        }
        FileSystemUtils.deleteRecursively(folder);
    }
}
