package lobrik.shape;

import java.util.Optional;
import lobrik.bend.BackToBack90;
import lobrik.bend.Bend;
import lobrik.bend.BoxOffset;
import lobrik.bend.Kick;
import lobrik.bend.Offset;
import lobrik.bend.OverBent90;
import lobrik.bend.RollingOffset;
import lobrik.bend.Run;
import lobrik.bend.Saddle3;
import lobrik.bend.Saddle4;
import lobrik.bend.Situation;
import lobrik.bend.Stub90;
import lobrik.fault.Faults;
import lobrik.measure.Length;

/**
 * Something that stands on the surface on which the datum leg lies. It reaches without end to both sides of the bending
 * plane, as a duct or a pipe across the run does. Positions run along the datum leg from the datum end face.
 */
public sealed interface Obstacle {

    /** What a situation puts before a bend, where the bend's own inputs do not say it: a column is round. */
    static Optional<Obstacle> of(Situation situation, Bend bend) {
        return switch (bend) {
            case Saddle4 saddle when situation == Situation.ROUND_COLUMN -> Optional.of(column(saddle));
            case Saddle4 _,
                    Stub90 _,
                    BackToBack90 _,
                    Offset _,
                    BoxOffset _,
                    RollingOffset _,
                    Kick _,
                    Saddle3 _,
                    OverBent90 _,
                    Run _ -> Optional.empty();
        };
    }

    private static Obstacle column(Saddle4 saddle) {
        Length centre = switch (saddle.measuredTo()) {
            case NEAR_EDGE -> saddle.distance().plus(saddle.width().times(0.5));
            case CENTRED -> saddle.distance();
        };
        return new Round(centre, saddle.height());
    }

    /** Longest that anything in a bending exercise is: 100 ft. */
    Length LARGEST = Length.ofInches(1200);

    /**
     * Signed distance of a point to the obstacle, inches: negative inside.
     *
     * @param x along the datum leg, inches
     * @param y over the surface, inches
     */
    double distance(double x, double y);

    /**
     * A pipe, lying across.
     *
     * @param centre position of its middle
     */
    record Round(Length centre, Length diameter) implements Obstacle {

        /** @throws lobrik.fault.Refused with every figure that is outside its range */
        public Round {
            Faults faults = new Faults();
            faults.requireWithin("centreIn", "the obstacle's centre", centre, LARGEST.times(-1), LARGEST);
            faults.requirePositive("diameterIn", "the obstacle's diameter", diameter, LARGEST);
            faults.refuseIfAny();
        }

        @Override
        public double distance(double x, double y) {
            double radius = diameter.inches() / 2;
            return Math.hypot(x - centre.inches(), y - radius) - radius;
        }
    }

    /**
     * A duct, a beam, a plinth.
     *
     * @param from position of its near edge
     * @param width along the datum leg
     * @param height over the surface
     */
    record Rectangular(Length from, Length width, Length height) implements Obstacle {

        /** @throws lobrik.fault.Refused with every figure that is outside its range */
        public Rectangular {
            Faults faults = new Faults();
            faults.requireWithin("fromIn", "the obstacle's near edge", from, LARGEST.times(-1), LARGEST);
            faults.requirePositive("widthIn", "the obstacle's width", width, LARGEST);
            faults.requirePositive("heightIn", "the obstacle's height", height, LARGEST);
            faults.refuseIfAny();
        }

        @Override
        public double distance(double x, double y) {
            double acrossEdge = Math.abs(x - from.inches() - width.inches() / 2) - width.inches() / 2;
            // It stands on the surface: nothing passes below, so only its top counts.
            double overTop = y - height.inches();
            if (acrossEdge > 0 && overTop > 0) {
                return Math.hypot(acrossEdge, overTop);
            }
            return Math.max(acrossEdge, overTop);
        }
    }
}
