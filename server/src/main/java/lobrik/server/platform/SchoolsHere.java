package lobrik.server.platform;

import jakarta.persistence.EntityManager;
import org.springframework.stereotype.Component;

/** Whether a school has this server for itself: what concerns all of a server is for whoever runs it, where it has not. */
@Component
public class SchoolsHere {

    private final EntityManager entities;

    SchoolsHere(EntityManager entities) {
        this.entities = entities;
    }

    /** Whether there is more than one. */
    public boolean areSeveral() {
        Number schools = (Number)
                entities.createNativeQuery("select schools_here()", Long.class).getSingleResult();
        return schools.longValue() > 1;
    }
}
