package lobrik.server.account;

import java.io.PrintStream;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import java.util.Properties;

/**
 * Checks the audit of every school in a database, without the server: {@code ./lobrik audit}. Where is said by the environment
 * ({@code LOBRIK_DATABASE}, {@code LOBRIK_PASSWORD}), which other users of the machine cannot read.
 */
public final class AuditCheck {

    private AuditCheck() {}

    /** Ends with 1 where a chain is broken. */
    public static void main(String[] arguments) throws SQLException {
        Properties login = new Properties();
        login.setProperty("user", "lobrik_app");
        login.setProperty("password", System.getenv("LOBRIK_PASSWORD"));
        // Every school's.
        login.setProperty("options", "-c lobrik.school=*");
        try (Connection database = DriverManager.getConnection(System.getenv("LOBRIK_DATABASE"), login)) {
            database.setAutoCommit(false);
            System.exit(told(database, System.out) ? 0 : 1);
        }
    }

    /** Whether every chain in a database is whole. */
    public static boolean isWhole(Connection database) throws SQLException {
        return AuditChain.check(database, null).stream().allMatch(AuditChain.ChainFound::isWhole);
    }

    /** Tells what every chain comes to; gives whether all are whole. */
    static boolean told(Connection database, PrintStream to) throws SQLException {
        List<AuditChain.ChainFound> chains = AuditChain.check(database, null);
        for (AuditChain.ChainFound chain : chains) {
            to.println(name(database, chain) + ": " + chain.entries() + " entries, "
                    + (chain.fault() == null ? "whole" : "BROKEN: " + chain.fault())
                    + (chain.blanked() == 0 ? "" : ", " + chain.blanked() + " blank since somebody was erased"));
            to.println("  head " + chain.head());
        }
        if (chains.isEmpty()) {
            to.println("Nothing is written down yet.");
        }
        return chains.stream().allMatch(AuditChain.ChainFound::isWhole);
    }

    private static String name(Connection database, AuditChain.ChainFound chain) throws SQLException {
        if (chain.school() == null) {
            return "Of no school (tries with names that nobody has)";
        }
        try (PreparedStatement asked = database.prepareStatement("select name from centre where id = ?")) {
            asked.setObject(1, chain.school());
            try (ResultSet found = asked.executeQuery()) {
                return found.next() ? found.getString(1) : "School " + chain.school();
            }
        }
    }
}
