package lobrik.server.exercise;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import lobrik.server.Bench;
import lobrik.server.Client;
import lobrik.server.Client.Answer;
import lobrik.server.RunningServer;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.Isolated;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** The library: versions, putting away, and files out and in. */
@ExtendWith(RunningServer.class)
@Isolated("The library is the whole centre's, and it is counted here.")
class LibraryTest {

    private static final String TAKEN_OFF = """
            ,"entered":{"unit":"in","texts":{"legIn":"58 1/4 − 40 1/2 − 1/8","otherLegIn":"22"}},
             "variation":{"seed":7,"ranges":[{"input":"legIn","from":14,"to":20,"step":0.125}]}""";

    private Client runa;

    @BeforeEach
    void signIn(RunningServer.Address server) {
        runa = Client.signedIn(server, "runa");
    }

    private static String id() {
        return UUID.randomUUID().toString();
    }

    private Answer save(String id, String exercise, @Nullable Integer basedOn) {
        return runa.put("/api/library/" + id, "{\"exercise\":" + exercise + ",\"basedOn\":" + basedOn + "}");
    }

    private static String stub(String title, double leg) {
        return SampleExercises.exercise(title, SampleExercises.stub(leg), "");
    }

    private JsonNode firstYear() {
        return runa.get("/api/cohorts")
                .body()
                .valueStream()
                .filter(cohort -> cohort.at("/name").asString().equals("First year"))
                .findFirst()
                .orElseThrow();
    }

    private void giveOut(String entry, String exercise) {
        String cohort = firstYear().at("/id").asString();
        Answer given = runa.put(
                "/api/givings/" + id(),
                "{\"libraryId\":\"" + entry + "\",\"exercise\":" + exercise + ",\"giveTo\":{\"cohortId\":\"" + cohort
                        + "\"}}");
        assertThat(given.status()).as(given.body().toString()).isEqualTo(200);
    }

    @Test
    void everyChange_isAVersion_ofAnUnusedExerciseToo() {
        String entry = id();
        assertThat(save(entry, stub("Versions", 15), null).at("/version").asInt())
                .isEqualTo(1);
        assertThat(save(entry, stub("Versions", 15.5), 1).at("/version").asInt())
                .isEqualTo(2);
        giveOut(entry, stub("Versions", 15.5));
        Answer third = save(entry, stub("Versions", 16), 2);
        assertThat(third.at("/version").asInt()).isEqualTo(3);
        assertThat(third.at("/given").asInt()).isEqualTo(14);
        assertThat(save(entry, stub("Versions", 16), 3).at("/version").asInt())
                .as("saving the same again")
                .isEqualTo(3);
        JsonNode versions = runa.get("/api/library/" + entry).at("/versions");
        assertThat(versions.valueStream()
                        .map(each -> each.at("/exercise/definition/bend/legIn").asDouble()))
                .containsExactly(16.0, 15.5, 15.0);
        assertThat(versions.at("/0/savedBy").asString()).isEqualTo("Runa Tolvane");
    }

