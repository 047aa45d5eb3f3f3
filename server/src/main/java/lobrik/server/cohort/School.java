package lobrik.server.cohort;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import lobrik.measure.Length;
import lobrik.server.account.Audit;
import lobrik.server.account.Differences;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.Turns;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a school is set up with, by its lead. */
@Service
public class School {

    private static final int LONGEST_NAME = 100;
    private static final int LONGEST_NOTES = 1000;
    private static final Length FINEST = Length.ofInches(1 / 64.0);
    private static final Length COARSEST = Length.ofInches(1);

    /** What stands of a school on its sheets. */
    @SuppressWarnings("ArrayRecordComponent") // Made for one use and never compared.
    public record Letterhead(String name, String codeNotes, byte @Nullable [] logo) {

        /** Nothing known of it. */
        public static final Letterhead NONE = new Letterhead("", "", null);
    }

    /** Its set-up, with the edition that whoever changes it has seen. */
    record Kept(Centre.SetUp setUp, boolean isSetUp, boolean hasLogo, int edition) {}

    private final EntityManager entities;
    private final Audit audit;
    private final Turns turns;
    private final Clock clock;

    School(EntityManager entities, Audit audit, Turns turns, Clock clock) {
        this.entities = entities;
        this.audit = audit;
        this.turns = turns;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    Kept of(SignedIn who) {
        Centre centre = centre(who);
        return new Kept(centre.setUp(), centre.isSetUp(), centre.logo() != null, centre.edition());
    }

    /** How the screens of a school begin. */
    @Transactional(readOnly = true)
    public Centre.SetUp setUp(SignedIn who) {
        return centre(who).setUp();
    }

    /** What stands on the sheets of a school. */
    @Transactional(readOnly = true)
    public Letterhead letterhead(SignedIn who) {
        Centre centre = centre(who);
        return new Letterhead(centre.name(), centre.setUp().codeNotes(), centre.logo());
    }

    /**
     * Sets a school up from now on.
     *
     * @param seen the edition that whoever asks has seen
     * @throws TurnedDown if something is out of range, or somebody else changed it since
     */
    @Transactional
    void setUp(SignedIn who, int seen, Centre.SetUp chosen) {
        require(chosen);
        turns.take(who.centreId());
        Centre centre = centre(who);
        if (centre.edition() != seen) {
            throw TurnedDown.changedMeanwhile("What the school is set up with");
        }
        Centre.SetUp before = centre.setUp();
        centre.setUp(chosen, clock.instant());
        audit.changed(who, subject(centre), Differences.between(words(before), words(chosen)), null);
    }

    /** Lengths in inches, so that the record can be read. */
    private static SetUpWords words(Centre.SetUp setUp) {
        return new SetUpWords(
                setUp.name(), setUp.unit().id(), setUp.division().inches(), setUp.preset(), setUp.codeNotes());
    }

    private record SetUpWords(String name, String unit, double divisionIn, String tolerances, String codeNotes) {}

    /** Shows a picture on the sheets, or none. */
    @Transactional
    void show(SignedIn who, byte @Nullable [] picture) {
        turns.take(who.centreId());
        Centre centre = centre(who);
        String before = centre.logo() == null ? "none" : "a picture";
        centre.show(picture);
        audit.changed(
                who,
                subject(centre),
                List.of(new Audit.Change(
                        "logo", before, picture == null ? "none" : before.equals("none") ? "a picture" : "another")),
                null);
    }

    @Transactional(readOnly = true)
    byte[] logo(SignedIn who) {
        byte[] logo = centre(who).logo();
        if (logo == null) {
            throw TurnedDown.notFound("picture");
        }
        return logo;
    }

    private static void require(Centre.SetUp chosen) {
        if (chosen.name().isEmpty() || chosen.name().length() > LONGEST_NAME) {
            throw TurnedDown.badInput("/name", "missing", "give a name of 1 to " + LONGEST_NAME + " characters");
        }
        if (chosen.codeNotes().length() > LONGEST_NOTES) {
            throw TurnedDown.badInput("/codeNotes", "out-of-range", "give at most " + LONGEST_NOTES + " characters");
        }
        if (chosen.division().compareTo(FINEST) < 0 || chosen.division().compareTo(COARSEST) > 0) {
            throw TurnedDown.badInput(
                    "/divisionIn", "out-of-range", "the divisions of a tape are from 1/64 in to 1 in apart");
        }
    }

    private Centre centre(SignedIn who) {
        return Objects.requireNonNull(entities.find(Centre.class, who.centreId()));
    }

    private static Audit.Subject subject(Centre centre) {
        UUID id = centre.id();
        return new Audit.Subject(Audit.Kind.SCHOOL, id, centre.name());
    }
}
