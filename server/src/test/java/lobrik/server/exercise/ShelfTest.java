package lobrik.server.exercise;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import lobrik.server.Client;
import lobrik.server.Client.Answer;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.Isolated;

/** Exercises are found by what is said of them, and come a page at a time. */
@ExtendWith(RunningServer.class)
@Isolated("What others plan with would grow meanwhile.")
class ShelfTest {

    /** So that what other tests have put on the shelf of this school is not found. */
    private final String mine = "shelf" + UUID.randomUUID().toString().substring(0, 8);

    private Client runa;

    @BeforeEach
    void signIn(RunningServer.Address server) {
        runa = Client.signedIn(server, "runa");
    }

    /** Nobody is offered these later. */
    @AfterEach
    void putAway() {
        Answer page;
        do {
            page = found("", "");
            page.at("/entries")
                    .valueStream()
                    .forEach(entry -> runa.put(
                            "/api/library/" + entry.at("/id").asString() + "/retirement", "{\"retired\":true}"));
        } while (page.at("/more").asBoolean());
    }

    private String save(String title, String definition) {
        String id = UUID.randomUUID().toString();
        Answer saved = runa.put(
                "/api/library/" + id,
                "{\"exercise\":" + SampleExercises.exercise(mine + " " + title, definition, "") + "}");
        assertThat(saved.status()).as(saved.body().toString()).isEqualTo(200);
        return id;
    }

    private Answer found(String words, String more) {
        return runa.get("/api/library?find=" + URLEncoder.encode(mine + " " + words, StandardCharsets.UTF_8) + more);
    }

    private static List<String> titles(Answer answer) {
        return answer.at("/entries")
                .valueStream()
                .map(entry -> entry.at("/title").asString())
                .map(title -> title.substring(title.indexOf(' ') + 1))
                .toList();
    }

    @Test
    void everyWord_mayStandAnywhere_inTheTitleOrTheNameOfTheBend() {
        save("Up onto the plinth", SampleExercises.stub(17.625));
        save("Over the brine pipe", SampleExercises.stub(18));
        assertThat(titles(found("", ""))).containsExactly("Over the brine pipe", "Up onto the plinth");
        assertThat(titles(found("PLINTH up", ""))).containsExactly("Up onto the plinth");
        assertThat(titles(found("plinth brine", ""))).isEmpty();
        assertThat(titles(found("stub pipe", ""))).containsExactly("Over the brine pipe");
        assertThat(titles(found("emt plinth", ""))).containsExactly("Up onto the plinth");
        assertThat(titles(found("", "&kind=saddle3"))).isEmpty();
        assertThat(titles(found("", "&kind=stub90&level=first"))).hasSize(2);
        assertThat(titles(found("%", ""))).as("no sign stands for others").isEmpty();
    }

    @Test
    void whatWasPutAway_isFoundWhereItIsAskedFor_asIsOnlyTheNewestVersion() {
        String id = save("First title", SampleExercises.stub(17.625));
        runa.put(
                "/api/library/" + id,
                "{\"exercise\":" + SampleExercises.exercise(mine + " Second title", SampleExercises.stub(18), "")
                        + ",\"basedOn\":1}");
        assertThat(titles(found("first", ""))).isEmpty();
        assertThat(titles(found("title", ""))).containsExactly("Second title");
        runa.put("/api/library/" + id + "/retirement", "{\"retired\":true}");
        assertThat(titles(found("title", ""))).isEmpty();
        assertThat(titles(found("title", "&retired=true"))).containsExactly("Second title");
    }

    @Test
    void moreThanAPage_comesPageByPage_eachOnce_inOrder_andIsExportedWhole() {
        List<String> expected = IntStream.rangeClosed(1, 105)
                .mapToObj(i -> (i % 2 == 0 ? "number %03d" : "Number %03d").formatted(i))
                .toList();
        String exercises = expected.reversed().stream()
                .map(title -> SampleExercises.exercise(mine + " " + title, SampleExercises.stub(17.625), ""))
                .collect(Collectors.joining(","));
        assertThat(runa.post(
                                "/api/library/file",
                                "{\"format\":\"lobrik-exercises\",\"version\":1,\"exercises\":[" + exercises + "]}")
                        .status())
                .isEqualTo(200);
        Answer first = found("", "");
        assertThat(first.at("/more").asBoolean()).isTrue();
        assertThat(titles(first)).hasSize(100);
        Answer second = found("", "&after=" + first.at("/entries/99/id").asString());
        assertThat(second.at("/more").asBoolean()).isFalse();
        List<String> all = new ArrayList<>(titles(first));
        all.addAll(titles(second));
        assertThat(all).isEqualTo(expected);
        assertThat(runa.get("/api/library/file?find=" + mine).at("/exercises").size())
                .isEqualTo(105);
    }
}
