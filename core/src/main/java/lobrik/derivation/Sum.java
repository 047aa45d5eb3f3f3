package lobrik.derivation;

import java.util.ArrayList;
import java.util.List;
import lobrik.feature.FeatureId;
import lobrik.measure.Length;
import lobrik.measure.Quantity;

/** A sum while it is written, term by term. */
public final class Sum {

    private final List<Line.Term> terms = new ArrayList<>(4);

    /** Begins with a figure that was given, or stands above. */
    public static Sum of(String name, Quantity value) {
        return of(Part.FIGURE, name, value);
    }

    public static Sum of(Part part, String name, Quantity value) {
        return new Sum().and(Operation.START, part, name, value);
    }

    /** Begins with a figure of one of several legs or stretches. */
    public static Sum of(Part part, int number, String name, Quantity value) {
        return new Sum().and(Operation.START, part, number, name, value);
    }

    public static Sum ofTwice(String name, Quantity value) {
        return new Sum().and(Operation.START_TWICE, Part.FIGURE, name, value);
    }

    /** Begins with the place of a ring that stands above. */
    public static Sum ofRing(int mark, String name, Length place) {
        return ofAbove(FeatureId.mark(mark).id(), name, place);
    }

    /** Begins with what a line above comes to. */
    static Sum ofAbove(String about, String name, Length place) {
        Sum sum = new Sum();
        sum.terms.add(new Line.Term.Above(Operation.START, about, name, place));
        return sum;
    }

    public Sum and(Operation operation, Part part, String name, Quantity value) {
        return and(operation, part, 0, name, value);
    }

    /** The same with a figure of one of several legs or stretches. */
    public Sum and(Operation operation, Part part, int number, String name, Quantity value) {
        terms.add(new Line.Term.Of(operation, part, number, name, value));
        return this;
    }

    public Sum plus(String name, Quantity value) {
        return plus(Part.FIGURE, name, value);
    }

    public Sum plus(Part part, String name, Quantity value) {
        return and(Operation.PLUS, part, name, value);
    }

    public Sum minus(String name, Quantity value) {
        return minus(Part.FIGURE, name, value);
    }

    public Sum minus(Part part, String name, Quantity value) {
        return and(Operation.MINUS, part, name, value);
    }

    /** Twice the same, written as a hand writes it: {@code + 2 × 7/8}. */
    public Sum plusTwice(Part part, String name, Quantity value) {
        return and(Operation.PLUS_TWICE, part, name, value);
    }

    public Sum minusTwice(Part part, String name, Quantity value) {
        return and(Operation.MINUS_TWICE, part, name, value);
    }

    public Sum by(Operation operation, String name, double factor) {
        terms.add(new Line.Term.Factor(operation, name, factor));
        return this;
    }

    public Sum times(String name, double factor) {
        return by(Operation.TIMES, name, factor);
    }

    public List<Line.Term> terms() {
        return terms;
    }
}
