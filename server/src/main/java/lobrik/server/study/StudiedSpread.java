package lobrik.server.study;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lobrik.feature.FeatureKind;
import lobrik.measure.QuantityKind;
import lobrik.server.account.Audit;
import lobrik.server.account.SignedIn;
import lobrik.server.attempt.ReadingRecords;
import lobrik.server.attempt.ReadsTo;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.Turns;
import lobrik.server.study.MeasuringStudy.Asked;
import lobrik.server.study.MeasuringStudy.Instrument;
import lobrik.verdict.ReadingSpread;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a school's readings are known to spread by: taken from its studies by its lead, and given up again. */
@Service
class StudiedSpread implements ReadingRecords {

    private final EntityManager entities;
    private final Studies studies;
    private final Audit audit;
    private final Turns turns;
    private final Clock clock;

    StudiedSpread(EntityManager entities, Studies studies, Audit audit, Turns turns, Clock clock) {
        this.entities = entities;
        this.studies = studies;
        this.audit = audit;
        this.turns = turns;
        this.clock = clock;
    }

    @Override
    @Transactional(readOnly = true)
    public ReadsTo known(UUID centreId) {
        return newest(centreId).map(SpreadRow::known).orElse(ReadsTo.USUAL);
    }

    /** As it was taken last; empty where nobody ever did. */
    @Transactional(readOnly = true)
    Optional<SpreadRow> newest(UUID centreId) {
        return entities.createQuery("from SpreadRow where centreId = :centre order by entryNo desc", SpreadRow.class)
                .setParameter("centre", centreId)
                .setMaxResults(1)
                .getResultStream()
                .findFirst();
    }

    /**
     * Weighs readings from now on by what a study found; what it did not look at stays as it was.
     *
     * @param without pieces that were left out of it
     * @throws TurnedDown if it goes on still, or found nothing
     */
    @Transactional
    public void take(SignedIn who, UUID studyId, Collection<Integer> without) {
        turns.take(who.centreId());
        MeasuringStudy study = studies.study(who, studyId);
        if (!study.isClosed()) {
            throw TurnedDown.conflict("going-on", "This study is not closed yet; close it first");
        }
        StudyResults results =
                StudyResults.of(study.plan(), List.copyOf(study.plan().readers()), studies.figures(study), without);
        Map<String, Long> found = new HashMap<>();
        for (Asked asked : study.plan().asked()) {
            results.of(asked).ifPresent(analysis -> {
                QuantityKind measured = asked.kind().measured();
                found.put(
                        asked.feature(),
                        ReadingSpread.believed(measured.of(analysis.spread()), measured)
                                .count());
            });
        }
        if (found.isEmpty()) {
            throw TurnedDown.conflict("too-little", "Too little was measured in this study to say anything");
        }
        ReadsTo before = known(who.centreId());
        keep(who, studyId, before, before.with(study.plan().instrument() == Instrument.GAUGE, found));
    }

    /** Weighs readings as is usual again. */
    @Transactional
    public void giveUp(SignedIn who) {
        turns.take(who.centreId());
        ReadsTo before = known(who.centreId());
        if (!before.isUsual()) {
            keep(who, null, before, ReadsTo.USUAL);
        }
    }

    private void keep(SignedIn who, @Nullable UUID studyId, ReadsTo before, ReadsTo now) {
        if (before.equals(now)) {
            return;
        }
        entities.persist(new SpreadRow(who.centreId(), studyId, now, who.accountId(), clock.instant()));
        audit.changed(
                who,
                new Audit.Subject(Audit.Kind.SCHOOL, who.centreId(), "What readings spread by"),
                List.of(new Audit.Change("readings spread by", words(before), words(now))),
                null);
    }

    private static String words(ReadsTo known) {
        if (known.isUsual()) {
            return "as is usual";
        }
        StringBuilder words = new StringBuilder();
        known.byHand().forEach((feature, count) -> words.append(words(feature, count, "")));
        known.byGauge().forEach((feature, count) -> words.append(words(feature, count, " by gauge")));
        return words.substring(2);
    }

    private static String words(String feature, long count, String how) {
        FeatureKind kind = FeatureKind.withId(feature).orElseThrow();
        return ", " + kind.title() + how + " " + kind.measured().ofCount(count).number();
    }
}