    @Test
    void exerciseOfAColleague_isCopied_andChangedOrPutAwayByItsMakerAndTheLeadAlone(RunningServer.Address server) {
        Client dessa = Client.signedIn(server, "dessa");
        Client oskar = Client.signedIn(server, "oskar");
        String entry = id();
        Answer made = save(entry, stub("Whose is it", 15), null);
        assertThat(made.at("/madeBy").asString()).isEqualTo("Runa Tolvane");
        assertThat(made.at("/mayChange").asBoolean()).isTrue();
        assertThat(dessa.get("/api/library/" + entry).at("/entry/mayChange").asBoolean())
                .isFalse();
        String changed = "{\"exercise\":" + stub("Whose is it", 16) + ",\"basedOn\":1}";
        Answer refused = dessa.put("/api/library/" + entry, changed);
        assertThat(refused.status()).isEqualTo(403);
        assertThat(refused.at("/detail").asString()).contains("Runa Tolvane").contains("as a new exercise");
        assertThat(dessa.put("/api/library/" + entry + "/retirement", "{\"retired\":true}")
                        .status())
                .isEqualTo(403);
        String cohort = Bench.of(dessa, Bench.STUB, 1).cohort();
        String giving =
                "{\"libraryId\":\"" + entry + "\",\"exercise\":%s,\"giveTo\":{\"cohortId\":\"" + cohort + "\"}}";
        Answer asItIs = dessa.put("/api/givings/" + id(), giving.formatted(stub("Whose is it", 15)));
        assertThat(asItIs.at("/libraryId").asString()).as("given as it is").isEqualTo(entry);
        Answer copied = dessa.put("/api/givings/" + id(), giving.formatted(stub("Whose is it", 16)));
        assertThat(copied.status()).as(copied.body().toString()).isEqualTo(200);
        assertThat(copied.at("/libraryId").asString()).isNotEqualTo(entry);
        assertThat(dessa.get("/api/library/" + copied.at("/libraryId").asString())
                        .at("/entry/mayChange")
                        .asBoolean())
                .isTrue();
        assertThat(runa.get("/api/library/" + entry).at("/versions").size()).isEqualTo(1);
        assertThat(oskar.put("/api/library/" + entry, changed).at("/version").asInt())
                .isEqualTo(2);
        oskar.put("/api/library/" + entry + "/retirement", "{\"retired\":true}");
        runa.put("/api/library/" + entry + "/retirement", "{\"retired\":true}");
        runa.put("/api/library/" + entry + "/retirement", "{\"retired\":false}");
        JsonNode retirements = runa.get("/api/library/" + entry).at("/retirements");
        assertThat(retirements.size()).as("repeating it is no change").isEqualTo(2);
        assertThat(retirements.at("/0/by").asString()).isEqualTo("Runa Tolvane");
        assertThat(retirements.at("/1/by").asString()).isEqualTo("Oskar Brindlemay");
        assertThat(retirements.at("/1/away").asBoolean()).isTrue();
    }

    @Test
    void attempt_keepsTheVersionThatWasGiven() {
        String entry = id();
        giveOut(entry, stub("Kept", 14.25));
        save(entry, stub("Kept", 19), 1);
        String trainee = firstYear().at("/trainees/3/id").asString();
        Answer attempt = runa.put("/api/attempts/" + id(), "{\"traineeId\":\"" + trainee + "\"}");
        assertThat(attempt.at("/exercise/definition/bend/legIn").asDouble()).isEqualTo(14.25);
    }

    @Test
    void editOfAVersionThatIsNoLongerTheNewest_isRefused_soThatNobodyOverwritesAnother() {
        String entry = id();
        giveOut(entry, stub("Two at once", 14));
        save(entry, stub("Two at once", 15), 1);
        Answer late = save(entry, stub("Two at once", 16), 1);
        assertThat(late.status()).isEqualTo(409);
        assertThat(late.at("/errors/0/code").asString()).isEqualTo("newer-version");
    }

    @Test
    void exercisePutAway_isMarked_andComesBack() {
        String entry = id();
        save(entry, stub("Put away", 14), null);
        assertThat(runa.put("/api/library/" + entry + "/retirement", "{\"retired\":true}")
                        .at("/retired")
                        .asBoolean())
                .isTrue();
        JsonNode all = runa.get("/api/library/file").at("/exercises");
        assertThat(all.valueStream().map(e -> e.at("/title").asString())).doesNotContain("Put away");
        assertThat(runa.put("/api/library/" + entry + "/retirement", "{\"retired\":false}")
                        .at("/retired")
                        .asBoolean())
                .isFalse();
    }

