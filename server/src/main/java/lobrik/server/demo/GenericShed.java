package lobrik.server.demo;

import jakarta.persistence.EntityManager;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.UUID;
import lobrik.server.shed.Bender;
import lobrik.server.shed.BenderRevision;
import lobrik.server.shed.ConduitSize;
import lobrik.server.shed.Rack;
import lobrik.shop.ConduitMaterial;
import lobrik.shop.ConduitTable;
import lobrik.shop.FormerTable;
import lobrik.shop.HandBenderTable;
import lobrik.shop.MachineTable;
import lobrik.shop.Tool;
import lobrik.shop.TradeSize;

/** Puts conduit and benders into a centre's shed. */
record GenericShed(EntityManager entities, Ids ids, UUID centreId, Instant at) {

    /** Conduit of every size that a tool takes, and a generic tool for each, to be calibrated: by hand, by a machine, and with heat. */
    void load() {
        for (TradeSize size : TradeSize.values()) {
            HandBenderTable.forEmt(size)
                    .ifPresent(figures -> bender("Generic " + size.label() + " bender", emt(size), figures));
        }
        for (TradeSize size : TradeSize.values()) {
            MachineTable.forEmt(size)
                    .ifPresent(figures -> bender("Generic " + size.label() + " machine shoe", emt(size), figures));
            FormerTable.forPvc(size)
                    .ifPresent(figures -> bender("Heat, " + size.label() + " plastic", pvc(size), figures));
        }
    }

    ConduitSize emt(TradeSize size) {
        return conduit(ConduitMaterial.EMT, size);
    }

    ConduitSize pvc(TradeSize size) {
        return conduit(ConduitMaterial.PVC, size);
    }

    private ConduitSize conduit(ConduitMaterial material, TradeSize size) {
        ConduitSize conduit = new ConduitSize(
                ids.next(),
                centreId,
                size.label() + " " + material.label(),
                ConduitTable.conduit(material, size).outsideDiameter());
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

    Rack.Racked bender(String label, ConduitSize conduit, Tool figures) {
        Bender bender = new Bender(ids.next(), centreId, conduit.id(), label);
        entities.persist(bender);
        // Not of the stream that all other ids are of, so that those stay what they are.
        UUID id = UUID.nameUUIDFromBytes((bender.id() + "/1").getBytes(StandardCharsets.UTF_8));
        BenderRevision revision = new BenderRevision(id, bender.id(), 1, figures, null, at, "As it came");
        entities.persist(revision);
        return new Rack.Racked(bender, revision, conduit);
    }
}
