package lobrik.server.exercise;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.stream.Stream;
import lobrik.reading.ReadingList;

/** Which features of a piece are read, as it is sent and stored. */
public enum ReadingsAsked {
    @JsonProperty("all")
    ALL(ReadingList.ALL),
    @JsonProperty("short")
    SHORT(ReadingList.SHORT);

    private final ReadingList list;

    ReadingsAsked(ReadingList list) {
        this.list = list;
    }

    public String id() {
        return list.id();
    }

    public ReadingList toCore() {
        return list;
    }

    /** The one with this id. */
    public static ReadingsAsked withId(String id) {
        return Stream.of(values())
                .filter(asked -> asked.id().equals(id))
                .findFirst()
                .orElseThrow();
    }
}
