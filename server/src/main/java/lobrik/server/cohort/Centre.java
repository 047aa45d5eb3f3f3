package lobrik.server.cohort;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import org.hibernate.annotations.DynamicUpdate;
import org.jspecify.annotations.Nullable;

/** A school or training centre: it owns everything else. */
@Entity
@DynamicUpdate
public class Centre {

    private static final int USUAL_SHEET_DAYS = 14;
    private static final Length USUAL_DIVISION = Length.ofInches(1 / 16.0);
    private static final String USUAL_PRESET = "site";

    @Id
    private UUID id;

    private String name;
    private Instant createdAt;
    private boolean wallScores;
    private boolean wallInitials;
    private boolean pointsWithoutBender;

    /** Whether its leads need a second factor; kept by the accounts. */
    private boolean leadsConfirm;

    /** The school that was brought in in its place. */
    private @Nullable UUID replacedBy;

    private int sheetDays;

    @Enumerated(EnumType.STRING)
    private LengthUnit usualUnit;

    private long divisionPm;
    private String usualPreset;
    private String codeNotes;
    private byte @Nullable [] logo;
    private @Nullable Instant setUpAt;

    /** Counts what is kept of its set-up, so that two who change it at once do not write over each other. */
    private int edition;

    /** In what prices of conduit are. */
    private String currency = "";

    @SuppressWarnings("NullAway.Init")
    protected Centre() {}

    public Centre(UUID id, String name, Instant createdAt) {
        this.id = id;
        this.name = name;
        this.createdAt = createdAt;
        this.wallScores = true;
        this.sheetDays = USUAL_SHEET_DAYS;
        this.usualUnit = LengthUnit.INCH;
        this.divisionPm = USUAL_DIVISION.picometres();
        this.usualPreset = USUAL_PRESET;
        this.codeNotes = "";
    }

    /** What it is set up with. */
    public SetUp setUp() {
        return new SetUp(name, usualUnit, new Length(divisionPm), usualPreset, codeNotes);
    }

    void setUp(SetUp chosen, Instant at) {
        name = chosen.name();
        usualUnit = chosen.unit();
        divisionPm = chosen.division().picometres();
        usualPreset = chosen.preset();
        codeNotes = chosen.codeNotes();
        setUpAt = at;
        edition++;
    }

    /** Whether somebody has looked at all that a school is set up with. */
    public boolean isSetUp() {
        return setUpAt != null;
    }

    /** A made-up school has been looked at by whoever made it up. */
    public void lookedAt(Instant at) {
        setUpAt = at;
    }

    int edition() {
        return edition;
    }

    /** A picture for its sheets, where it has one. */
    byte @Nullable [] logo() {
        return logo == null ? null : logo.clone();
    }

    void show(byte @Nullable [] picture) {
        logo = picture == null ? null : picture.clone();
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
     * How the screens and sheets of a school begin, and what they say of it.
     *
     * @param unit of somebody new
     * @param division of the tape, on a new exercise
     * @param preset of tolerances, on a new exercise
     * @param codeNotes what of the local code is to be minded; printed on sheets
     */
    public record SetUp(String name, LengthUnit unit, Length division, String preset, String codeNotes) {}

    /**
     * What everybody in the room may read.
     *
     * @param scores of pieces that were judged; otherwise only that they are done
     * @param initials instead of whole names
     */
    public record OnTheWall(boolean scores, boolean initials) {}

    /** In what prices of conduit are; empty where nobody said. */
    public String currency() {
        return currency;
    }

    public void payIn(String newCurrency) {
        currency = newCurrency;
    }
}
