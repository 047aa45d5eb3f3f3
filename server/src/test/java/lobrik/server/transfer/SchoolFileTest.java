package lobrik.server.transfer;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import javax.imageio.ImageIO;
import lobrik.server.Client;
import lobrik.server.RunningServer;
import lobrik.server.attempt.FollowUps;
import lobrik.server.transfer.SchoolTables.Table;
import org.apache.commons.codec.digest.DigestUtils;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.boot.DefaultApplicationArguments;
import tools.jackson.databind.JsonNode;

/** A whole school out of one server and into another. */
@ExtendWith(RunningServer.class)
class SchoolFileTest {

    private static final String ID = "[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}";

    private static final Path KEPT =
            Path.of("src/test/resources/records/demo-school-v29.sql.gz").toAbsolutePath();

    @Test
    void broughtIntoAnEmptySchool_isAsItWas_andGoesOutAgainByteForByte(RunningServer.Address server)
            throws IOException, SQLException {
        RunningServer.Address from = server.restored("school_out", KEPT);
        byte[] file;
        String progress;
        String attempt;
        String verdict;
        String trainee;
        try {
            Client oskar = Client.signedIn(from, "oskar");
            String cohort = oskar.get("/api/cohorts").at("/0/id").asString();
            JsonNode floor = oskar.get("/api/floor/" + cohort).body();
            trainee = floor.at("/benches/0/traineeId").asString();
            assertThat(oskar.putBytes("/api/trainees/" + trainee + "/portrait", picture())
                            .status())
                    .isEqualTo(204);
            progress =
                    oskar.get("/api/trainees/" + trainee + "/progress").body().toString();
            attempt = oskar.get("/api/trainees/" + trainee + "/progress")
                    .body()
                    .findPath("attemptId")
                    .asString();
            verdict =
                    oskar.get("/api/attempts/" + attempt + "/judgement").body().toString();
            assertThat(oskar.putBytes("/api/school/logo", picture()).status()).isEqualTo(200);
            assertThat(oskar.putBytes("/api/attempts/" + attempt + "/photos/" + UUID.randomUUID(), picture())
                            .status())
                    .isEqualTo(200);
            file = oskar.file("/api/school/file");
            assertCopyIsLikeIt(from, trainee, progress);
        } finally {
            from.context().close();
        }
        RunningServer.Address to = server.beside("school_in");
        try {
            Client lead = Client.byPassword(to, "lead");
            Client.Answer seen = lead.putBytes("/api/school/file", file);
            assertThat(seen.status()).as(seen.response().body()).isEqualTo(200);
            assertThat(seen.at("/name").asString()).isEqualTo("Tern Quay Apprentice School");
            assertThat(seen.at("/readings").asLong()).isGreaterThan(1000);
            assertThat(lead.get("/api/school").at("/name").asString())
                    .as("nothing is brought in by looking")
                    .isNotEqualTo("Tern Quay Apprentice School");
            String as = seen.at("/leads/0/id").asString();
            Client.Answer brought = lead.putBytes("/api/school/file?as=" + as, file);
            assertThat(brought.status()).as(brought.response().body()).isEqualTo(200);
            assertThat(lead.get("/api/me").at("/fullName").asString()).isEqualTo("Oskar Brindlemay");
            byte[] again = lead.file("/api/school/file");
            Map<String, String> there = entries(again);
            entries(file)
                    .forEach((name, content) -> assertThat(Objects.equals(there.get(name), content))
                            .as(name)
                            .isTrue());
            assertThat(Arrays.equals(again, file)).as("byte for byte").isTrue();
            settled(to);
            assertThat(lead.get("/api/trainees/" + trainee + "/progress").body().toString())
                    .isEqualTo(progress);
            assertThat(lead.get("/api/attempts/" + attempt + "/judgement")
                            .body()
                            .toString())
                    .isEqualTo(verdict);
            Client.Answer chain = lead.get("/api/audit/chain");
            assertThat(chain.at("/0/fault").isString())
                    .as("its audit goes on unbroken")
                    .isFalse();
            assertThat(chain.at("/0/entries").asLong()).isGreaterThan(2);
            assertThat(lead.put(
                                    "/api/cohorts/" + UUID.randomUUID(),
                                    "{\"name\":\"Next year\",\"trainees\":[\"Ulf Ness\"]}")
                            .status())
                    .as("and it goes on")
                    .isEqualTo(200);
            assertThat(Client.byPassword(to, "oskar").get("/api/me").at("/role").asString())
                    .as("with the password of whoever brought it in")
                    .isEqualTo("LEAD");
            assertThat(lead.putBytes("/api/school/file?as=" + as, file)
                            .at("/errors/0/code")
                            .asString())
                    .isEqualTo("not-empty");
        } finally {
            to.context().close();
        }
    }

    /** What pieces came to is worked out anew, one after the other. */
    private static void settled(RunningServer.Address server) throws SQLException {
        try (Connection database =
                DriverManager.getConnection(server.databaseUrl(), "lobrik_owner", server.databasePassword())) {
            boolean left = true;
            while (left) {
                server.context().getBean(FollowUps.class).settle();
                try (ResultSet list = database.createStatement().executeQuery("select 1 from follow_up limit 1")) {
                    left = list.next();
                }
            }
        }
    }

