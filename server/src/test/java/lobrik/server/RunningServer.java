package lobrik.server;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lobrik.gauges.SimulatedGauge;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;

/**
 * The real application against a real, throw-away PostgreSQL with the demo school, started once for all tests of this JVM.
 * Tests ask for a {@link RunningServer.Address} as a parameter.
 */
public final class RunningServer implements BeforeAllCallback, ParameterResolver {

    private static final ExtensionContext.Namespace SPACE = ExtensionContext.Namespace.create(RunningServer.class);

    /** Where the server answers, the database behind it, and the gauges beside it. */
    public record Address(
            String base,
            String databaseUrl,
            String databasePassword,
            SimulatedGauge angleGauge,
            SimulatedGauge heightGauge,
            ConfigurableApplicationContext context)
            implements AutoCloseable {

        public static final String PASSWORD = "tern-quay";

        /**
         * Another application, on a database of the same cluster that a dump was restored to.
         *
         * @param dump gzipped SQL; accounts in it get the password that {@link Client} signs in with
         */
        public Address restored(String name, Path dump) throws IOException {
            String url = dumped(name, dump);
            try (Connection here = DriverManager.getConnection(databaseUrl, "lobrik_owner", databasePassword);
                    Connection there = DriverManager.getConnection(url, "lobrik_owner", databasePassword);
                    ResultSet known = here.createStatement()
                            .executeQuery("select password_hash from account where sign_in_name = 'oskar'");
                    PreparedStatement set = there.prepareStatement("update account set password_hash = ?")) {
                known.next();
                set.setString(1, known.getString(1));
                set.executeUpdate();
            } catch (SQLException e) {
                throw new IOException("The dump could not be opened", e);
            }
            ConfigurableApplicationContext restored = application(url, databasePassword);
            return new Address(RunningServer.base(restored), url, databasePassword, angleGauge, heightGauge, restored);
        }

        /**
         * A database of the same cluster that a dump was restored to.
         *
         * @param dump SQL, gzipped or not
         * @return where it is
         */
        public String dumped(String name, Path dump) throws IOException {
            String url = newDatabase(name);
            run("bash", "-c", "set -o pipefail; zcat -f '" + dump + "' | " + psql() + " -U lobrik_owner -d " + name);
            return url;
        }

        /** Takes such a database away again. */
        public void dropped(String name) throws IOException {
            run("bash", "-c", psql() + " -U lobrik_admin -d postgres -c 'drop database " + name + "'");
        }

        /** A second application of the same record, as another server of the school would be; without gauges of its own. */
        public Address second() {
            ConfigurableApplicationContext second = application(databaseUrl, databasePassword, "--lobrik.demo=true");
            return new Address(
                    RunningServer.base(second), databaseUrl, databasePassword, angleGauge, heightGauge, second);
        }

        /** Another application, of a school with nobody but its lead and with a clock of its own, in the same cluster. */
        public Address beside(String name, String... more) throws IOException {
            String url = newDatabase(name);
            List<String> arguments = new ArrayList<>(List.of(more));
            arguments.add("--lobrik.demo=false");
            ConfigurableApplicationContext beside =
                    application(url, databasePassword, arguments.toArray(String[]::new));
            return new Address(RunningServer.base(beside), url, databasePassword, angleGauge, heightGauge, beside);
        }

        /** The name of an account of a test's own, a lead like oskar, so that what is done to it happens to nobody else. */
        public String guest() {
            String name = "guest-" + UUID.randomUUID();
            change("""
                    insert into account (id, centre_id, sign_in_name, full_name, role, password_hash, unit, created_at)
                    select gen_random_uuid(), centre_id, '%s', 'Guest', 'LEAD', password_hash, unit, created_at
                    from account where sign_in_name = 'oskar'""".formatted(name));
            return name;
        }

        /** The name of an account that leads another school on the same server. */
        public String stranger() {
            String name = guest();
            UUID school = UUID.randomUUID();
            change("insert into centre (id, name, created_at) values ('" + school + "', 'Another school', now())");
            change("update account set centre_id = '" + school + "' where sign_in_name = '" + name + "'");
            return name;
        }

        /** Another school on the same server, with a cohort and nobody else. */
        public UUID school() {
            UUID school = UUID.randomUUID();
            change("insert into centre (id, name, created_at) values ('" + school + "', 'Another school', now())");
            change("insert into cohort (id, centre_id, name, created_at) values (gen_random_uuid(), '" + school
                    + "', 'Its cohort', now())");
            return school;
        }

        /** The name of an account of a test's own at a school, in any role; instructors and assistants belong to all its cohorts. */
        public String account(UUID school, String role) {
            String name = role.toLowerCase(Locale.ROOT) + "-" + UUID.randomUUID();
            UUID trainee = UUID.randomUUID();
            boolean isTrainee = role.equals("TRAINEE");
            if (isTrainee) {
                change("""
                        insert into trainee (id, cohort_id, full_name, bench)
                        select '%s', id, 'Guest', 1 from cohort where centre_id = '%s' limit 1""".formatted(trainee, school));
            }
            change("""
                    insert into account (id, centre_id, sign_in_name, full_name, role, password_hash, unit, created_at, trainee_id)
                    select gen_random_uuid(), '%s', '%s', 'Guest', '%s', password_hash, unit, created_at, %s
                    from account where sign_in_name = 'oskar'""".formatted(school, name, role, isTrainee ? "'" + trainee + "'" : "null"));
            if (!isTrainee) {
                change("""
                        insert into cohort_instructor (cohort_id, account_id)
                        select c.id, a.id from cohort c, account a where c.centre_id = '%s' and a.sign_in_name = '%s'""".formatted(school, name));
            }
            return name;
        }

        /** An id of the demo school for each beginning of a path that takes one, what is more particular first. */
        public Map<String, String> idsOfTheDemoSchool() {
            String ofSchool = " where centre_id = (select centre_id from account where sign_in_name = 'oskar')";
            String ofCohorts = " where cohort_id in (select id from cohort" + ofSchool + ")";
            String ofTrainees = " where trainee_id in (select id from trainee" + ofCohorts + ")";
            Map<String, String> rows = new LinkedHashMap<>();
            rows.put("/api/assignments/", "assignment" + ofTrainees);
            rows.put("/api/attempts/", "attempt" + ofTrainees);
            rows.put("/api/benders/", "bender" + ofSchool);
            rows.put("/api/class-sessions/", "class_session" + ofSchool);
            rows.put("/api/cohorts/", "cohort" + ofSchool);
            rows.put("/api/floor/", "cohort" + ofSchool);
            rows.put("/api/givings/", "giving" + ofSchool);
            rows.put("/api/groups/", "trainee_group" + ofCohorts);
            rows.put("/api/holidays/", "holiday" + ofSchool);
            rows.put("/api/jobs/of/", "assignment" + ofTrainees);
            rows.put("/api/jobs/", "run_job" + ofSchool);
            rows.put("/api/judging-presets/", "judging_preset" + ofSchool);
            rows.put("/api/library/", "library_entry" + ofSchool);
            rows.put("/api/people/", "account" + ofSchool);
            rows.put("/api/rooms/", "room" + ofSchool);
            rows.put("/api/rota/", "cohort" + ofSchool);
            rows.put("/api/shed/benders/", "bender" + ofSchool);
            rows.put("/api/sign-offs/", "sign_off" + ofTrainees);
            rows.put("/api/stock/", "conduit" + ofSchool);
            rows.put("/api/studies/", "measuring_study" + ofSchool);
            rows.put("/api/trainees/", "trainee" + ofCohorts);
            Map<String, String> ids = new LinkedHashMap<>();
            rows.forEach((path, row) -> first(row).ifPresent(id -> ids.put(path, id)));
            return ids;
        }

        private Optional<String> first(String row) {
            try (Connection connection = DriverManager.getConnection(databaseUrl, "lobrik_owner", databasePassword);
                    PreparedStatement ask = connection.prepareStatement("select id from " + row + " limit 1");
                    ResultSet found = ask.executeQuery()) {
                return found.next() ? Optional.of(found.getString(1)) : Optional.empty();
            } catch (SQLException e) {
                throw new IllegalStateException(row, e);
            }
        }

        /** Changes what no request can change, such as how long ago something was. */
        public void change(String statement) {
            try (Connection connection = DriverManager.getConnection(databaseUrl, "lobrik_owner", databasePassword);
                    PreparedStatement change = connection.prepareStatement(statement)) {
                change.executeUpdate();
            } catch (SQLException e) {
                throw new IllegalStateException(statement, e);
            }
        }

        /** What only whoever runs the cluster may do. */
        public void administered(String statement) throws IOException {
            run("bash", "-c", psql() + " -U lobrik_admin -d lobrik -c \"" + statement + '"');
        }

        private String psql() {
            String port = databaseUrl.replaceAll(".*:(\\d+)/.*", "$1");
            return "PGPASSWORD=" + databasePassword + " psql -q -v ON_ERROR_STOP=1 -h 127.0.0.1 -p " + port;
        }

        private String newDatabase(String name) throws IOException {
            run(
                    "bash",
                    "-c",
                    psql() + " -U lobrik_admin -d postgres -c 'create database " + name + " owner lobrik_owner'");
            return databaseUrl.replaceAll("/lobrik$", "/" + name);
        }

        @Override
        public void close() throws IOException {
            context.close();
            angleGauge.close();
            heightGauge.close();
            run("bash", script(), "discard", folder().toString());
        }
    }

