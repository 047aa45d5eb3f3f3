package lobrik.server.backup;

import java.io.IOException;
import java.io.InputStream;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * What is in a backup, as it says itself: the last entry of the file.
 *
 * @param form of the file; {@link #FORM} in this build
 * @param recordForm the last migration that the record had
 * @param postgres the version of the database that it was taken from
 * @param schools by name
 * @param rows of each table
 * @param settings that a restored folder begins with
 * @param parts with which the file was written, in their order
 */
record Contents(
        int form,
        Instant madeAt,
        String recordForm,
        String postgres,
        List<SchoolInside> schools,
        Map<String, Long> rows,
        Map<String, String> settings,
        List<Part> parts) {

    static final int FORM = 1;
    static final String NAME = "contents.json";

    private static final JsonMapper JSON = JsonMapper.builder().build();

    /** A school, as people know it. */
    record SchoolInside(String name, long trainees, long pieces, long readings) {}

    /**
     * One entry of the file.
     *
     * @param sha256 in hexadecimal
     */
    record Part(String name, long bytes, String sha256) {}

    Contents {
        schools = List.copyOf(schools);
        rows = new TreeMap<>(rows);
        settings = new TreeMap<>(settings);
        parts = List.copyOf(parts);
    }

    byte[] json() {
        return JSON.writerWithDefaultPrettyPrinter().writeValueAsBytes(this);
    }

    /**
     * Reads one.
     *
     * @throws IOException if it is none, or of a newer build
     */
    static Contents read(InputStream in) throws IOException {
        try {
            Contents contents = JSON.readValue(in.readAllBytes(), Contents.class);
            if (contents.form() > FORM) {
                throw new IOException("it was made by a newer Lobrik (form " + contents.form() + ", this one knows "
                        + FORM + "); restore it with that one");
            }
            return contents;
        } catch (JacksonException e) {
            throw new IOException("its list of contents cannot be read", e);
        }
    }
}
