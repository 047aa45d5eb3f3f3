package lobrik.server.progress;

import jakarta.persistence.EntityManager;
import jakarta.persistence.Tuple;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lobrik.progress.RuleOdds;
import lobrik.progress.SignOffRule;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.TurnedDown;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a sign-off rule does in this school: worked out by the core, with how the school works taken from its own records. */
@Service
class RuleEffects {

    private static final List<Double> RATES = List.of(0.5, 0.7, 0.8, 0.9, 0.95);
    private static final List<Integer> AFTER = List.of(8, 12, 20);
    private static final int MOST_A_DAY = 10;

    /** So many say how a school works; more would only take longer. */
    private static final int MOST_PIECES = 5000;

    private static final Duration LOOKED_BACK = Duration.ofDays(365);

    /**
     * How likely somebody is called ready who passes so many of their pieces.
     *
     * @param within chance within each of {@link RuleEffect#after} pieces
     */
    record ReadyChance(double passRate, List<Double> within) {}

    /** The smallest rule that keeps a risk, and the risk that is left. */
    record SmallestRule(SignOffFigures figures, double risk) {}

    /**
     * What a rule does.
     *
     * @param piecesADay that somebody bends of one kind in a session here
     * @param cleanShare share of the passes here that are without re-bending
     * @param after within how many pieces
     * @param smallest null where no rule of so few pieces keeps the risk
     */
    record RuleEffect(
            int piecesADay,
            double cleanShare,
            List<Integer> after,
            List<ReadyChance> chances,
            @Nullable SmallestRule smallest) {}

    /**
     * What is asked for.
     *
     * @param figures of the rule
     * @param passRate of somebody who should not be called ready
     * @param pieces within which they should not
     * @param risk that is taken
     */
    record EffectAsked(
            @Nullable SignOffFigures figures,
            @Nullable Double passRate,
            @Nullable Integer pieces,
            @Nullable Double risk) {}

    private final EntityManager entities;
    private final Clock clock;

    RuleEffects(EntityManager entities, Clock clock) {
        this.entities = entities;
        this.clock = clock;
    }

    /**
     * What a rule does.
     *
     * @throws TurnedDown if a share is none
     * @throws lobrik.fault.Refused if no piece could meet the rule
     */
    @Transactional(readOnly = true)
    RuleEffect of(SignedIn who, EffectAsked asked) {
        SignOffRule rule = TurnedDown.required("/figures", asked.figures()).toCore();
        double passRate = share("/passRate", asked.passRate());
        double risk = share("/risk", asked.risk());
        int pieces = TurnedDown.required("/pieces", asked.pieces());
        if (!AFTER.contains(pieces)) {
            throw TurnedDown.badInput("/pieces", "out-of-range", "choose 8, 12 or 20 pieces");
        }
        RuleOdds.Practice practice = practice(who.centreId());
        Optional<SmallestRule> smallest = RuleOdds.smallest(rule, practice, passRate, pieces, risk)
                .map(kept -> new SmallestRule(SignOffFigures.of(kept.rule()), kept.risk()));
        return new RuleEffect(
                practice.piecesADay(),
                practice.cleanShare(),
                AFTER,
                RATES.stream()
                        .map(rate -> {
                            List<Double> ready = RuleOdds.ready(rule, practice, rate, AFTER.getLast());
                            return new ReadyChance(
                                    rate,
                                    AFTER.stream()
                                            .map(after -> ready.get(after - 1))
                                            .toList());
                        })
                        .toList(),
                smallest.orElse(null));
    }

    private static double share(String pointer, @Nullable Double given) {
        double share = TurnedDown.required(pointer, given);
        if (!(share >= 0 && share <= 1)) {
            throw TurnedDown.badInput(pointer, "out-of-range", "a share is from 0 to 1");
        }
        return share;
    }

    /** Of the last year; as is usual where nothing was finished yet. */
    private RuleOdds.Practice practice(UUID centreId) {
        Tuple found = (Tuple) entities.createNativeQuery("""
                        select cast(coalesce(avg(pieces), 0) as double precision) as a_day,
                          cast(coalesce(sum(clean) / nullif(sum(passes), 0), 1) as double precision) as clean
                        from (select count(*) as pieces, count(*) filter (where passed) as passes,
                            count(*) filter (where passed and rebent = 0) as clean
                          from (select trainee_id, family, measured_at, passed, rebent from outcome
                            where centre_id = :centre and measured_at > :since order by measured_at desc limit :most) newest
                          group by trainee_id, family, cast(measured_at as date)) a_day""", Tuple.class)
                .setParameter("centre", centreId)
                .setParameter("since", clock.instant().minus(LOOKED_BACK))
                .setParameter("most", MOST_PIECES)
                .getSingleResult();
        double aDay = found.get("a_day", Double.class);
        return aDay == 0
                ? RuleOdds.Practice.USUAL
                : new RuleOdds.Practice(
                        (int) Math.max(1, Math.min(MOST_A_DAY, Math.round(aDay))), found.get("clean", Double.class));
    }
}
