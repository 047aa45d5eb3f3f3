package lobrik.server.platform;

import java.util.UUID;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/**
 * For which school this thread works, which the database is told with each connection that it gets (V38): it shows the rows of that
 * school and no others. A request works for nobody until {@link RightsGuard} knows who asks; what the server does by itself works for all.
 */
public final class WorksFor {

    private static final String ALL = "*";
    private static final String NOBODY = "";

    /** Whatever a connection was told last. */
    static final String WHICHEVER = "whichever";

    @SuppressWarnings("ThreadLocalUsage") // of a thread, whatever object asks
    private static final ThreadLocal<@Nullable String> SAID = new ThreadLocal<>();

    private WorksFor() {}

    /** As the database is told. */
    static String said() {
        String said = SAID.get();
        return said == null ? ALL : said;
    }

    static void nobody() {
        SAID.set(NOBODY);
    }

    static void all() {
        SAID.set(ALL);
    }

    static void school(UUID id) {
        SAID.set(id.toString());
    }

    /** A request is over. */
    static void forget() {
        SAID.remove();
    }

    /** Does something in which rows of schools play no part, over a connection that need not be told anything for that. */
    static <T> T whichever(Supplier<T> work) {
        String before = SAID.get();
        SAID.set(WHICHEVER);
        try {
            return work.get();
        } finally {
            if (before == null) {
                SAID.remove();
            } else {
                SAID.set(before);
            }
        }
    }
}
