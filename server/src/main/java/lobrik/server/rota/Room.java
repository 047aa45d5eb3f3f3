package lobrik.server.rota;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.util.UUID;
import org.hibernate.annotations.DynamicUpdate;

/** A room with benches. */
@Entity
@DynamicUpdate // The application may only update what can change.
class Room {

    /**
     * What a room has.
     *
     * @param benches numbered from 1
     * @param places how many people bend at one
     */
    record Furniture(int benches, int places) {}

    @Id
    private UUID id;

    private UUID centreId;
    private String name;
    private int benches;
    private int places;
    private boolean putAway;
    private int edition;

    @SuppressWarnings("NullAway.Init")
    protected Room() {}

    Room(UUID id, UUID centreId, String name, Furniture has) {
        this.id = id;
        this.centreId = centreId;
        this.name = name;
        this.benches = has.benches();
        this.places = has.places();
    }

    UUID id() {
        return id;
    }

    boolean isIn(UUID centre) {
        return centreId.equals(centre);
    }

    String name() {
        return name;
    }

    Furniture furniture() {
        return new Furniture(benches, places);
    }

    boolean isPutAway() {
        return putAway;
    }

    int edition() {
        return edition;
    }

    void become(String newName, Furniture has, boolean away) {
        name = newName;
        benches = has.benches();
        places = has.places();
        putAway = away;
        edition++;
    }
}
