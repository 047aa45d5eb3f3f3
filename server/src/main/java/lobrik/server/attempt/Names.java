package lobrik.server.attempt;

import java.util.HashSet;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** The names of those who wrote something down. */
record Names(Map<UUID, String> byAccount) {

    /** Whoever wrote something down on this ledger. */
    static Set<UUID> in(Ledger ledger) {
        Set<UUID> ids = new HashSet<>();
        ledger.readings().forEach(row -> ids.add(row.taken().by()));
        ledger.facts().stream().map(FactRow::takenBy).filter(Objects::nonNull).forEach(ids::add);
        ledger.photos().forEach(photo -> ids.add(photo.takenBy()));
        ledger.setAside().forEach(aside -> ids.add(aside.setBy()));
        ledger.seals().forEach(seal -> ids.add(seal.setBy()));
        return ids;
    }

    /** A name; what nobody with an account wrote down came from the trainee's phone. */
    String of(@Nullable UUID account) {
        return account == null ? "the trainee" : byAccount.getOrDefault(account, "somebody");
    }

    /** Why a row does not count, and who decided that; nothing if it does. */
    @Nullable
    String setAside(Ledger ledger, UUID recordId) {
        return ledger.setAside().stream()
                .filter(aside -> aside.recordId().equals(recordId))
                .map(aside -> aside.reason() + " (" + of(aside.setBy()) + ")")
                .findFirst()
                .orElse(null);
    }
}
