package lobrik.server.backup;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Duration;
import java.time.Instant;
import java.util.stream.Stream;
import lobrik.server.Client;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.ResourceLock;
import org.springframework.util.FileSystemUtils;

/** Backups that a server makes by itself, as its lead wants them. */
@ExtendWith(RunningServer.class)
@ResourceLock("indexes that come and go while all tables are read")
class BackupsTest {

    @TempDir
    private Path folder;

    private static final String WISHES = """
            {"days":["MONDAY","FRIDAY"],"at":"16:40","keepDays":5,"keepMonths":6,"warnAfterDays":4,"second":%s,"passphrase":%s}""";

    private static Client.Answer idle(Client lead) throws InterruptedException {
        Instant patience = Instant.now().plus(Duration.ofMinutes(2));
        Client.Answer now = lead.get("/api/backups");
        while (!now.at("/doing").asString().equals("NOTHING") && Instant.now().isBefore(patience)) {
            Thread.sleep(100);
            now = lead.get("/api/backups");
        }
        return now;
    }

    private static long backupsIn(Path in) throws IOException {
        try (Stream<Path> files = Files.list(in)) {
            return files.filter(file -> file.toString().endsWith(".backup")).count();
        }
    }

    @Test
    void lead_choosesDaysAndPlaces_hasOneMade_andSeesWhatBecameOfIt(RunningServer.Address server) throws Exception {
        Path own = folder.resolve("backups");
        Path second = Files.createDirectory(folder.resolve("second"));
        RunningServer.Address school = server.beside(
                "with_backups",
                "--lobrik.backup.folder=" + own,
                "--lobrik.backup.programs=" + BackupFileTest.programs());
        try {
            Client lead = Client.byPassword(school, "lead");
            Client.Answer first = lead.get("/api/backups");
            assertThat(first.at("/changeable").asBoolean()).isTrue();
            assertThat(first.at("/plan/days")).hasSize(7);
            assertThat(first.at("/lastGood").isNull()).isTrue();
            assertThat(first.at("/next").isString()).isTrue();
            assertThat(lead.post("/api/backups/rehearsal", "")
                            .at("/errors/0/code")
                            .asString())
                    .isEqualTo("no-backup");

            Client.Answer wrong =
                    lead.put("/api/backups", WISHES.formatted("\"" + folder.resolve("nowhere") + "\"", "\"short\""));
            assertThat(wrong.status()).isEqualTo(400);
            assertThat(wrong.at("/errors")).hasSize(2);
            assertThat(wrong.at("/errors/0/message").asString()).contains("There is no folder");
            assertThat(lead.put("/api/backups", WISHES.formatted("\"" + own + "\"", "null"))
                            .at("/errors/0/message")
                            .asString())
                    .contains("That is where the backups are already");

            Client.Answer kept =
                    lead.put("/api/backups", WISHES.formatted("\"" + second + "\"", "\"weir lantern kelp\""));
            assertThat(kept.status()).as(kept.response().body()).isEqualTo(200);
            assertThat(kept.at("/plan/at").asString()).isEqualTo("16:40");
            assertThat(kept.at("/plan/sealed").asBoolean()).isTrue();
            assertThat(kept.at("/plan/secondOnItsOwnDisk").asBoolean()).isFalse();
            assertThat(Files.getPosixFilePermissions(own.resolve("passphrase")))
                    .isEqualTo(PosixFilePermissions.fromString("rw-------"));

            assertThat(lead.post("/api/backups", "").status()).isEqualTo(200);
            Client.Answer done = idle(lead);
            assertThat(done.at("/lastGood/atSecond").asBoolean())
                    .as(done.response().body())
                    .isTrue();
            assertThat(done.at("/lastGood/sealed").asBoolean()).isTrue();
            assertThat(done.at("/warning").isNull()).isTrue();
            assertThat(done.at("/files").asInt()).isEqualTo(1);
            assertThat(backupsIn(own)).isEqualTo(1);
            assertThat(backupsIn(second)).isEqualTo(1);
            try (Stream<Path> files = Files.list(own)) {
                Path file = files.filter(each -> each.toString().endsWith(".backup"))
                        .findFirst()
                        .orElseThrow();
                assertThat(BackupReader.check(file, "weir lantern kelp".toCharArray())
                                .schools())
                        .hasSize(1);
            }

            try (Stream<Path> files = Files.list(second)) {
                assertThat(files)
                        .allSatisfy(file -> assertThat(Files.getPosixFilePermissions(file))
                                .isEqualTo(PosixFilePermissions.fromString("rw-------")));
            }

            // The second place goes away; the one here is good all the same.
            FileSystemUtils.deleteRecursively(second);
            lead.post("/api/backups", "");
            Client.Answer alone = idle(lead);
            assertThat(alone.at("/lastGood/atSecond").asBoolean()).isFalse();
            assertThat(alone.at("/lastGood/secondFault").asString()).contains("There is no folder");
            assertThat(alone.at("/warning").asString()).isEqualTo("The last backup did not reach its second place");

            // One of another day is kept, the first of today's two is not.
            assertThat(backupsIn(own)).isEqualTo(1);
            assertThat(lead.get("/api/audit?q=Backups").response().body())
                    .contains("Mon, Fri at 16:40")
                    .doesNotContain("kelp");
        } finally {
            school.context().close();
        }
    }

