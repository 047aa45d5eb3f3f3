package lobrik.server.attempt;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** What pieces are judged by; it is written once, by {@link Bases}. */
@Entity
@Immutable
@Table(name = "basis")
class BasisRow {

    @Id
    private UUID id;

    @JdbcTypeCode(SqlTypes.JSON)
    private BasisFigures said;

    @SuppressWarnings("NullAway.Init")
    protected BasisRow() {}

    UUID id() {
        return id;
    }

    BasisFigures said() {
        return said;
    }
}
