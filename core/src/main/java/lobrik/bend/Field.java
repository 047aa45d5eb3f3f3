package lobrik.bend;

import java.util.Optional;
import java.util.Set;
import lobrik.fault.Faults;
import lobrik.feature.FeatureId;
import lobrik.measure.Length;
import lobrik.measure.Quantity;

/**
 * An input of a kind of bend: everything that reading, writing, checking, a form and a drawing have to know of it.
 *
 * @param title on a form: {@code First leg}
 * @param name in a sentence that refuses it: {@code the first leg}
 * @param on the feature on whose dimension it is written, if it is on one
 * @param whenOpen what becomes of it where nothing is said
 * @param ends of the conduit that it is measured to: what goes into a fitting there is added to it
 * @param first good sizes to begin with, as they are typed
 */
public record Field(
        InputId id,
        String title,
        String name,
        Role role,
        Range range,
        Optional<FeatureId> on,
        WhenOpen whenOpen,
        Set<End> ends,
        First first) {

    /** What becomes of an input of which nothing is said. */
    public sealed interface WhenOpen {
        /** It has to be said. */
        record Missing() implements WhenOpen {}

        /** The bend is as well without. */
        record Open() implements WhenOpen {}

        /** It has this size. */
        record Usual(Quantity size) implements WhenOpen {}

        /** It is as much as the bender has to hold, or the usual size of that where the bender's figures leave it open. */
        record LeastGrip(Length size) implements WhenOpen {}
    }

    /** A good size to begin with, in inches and in millimetres; degrees in both alike. */
    public record First(String inches, String millimetres) {

        static final First NONE = new First("", "");
    }

    /** A size that has to be said, and is on no drawing. */
    static Field of(InputId id, String title, Role role, Range range, First first) {
        return new Field(id, title, id.words(), role, range, Optional.empty(), new WhenOpen.Missing(), Set.of(), first);
    }

    /** The same, written on the dimension of a feature. */
    Field on(FeatureId feature) {
        return new Field(id, title, name, role, range, Optional.of(feature), whenOpen, ends, first);
    }

    /** The same where nothing has to be said of it. */
    Field orElse(WhenOpen other) {
        return new Field(id, title, name, role, range, on, other, ends, first);
    }

    /** The same, measured to ends of the conduit. */
    Field to(End... reached) {
        return new Field(id, title, name, role, range, on, whenOpen, Set.of(reached), first);
    }

    /** The same under another name where it is refused. */
    Field called(String other) {
        return new Field(id, title, other, role, range, on, whenOpen, ends, first);
    }

    /** Where it stands on a drawing of the piece: the id of a feature, or {@code clearance} where the conduit passes over something. */
    public Optional<String> place() {
        return on.map(FeatureId::id).or(() -> id == InputId.CLEARANCE ? Optional.of("clearance") : Optional.empty());
    }

    /** Whether a bend is as well without. */
    public boolean mayStayOpen() {
        return whenOpen instanceof WhenOpen.Open;
    }

    /** Adds a fault where a size is outside its range. */
    void require(Faults faults, Quantity size) {
        range.require(faults, id.id(), name, size);
    }

    /** The same of a size that may be left open. */
    void require(Faults faults, Optional<? extends Quantity> size) {
        size.ifPresent(said -> require(faults, said));
    }
}
