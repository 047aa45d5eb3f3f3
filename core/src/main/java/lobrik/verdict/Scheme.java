package lobrik.verdict;

import lobrik.measure.Quantity;

/** How credit falls with the deviation (handbook 7). Limits are inclusive and compared exactly. */
public enum Scheme {
    /** 1 up to τ/2; falls straight to 0.7 at τ; then straight to 0 at 3τ. */
    GRADED("graded", "graded") {
        @Override
        public String words() {
            return "Graded: full up to half of the tolerance, " + percent(1) + " at it, nothing at three times";
        }

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
    BANDS("bands", "in bands") {
        @Override
        public String words() {
            return "Bands: full up to half of the tolerance, " + percent(1) + " up to it, " + percent(2)
                    + " up to twice, then nothing";
        }

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
    PASS_FAIL("passFail", "pass or fail") {
        @Override
        public String words() {
            return "Pass or fail: full up to the tolerance, then nothing";
        }

        @Override
        double credit(long deviation, long tolerance) {
            return deviation <= tolerance ? 1 : 0;
        }
    };

    private final String id;
    private final String title;

    Scheme(String id, String title) {
        this.id = id;
        this.title = title;
    }

    /** As programs see it: {@code passFail}. */
    public String id() {
        return id;
    }

    /** In a list: {@code pass or fail}. */
    public String title() {
        return title;
    }

    /** How credit falls, for who chooses one. */
    public abstract String words();

    /** What a deviation of so many tolerances is worth: {@code 70 %}. */
    String percent(int tolerances) {
        return Math.round(100 * credit(tolerances, 1)) + " %";
    }

    /** Credit of a deviation and a tolerance given as sizes in the same small unit. */
    abstract double credit(long deviation, long tolerance);

    /** Credit of a deviation, 0 to 1. */
    public double creditOf(Quantity deviation, Tolerance tolerance) {
        return credit(Math.abs(deviation.count()), tolerance.on(deviation).count());
    }
}