    /** What was sealed by a passphrase of before is opened by nobody here: another is made before one is tried. */
    @Test
    void backupSealedByThePassphraseOfBefore_isNotTried() throws IOException {
        BackupFolder ours = new BackupFolder(folder.resolve("sealed"));
        ours.open();
        Instant now = Instant.now();
        BackupBook.Made open = new BackupBook.Made(now, 1, "file", 1, false, null, null);
        BackupBook.Made sealed = new BackupBook.Made(now, 1, "file", 1, true, null, null);
        assertThat(ours.sealsAs(open)).isTrue();
        assertThat(ours.sealsAs(sealed)).isFalse();
        ours.sealBy("weir lantern kelp");
        Files.setLastModifiedTime(ours.path().resolve("passphrase"), FileTime.from(now.minus(Duration.ofMinutes(1))));
        assertThat(ours.sealsAs(sealed)).isTrue();
        assertThat(ours.sealsAs(open)).isTrue();
        Files.setLastModifiedTime(ours.path().resolve("passphrase"), FileTime.from(now.plus(Duration.ofMinutes(1))));
        assertThat(ours.sealsAs(sealed)).isFalse();
        ours.sealBy("");
        assertThat(ours.sealsAs(sealed)).isFalse();
    }

    /** Where a disk was, its empty folder stands; it is the disk of the data that would be filled. */
    @Test
    void whatIsNoLongerMounted_isNotWrittenTo() throws IOException {
        BackupFolder ours = new BackupFolder(folder.resolve("backups"));
        ours.open();
        Path mounted = Files.createDirectory(folder.resolve("mounted"));
        assertThat(SecondPlaces.fault(ours, new BackupPlan.SecondPlace(mounted.toString(), true)))
                .contains("What was mounted at " + mounted + " no longer is");
        assertThat(SecondPlaces.fault(ours, new BackupPlan.SecondPlace(mounted.toString(), false)))
                .isNull();
    }

    @Test
    void severalSchoolsOnOneServer_changeNothing_andWithoutAPlaceThereIsNone(RunningServer.Address server) {
        Client oskar = Client.signedIn(server, "oskar");
        Client.Answer answer = oskar.get("/api/backups");
        assertThat(answer.at("/plan").isNull()).isTrue();
        assertThat(answer.at("/whyNot").asString()).contains("makes no backups by itself");
        assertThat(oskar.post("/api/backups", "").status()).isEqualTo(409);
    }
}
