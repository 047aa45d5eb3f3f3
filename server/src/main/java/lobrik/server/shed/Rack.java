package lobrik.server.shed;

import jakarta.persistence.EntityManager;
import java.util.UUID;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.TurnedDown;
import lobrik.shop.Conduit;
import lobrik.shop.Tooling;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The benders of a centre. */
@Service
public class Rack {

    /** A bender with the conduit that it bends. */
    public record Racked(BenderProfile bender, ConduitSize conduit) {

        /** The two together, as the core has them. */
        public Tooling tooling() {
            return new Tooling(new Conduit(conduit.outsideDiameter()), bender.figures());
        }
    }

    private final EntityManager entities;

    Rack(EntityManager entities) {
        this.entities = entities;
    }

    /**
     * The bender with this id.
     *
     * @throws TurnedDown if the centre has none
     */
    @Transactional(readOnly = true)
    public Racked bender(SignedIn who, UUID id) {
        return entities.createQuery("""
                        select new lobrik.server.shed.Rack$Racked(b, c) from BenderProfile b
                          join ConduitSize c on c.id = b.conduitId
                        where b.id = :id and b.centreId = :centre""", Racked.class)
                .setParameter("id", id)
                .setParameter("centre", who.centreId())
                .getResultStream()
                .findFirst()
                .orElseThrow(() -> TurnedDown.notFound("bender"));
    }
}
