package lobrik.server.shed;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import lobrik.server.account.Accounts;
import lobrik.server.account.Audit;
import lobrik.server.account.Differences;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.Turns;
import lobrik.verdict.TolerancePreset;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The sets of tolerances that a centre judges by: the usual ones, which stay as they are, and its own. */
@Service
public class JudgingPresets {

    private static final int MOST_OWN = 40;
    private static final int LONGEST_NAME = 60;

    private final EntityManager entities;
    private final Turns turns;
    private final Accounts accounts;
    private final Audit audit;
    private final Clock clock;

    JudgingPresets(EntityManager entities, Turns turns, Accounts accounts, Audit audit, Clock clock) {
        this.audit = audit;
        this.entities = entities;
        this.accounts = accounts;
        this.turns = turns;
        this.clock = clock;
    }

    /** The usual ones, then the centre's own by name. */
    @Transactional(readOnly = true)
    public List<ToleranceFigures> all(SignedIn who) {
        List<ToleranceFigures> all = new ArrayList<>(usual());
        own(who).forEach(preset -> all.add(preset.figures()));
        return List.copyOf(all);
    }

    /** Those that every centre has. */
    static List<ToleranceFigures> usual() {
        return Stream.of(TolerancePreset.values()).map(ToleranceFigures::of).toList();
    }

    @Transactional(readOnly = true)
    List<JudgingPreset> own(SignedIn who) {
        return entities.createQuery(
                        "from JudgingPreset where centreId = :centre and not putAway order by lower(name)",
                        JudgingPreset.class)
                .setParameter("centre", who.centreId())
                .getResultList();
    }

    /**
     * Keeps a set of the centre's own, a new one or a changed one.
     *
     * @param id made by the client
     * @throws TurnedDown if its name is taken or too long, if there are too many, or if somebody else made it
     * @throws lobrik.fault.Refused if a figure is outside its range
     */
    @Transactional
    public void keep(SignedIn who, UUID id, ToleranceFigures given) {
        ToleranceFigures figures = given.named(given.preset().strip());
        figures.toCore();
        turns.take(who.centreId());
        requireName(who, id, figures.preset());
        JudgingPreset known = entities.find(JudgingPreset.class, id);
        if (known == null) {
            if (own(who).size() >= MOST_OWN) {
                throw TurnedDown.conflict(
                        "too-many", "there are " + MOST_OWN + " sets already; put one away that nobody uses");
            }
            JudgingPreset made = new JudgingPreset(id, who.centreId(), figures, who.accountId(), clock.instant());
            entities.persist(made);
            keepVersion(made);
            audit.added(who, subject(made));
        } else if (!requireMayChange(who, known).figures().equals(figures) || known.isPutAway()) {
            ToleranceFigures before = known.figures();
            known.change(figures, who.accountId(), clock.instant());
            keepVersion(known);
            audit.changed(who, subject(known), Differences.between(before, figures), null);
        }
    }

    private void keepVersion(JudgingPreset preset) {
        int version = entities.createQuery(
                                "select coalesce(max(version), 0) from JudgingPresetVersion where presetId = :id",
                                Integer.class)
                        .setParameter("id", preset.id())
                        .getSingleResult()
                + 1;
        entities.persist(new JudgingPresetVersion(preset, version));
    }

    /** Everything that a set ever was, the newest first. */
    @Transactional(readOnly = true)
    List<JudgingPresetVersion> versions(SignedIn who, UUID id) {
        require(who, entities.find(JudgingPreset.class, id));
        return entities.createQuery(
                        "from JudgingPresetVersion where presetId = :id order by version desc",
                        JudgingPresetVersion.class)
                .setParameter("id", id)
                .getResultList();
    }

    private void requireName(SignedIn who, UUID id, String name) {
        if (name.isEmpty() || name.length() > LONGEST_NAME) {
            throw TurnedDown.badInput("/preset", "out-of-range", "give it a name of 1 to " + LONGEST_NAME + " letters");
        }
        boolean usual = usual().stream().anyMatch(figures -> figures.preset().equalsIgnoreCase(name));
        boolean taken = own(who).stream()
                .anyMatch(preset ->
                        !preset.id().equals(id) && preset.figures().preset().equalsIgnoreCase(name));
        if (usual || taken) {
            throw TurnedDown.badInput("/preset", "duplicate", "there is a set called “" + name + "” already");
        }
    }

    /** Offers a set no longer; what was set with it stays. */
    @Transactional
    public void putAway(SignedIn who, UUID id) {
        turns.take(who.centreId());
        JudgingPreset preset = requireMayChange(who, entities.find(JudgingPreset.class, id));
        if (!preset.isPutAway()) {
            preset.putAway(who.accountId(), clock.instant());
            keepVersion(preset);
            audit.ended(who, subject(preset), null);
        }
    }

    private static Audit.Subject subject(JudgingPreset preset) {
        return new Audit.Subject(
                Audit.Kind.TOLERANCES, preset.id(), preset.figures().preset());
    }

    private JudgingPreset requireMayChange(SignedIn who, @Nullable JudgingPreset known) {
        JudgingPreset preset = require(who, known);
        accounts.requireMayChange(
                who, preset.madeBy(), "“" + preset.figures().preset() + "”", "Make one like it instead");
        return preset;
    }

    private static JudgingPreset require(SignedIn who, @Nullable JudgingPreset preset) {
        if (preset == null || !preset.isIn(who.centreId())) {
            throw TurnedDown.notFound("set of tolerances");
        }
        return preset;
    }
}
