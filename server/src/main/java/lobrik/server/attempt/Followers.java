package lobrik.server.attempt;

import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** Tells everybody who has to know that something was written down. */
@Component
class Followers {

    private static final Logger LOG = LoggerFactory.getLogger(Followers.class);

    private final List<AttemptFollower> all;

    Followers(List<AttemptFollower> all) {
        this.all = all;
    }

    /** What is derived of a record can neither refuse nor undo it. */
    void tell(Measured now) {
        for (AttemptFollower follower : all) {
            try {
                follower.written(now);
            } catch (RuntimeException e) {
                LOG.warn(
                        "What follows from attempt {} could not be worked out; what was written down stays",
                        now.attempt().id(),
                        e);
            }
        }
    }
}
