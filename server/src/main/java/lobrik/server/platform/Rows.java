package lobrik.server.platform;

import jakarta.persistence.Query;
import jakarta.persistence.Tuple;
import java.util.List;
import java.util.stream.Stream;

/** The rows of a question that was asked in the database's own language. */
public final class Rows {

    private Rows() {}

    /** One after the other, with columns by name; a stream that is not read to its end has to be closed. */
    @SuppressWarnings("unchecked") // The interface of native questions is older than generics.
    public static Stream<Tuple> named(Query query) {
        return query.getResultStream();
    }

    /** A pattern for {@code ilike} that finds what somebody typed as it is, anywhere. */
    public static String anywhere(String typed) {
        return "%" + typed.strip().replace("\\", "\\\\").replace("%", "\\%").replace("_", "\\_") + "%";
    }

    /** All at once, with columns by name: for what is few. */
    @SuppressWarnings("unchecked") // The interface of native questions is older than generics.
    public static List<Tuple> listed(Query query) {
        return query.getResultList();
    }
}
