package lobrik.server.demo;

import jakarta.persistence.EntityManager;
import java.util.UUID;
import lobrik.server.shed.BenderProfile;
import lobrik.server.shed.ConduitSize;
import lobrik.shop.ConduitMaterial;
import lobrik.shop.ConduitTable;
import lobrik.shop.HandBenderTable;
import lobrik.shop.Shoe;
import lobrik.shop.TradeSize;

/** Puts conduit and benders into a centre's shed. */
record GenericShed(EntityManager entities, Ids ids, UUID centreId) {

    /** Conduit of every size that a hand bender takes, and a generic bender for each, to be calibrated. */
    void load() {
        for (TradeSize size : TradeSize.values()) {
            HandBenderTable.forEmt(size)
                    .ifPresent(figures -> bender("Generic " + size.label() + " bender", emt(size), figures));
        }
    }

    ConduitSize emt(TradeSize size) {
        ConduitSize conduit = new ConduitSize(
                ids.next(),
                centreId,
                size.label() + " " + ConduitMaterial.EMT.label(),
                ConduitTable.conduit(ConduitMaterial.EMT, size).outsideDiameter());
        entities.persist(conduit);
        return conduit;
    }

    /** Conduit of this size that is in the shed. */
    ConduitSize known(TradeSize size) {
        return entities.createQuery("from ConduitSize where centreId = :centre and label = :label", ConduitSize.class)
                .setParameter("centre", centreId)
                .setParameter("label", size.label() + " " + ConduitMaterial.EMT.label())
                .getSingleResult();
    }

    BenderProfile bender(String label, ConduitSize conduit, Shoe figures) {
        BenderProfile profile = new BenderProfile(ids.next(), centreId, conduit.id(), label, figures);
        entities.persist(profile);
        return profile;
    }
}
