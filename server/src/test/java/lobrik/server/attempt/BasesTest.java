package lobrik.server.attempt;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.Optional;
import lobrik.assessment.Basis;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.server.Bench;
import lobrik.server.Client;
import lobrik.server.RunningServer;
import lobrik.verdict.Tolerance;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.transaction.support.TransactionTemplate;

/** What pieces are judged by is kept once, and says the same when it is read again. */
@ExtendWith(RunningServer.class)
class BasesTest {

    private static final Basis BASIS = new Basis(
            List.of(
                    new Basis.Held(
                            FeatureId.angle(7),
                            Angle.ofDegrees(30),
                            Angle.ofDegrees(30.25),
                            new Tolerance(Angle.ofDegrees(2), Angle.ofDegrees(1)),
                            1.5,
                            true),
                    new Basis.Held(
                            FeatureId.RISE,
                            Length.ofInches(5),
                            Length.ofInches(5.0625),
                            Tolerance.even(Length.ofInches(0.125)),
                            1,
                            false)),
            List.of(new Basis.HeldMark(
                    2,
                    Length.ofInches(11.625),
                    Length.ofInches(11.5),
                    Tolerance.even(Length.ofInches(0.125)),
                    1,
                    false)),
            Optional.of(new Basis.HeldLength(Length.ofInches(80), Tolerance.even(Length.ofInches(0.125)))),
            true,
            true);

    @Test
    void whatIsKept_isReadAgainAsItWas_andTheSameIsKeptOnce(RunningServer.Address server) {
        var beans = server.context();
        Bases bases = beans.getBean(Bases.class);
        beans.getBean(TransactionTemplate.class).executeWithoutResult(status -> {
            var id = bases.keep(BASIS);
            assertThat(bases.keep(BASIS)).isEqualTo(id);
            assertThat(bases.of(id)).isEqualTo(BASIS);
            Basis open = new Basis(BASIS.features(), BASIS.marks(), Optional.empty(), true, false);
            assertThat(bases.keep(open)).isNotEqualTo(id);
            assertThat(bases.of(bases.keep(open))).isEqualTo(open);
        });
    }

    @Test
    void aClassThatBeginsOneExercise_isJudgedByOneBasis(RunningServer.Address server) throws SQLException {
        Bench bench = Bench.of(Client.signedIn(server, "runa"), Bench.SADDLE_4, 3);
        String ids = "'" + bench.open(0) + "','" + bench.open(1) + "','" + bench.open(2) + "'";
        try (Connection connection =
                        DriverManager.getConnection(server.databaseUrl(), "lobrik_owner", server.databasePassword());
                Statement statement = connection.createStatement();
                ResultSet found = statement.executeQuery(
                        "select count(*), count(distinct basis_id) from attempt where id in (" + ids + ")")) {
            assertThat(found.next()).isTrue();
            assertThat(found.getInt(1)).isEqualTo(3);
            assertThat(found.getInt(2)).isEqualTo(1);
        }
    }
}