    private static byte[] picture() throws IOException {
        BufferedImage picture = new BufferedImage(60, 40, BufferedImage.TYPE_INT_RGB);
        picture.setRGB(30, 20, 0xFF8800);
        ByteArrayOutputStream to = new ByteArrayOutputStream();
        ImageIO.write(picture, "png", to);
        return to.toByteArray();
    }

    private static Map<String, String> entries(byte[] file) {
        Map<String, String> entries = new LinkedHashMap<>();
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(file))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                entries.put(entry.getName(), new String(zip.readAllBytes(), StandardCharsets.ISO_8859_1));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return entries;
    }

    /** Another school of the same record, made of this one: what is known of its people is the same, under ids of their own. */
    private static void assertCopyIsLikeIt(RunningServer.Address from, String trainee, String progress)
            throws SQLException {
        new SchoolCopies(2, from.databaseUrl(), "lobrik_owner", from.databasePassword())
                .run(new DefaultApplicationArguments());
        Client lead = Client.signedIn(from, "oskar2");
        String copy = DigestUtils.md5Hex(trainee + "/2").replaceFirst("(.{8})(.{4})(.{4})(.{4})", "$1-$2-$3-$4-");
        // What was signed names the pieces by their ids, which are others here.
        assertThat(lead.get("/api/trainees/" + copy + "/progress")
                        .body()
                        .toString()
                        .replaceAll(ID, "id")
                        .replaceAll("\"changed\":\\[[^]]*]", ""))
                .isEqualTo(progress.replaceAll(ID, "id").replaceAll("\"changed\":\\[[^]]*]", ""));
        assertThat(lead.get("/api/trainees/" + trainee + "/progress").status()).isEqualTo(404);
        assertThat(Client.signedIn(from, "oskar")
                        .get("/api/trainees/" + copy + "/progress")
                        .status())
                .isEqualTo(404);
    }

    @Test
    void damaged_orOfASchoolThatIsHere_orNoSchool_bringsNothingIn(RunningServer.Address server) throws IOException {
        byte[] file = Client.signedIn(server, "oskar").file("/api/school/file");
        Client lead = Client.byPassword(server, server.stranger());
        String as = lead.putBytes("/api/school/file", file).at("/leads/0/id").asString();
        assertThat(lead.putBytes("/api/school/file?as=" + as, file)
                        .at("/errors/0/code")
                        .asString())
                .isEqualTo("known-here");
        assertThat(lead.putBytes("/api/school/file", "no archive".getBytes(StandardCharsets.UTF_8))
                        .at("/errors/0/code")
                        .asString())
                .isEqualTo("unreadable");
        byte[] changed = changed(
                file,
                "-account.jsonl",
                line -> line.replace("ASSISTANT", "LEAD").replace("INSTRUCTOR", "LEAD"));
        assertThat(lead.putBytes("/api/school/file", changed)
                        .at("/errors/0/code")
                        .asString())
                .isEqualTo("damaged");
        assertThat(lead.get("/api/me").at("/role").asString())
                .as("still who they were")
                .isEqualTo("LEAD");
    }

    private interface Change {

        String of(String content);
    }

    private static byte[] changed(byte[] file, String ending, Change change) throws IOException {
        ByteArrayOutputStream to = new ByteArrayOutputStream();
        try (ZipInputStream from = new ZipInputStream(new ByteArrayInputStream(file));
                ZipOutputStream zip = new ZipOutputStream(to)) {
            for (ZipEntry entry = from.getNextEntry(); entry != null; entry = from.getNextEntry()) {
                zip.putNextEntry(new ZipEntry(entry.getName()));
                byte[] content = from.readAllBytes();
                zip.write(
                        entry.getName().endsWith(ending)
                                ? change.of(new String(content, StandardCharsets.UTF_8))
                                        .getBytes(StandardCharsets.UTF_8)
                                : content);
                zip.closeEntry();
            }
        }
        return to.toByteArray();
    }

    /** Whoever adds a table says whether it is of a school. */
    @Test
    void everyTable_isInTheFile_orLeftOutOnPurpose(RunningServer.Address server) throws SQLException {
        Set<String> known = new HashSet<>(SchoolTables.LEFT_OUT);
        known.addAll(SchoolTables.ALL.stream().map(Table::name).collect(Collectors.toSet()));
        Set<String> there = new HashSet<>();
        try (Connection database =
                        DriverManager.getConnection(server.databaseUrl(), "lobrik_owner", server.databasePassword());
                ResultSet tables = database.createStatement()
                        .executeQuery("select tablename from pg_tables where schemaname = 'public'")) {
            while (tables.next()) {
                there.add(tables.getString(1));
            }
        }
        assertThat(known).isEqualTo(there);
    }

    @Test
    void nothingThatLetsSomebodyIn_isInTheFile(RunningServer.Address server) throws IOException {
        byte[] file = Client.signedIn(server, "oskar").file("/api/school/file");
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(file))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                String content = new String(zip.readAllBytes(), StandardCharsets.UTF_8);
                assertThat(content).as(entry.getName()).doesNotContain("{bcrypt}", "password_hash");
            }
        }
    }
}
