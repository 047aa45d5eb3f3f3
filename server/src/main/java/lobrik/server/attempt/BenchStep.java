package lobrik.server.attempt;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.stream.Stream;

/** Where a trainee says to be with a piece. */
public enum BenchStep {
    @JsonProperty("workingOut")
    WORKING_OUT("workingOut"),
    @JsonProperty("bending")
    BENDING("bending"),
    @JsonProperty("called")
    CALLED("called"),
    @JsonProperty("help")
    HELP("help");

    private final String id;

    BenchStep(String id) {
        this.id = id;
    }

    String id() {
        return id;
    }

    static BenchStep withId(String id) {
        return Stream.of(values())
                .filter(step -> step.id.equals(id))
                .findFirst()
                .orElseThrow();
    }
}
