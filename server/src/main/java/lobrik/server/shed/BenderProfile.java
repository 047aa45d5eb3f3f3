package lobrik.server.shed;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.shop.Shoe;

/** A bender of the centre with its figures for one size of conduit. */
@Entity
@Table(name = "bender")
public class BenderProfile {

    @Id
    private UUID id;

    private UUID centreId;
    private UUID conduitId;
    private String label;
    private long takeUpPm;
    private long radiusPm;
    private long minSpacingPm;
    private long minStubPm;
    private long minStandingPm;
    private long springbackNdeg;

    @SuppressWarnings("NullAway.Init")
    protected BenderProfile() {}

    public BenderProfile(UUID id, UUID centreId, UUID conduitId, String label, Shoe figures) {
        this.id = id;
        this.centreId = centreId;
        this.conduitId = conduitId;
        this.label = label;
        this.takeUpPm = figures.takeUp().picometres();
        this.radiusPm = figures.radius().picometres();
        this.minSpacingPm = figures.minSpacing().picometres();
        this.minStubPm = figures.minStub().picometres();
        this.minStandingPm = figures.minStanding().picometres();
        this.springbackNdeg = figures.springback().nanodegrees();
    }

    public UUID id() {
        return id;
    }

    public UUID conduitId() {
        return conduitId;
    }

    public String label() {
        return label;
    }

    public Shoe figures() {
        return new Shoe(
                new Length(takeUpPm),
                new Length(radiusPm),
                new Length(minSpacingPm),
                new Length(minStubPm),
                new Length(minStandingPm),
                new Angle(springbackNdeg));
    }
}
