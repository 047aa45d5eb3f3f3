package lobrik.server.progress;

import jakarta.persistence.EntityManager;
import jakarta.persistence.Tuple;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import lobrik.progress.Family;
import lobrik.progress.Outcome;
import lobrik.progress.SignOffRule;
import lobrik.server.account.Audit;
import lobrik.server.account.SignedIn;
import lobrik.server.cohort.Cohorts;
import lobrik.server.cohort.Trainee;
import lobrik.server.platform.Rows;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.Turns;
import lobrik.wire.Numbers;
import lobrik.wire.Unit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Signatures: proposed by the rule, given by an instructor, withdrawn with a reason; nothing of it is ever taken away. */
@Service
public class SignOffs {

    private static final int LONGEST_TEXT = 300;

    /**
     * A signature, its withdrawal if there is one, pieces of its evidence that have come to something else since, and whether the
     * pieces since speak against it.
     */
    record Signed(
            SignOff signature,
            Optional<SignOffWithdrawal> withdrawal,
            List<UUID> changed,
            Optional<SignOffRule.Against> against) {

        boolean stands() {
            return withdrawal.isEmpty();
        }
    }

    private static final Instant MUCH_LATER = Instant.parse("9999-01-01T00:00:00Z");

    private final EntityManager entities;
    private final Cohorts cohorts;
    private final Outcomes outcomes;
    private final Rules rules;
    private final Turns turns;
    private final Audit audit;
    private final Clock clock;

    SignOffs(
            EntityManager entities,
            Cohorts cohorts,
            Outcomes outcomes,
            Rules rules,
            Turns turns,
            Audit audit,
            Clock clock) {
        this.audit = audit;
        this.entities = entities;
        this.cohorts = cohorts;
        this.outcomes = outcomes;
        this.rules = rules;
        this.turns = turns;
        this.clock = clock;
    }

    /** The families of bends that somebody has finished pieces of, in order. */
    @Transactional(readOnly = true)
    public List<Family> bent(UUID traineeId) {
        return outcomes.totals(traineeId).keySet().stream().sorted().toList();
    }

    /** Every signature that some trainees were ever given, by trainee, from the oldest. */
    @Transactional(readOnly = true)
    Map<UUID, List<Signed>> of(Collection<UUID> traineeIds) {
        List<SignOff> signatures = entities.createQuery(
                        "from SignOff where traineeId in :trainees order by entryNo", SignOff.class)
                .setParameter("trainees", traineeIds)
                .getResultList();
        Map<UUID, SignOffWithdrawal> withdrawals = entities.createQuery(
                        "from SignOffWithdrawal where signOffId in :ids", SignOffWithdrawal.class)
                .setParameter("ids", signatures.stream().map(SignOff::id).toList())
                .getResultStream()
                .collect(Collectors.toMap(SignOffWithdrawal::signOffId, Function.identity()));
        Map<UUID, OutcomeRow> now = evidenceNow(signatures);
        Map<UUID, List<Boolean>> since = passedSince(signatures);
        Map<UUID, List<Signed>> signed = new HashMap<>();
        for (SignOff signature : signatures) {
            List<UUID> changed = signature.evidence().stream()
                    .filter(piece -> hasChanged(piece, now))
                    .map(SignOff.Evidence::attemptId)
                    .toList();
            signed.computeIfAbsent(signature.traineeId(), id -> new ArrayList<>())
                    .add(new Signed(
                            signature,
                            Optional.ofNullable(withdrawals.get(signature.id())),
                            changed,
                            withdrawals.containsKey(signature.id())
                                    ? Optional.empty()
                                    : signature
                                            .rule()
                                            .toCore()
                                            .against(since.getOrDefault(signature.id(), List.of()))));
        }
        return signed;
    }

