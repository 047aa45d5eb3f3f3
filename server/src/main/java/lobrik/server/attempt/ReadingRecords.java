package lobrik.server.attempt;

import java.util.UUID;

/** Whoever knows how far the readings of a school lie apart. */
public interface ReadingRecords {

    /** What is known now. */
    ReadsTo known(UUID centreId);
}
