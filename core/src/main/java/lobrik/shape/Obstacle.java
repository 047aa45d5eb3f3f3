package lobrik.shape;

import java.util.ArrayList;
import java.util.List;
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

/** What a piece has to clear. */
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

    /** Each by itself. */
    List<Part> parts();

    /** One of several things to clear: a convex body. */
    interface Part {

        /**
         * Signed distance of a point of the conduit's axis, inches: negative inside.
         *
         * @param point in the piece's frame
         * @param half the conduit's diameter, by which its axis is over the surface that it lies on
         */
        double distance(Vector3 point, double half);

        /** Its name. */
        Called called();
    }

    /**
     * What is in the way, by its name.
     *
     * @param input that says where or how large it is
     * @param words in a sentence
     * @param touching by how much conduit may seem to run into it
     */
    record Called(String input, String words, Length touching) {}

    /**
     * Something that stands on the surface on which the datum leg lies. It reaches without end to both sides of the bending
     * plane, as a duct or a pipe across the run does. Positions run along the datum leg from the datum end face.
     */
    sealed interface OnSurface extends Obstacle, Part {

        /** Conduit may lie on what it passes, and rounded marks may be half a line low: only more than this is touched. */
        Length TOUCHING = Length.ofFraction(0, -1, 32);

        /**
         * Signed distance of a point to the obstacle, inches: negative inside.
         *
         * @param x along the datum leg, inches
         * @param y over the surface, inches
         */
        double distance(double x, double y);

        @Override
        default double distance(Vector3 point, double half) {
            return distance(point.x(), point.y() + half);
        }

        @Override
        default Called called() {
            return new Called("bend/clearanceIn", "what it has to clear", TOUCHING);
        }

        @Override
        default List<Part> parts() {
            return List.of(this);
        }
    }

    /**
     * What stands in the room through which a run goes.
     *
     * @param room in the frame of the run's piece
     * @param solids in the order in which a request names them
     */
    record InRoom(RoomFrame room, List<Solid> solids) implements Obstacle {

        public InRoom {
            solids = List.copyOf(solids);
        }

        @Override
        public List<Part> parts() {
            List<Part> parts = new ArrayList<>(solids.size());
            for (int i = 0; i < solids.size(); i++) {
                parts.add(new Standing(room, solids.get(i), i));
            }
            return List.copyOf(parts);
        }

        /**
         * One of them.
         *
         * @param number from 0
         */
        private record Standing(RoomFrame room, Solid solid, int number) implements Part {

            @Override
            public double distance(Vector3 point, double half) {
                Vector3 seen = room.seen(point);
                return solid.distance(seen.x(), seen.y(), seen.z());
            }

            @Override
            public Called called() {
                return new Called("place/room/" + number, solid.words(), solid.touching());
            }
        }
    }

    /**
     * A pipe, lying across.
     *
     * @param centre position of its middle
     */
    record Round(Length centre, Length diameter) implements OnSurface {

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
    record Rectangular(Length from, Length width, Length height) implements OnSurface {

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
