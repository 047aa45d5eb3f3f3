package lobrik.server.stock;

import jakarta.persistence.EntityManager;
import jakarta.persistence.Query;
import jakarta.persistence.Tuple;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import lobrik.measure.Length;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.Days;
import lobrik.server.platform.Right;
import lobrik.server.platform.Rows;
import lobrik.server.platform.TurnedDown;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * What was used up and wasted on some days: by the pieces that were measured (conduit in them, and what was wasted over them), and by
 * what was cut (pieces, offcuts that were too short to be kept, and what the saw took).
 */
@Service
class StockUse {

    /**
     * Of one kind of bend, or of somebody.
     *
     * @param name id of the family, or name of the trainee
     * @param pieces that were measured
     * @param used conduit in them
     * @param failed conduit in those of them that failed
     * @param wasted over them, as was noted at the bench
     * @param cost of both, where prices are kept; in what the school pays in
     */
    record Used(String name, int pieces, Length used, Length failed, Length wasted, double cost) {}

    /** What was cut of one kind of conduit. */
    record Cut(String conduitLabel, int pieces, Length inPieces, Length wasted, double cost) {}

    private static final int MOST = 500;

    /** What a picometre costs, where a price is kept. */
    private static final String PRICE = "coalesce(c.price / nullif(c.stick_pm, 0), 0)";

    private static final String MEASURED = """
            from outcome o join trainee t on t.id = o.trainee_id join cohort h on h.id = t.cohort_id
            left join conduit c on c.centre_id = o.centre_id and c.label = o.conduit_label
            where o.centre_id = :centre and o.measured_at >= :first and o.measured_at < :after
              and (:all or exists (select 1 from cohort_instructor i where i.cohort_id = h.id and i.account_id = :account))
            """;

    private final EntityManager entities;

    StockUse(EntityManager entities) {
        this.entities = entities;
    }

    /** By family of bends, the most used first. */
    @Transactional(readOnly = true)
    List<Used> byFamily(SignedIn who, LocalDate first, LocalDate last) {
        return used(who, first, last, "o.family", "o.family");
    }

    /** By trainee, the one who wasted most first; 500 at most. */
    @Transactional(readOnly = true)
    List<Used> byTrainee(SignedIn who, LocalDate first, LocalDate last) {
        return used(who, first, last, "t.full_name", "t.id, t.full_name");
    }

    private List<Used> used(SignedIn who, LocalDate first, LocalDate last, String name, String by) {
        return Rows.listed(asked(
                                who,
                                first,
                                last,
                                "select " + name + " as name, cast(count(*) as int) as pieces,"
                                        + " cast(sum(o.conduit_pm) as bigint) as used, cast(sum(o.wasted_pm) as bigint) as wasted,"
                                        + " cast(coalesce(sum(o.conduit_pm) filter (where not o.passed), 0) as bigint) as failed,"
                                        + " cast(sum((o.conduit_pm + o.wasted_pm) * " + PRICE
                                        + ") as double precision) as cost "
                                        + MEASURED + " group by " + by
                                        + " order by sum(o.wasted_pm) + coalesce(sum(o.conduit_pm) filter (where not o.passed), 0) desc, 1")
                        .setParameter("all", who.may(Right.READ_EVERY_COHORT))
                        .setParameter("account", who.accountId())
                        .setMaxResults(MOST))
                .stream()
                .map(row -> new Used(
                        row.get("name", String.class),
                        row.get("pieces", Integer.class),
                        new Length(row.get("used", Long.class)),
                        new Length(row.get("failed", Long.class)),
                        new Length(row.get("wasted", Long.class)),
                        row.get("cost", Double.class)))
                .toList();
    }

    /** What was cut, by conduit. */
    @Transactional(readOnly = true)
    List<Cut> cut(SignedIn who, LocalDate first, LocalDate last) {
        return Rows.listed(asked(who, first, last, """
                        select c.label as name, cast(coalesce(sum(p.pieces), 0) as int) as pieces,
                          cast(coalesce(sum(p.length_pm), 0) as bigint) as used, cast(sum(k.wasted_pm) as bigint) as wasted,
                          cast(sum((coalesce(p.length_pm, 0) + k.wasted_pm) * coalesce(c.price / nullif(c.stick_pm, 0), 0)) as double precision) as cost
                        from cutting k join conduit c on c.id = k.conduit_id
                        left join (select cutting_id, count(*) as pieces, sum(length_pm) as length_pm from cut_piece group by cutting_id) p
                          on p.cutting_id = k.id
                        where k.centre_id = :centre and k.at >= :first and k.at < :after
                          and not exists (select 1 from cutting_undone u where u.cutting_id = k.id)
                        group by c.label order by c.label""")).stream()
                .map(row -> new Cut(
                        row.get("name", String.class),
                        row.get("pieces", Integer.class),
                        new Length(row.get("used", Long.class)),
                        new Length(row.get("wasted", Long.class)),
                        row.get("cost", Double.class)))
                .toList();
    }

    private Query asked(SignedIn who, LocalDate first, LocalDate last, String question) {
        if (last.isBefore(first)) {
            throw TurnedDown.badInput("/last", "out-of-range", "the last day comes after the first");
        }
        UUID centre = who.centreId();
        return entities.createNativeQuery(question, Tuple.class)
                .setParameter("centre", centre)
                .setParameter("first", Days.begin(first))
                .setParameter("after", Days.begin(last.plusDays(1)));
    }
}
