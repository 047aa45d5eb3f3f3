package lobrik.server.transfer;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import lobrik.server.account.Audit;
import lobrik.server.account.AuditTrail;
import lobrik.server.account.SignedIn;
import org.apache.commons.csv.CSVPrinter;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * The audit as a table: a row for each entry, the oldest first, with its hash, so that the file can be held against the school
 * later.
 */
@Component
class AuditFile {

    private static final List<String> COLUMNS = List.of(
            "chain", "number", "at", "what", "who", "subject", "about", "changes", "reason", "address", "blanked",
            "hash");

    private final AuditTrail trail;

    AuditFile(AuditTrail trail) {
        this.trail = trail;
    }

    void write(SignedIn who, AuditTrail.Wanted wanted, Writer to) throws IOException {
        CSVPrinter table = Cells.csv(to);
        Cells.print(table, COLUMNS);
        try {
            trail.all(who, wanted, entry -> print(table, entry));
        } catch (UncheckedIOException e) {
            throw e.getCause();
        }
        table.flush();
    }

    private static void print(CSVPrinter table, AuditTrail.AuditEntry entry) {
        List<@Nullable Object> cells = Arrays.asList(
                entry.ofSchool() ? "school" : "nobody's",
                entry.number(),
                Cells.moment(entry.at()),
                entry.what(),
                entry.who(),
                entry.subject(),
                entry.about(),
                entry.changes().stream().map(AuditFile::words).collect(Collectors.joining("; ")),
                entry.reason(),
                entry.address(),
                entry.blanked() ? "yes" : "",
                entry.hash());
        try {
            Cells.print(table, cells);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static String words(Audit.Change change) {
        return change.what() + ": " + (change.from() == null ? "" : change.from()) + " → "
                + (change.to() == null ? "" : change.to());
    }
}
