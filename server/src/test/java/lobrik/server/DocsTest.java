package lobrik.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What documents name is there: every test that docs/security.md leans on. */
class DocsTest {

    private static final Path ROOT = Stream.of(Path.of("..", ".."), Path.of(".."))
            .filter(each -> Files.isDirectory(each.resolve("docs")))
            .findFirst()
            .orElseThrow();

    private static Set<String> tests() throws IOException {
        Set<String> names = new TreeSet<>();
        for (String module : new String[] {"core", "server", "e2e"}) {
            try (Stream<Path> files = Files.walk(ROOT.resolve(module).resolve("src/test/java"))) {
                names.addAll(files.map(file -> file.getFileName().toString())
                        .filter(name -> name.endsWith("Test.java"))
                        .map(name -> name.substring(0, name.length() - ".java".length()))
                        .collect(Collectors.toSet()));
            }
        }
        return names;
    }

    @Test
    void testsThatSecurityLeansOn_areThere() throws IOException {
        Matcher named = Pattern.compile("`(\\w+Test)`").matcher(Files.readString(ROOT.resolve("docs/security.md")));
        Set<String> missing = new TreeSet<>();
        Set<String> there = tests();
        int count = 0;
        while (named.find()) {
            count++;
            if (!there.contains(named.group(1))) {
                missing.add(named.group(1));
            }
        }
        assertThat(missing).isEmpty();
        assertThat(count).isGreaterThan(60);
    }
}
