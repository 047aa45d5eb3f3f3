package lobrik.server.backup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.OutputStream;
import java.io.RandomAccessFile;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.ResourceLock;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The file of a backup, of the real database: what is in it, and that nothing of it can change unseen. */
@ExtendWith(RunningServer.class)
@ResourceLock("indexes that come and go while all tables are read")
class BackupFileTest {

    private static final Instant NOW = Instant.parse("2026-12-01T08:00:00Z");
    private static final char[] PASSPHRASE = "weir lantern kelp".toCharArray();

    @TempDir
    private Path folder;

    private Path written(RunningServer.Address server, boolean sealed) throws Exception {
        return written(server, programs(), sealed);
    }

    private Path written(RunningServer.Address server, Path programs, boolean sealed) throws Exception {
        Files.createDirectories(folder.resolve("network"));
        Files.writeString(folder.resolve("network/authority.crt"), "a certificate");
        Path file = folder.resolve("school.backup");
        PostgresLogin login = new PostgresLogin(programs, server.databaseUrl(), server.databasePassword());
        try (Connection database = login.connect()) {
            BackupWriter.write(
                    new BackupWriter.Source(database, login, folder.resolve("network"), Map.of("lobrik.demo", "true")),
                    file,
                    sealed ? PASSPHRASE : null,
                    NOW);
        }
        return file;
    }

    /** The folder of the newest programs of the database. */
    static Path programs() throws IOException {
        try (Stream<Path> versions = Files.list(Path.of("/usr/lib/postgresql"))) {
            return versions.map(version -> version.resolve("bin"))
                    .filter(programs -> Files.exists(programs.resolve("pg_dump")))
                    .sorted()
                    .toList()
                    .getLast();
        }
    }

    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void file_saysWhatIsInIt_andIsForItsOwnerAlone(boolean sealed, RunningServer.Address server) throws Exception {
        Path file = written(server, sealed);
        Contents contents = BackupReader.check(file, sealed ? PASSPHRASE : null);
        assertThat(contents.madeAt()).isEqualTo(NOW);
        assertThat(contents.settings()).isEqualTo(Map.of("lobrik.demo", "true"));
        assertThat(contents.schools()).anySatisfy(school -> {
            assertThat(school.name()).isEqualTo("Tern Quay Apprentice School");
            assertThat(school.pieces()).isGreaterThan(800);
        });
        assertThat(contents.rows().get("centre")).isPositive();
        assertThat(contents.parts().stream().map(Contents.Part::name))
                .containsExactly("database.dump", "network/authority.crt");
        List<String> found = new ArrayList<>();
        BackupReader.read(file, sealed ? PASSPHRASE : null, (name, in) -> {
            if (name.startsWith("network/")) {
                found.add(new String(in.readAllBytes(), StandardCharsets.UTF_8));
            }
        });
        assertThat(found).containsExactly("a certificate");
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(file)))
                .isEqualTo("rw-------");
        assertThatThrownBy(() -> written(server, sealed)).isInstanceOf(FileAlreadyExistsException.class);
        try (Stream<Path> left = Files.list(folder)) {
            assertThat(left).containsExactlyInAnyOrder(file, folder.resolve("network"));
        }
    }

    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void whatWasChangedOrCutOff_isFound_whereverItWas(boolean sealed, RunningServer.Address server) throws Exception {
        Path file = written(server, sealed);
        long size = Files.size(file);
        // A sealed one takes a while to open, as it should.
        for (int part = 1; part < 12; part += sealed ? 5 : 1) {
            Path changed = Files.copy(file, folder.resolve("changed-" + part));
            try (RandomAccessFile bytes = new RandomAccessFile(changed.toFile(), "rw")) {
                long at = size * part / 12;
                bytes.seek(at);
                int was = bytes.read();
                bytes.seek(at);
                bytes.write(was ^ 0x10);
            }
            assertThatThrownBy(() -> BackupReader.check(changed, sealed ? PASSPHRASE : null))
                    .as("changed at " + part + "/12")
                    .isInstanceOf(IOException.class);
            Path cut = Files.copy(file, folder.resolve("cut-" + part));
            try (RandomAccessFile bytes = new RandomAccessFile(cut.toFile(), "rw")) {
                bytes.setLength(size * part / 12);
            }
            assertThatThrownBy(() -> BackupReader.check(cut, sealed ? PASSPHRASE : null))
                    .as("cut off at " + part + "/12")
                    .isInstanceOf(IOException.class);
        }
    }

    @Test
    void sealedFile_opensByItsPassphraseOnly(RunningServer.Address server) throws Exception {
        Path file = written(server, true);
        assertThatThrownBy(() -> BackupReader.check(file, null)).hasMessageContaining("it is sealed");
        assertThatThrownBy(() -> BackupReader.check(file, "weir lantern".toCharArray()))
                .hasMessageContaining("not its passphrase");
        assertThat(Files.readString(file, StandardCharsets.ISO_8859_1)).doesNotContain("database.dump", "Tern Quay");
    }

    @Test
    void failingProgram_isSaid_andNothingIsLeft(RunningServer.Address server) throws Exception {
        Path programs = Files.createDirectory(folder.resolve("programs"));
        Path dump = programs.resolve("pg_dump");
        Files.writeString(dump, "#!/bin/sh\necho half\necho 'the disk is gone' >&2\nexit 3\n");
        Files.setPosixFilePermissions(dump, PosixFilePermissions.fromString("rwxr-xr-x"));
        assertThatThrownBy(() -> written(server, programs, false)).hasMessage("pg_dump ended with 3: the disk is gone");
        assertThat(folder.resolve("school.backup")).doesNotExist();
        assertThat(folder.resolve("school.backup.partial")).doesNotExist();
    }

    @Test
    void anotherFile_isNotTakenForABackup() throws IOException {
        Path file = folder.resolve("another");
        try (OutputStream out = Files.newOutputStream(file)) {
            out.write("something else".getBytes(StandardCharsets.UTF_8));
        }
        assertThatThrownBy(() -> BackupReader.check(file, null)).hasMessageContaining("no backup");
    }
}
