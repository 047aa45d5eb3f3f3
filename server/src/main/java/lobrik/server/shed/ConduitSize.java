package lobrik.server.shed;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.math.BigDecimal;
import java.util.UUID;
import lobrik.measure.Length;
import org.hibernate.annotations.DynamicUpdate;
import org.jspecify.annotations.Nullable;

/** A size of conduit that the centre bends. */
@Entity
@DynamicUpdate // The application may only update what can change.
@Table(name = "conduit")
public class ConduitSize {

    @Id
    private UUID id;

    private UUID centreId;
    private String label;
    private long outsideDiameterPm;
    private boolean putAway;
    private String material = "";
    private long stickPm = Keeping.USUAL.stick().picometres();
    private int fewestSticks;
    private long shortestKeptPm = Keeping.USUAL.shortestKept().picometres();
    private @Nullable BigDecimal price;

    /** Counts what is kept of its stock, so that two who change it at once do not write over each other. */
    private int edition;

    /**
     * How it is kept on the rack.
     *
     * @param material in words, where its name does not say it
     * @param stick length that it comes in
     * @param fewestSticks so many are too few
     * @param shortestKept what is left over and shorter is thrown away
     * @param price of a stick, in what the school pays in; null where nobody keeps it
     */
    public record Keeping(
            String material,
            Length stick,
            int fewestSticks,
            Length shortestKept,
            @Nullable BigDecimal price) {

        /** Sticks of ten feet; of what is left, two feet and more is kept. */
        public static final Keeping USUAL = new Keeping("", Length.ofInches(120), 0, Length.ofInches(24), null);
    }

    @SuppressWarnings("NullAway.Init")
    protected ConduitSize() {}

    public ConduitSize(UUID id, UUID centreId, String label, Length outsideDiameter) {
        this.id = id;
        this.centreId = centreId;
        this.label = label;
        this.outsideDiameterPm = outsideDiameter.picometres();
    }

    public UUID id() {
        return id;
    }

    public boolean isIn(UUID centre) {
        return centreId.equals(centre);
    }

    public boolean isPutAway() {
        return putAway;
    }

    void putAway(boolean away) {
        putAway = away;
    }

    /** How it is kept on the rack. */
    public Keeping keeping() {
        return new Keeping(material, new Length(stickPm), fewestSticks, new Length(shortestKeptPm), price);
    }

    public int edition() {
        return edition;
    }

    /** Keeps it otherwise from now on. */
    public void keep(Keeping keeping) {
        material = keeping.material();
        stickPm = keeping.stick().picometres();
        fewestSticks = keeping.fewestSticks();
        shortestKeptPm = keeping.shortestKept().picometres();
        price = keeping.price();
        edition++;
    }

    public String label() {
        return label;
    }

    public Length outsideDiameter() {
        return new Length(outsideDiameterPm);
    }
}