    @Test
    void exportedFile_isReadBackAsTheSame_andFitsItsSchema() throws IOException {
        String one = id();
        String two = id();
        save(one, SampleExercises.exercise("Out and in", SampleExercises.stub(17.625), TAKEN_OFF), null);
        save(two, stub("Out and in, second", 16), null);
        String path = "/api/library/file?ids=" + one + "," + two;
        JsonNode file = runa.get(path).body();
        Answer imported = runa.post("/api/library/file", file.toPrettyString());
        assertThat(imported.at("/exercises").asInt())
                .as(imported.body().toString())
                .isEqualTo(2);
        String copies = runa.get("/api/library?find=out+and+in")
                .at("/entries")
                .valueStream()
                .filter(entry -> entry.at("/title").asString().startsWith("Out and in"))
                .map(entry -> entry.at("/id").asString())
                .filter(id -> !id.equals(one) && !id.equals(two))
                .collect(Collectors.joining(","));
        assertThat(runa.get("/api/library/file?ids=" + copies).body()).isEqualTo(file);
        assertThat(schema().validate(file.toString(), InputFormat.JSON)).isEmpty();
    }

    private static Schema schema() throws IOException {
        Path file = Path.of("..", "docs", "formats", "exercises.schema.json");
        return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(Files.readString(file));
    }

    @Test
    void exampleOfTheDocumentation_canBeImported() throws IOException {
        String example = Files.readString(Path.of("..", "docs", "formats", "example.exercises.json"));
        assertThat(schema().validate(example, InputFormat.JSON)).isEmpty();
        assertThat(runa.post("/api/library/file", example).status()).isEqualTo(200);
    }

    private static String file(String... exercises) {
        return "{\"format\":\"lobrik-exercises\",\n\"version\":1,\n\"exercises\":[\n" + String.join(",\n", exercises)
                + "\n]}";
    }

    private static String line(String exercise) {
        return exercise.replace("\n", " ");
    }

    private long exercises() {
        return runa.get("/api/library/file?retired=true").at("/exercises").size();
    }

