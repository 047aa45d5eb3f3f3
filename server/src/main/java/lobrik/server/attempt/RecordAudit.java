package lobrik.server.attempt;

import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import lobrik.server.account.Audit;
import lobrik.server.account.SignedIn;
import lobrik.server.cohort.Trainee;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Notes in the audit what changes what a record comes to: corrections, what is set aside, what is locked and opened again. The
 * rows themselves say the same, and stay; this is where somebody looks who asks what was changed.
 */
@Component
class RecordAudit {

    private final Audit audit;

    RecordAudit(Audit audit) {
        this.audit = audit;
    }

    void corrected(SignedIn who, Opened before, ReadingRow row) {
        row.correctionOf()
                .flatMap(of -> before.ledger().readings().stream()
                        .filter(known -> known.id().equals(of))
                        .findFirst())
                .ifPresent(known -> note(
                        who, before, new Audit.Change(row.feature().id(), known.typed(), row.typed()), row.reason()));
    }

    void corrected(SignedIn who, Opened before, FactRow row) {
        row.correctionOf()
                .flatMap(of -> before.ledger().facts().stream()
                        .filter(known -> known.id().equals(of))
                        .findFirst())
                .ifPresent(known -> note(
                        who,
                        before,
                        Audit.Change.of(
                                row.about().isEmpty() ? row.kind() : row.kind() + " " + row.about(),
                                known.said(),
                                row.said()),
                        row.reason()));
    }

    void setAside(SignedIn who, Opened before, UUID recordId, String reason) {
        String what = Stream.of(
                        before.ledger().readings().stream()
                                .filter(row -> row.id().equals(recordId))
                                .map(row -> row.feature().id() + " " + row.typed()),
                        before.ledger().facts().stream()
                                .filter(row -> row.id().equals(recordId))
                                .map(FactRow::kind))
                .flatMap(found -> found)
                .findFirst()
                .orElse("photo");
        note(who, before, new Audit.Change(what, "counts", "set aside"), reason);
    }

    void sealed(SignedIn who, Opened before, boolean sealed, String reason) {
        note(
                who,
                before,
                new Audit.Change("verified", sealed ? "no" : "yes", sealed ? "yes" : "no"),
                reason.isEmpty() ? null : reason);
    }

    private void note(SignedIn who, Opened before, Audit.Change change, @Nullable String reason) {
        Trainee trainee = before.trainee();
        audit.changed(
                who, new Audit.Subject(Audit.Kind.READING, trainee.id(), trainee.fullName()), List.of(change), reason);
    }
}
