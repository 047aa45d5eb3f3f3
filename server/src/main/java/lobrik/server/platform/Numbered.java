package lobrik.server.platform;

import jakarta.persistence.Column;
import jakarta.persistence.MappedSuperclass;
import org.jspecify.annotations.Nullable;

/** A row that is written down once, and knows in which order that was, whatever the clocks said. */
@MappedSuperclass
public abstract class Numbered {

    /** The database counts. */
    @Column(insertable = false, updatable = false)
    private @Nullable Long entryNo;

    /** In which order it was written down, over all kinds of rows; null until it is read from the database again. */
    public @Nullable Long entryNo() {
        return entryNo;
    }
}