    /** Whether each piece of the family passed that was measured after it was signed, from the oldest, by signature. */
    private Map<UUID, List<Boolean>> passedSince(List<SignOff> signatures) {
        Map<UUID, List<Boolean>> since = new HashMap<>();
        if (signatures.isEmpty()) {
            return since;
        }
        Rows.named(entities.createNativeQuery("""
                                select s.id, o.passed from sign_off s
                                join outcome o on o.trainee_id = s.trainee_id and o.family = s.family and o.measured_at > s.signed_at
                                where s.id in (:ids) order by o.measured_at, o.attempt_id""", Tuple.class)
                        .setParameter(
                                "ids", signatures.stream().map(SignOff::id).toList()))
                .forEach(row -> since.computeIfAbsent(row.get("id", UUID.class), _ -> new ArrayList<>())
                        .add(row.get("passed", Boolean.class)));
        return since;
    }

    private Map<UUID, OutcomeRow> evidenceNow(List<SignOff> signatures) {
        Set<UUID> ids = new HashSet<>();
        signatures.forEach(signature -> signature.evidence().forEach(piece -> ids.add(piece.attemptId())));
        return entities.createQuery("from OutcomeRow where attemptId in :ids", OutcomeRow.class)
                .setParameter("ids", ids)
                .getResultStream()
                .collect(Collectors.toMap(OutcomeRow::attemptId, Function.identity()));
    }

    private static boolean hasChanged(SignOff.Evidence piece, Map<UUID, OutcomeRow> now) {
        OutcomeRow row = now.get(piece.attemptId());
        return row == null || row.passed() != piece.passed() || row.points() != piece.points();
    }

    /** The families of bends that each of some trainees is signed off in. */
    @Transactional(readOnly = true)
    Map<UUID, Set<Family>> standing(Collection<UUID> traineeIds) {
        // Whatever a clock was wrong by when somebody signed.
        return standingAt(traineeIds, MUCH_LATER);
    }

    /** The same as it was at some time. */
    @Transactional(readOnly = true)
    Map<UUID, Set<Family>> standingAt(Collection<UUID> traineeIds, Instant at) {
        Map<UUID, Set<Family>> standing = new HashMap<>();
        entities.createQuery("""
                        select s.traineeId as trainee, s.family as family from SignOff s where s.traineeId in :trainees
                          and s.signedAt <= :at
                          and not exists (select 1 from SignOffWithdrawal w where w.signOffId = s.id and w.withdrawnAt <= :at)""", Tuple.class)
                .setParameter("trainees", traineeIds)
                .setParameter("at", at)
                .getResultStream()
                .forEach(row -> Family.withId(row.get("family", String.class))
                        .ifPresent(family -> standing.computeIfAbsent(
                                        row.get("trainee", UUID.class), id -> new HashSet<>())
                                .add(family)));
        return standing;
    }

    /**
     * Signs somebody off in a family of bends, on the evidence as it is now. Repeating the request changes nothing.
     *
     * @param remark of the instructor; needed where the rule is not met
     * @throws TurnedDown if a signature stands already, or if the rule is not met and nothing says why all the same
     */
    @Transactional
    public void sign(SignedIn who, UUID id, UUID traineeId, Family family, String remark) {
        Trainee trainee = cohorts.trainee(who, traineeId);
        turns.take(traineeId);
        SignOff same = entities.find(SignOff.class, id);
        if (same != null) {
            if (!same.traineeId().equals(traineeId) || !same.family().equals(family.id())) {
                throw TurnedDown.conflict("key-used", "This key was used for something else; make a new one");
            }
            return;
        }
        if (standing(List.of(traineeId)).getOrDefault(traineeId, Set.of()).contains(family)) {
            throw TurnedDown.conflict("signed-already", "Somebody has signed this already; it stands");
        }
        String said = require(remark, "/remark");
        // Pieces that a wrong clock dated too late were bent all the same.
        Check found = check(who, traineeId, family, Instant.MAX);
        if (!found.check().isMet() && said.isEmpty()) {
            throw TurnedDown.conflict(
                    "not-shown",
                    "The rule is not met yet: " + RuleWords.missing(found.check())
                            + ". You may sign all the same if you say why");
        }
        persist(who, id, traineeId, family, said, clock.instant(), found);
        audit.changed(
                who,
                subject(trainee),
                List.of(new Audit.Change(family.id(), null, found.check().isMet() ? "signed" : "signed, rule not met")),
                said.isEmpty() ? null : said);
    }

