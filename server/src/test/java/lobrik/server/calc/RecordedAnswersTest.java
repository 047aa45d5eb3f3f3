package lobrik.server.calc;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import lobrik.server.Client;
import lobrik.server.Client.Answer;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * The calculation interface answers 2,000 calls ({@link RandomCalls}) as the build of 28 November 2026 did, figure by figure, but
 * for members that were added since. Of that build there are the members it had ({@code calc-answers.members}) and a hash of each
 * answer ({@code calc-answers.hashes}): {@code -Dlobrik.record=true} writes them anew, and the answers themselves to {@code target},
 * to be compared with those of another build.
 */
@ExtendWith(RunningServer.class)
class RecordedAnswersTest {

    private static final int CALLS = 2000;

    /** Every build makes one call of this many, a full run all. */
    private static final int EACH = Boolean.getBoolean("lobrik.full") || Boolean.getBoolean("lobrik.record") ? 1 : 8;

    private static final long SEED = 15;
    private static final Path RECORDS = Path.of("src", "test", "resources", "records");
    private static final Path ANSWERS = Path.of("target", "calc-answers.txt");

    private static final Pattern KINDS_THERE_ARE = Pattern.compile("(is not a kind of bend); try [^\"]*");

    private static String said(Answer answer, Set<String> members, boolean collecting) {
        JsonNode body = answer.body().deepCopy();
        if (collecting) {
            collect("", body, members);
        } else {
            keep("", body, members);
        }
        // Which kinds there are may grow.
        return KINDS_THERE_ARE.matcher(answer.status() + " " + body).replaceAll("$1");
    }

    private static void collect(String at, JsonNode node, Set<String> members) {
        node.properties().forEach(each -> {
            members.add(at + "/" + each.getKey());
            collect(at + "/" + each.getKey(), each.getValue(), members);
        });
        if (node.isArray()) {
            node.forEach(each -> collect(at, each, members));
        }
    }

    /** Without what was added to answers since. */
    private static void keep(String at, JsonNode node, Set<String> members) {
        if (node instanceof ObjectNode object) {
            List<String> added = object.propertyNames().stream()
                    .filter(name -> !members.contains(at + "/" + name))
                    .toList();
            object.remove(added);
            object.properties().forEach(each -> keep(at + "/" + each.getKey(), each.getValue(), members));
        } else if (node.isArray()) {
            node.forEach(each -> keep(at, each, members));
        }
    }

    private static String hash(String said) {
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256").digest(said.getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(digest, 0, 8);
        } catch (NoSuchAlgorithmException everyPlatformHasIt) {
            throw new IllegalStateException(everyPlatformHasIt);
        }
    }

    @Test
    void answersAreThoseOnRecord(RunningServer.Address server) throws IOException {
        boolean recording = Boolean.getBoolean("lobrik.record");
        Client client = new Client(server);
        RandomCalls calls = new RandomCalls(SEED);
        Path hashesFile = RECORDS.resolve("calc-answers.hashes");
        Path membersFile = RECORDS.resolve("calc-answers.members");
        // What was added since stays out of the record, unless the file is taken away first.
        boolean collecting = recording && !Files.exists(membersFile);
        Set<String> members = collecting ? new TreeSet<>() : Set.copyOf(Files.readAllLines(membersFile));
        List<String> hashes = recording ? List.of() : Files.readAllLines(hashesFile);
        List<String> now = new ArrayList<>();
        List<String> answers = new ArrayList<>();
        List<String> changed = new ArrayList<>();
        for (int i = 0; i < CALLS; i++) {
            RandomCalls.Call call = calls.next(i);
            if (i / 10 % EACH != 0) {
                continue;
            }
            Answer answer = client.post("/api/calc/" + call.path(), call.body());
            assertThat(answer.status()).as(call.toString()).isIn(200, 400, 422);
            String said = said(answer, members, collecting);
            now.add(hash(said));
            answers.add(i + " " + call.path() + " " + call.body() + "\n" + said);
            if (!recording && !hashes.get(i).equals(now.getLast())) {
                changed.add(i + " " + call.path() + " " + call.body() + "\n  now " + said);
            }
        }
        if (recording) {
            Files.write(hashesFile, now);
            Files.write(membersFile, new TreeSet<>(members));
            Files.write(ANSWERS, answers);
        }
        assertThat(changed).isEmpty();
        assertThat(answers).hasSize(CALLS / EACH);
    }
}
