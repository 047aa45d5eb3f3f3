package lobrik.server.account;

import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.List;
import java.util.UUID;
import lobrik.server.platform.Sha256;
import org.jspecify.annotations.Nullable;

/**
 * Checks that the audit is whole. An entry's content is hashed (SHA-256), and its hash is that of the hash before it and of its
 * content; the first has 32 zero bytes before it. Worked out here by itself, from the rows, not by what the database has for it.
 *
 * <p>What cannot be seen from the rows alone is that the newest are missing: for that the head is compared with one that was
 * written down, or taken out with a file, before.
 */
public final class AuditChain {

    private static final int HASH_BYTES = 32;

    /**
     * What a chain came to.
     *
     * @param school null for what is of none
     * @param entries how many were looked at
     * @param head the hash of the last one, in hexadecimal figures; empty if there is none
     * @param blanked of how many the content was taken out because somebody was erased
     * @param told of how many the entries about erasures say so
     * @param fault the first that is wrong, in words; null if all is well
     */
    public record ChainFound(
            @Nullable UUID school,
            long entries,
            String head,
            long blanked,
            long told,
            @Nullable String fault) {

        public boolean isWhole() {
            return fault == null;
        }
    }

    private static final String ENTRIES = """
            select chain, chain_no, id, at, account_id, what, about, address, subject, subject_id, changes, reason, blanked,
              before_hash, content_hash, hash
            from audit where (cast(? as uuid) is null or chain = cast(? as uuid)) order by chain, chain_no""";

    private static final int FETCHED = 1000;
    private static final UUID NOBODYS = new UUID(0, 0);
    private static final byte[] FIRST = new byte[HASH_BYTES];

    private final UUID chain;
    private long number;
    private byte[] last = FIRST;
    private long blanked;
    private long told;
    private @Nullable String fault;

    private AuditChain(UUID chain) {
        this.chain = chain;
    }

    /**
     * Looks through chains.
     *
     * @param only one school's; every chain if null
     */
    public static List<ChainFound> check(Connection database, @Nullable UUID only) throws SQLException {
        List<ChainFound> found = new ArrayList<>();
        try (PreparedStatement asked = database.prepareStatement(ENTRIES)) {
            asked.setFetchSize(FETCHED);
            asked.setObject(1, only);
            asked.setObject(2, only);
            AuditChain current = null;
            try (ResultSet rows = asked.executeQuery()) {
                while (rows.next()) {
                    UUID chain = rows.getObject("chain", UUID.class);
                    if (current == null || !current.chain.equals(chain)) {
                        if (current != null) {
                            found.add(current.found());
                        }
                        current = new AuditChain(chain);
                    }
                    current.next(rows);
                }
            }
            if (current != null) {
                found.add(current.found());
            }
        }
        return found;
    }

    private void next(ResultSet row) throws SQLException {
        long is = row.getLong("chain_no");
        number++;
        if (is != number) {
            wrong("entry " + number + " is missing");
            number = is;
        }
        if (!Arrays.equals(row.getBytes("before_hash"), last)) {
            wrong("entry " + is + " does not follow the one before it");
        }
        byte[] content = row.getBytes("content_hash");
        if (row.getBoolean("blanked")) {
            blanked++;
        } else if (!Arrays.equals(content, content(row))) {
            wrong("entry " + is + " does not say what it said when it was written");
        }
        last = row.getBytes("hash");
        if (!Arrays.equals(last, Sha256.of(row.getBytes("before_hash"), content))) {
            wrong("the hash of entry " + is + " is not its own");
        }
        if (row.getString("what").equals(Audit.What.ERASED.word()) && row.getString("changes") != null) {
            told += told(row.getString("changes"));
        }
    }

    private ChainFound found() {
        if (blanked > told) {
            wrong(blanked - told + " entries are blank that no erasure tells of");
        }
        return new ChainFound(
                chain.equals(NOBODYS) ? null : chain, number, HexFormat.of().formatHex(last), blanked, told, fault);
    }

    /** The first fault is told; what comes after it follows from it more often than not. */
    private void wrong(String words) {
        if (fault == null) {
            fault = words;
        }
    }

    /** How many entries an erasure says that it blanked: the one number in what it wrote. */
    private static long told(String changes) {
        String figures = changes.replaceAll("\\D", "");
        return figures.isEmpty() ? 0 : Long.parseLong(figures);
    }

    private static byte[] content(ResultSet row) throws SQLException {
        Instant at = row.getObject("at", OffsetDateTime.class).toInstant();
        StringBuilder all = new StringBuilder();
        field(all, String.valueOf(row.getLong("chain_no")));
        field(all, row.getString("id"));
        field(all, String.valueOf(ChronoUnit.MICROS.between(Instant.EPOCH, at)));
        for (String name :
                List.of("account_id", "what", "about", "address", "subject", "subject_id", "changes", "reason")) {
            field(all, row.getString(name));
        }
        return Sha256.of(all.toString());
    }

    /** With its length before it, so that no two contents look alike. */
    private static void field(StringBuilder all, @Nullable String field) {
        if (field == null) {
            all.append("-;");
        } else {
            all.append(field.getBytes(StandardCharsets.UTF_8).length)
                    .append(':')
                    .append(field)
                    .append(';');
        }
    }
}