    private static Audit.Subject subject(Trainee trainee) {
        return new Audit.Subject(Audit.Kind.SIGNATURE, trainee.id(), trainee.fullName());
    }

    /** What somebody had to show up to a time, by the rule in force. */
    private record Check(SignOffRule rule, SignOffRule.Check check, List<OutcomeRow> rows) {}

    private Check check(SignedIn who, UUID traineeId, Family family, Instant at) {
        SignOffRule rule = rules.inForce(who.centreId()).getOrDefault(family, SignOffRule.USUAL);
        List<OutcomeRow> rows = outcomes
                .rows(List.of(traineeId), Outcomes.Filter.ALL, TraineePages.HISTORY)
                .getOrDefault(traineeId, Map.of())
                .getOrDefault(family, List.of())
                .stream()
                .filter(row -> !row.measuredAt().isAfter(at))
                .toList();
        return new Check(
                rule,
                rule.check(rows.stream().map(row -> row.toCore(Outcomes.zone())).toList()),
                rows);
    }

    private void persist(SignedIn who, UUID id, UUID traineeId, Family family, String remark, Instant at, Check found) {
        entities.persist(new SignOff(
                id,
                traineeId,
                family.id(),
                who.accountId(),
                who.fullName(),
                at,
                SignOffFigures.of(found.rule()),
                evidence(found.check(), found.rows()),
                found.check().isMet(),
                remark));
    }

    /**
     * Signs as it would have been done at a time that is past, if the rule was met then: for a record that is made up, such as the
     * demo school's. No request leads here.
     *
     * @return whether it was
     */
    @Transactional
    public boolean signedThen(SignedIn who, UUID id, UUID traineeId, Family family, Instant at) {
        Check found = check(who, traineeId, family, at);
        if (found.check().isMet()) {
            persist(who, id, traineeId, family, "", at, found);
        }
        return found.check().isMet();
    }

    private static List<SignOff.Evidence> evidence(SignOffRule.Check check, List<OutcomeRow> rows) {
        Set<String> counted = check.evidence().stream().map(Outcome::attempt).collect(Collectors.toSet());
        return rows.stream()
                .filter(row -> counted.contains(row.attemptId().toString()))
                .map(SignOffs::evidence)
                .toList();
    }

    private static SignOff.Evidence evidence(OutcomeRow row) {
        return new SignOff.Evidence(
                row.attemptId(),
                row.measuredAt(),
                row.title(),
                row.conduitLabel(),
                row.benderLabel(),
                row.preset(),
                row.points(),
                row.passed(),
                row.rebent(),
                row.toCore(Outcomes.zone()).missed().stream()
                        .map(missed -> new SignOff.EvidenceFeature(
                                missed.feature().id(),
                                Unit.of(missed.feature()),
                                Numbers.of(missed.deviation()),
                                Numbers.of(missed.tolerance())))
                        .toList());
    }

    /**
     * Withdraws a signature. It stays on record, and so does the reason.
     *
     * @throws TurnedDown if there is none for the one who asks, or no reason
     */
    @Transactional
    public UUID withdraw(SignedIn who, UUID id, String reason) {
        SignOff signature = entities.find(SignOff.class, id);
        if (signature == null) {
            throw TurnedDown.notFound("signature");
        }
        Trainee trainee = cohorts.trainee(who, signature.traineeId());
        turns.take(signature.traineeId());
        String why = require(reason, "/reason");
        if (why.isEmpty()) {
            throw TurnedDown.badInput("/reason", "missing", "say why it is withdrawn; it stays on record");
        }
        if (entities.find(SignOffWithdrawal.class, id) == null) {
            entities.persist(new SignOffWithdrawal(id, who.accountId(), who.fullName(), clock.instant(), why));
            audit.changed(
                    who, subject(trainee), List.of(new Audit.Change(signature.family(), "signed", "withdrawn")), why);
        }
        return signature.traineeId();
    }

    private static String require(String text, String pointer) {
        String stripped = text.strip();
        if (stripped.length() > LONGEST_TEXT || stripped.indexOf('\0') >= 0) {
            throw TurnedDown.badInput(pointer, "out-of-range", "give at most " + LONGEST_TEXT + " characters");
        }
        return stripped;
    }
}
