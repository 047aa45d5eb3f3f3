package lobrik.verdict;

import lobrik.measure.Quantity;

/** How credit falls with the deviation (handbook 7). Limits are inclusive and compared exactly. */
public enum Scheme {
    /** 1 up to τ/2; falls straight to 0.7 at τ; then straight to 0 at 3τ. */
    GRADED {
        @Override
        double credit(long deviation, long tolerance) {
            double ratio = (double) deviation / tolerance;
            if (2 * deviation <= tolerance) {
                return 1;
            }
            if (deviation <= tolerance) {
                return 1 - 0.6 * (ratio - 0.5);
            }
            return Math.max(0, 0.35 * (3 - ratio));
        }
    },
    /** 1 up to τ/2, 0.85 up to τ, 0.5 up to 2τ, else 0. */
    BANDS {
        @Override
        double credit(long deviation, long tolerance) {
            if (2 * deviation <= tolerance) {
                return 1;
            }
            if (deviation <= tolerance) {
                return 0.85;
            }
            return deviation <= 2 * tolerance ? 0.5 : 0;
        }
    },
    /** 1 up to τ, else 0. */
    PASS_FAIL {
        @Override
        double credit(long deviation, long tolerance) {
            return deviation <= tolerance ? 1 : 0;
        }
    };

    /** Credit of a deviation and a tolerance given as sizes in the same small unit. */
    abstract double credit(long deviation, long tolerance);

    /** Credit of a deviation, 0 to 1. */
    public double creditOf(Quantity deviation, Tolerance tolerance) {
        return credit(Math.abs(deviation.count()), tolerance.on(deviation).count());
    }
}
