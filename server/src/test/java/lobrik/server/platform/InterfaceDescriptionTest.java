package lobrik.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import lobrik.server.Client;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * The client's types are generated from {@code web/openapi.json}; this holds that file, and {@code web/src/bends/kinds.json},
 * to what the server serves. After a change of the interface run {@code mvn -pl server/checks -am test -Dtest=InterfaceDescriptionTest -Dlobrik.write-openapi} to write them anew.
 */
@ExtendWith(RunningServer.class)
class InterfaceDescriptionTest {

    private static final Path DESCRIPTION = Path.of("..", "web", "openapi.json");
    private static final Path KINDS = Path.of("..", "web", "src", "bends", "kinds.json");

    @Test
    void servedDescription_isTheOneTheClientIsBuiltFrom(RunningServer.Address server) throws IOException {
        JsonNode served = new Client(server).get("/api/openapi.json").body();
        assertThat(served.at("/openapi").asString()).startsWith("3.1");
        assertCommitted(DESCRIPTION, served);
    }

    private static void assertCommitted(Path copy, JsonNode served) throws IOException {
        JsonMapper json = JsonMapper.shared();
        if (System.getProperty("lobrik.write-openapi") != null) {
            Files.writeString(copy, json.writerWithDefaultPrettyPrinter().writeValueAsString(served) + "\n");
        }
        assertThat(json.readTree(Files.readString(copy))).isEqualTo(served);
    }

    /** The screens name bends and features, and ask for sizes, by a copy of what the core says of them. */
    @Test
    void servedKinds_areThoseTheClientIsBuiltWith(RunningServer.Address server) throws IOException {
        assertCommitted(KINDS, new Client(server).get("/api/calc/kinds").body());
    }

    @Test
    void everyCallOfTheContract_isDescribed(RunningServer.Address server) {
        JsonNode paths = new Client(server).get("/api/openapi.json").at("/paths");
        for (String call : new String[] {"layout", "simulate", "score"}) {
            assertThat(paths.at("/~1api~1calc~1" + call + "/post/requestBody").isMissingNode())
                    .isFalse();
        }
    }
}
