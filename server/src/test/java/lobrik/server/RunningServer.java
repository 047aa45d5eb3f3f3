package lobrik.server;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
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

        static final String PASSWORD = "tern-quay";

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
            ConfigurableApplicationContext context = new SpringApplication(LobrikApplication.class)
                    .run(
                            "--server.port=0",
                            "--spring.datasource.url=" + url,
                            "--spring.datasource.password=" + cluster[1],
                            "--spring.flyway.password=" + cluster[1],
                            "--lobrik.demo=true",
                            "--lobrik.first-password=" + Address.PASSWORD,
                            "--lobrik.gauges=" + angle.port() + "," + height.port(),
                            "--lobrik.calc.requests-per-second=1000");
            String port = context.getEnvironment().getRequiredProperty("local.server.port");
            return new Address("http://127.0.0.1:" + port, url, cluster[1], angle, height, context);
        } catch (IOException e) {
            throw new IllegalStateException("The test server did not start", e);
        }
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