    @Override
    public void beforeAll(ExtensionContext context) {
        address(context);
    }

    @Override
    public boolean supportsParameter(ParameterContext parameter, ExtensionContext context) {
        return parameter.getParameter().getType() == Address.class;
    }

    @Override
    public Object resolveParameter(ParameterContext parameter, ExtensionContext context) {
        return address(context);
    }

    private static Address address(ExtensionContext context) {
        return context.getRoot().getStore(SPACE).getOrComputeIfAbsent(Address.class, key -> start(), Address.class);
    }

    private static Address start() {
        try {
            String[] cluster = run("bash", script(), "temporary", folder().toString())
                    .strip()
                    .split(" ");
            String url = "jdbc:postgresql://127.0.0.1:" + cluster[0] + "/lobrik";
            SimulatedGauge angle = SimulatedGauge.angle(0);
            SimulatedGauge height = SimulatedGauge.height(0);
            ConfigurableApplicationContext context = application(
                    url, cluster[1], "--lobrik.demo=true", "--lobrik.gauges=" + angle.port() + "," + height.port());
            return new Address(base(context), url, cluster[1], angle, height, context);
        } catch (IOException e) {
            throw new IllegalStateException("The test server did not start", e);
        }
    }

    /** The application on a database. */
    private static ConfigurableApplicationContext application(String url, String password, String... more) {
        List<String> arguments = new ArrayList<>(List.of(more));
        arguments.addAll(List.of(
                "--server.port=0",
                "--spring.datasource.url=" + url,
                "--spring.datasource.password=" + password,
                "--spring.flyway.password=" + password,
                "--lobrik.first-password=" + Address.PASSWORD,
                "--lobrik.calc.requests-per-second=1000"));
        return new SpringApplication(LobrikApplication.class).run(arguments.toArray(String[]::new));
    }

    private static String base(ConfigurableApplicationContext context) {
        return "http://127.0.0.1:" + context.getEnvironment().getRequiredProperty("local.server.port");
    }

    private static String script() {
        return Path.of("..", "scripts", "cluster.sh")
                .toAbsolutePath()
                .normalize()
                .toString();
    }

    /** Not below the project: the database's own user must be able to reach it. */
    private static Path folder() {
        return Path.of(
                System.getProperty("java.io.tmpdir"),
                "lobrik-test-" + ProcessHandle.current().pid());
    }

    private static String run(String... command) throws IOException {
        Path errors = Files.createTempFile("lobrik", ".err");
        Process process =
                new ProcessBuilder(command).redirectError(errors.toFile()).start();
        String output = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        if (process.onExit().join().exitValue() != 0) {
            throw new IOException(String.join(" ", command) + " failed: " + Files.readString(errors));
        }
        Files.delete(errors);
        return output;
    }
}
