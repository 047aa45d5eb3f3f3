package lobrik.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.Stream;
import lobrik.server.Client.Answer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** What calls ask of the database: little, and no more where there is more on record. */
@ExtendWith(RunningServer.class)
class StatementsTest {

    private static final int MOST_FOR_A_READING = 5;

    /** The last step of a piece also writes down what it came to. */
    private static final int MOST_FOR_A_LAST_READING = MOST_FOR_A_READING + 3;

    private static List<String> asked(Client who, Supplier<Client.Call> call) {
        String name = UUID.randomUUID().toString();
        Client.Call made = call.get();
        Answer answer = who.counted(name, made);
        assertThat(answer.status()).as(made.path() + answer.body()).isEqualTo(200);
        List<String> asked = new ArrayList<>(CountedStatements.of(name));
        // The name of an account is asked for once a minute, by whoever needs it then: one such question is nobody's
        // own.
        asked.stream()
                .filter(statement -> statement.contains("password_hash"))
                .findFirst()
                .ifPresent(asked::remove);
        return asked;
    }

    private static Supplier<Client.Call> reading(String attempt, String feature, String text) {
        return () -> new Client.Call(
                "PUT",
                "/api/attempts/" + attempt + "/readings/" + UUID.randomUUID(),
                "{\"feature\":\"" + feature + "\",\"text\":\"" + text + "\"}");
    }

    private static Supplier<Client.Call> get(String path) {
        return () -> new Client.Call("GET", path, "");
    }

    @Test
    void aReading_asksForLittle(RunningServer.Address server) {
        Client runa = Client.signedIn(server, "runa");
        String attempt = Bench.of(runa, Bench.STUB, 1).open(0);
        asked(runa, reading(attempt, "mark1", "11 5/8"));
        List<String> asked = asked(runa, reading(attempt, "leg", "17 5/8"));
        assertThat(asked).hasSizeLessThanOrEqualTo(MOST_FOR_A_READING);
        assertThat(asked.stream().filter(statement -> statement.startsWith("insert into reading")))
                .hasSize(1);
        asked(runa, reading(attempt, "angle1", "90"));
        assertThat(asked(runa, reading(attempt, "otherLeg", "22"))).hasSizeLessThanOrEqualTo(MOST_FOR_A_LAST_READING);
    }

    @Test
    void theBusiestCalls_askNoMoreWhereThereIsMoreOnRecord(RunningServer.Address server) {
        Client runa = Client.signedIn(server, "runa");
        Map<String, Integer> few = busiest(runa, Bench.of(runa, Bench.STUB, 8), 1);
        Map<String, Integer> many = busiest(runa, Bench.of(runa, Bench.STUB, 8), 7);
        assertThat(many).isEqualTo(few);
    }

    /** How many statements the busiest calls took, after so many trainees measured a piece. */
    private static Map<String, Integer> busiest(Client who, Bench bench, int measured) {
        String attempt = "";
        for (int trainee = 0; trainee < measured; trainee++) {
            attempt = bench.open(trainee);
            for (String reading : List.of("mark1 11 5/8", "leg 17 5/8", "angle1 90", "otherLeg 22")) {
                String[] parts = reading.split(" ", 2);
                asked(who, reading(attempt, parts[0], parts[1]));
            }
        }
        String open = bench.open(7);
        String cohort = bench.cohort();
        String code = bench.code(7);
        Map<String, Integer> counts = new TreeMap<>();
        Stream.of(
                        Map.entry("open attempt", get("/api/attempts/" + open)),
                        Map.entry("measured attempt", get("/api/attempts/" + attempt)),
                        Map.entry("verdict", get("/api/attempts/" + attempt + "/judgement")),
                        Map.entry("floor", get("/api/floor/" + cohort)),
                        Map.entry("kit", get("/api/cohorts/" + cohort + "/kit")),
                        Map.entry("matrix", get("/api/cohorts/" + cohort + "/matrix")),
                        Map.entry("plan", get("/api/cohorts/" + cohort + "/plan")),
                        Map.entry("sheet", get("/api/benches/" + code)),
                        Map.entry("step", step(open)),
                        Map.entry("reading", reading(open, "mark1", "11 5/8")))
                .forEach(call -> {
                    asked(who, call.getValue());
                    // What is asked once a minute, by whoever comes then, is nobody's own.
                    int once = asked(who, call.getValue()).size();
                    counts.put(
                            call.getKey(),
                            Math.min(once, asked(who, call.getValue()).size()));
                });
        return counts;
    }

    private static Supplier<Client.Call> step(String attempt) {
        return () -> new Client.Call(
                "PUT", "/api/attempts/" + attempt + "/steps/" + UUID.randomUUID(), "{\"step\":\"called\"}");
    }
}
