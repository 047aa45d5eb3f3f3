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
 * The client's types are generated from {@code web/openapi.json}; this holds that file to what the server serves. After a
 * change of the interface run {@code mvn -pl server/checks -am test -Dtest=InterfaceDescriptionTest -Dlobrik.write-openapi} to write it anew.
 */
@ExtendWith(RunningServer.class)
class InterfaceDescriptionTest {

    private static final Path COMMITTED = Path.of("..", "web", "openapi.json");

    @Test
    void servedDescription_isTheOneTheClientIsBuiltFrom(RunningServer.Address server) throws IOException {
        JsonMapper json = JsonMapper.shared();
        JsonNode served = new Client(server).get("/api/openapi.json").body();
        assertThat(served.at("/openapi").asString()).startsWith("3.1");
        if (System.getProperty("lobrik.write-openapi") != null) {
            Files.writeString(COMMITTED, json.writerWithDefaultPrettyPrinter().writeValueAsString(served) + "\n");
        }
        assertThat(json.readTree(Files.readString(COMMITTED))).isEqualTo(served);
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
