package lobrik.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Each build lists what it is made of, with licences, in CycloneDX; and nothing gets in under one that a school could not live with. */
class BillOfMaterialsTest {

    /** As SPDX has them; what is under one of several needs one that is here. */
    private static final Set<String> GOOD = Set.of(
            "0BSD",
            "Apache-2.0",
            "Artistic-2.0",
            "BlueOak-1.0.0",
            "BSD-2-Clause",
            "BSD-3-Clause",
            "CC-BY-3.0",
            "CC-BY-4.0",
            "CC0-1.0",
            "EPL-1.0",
            "EPL-2.0",
            "GPL-2.0-with-classpath-exception",
            "ISC",
            "LGPL-2.1-only",
            "LGPL-2.1-or-later",
            "LGPL-3.0-only",
            "MIT",
            "MIT-0",
            "MPL-1.1",
            "MPL-2.0",
            "OFL-1.1",
            "Python-2.0",
            "Unlicense",
            "WTFPL");

    /** Where the list says something else than it means, or nothing: what its own files say. */
    private static final Map<String, String> SAYS_OTHERWISE = Map.of(
            "bcpkix-jdk18on", "MIT by another name",
            "bcprov-jdk18on", "MIT by another name",
            "bcpg-jdk18on", "MIT by another name",
            "bcutil-jdk18on", "MIT by another name",
            "openpdf", "LGPL-2.1 or MPL-2.0, written out",
            "spring-session-core", "Apache-2.0, in its own jar",
            "spring-session-jdbc", "Apache-2.0, in its own jar",
            "dejavu-fonts-ttf", "the Bitstream Vera licence, free to use and to ship",
            "qrcode-terminal", "Apache-2.0, in its README; part of npm, which only builds");

    private static JsonNode list(String name) throws IOException {
        try (InputStream list =
                Objects.requireNonNull(BillOfMaterialsTest.class.getResourceAsStream("/META-INF/sbom/" + name), name)) {
            return JsonMapper.shared().readTree(list);
        }
    }

    private static Set<String> licences(JsonNode component) {
        return component
                .path("licenses")
                .valueStream()
                .flatMap(each -> Stream.of(each.at("/license/id"), each.at("/license/name"), each.at("/expression"))
                        .filter(JsonNode::isString)
                        .map(JsonNode::asString))
                .flatMap(text -> Stream.of(text.replaceAll("[()]", "").split(" (?:OR|AND) ")))
                .collect(Collectors.toSet());
    }

    @ParameterizedTest
    @CsvSource({"application.cdx.json,100,hibernate-core", "screens.cdx.json,300,react"})
    void everything_isListed_withAVersionAndALicenceThatIsGood(String name, int atLeast, String known)
            throws IOException {
        JsonNode list = list(name);
        assertThat(list.path("bomFormat").asString()).isEqualTo("CycloneDX");
        Set<String> wrong = new TreeSet<>();
        int count = 0;
        boolean found = false;
        for (JsonNode component : list.path("components")) {
            String what = component.path("name").asString();
            count++;
            found |= what.equals(known);
            assertThat(component.path("version").asString()).as(what).isNotEmpty();
            assertThat(component.path("purl").asString()).as(what).startsWith("pkg:");
            boolean ours = component.path("group").asString().equals("lobrik");
            if (!ours
                    && !SAYS_OTHERWISE.containsKey(what)
                    && licences(component).stream().noneMatch(GOOD::contains)) {
                wrong.add(what + " " + component.path("licenses"));
            }
        }
        assertThat(wrong).isEmpty();
        assertThat(count).isGreaterThan(atLeast);
        assertThat(found).as(known).isTrue();
    }

    @Test
    void whatWasListed_isWhatIsThere() throws IOException {
        Set<String> listed = list("application.cdx.json")
                .path("components")
                .valueStream()
                .map(component -> component.path("name").asString() + "-"
                        + component.path("version").asString() + ".jar")
                .collect(Collectors.toSet());
        Set<String> driver = Stream.of(System.getProperty("java.class.path").split(":"))
                .map(path -> path.substring(path.lastIndexOf('/') + 1))
                .filter(name -> name.startsWith("postgresql-") || name.startsWith("spring-core-"))
                .collect(Collectors.toSet());
        assertThat(driver).hasSize(2);
        assertThat(listed).containsAll(driver);
    }
}
