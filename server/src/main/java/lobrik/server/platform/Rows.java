package lobrik.server.platform;

import jakarta.persistence.Query;
import jakarta.persistence.Tuple;
import java.util.stream.Stream;

/** The rows of a question that was asked in the database's own language. */
public final class Rows {

    private Rows() {}

    /** One after the other, with columns by name. */
    @SuppressWarnings("unchecked") // As below.
    public static Stream<Tuple> named(Query query) {
        return query.getResultStream();
    }

    /** One after the other, each with the columns in their order; a stream that is not read to its end has to be closed. */
    @SuppressWarnings("unchecked") // The interface of native questions is older than generics.
    public static Stream<Object[]> of(Query query) {
        return query.getResultStream();
    }
}