    /** The first exercise is good and stands on line 4, the bad one on line 5: nothing of either is kept. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "\"legIn\":15.0 | \"legIn\":\"fifteen\" | wrong-type | /exercises/1/definition/bend/legIn",
                "\"kind\":\"stub90\" | \"kind\":\"corkscrew\" | unknown-value | /exercises/1/definition/bend/kind",
                "\"title\":\"Bad\" | \"title\":\"<script>alert(1)</script>\" | not-plain-text | /exercises/1/title",
                "\"tags\":[\"test\"] | \"tags\":[\"<b>\"] | not-plain-text | /exercises/1/tags/0",
                "\"legIn\":15.0 | \"legIn\":3 | leg-shorter-than-bend | /exercises/1/definition/bend/legIn",
                "\"level\":\"first\" | \"level\":\"genius\" | wrong-type | /exercises/1/level",
                "\"level\":\"first\" | \"levle\":\"first\" | unknown-value | /exercises/1/levle",
                "\"passMark\":70 | \"passMark\":700 | out-of-range | /exercises/1"
            })
    void badFile_isRefusedWithItsLine_andNothingIsHalfImported(String good, String bad, String code, String pointer) {
        long before = exercises();
        String broken = line(stub("Bad", 15)).replace(good, bad);
        assertThat(broken).as("the fault is in it").isNotEqualTo(line(stub("Bad", 15)));
        Answer answer = runa.post("/api/library/file", file(line(stub("Good", 15)), broken));
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(400);
        assertThat(answer.at("/errors/0/code").asString()).isEqualTo(code);
        assertThat(answer.at("/errors/0/pointer").asString()).startsWith(pointer);
        assertThat(answer.at("/errors/0/line").asInt()).isEqualTo(5);
        assertThat(answer.at("/errors/0/message").asString()).isNotBlank();
        assertThat(exercises()).isEqualTo(before);
    }

    @Test
    void allThatIsWrongWithAFile_isToldAtOnce() {
        String bad = line(stub("Bad", 15)).replace("\"kind\":\"stub90\"", "\"kind\":\"loop\"");
        String worse = line(stub("Worse", 2));
        Answer answer = runa.post("/api/library/file", file(bad, worse));
        assertThat(answer.at("/errors").valueStream().map(e -> e.at("/line").asInt()))
                .containsExactly(4, 5);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "[]",
                "{}",
                "{\"format\":\"lobrik-exercises\",\"version\":2,\"exercises\":[]}",
                "{\"format\":\"lobrik-exercises\",\"version\":1,\"exercises\":[]}",
                "{\"format\":\"lobrik-exercises\",\"version\":1,\n\"exercises\":[{\"title\":",
                "{\"format\":\"lobrik-exercises\",\"version\":1,\"exercises\":{\"a\":1}}",
                "title;kind\nA;stub90"
            })
    void whatIsNoFileOfExercises_isRefused(String text) {
        Answer answer = runa.post("/api/library/file", text);
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(400);
        assertThat(answer.at("/errors").size()).isPositive();
    }

    @Test
    void fileOfTenMegabytes_isRefused() {
        String huge = file(stub("Huge", 15).replace("\"test\"", "\"" + "x".repeat(10_000_000) + "\""));
        Answer answer = runa.post("/api/library/file", huge);
        assertThat(answer.status()).isEqualTo(413);
        assertThat(answer.at("/detail").asString()).contains("1024 KiB");
        String many = file(IntStream.range(0, 600)
                .mapToObj(i -> line(stub("Many " + i, 15)))
                .toArray(String[]::new));
        assertThat(runa.post("/api/library/file", many).at("/detail").asString())
                .contains("500 exercises");
    }

    @Test
    void whatWasTyped_mustSayWhatIsBent() {
        String other = TAKEN_OFF.replace("58 1/4", "59 1/4");
        Answer answer = save(id(), SampleExercises.exercise("Differs", SampleExercises.stub(17.625), other), null);
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.at("/errors/0/code").asString()).isEqualTo("entered-differs");
    }

    @Test
    void otherCentresAndStrangers_seeNothing(RunningServer.Address server) {
        assertThat(new Client(server).get("/api/library").status()).isEqualTo(401);
        assertThat(runa.get("/api/library/" + id()).status()).isEqualTo(404);
    }

    /** What was typed of a leg goes by its path, so that it stays as it was typed. */
    @Test
    void aRun_isKeptAndGivenOut_withWhatWasTypedOfItsLegs() {
        String run = SampleExercises.definition(
                "exact",
                "{\"kind\":\"run\",\"legs\":[{\"lengthIn\":30.5,\"towards\":\"up\"},"
                        + "{\"readFromIn\":2,\"readToIn\":42,\"towards\":\"right\"}]}");
        String typed =
                ",\"entered\":{\"unit\":\"in\",\"texts\":{\"legs/0/lengthIn\":\"2' 6 1/2\",\"legs/1/readToIn\":\"42\"}}";
        String exercise = SampleExercises.exercise("Round the corner", run, typed);
        String entry = id();
        assertThat(save(entry, exercise, null).status()).isEqualTo(200);
        JsonNode kept = runa.get("/api/library/" + entry).at("/versions/0/exercise");
        assertThat(kept.at("/entered/texts").propertyNames())
                .containsExactlyInAnyOrder("legs/0/lengthIn", "legs/1/readToIn");
        assertThat(kept.at("/definition/bend/legs/1/readFromIn").asDouble()).isEqualTo(2);
        Answer given = runa.put(
                "/api/givings/" + id(),
                "{\"exercise\":" + exercise + ",\"giveTo\":{\"traineeIds\":["
                        + firstYear().at("/trainees/0/id") + "]}}");
        assertThat(given.status()).as(given.body().toString()).isEqualTo(200);
    }

    @Test
    void whatIsTypedOfALegThatIsNotThere_isRefused() {
        String run = SampleExercises.definition(
                "exact",
                "{\"kind\":\"run\",\"legs\":[{\"lengthIn\":30,\"towards\":\"up\"},"
                        + "{\"lengthIn\":40,\"towards\":\"right\"}]}");
        for (String path :
                List.of("legs/2/lengthIn", "legs/0/towards", "legs/0", "/legs/0/lengthIn", "legs/0/lengthIn/x")) {
            String typed = ",\"entered\":{\"unit\":\"in\",\"texts\":{\"" + path + "\":\"30\"}}";
            Answer answer = save(id(), SampleExercises.exercise("Round the corner", run, typed), null);
            assertThat(answer.status()).as(path).isEqualTo(400);
        }
    }
}
