package lobrik.bend;

import lobrik.measure.Length;

/** Usual ways to choose the clearance over an obstacle (handbook 4). */
public enum ClearancePreset {
    /** None: the height was measured with it. */
    NONE {
        @Override
        public Length over(Length measured) {
            return Length.ZERO;
        }
    },
    /** A finger's width. */
    FINGER {
        @Override
        public Length over(Length measured) {
            return Length.ofFraction(0, 3, 4);
        }
    },
    INCH {
        @Override
        public Length over(Length measured) {
            return Length.ofInches(1);
        }
    },
    /** What is missing to the next whole inch; nothing over a whole inch. */
    WHOLE_INCH {
        @Override
        public Length over(Length measured) {
            return Length.ofInches(Math.ceil(measured.inches()) - measured.inches());
        }
    };

    /** The clearance for a measured height or rise. */
    public abstract Length over(Length measured);
}
