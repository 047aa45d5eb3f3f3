package lobrik.server.calc;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.Locale;
import lobrik.layout.MarkDatum;
import org.jspecify.annotations.Nullable;

/** Where a mark was measured from, as it is sent and stored. */
public enum DatumName {
    /** The datum end of the straight conduit. */
    @JsonProperty("end")
    END,
    /** The back of the bend before. */
    @JsonProperty("back")
    BACK;

    public static DatumName of(MarkDatum datum) {
        return valueOf(datum.name());
    }

    public MarkDatum toCore() {
        return MarkDatum.valueOf(name());
    }

    /** As it is stored. */
    public String id() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** What is stored like this; nothing for nothing. */
    public static @Nullable DatumName withId(@Nullable String id) {
        return id == null ? null : valueOf(id.toUpperCase(Locale.ROOT));
    }
}
