package lobrik.server.attempt;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import lobrik.assessment.Basis;
import lobrik.bend.BendKind;
import lobrik.fault.Refused;
import lobrik.feature.FeatureId;
import lobrik.layout.Layout;
import lobrik.measure.Quantity;
import lobrik.reading.ReadingList;
import lobrik.server.calc.Calculations;
import lobrik.server.exercise.ReadingsAsked;
import lobrik.server.platform.WireJson;
import lobrik.server.shed.ToleranceFigures;
import lobrik.verdict.Tolerances;
import lobrik.verdict.Yardstick;
import lobrik.wire.LayoutRequest;
import org.flywaydb.core.api.migration.BaseJavaMigration;
import org.flywaydb.core.api.migration.Context;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * Works out what every attempt of an earlier build is judged by: what its readings were held to stands in its record already, the rest is
 * what this build makes of its exercise and its tolerances. From then on it stands as it is.
 */
@Component
public class V18__BasisOfAttempts extends BaseJavaMigration {

    /** Attempts that are judged alike are so by one basis. */
    private static final String ALIKE = """
            create temporary table alike on commit drop as
              select row_number() over () as n, a.*, e.kind, e.definition, cast(null as uuid) as basis_id
              from (select distinct exercise_id, tolerances, targets, readings, yardstick from attempt) a
              join exercise e on e.id = a.exercise_id""";

    private static final String NAME_IT = """
            update attempt a set basis_id = l.basis_id from alike l
            where a.exercise_id = l.exercise_id and a.tolerances = l.tolerances and a.targets = l.targets
              and a.readings = l.readings and a.yardstick = l.yardstick""";

    private static final int PAGE = 500;

    private static final TypeReference<Map<String, Long>> TARGETS = new TypeReference<>() {};

    private final Calculations calculations;

    public V18__BasisOfAttempts(Calculations calculations) {
        this.calculations = calculations;
    }

    @Override
    public void migrate(Context context) throws SQLException {
        Connection connection = context.getConnection();
        try (Statement statement = connection.createStatement()) {
            statement.execute(ALIKE);
            statement.execute("create unique index on alike (n)");
            statement.execute("analyze alike");
            // Page by page: where everybody bends a variant, there are as many as attempts.
            statement.setFetchSize(PAGE);
            try (ResultSet row = statement.executeQuery("select * from alike");
                    PreparedStatement keep = connection.prepareStatement(
                            "insert into basis (id, said) values (?, cast(? as jsonb)) on conflict do nothing");
                    PreparedStatement note = connection.prepareStatement("update alike set basis_id = ? where n = ?")) {
                while (row.next()) {
                    Bases.Stored stored = Bases.Stored.of(basis(row));
                    keep.setObject(1, stored.id());
                    keep.setString(2, stored.said());
                    keep.addBatch();
                    note.setObject(1, stored.id());
                    note.setLong(2, row.getLong("n"));
                    note.addBatch();
                    if (row.getLong("n") % PAGE == 0) {
                        keep.executeBatch();
                        note.executeBatch();
                    }
                }
                keep.executeBatch();
                note.executeBatch();
            }
            statement.execute(NAME_IT);
        }
    }

    private Basis basis(ResultSet row) throws SQLException {
        JsonMapper json = WireJson.mapper();
        Map<String, Long> targets = json.readValue(row.getString("targets"), TARGETS);
        Tolerances tolerances = json.readValue(row.getString("tolerances"), ToleranceFigures.class)
                .toCore();
        Yardstick yardstick = Yardstick.withId(row.getString("yardstick")).orElseThrow();
        ReadingList readings = ReadingsAsked.withId(row.getString("readings")).toCore();
        BendKind kind = BendKind.withId(row.getString("kind")).orElseThrow();
        return laidOut(json.readValue(row.getString("definition"), LayoutRequest.class))
                .map(layout -> Basis.of(
                        layout,
                        yardstick,
                        feature -> held(
                                yardstick.target(feature),
                                targets.get(feature.id().id())),
                        tolerances,
                        readings))
                .orElseGet(() -> Basis.of(quantities(targets), kind, yardstick, tolerances, readings));
    }

    private static Map<FeatureId, Quantity> quantities(Map<String, Long> counts) {
        Map<FeatureId, Quantity> quantities = new HashMap<>();
        counts.forEach((feature, count) -> FeatureId.withId(feature)
                .ifPresent(id -> quantities.put(id, id.measured().ofCount(count))));
        return quantities;
    }

    private Optional<Layout> laidOut(LayoutRequest definition) {
        try {
            return Optional.of(calculations.question(definition).layout());
        } catch (Refused noMore) {
            return Optional.empty();
        }
    }

    private static Quantity held(Quantity target, @Nullable Long noted) {
        return noted == null ? target : target.withCount(noted);
    }
}
