package lobrik.server.cohort;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.DynamicUpdate;

/** A school or training centre: it owns everything else. */
@Entity
@DynamicUpdate
public class Centre {

    private static final int USUAL_SHEET_DAYS = 14;

    @Id
    private UUID id;

    private String name;
    private Instant createdAt;
    private boolean wallScores;
    private boolean wallInitials;
    private boolean pointsWithoutBender;
    private int sheetDays;

    @SuppressWarnings("NullAway.Init")
    protected Centre() {}

    public Centre(UUID id, String name, Instant createdAt) {
        this.id = id;
        this.name = name;
        this.createdAt = createdAt;
        this.wallScores = true;
        this.sheetDays = USUAL_SHEET_DAYS;
    }

    public UUID id() {
        return id;
    }

    public String name() {
        return name;
    }

    /** What the monitor on the wall tells of people. */
    public OnTheWall onTheWall() {
        return new OnTheWall(wallScores, wallInitials);
    }

    void show(OnTheWall chosen) {
        wallScores = chosen.scores();
        wallInitials = chosen.initials();
    }

    /** Whether points leave out what a bender is known to add by itself. */
    public boolean leavesBenderOutOfPoints() {
        return pointsWithoutBender;
    }

    void leaveBenderOutOfPoints(boolean leftOut) {
        pointsWithoutBender = leftOut;
    }

    /** For how many days after its session the code on a sheet opens something. */
    public int sheetDays() {
        return sheetDays;
    }

    void keepSheetsFor(int days) {
        sheetDays = days;
    }

    /**
     * What everybody in the room may read.
     *
     * @param scores of pieces that were judged; otherwise only that they are done
     * @param initials instead of whole names
     */
    public record OnTheWall(boolean scores, boolean initials) {}
}
