package lobrik.bend;

import lobrik.measure.Length;

/** Usual ways to choose the clearance over an obstacle (handbook 4). */
public enum ClearancePreset {
    /** None: the height was measured with it. */
    NONE("none") {
        @Override
        public Length over(Length measured) {
            return Length.ZERO;
        }
    },
    /** A finger's width. */
    FINGER("finger") {
        @Override
        public Length over(Length measured) {
            return Length.ofFraction(0, 3, 4);
        }
    },
    INCH("inch") {
        @Override
        public Length over(Length measured) {
            return Length.ofInches(1);
        }
    },
    /** What is missing to the next whole inch; nothing over a whole inch. */
    WHOLE_INCH("wholeInch") {
        @Override
        public Length over(Length measured) {
            return Length.ofInches(Math.ceil(measured.inches()) - measured.inches());
        }
    };

    private final String id;

    ClearancePreset(String id) {
        this.id = id;
    }

    /** As programs see it: {@code wholeInch}. */
    public String id() {
        return id;
    }

    /** The clearance for a measured height or rise. */
    public abstract Length over(Length measured);
}
