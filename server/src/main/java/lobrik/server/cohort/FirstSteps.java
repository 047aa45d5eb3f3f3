package lobrik.server.cohort;

import jakarta.persistence.EntityManager;
import jakarta.persistence.Tuple;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.Rows;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a new school has done of what it needs before the first piece is measured. */
@Service
class FirstSteps {

    /**
     * What is done.
     *
     * @param school somebody has looked at what it is set up with
     * @param cohort there is one
     * @param people somebody besides the first account was invited
     * @param benders some bender has figures of the school's own
     * @param given an exercise was given out
     * @param measured a piece was measured: nobody needs to be told any more
     */
    record Done(boolean school, boolean cohort, boolean people, boolean benders, boolean given, boolean measured) {}

    private final EntityManager entities;

    FirstSteps(EntityManager entities) {
        this.entities = entities;
    }

    @Transactional(readOnly = true)
    Done of(SignedIn who) {
        Tuple row = Rows.listed(entities.createNativeQuery("""
                                select c.set_up_at is not null as school,
                                  exists (select 1 from cohort k where k.centre_id = c.id) as cohort,
                                  (select count(*) from account a where a.centre_id = c.id and a.role <> 'TRAINEE') > 1 as people,
                                  exists (select 1 from bender_revision r join bender b on b.id = r.bender_id
                                    where b.centre_id = c.id and r.made_by is not null) as benders,
                                  exists (select 1 from giving g where g.centre_id = c.id) as given,
                                  exists (select 1 from outcome o where o.centre_id = c.id) as measured
                                from centre c where c.id = :centre""", Tuple.class).setParameter("centre", who.centreId()))
                .getFirst();
        return new Done(
                row.get("school", Boolean.class),
                row.get("cohort", Boolean.class),
                row.get("people", Boolean.class),
                row.get("benders", Boolean.class),
                row.get("given", Boolean.class),
                row.get("measured", Boolean.class));
    }
}
