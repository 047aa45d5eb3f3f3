package lobrik.layout;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lobrik.measure.Quantity;

/** Writes the sum of an explanation, term by term. */
final class Sum {

    private final List<Explanation.Term> terms = new ArrayList<>();

    static Sum of(String name, Quantity value) {
        return new Sum().and("", name, value);
    }

    static Sum ofTwice(String name, Quantity value) {
        return new Sum().and("2 ×", name, value);
    }

    /** By hand nobody writes “+ −1/32”, nor “− −1/32”: there is one sign before each figure. */
    Sum and(String before, String name, Quantity value) {
        boolean less = value.count() < 0;
        String sign = !less
                ? before
                : before.startsWith("+")
                        ? "−" + before.substring(1)
                        : before.startsWith("−") ? "+" + before.substring(1) : before;
        Quantity written = sign.equals(before) ? value : value.withCount(-value.count());
        terms.add(new Explanation.Term.Of(sign, name, written));
        return this;
    }

    Sum plus(String name, Quantity value) {
        return and("+", name, value);
    }

    Sum minus(String name, Quantity value) {
        return and("−", name, value);
    }

    /** Twice the same, written as a hand writes it: {@code + 2 × 7/8}. */
    Sum plusTwice(String name, Quantity value) {
        return and("+ 2 ×", name, value);
    }

    Sum minusTwice(String name, Quantity value) {
        return and("− 2 ×", name, value);
    }

    Sum by(String before, String name, double factor) {
        terms.add(new Explanation.Term.Factor(before, name, factor));
        return this;
    }

    Sum times(String name, double factor) {
        return by("×", name, factor);
    }

    Explanation gives(String about, String name, String formula, String words, Quantity result) {
        return new Explanation(about, name, formula, words, List.copyOf(terms), result, Optional.empty());
    }

    Explanation marked(String about, String name, String formula, String words, Quantity result, Quantity rounded) {
        return new Explanation(about, name, formula, words, List.copyOf(terms), result, Optional.of(rounded));
    }
}
