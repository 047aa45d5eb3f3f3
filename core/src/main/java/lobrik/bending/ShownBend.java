package lobrik.bending;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.shape.BendMade;
import lobrik.shape.Vector3;
import lobrik.shop.Former;
import lobrik.shop.HookSide;
import lobrik.shop.Machine;
import lobrik.shop.Shoe;
import lobrik.shop.Tooling;

/**
 * One bend as it is seen from beside the bender: the part-bent piece as it lies in the shoe, from before the pull to when it is let
 * go. Points are inches over the floor: x towards where the person stands, y up, z to the person's left; the axis of the conduit
 * that lies in the shoe before the pull is {@code z = 0}.
 *
 * @param standing how the bender stands
 * @param moments from straight to let go
 */
public record ShownBend(Standing standing, List<Moment> moments) {

    /**
     * One moment of it.
     *
     * @param bent how far, under the lever; the last is at rest
     * @param centreline from the datum end, with as many points on each curve that is made, and on the one that is being made
     * @param lever from the shoe's centre to its end; empty where there is none
     */
    public record Moment(Angle bent, List<Vector3> centreline, Optional<Lever> lever) {

        public Moment {
            centreline = List.copyOf(centreline);
        }
    }

    /** The handle of a bender, from the centre of its shoe. */
    public record Lever(Vector3 centre, Vector3 end) {}

    private static final int MOMENTS = 6;

    public ShownBend {
        moments = List.copyOf(moments);
    }

    /**
     * Shows the bends of a piece one after the other.
     *
     * @param bends from the datum end, as they are laid out
     * @param order numbers of the bends, from 1, each once
     */
    public static List<ShownBend> of(
            Workplace place, Tooling tooling, Length length, List<BendMade> bends, List<Integer> order) {
        InTheShoe piece = new InTheShoe(place, tooling, length, bends);
        List<ShownBend> shown = new ArrayList<>(order.size());
        int made = 0;
        for (int number : order) {
            HookSide hook = bends.get(number - 1).placing().hook().orElse(HookSide.FAR);
            Standing standing = standing(tooling, piece, number, hook, made);
            shown.add(new ShownBend(
                    standing, new Scene(place, tooling, length.inches(), bends, standing, made).moments()));
            made |= 1 << (number - 1);
        }
        return List.copyOf(shown);
    }

    /** As it can be made; what nothing lets stand free is shown on the floor all the same, where its warning says what is in the way. */
    private static Standing standing(Tooling tooling, InTheShoe piece, int number, HookSide hook, int made) {
        Standing onTheFloor = new Standing(number, hook, Stance.ON_THE_FLOOR, Angle.ZERO, Optional.empty());
        return switch (tooling.tool()) {
            case Shoe _ -> piece.tried(number - 1, hook, made).standing().orElse(onTheFloor);
            case Machine _, Former _ -> onTheFloor;
        };
    }

    /** Whether the person stands at the datum end: at the end that the hook does not look to. */
    public boolean isSeenFromDatumEnd() {
        return standing.hookTowards() == HookSide.FAR;
    }

    /** One bend in the shoe, with what is made already to either side of it. */
    private static final class Scene {

        private final Workplace place;
        private final Tooling tooling;
        private final Standing standing;
        private final double half;
        private final double radius;
        private final Angle rest;
        private final Angle under;
        private final List<Chain.Point> heel;
        private final List<Chain.Point> hook;

        Scene(Workplace place, Tooling tooling, double length, List<BendMade> bends, Standing standing, int made) {
            this.place = place;
            this.tooling = tooling;
            this.standing = standing;
            this.half = tooling.conduit().outsideDiameter().inches() / 2;
            this.radius = tooling.tool().radius().inches();
            int bend = standing.bend() - 1;
            this.rest = bends.get(bend).angle();
            this.under = rest.plus(tooling.tool().springback(rest));
            boolean heelIsFar = standing.hookTowards() == HookSide.DATUM;
            this.heel = side(length, bends, bend, heelIsFar, made);
            this.hook = side(length, bends, bend, !heelIsFar, made);
        }

        private List<Chain.Point> side(double length, List<BendMade> bends, int bend, boolean far, int made) {
            Chain chain = Chain.of(tooling, length, bends, bend, far, made, Chain.Fineness.DRAWN);
            List<Chain.Point> points = new ArrayList<>();
            points.add(new Chain.Point(chain.first(), 0, 0));
            points.addAll(chain.points());
            return points;
        }

        List<Moment> moments() {
            List<Moment> moments = new ArrayList<>();
            for (int step = 0; step <= MOMENTS; step++) {
                moments.add(at(Angle.ofDegrees(under.degrees() * step / MOMENTS)));
            }
            if (!under.equals(rest)) {
                moments.add(at(rest));
            }
            return moments;
        }

        private Moment at(Angle bent) {
            double phi = bent.radians();
            // As much of the curve as is not bent yet is straight still, on the heel's side.
            double straight = radius * Math.max(0, under.radians() - phi);
            List<Vector3> line = new ArrayList<>();
            for (Chain.Point point : hook.reversed()) {
                line.add(held(point, phi, straight));
            }
            for (int part = 0; part <= Chain.Fineness.DRAWN.onArc(); part++) {
                line.add(curve(phi * (1 - (double) part / Chain.Fineness.DRAWN.onArc()), phi, straight));
            }
            for (Chain.Point point : heel) {
                line.add(lying(point, phi, straight));
            }
            return new Moment(bent, isDatumOfHook() ? line : line.reversed(), lever(phi, straight));
        }

        private boolean isDatumOfHook() {
            return standing.hookTowards() == HookSide.DATUM;
        }

        /** On the floor the hook's side rises with the shoe; in the air it is held level, upside down. */
        private Vector3 held(Chain.Point point, double phi, double straight) {
            return switch (standing.stance()) {
                case ON_THE_FLOOR -> {
                    Vector3 end = curve(phi, phi, straight);
                    yield new Vector3(
                            end.x() - point.x() * Math.cos(phi) + point.y() * Math.sin(phi),
                            end.y() + point.x() * Math.sin(phi) + point.y() * Math.cos(phi),
                            -point.z());
                }
                case IN_THE_AIR -> new Vector3(-point.x(), height() + radius - point.y(), point.z());
            };
        }

        /** On the floor the heel's side lies still, and the shoe rolls towards it; in the air it is pulled down. */
        private Vector3 lying(Chain.Point point, double phi, double straight) {
            return switch (standing.stance()) {
                case ON_THE_FLOOR -> new Vector3(point.x(), half + point.y(), point.z());
                case IN_THE_AIR -> {
                    double out = point.x() + straight;
                    double inward = point.y() - radius;
                    yield new Vector3(
                            out * Math.cos(phi) - inward * Math.sin(phi),
                            height() - out * Math.sin(phi) - inward * Math.cos(phi),
                            -point.z());
                }
            };
        }

        /**
         * A point of the curve that is being made.
         *
         * @param turned how far the conduit is bent between it and the heel's side
         */
        private Vector3 curve(double turned, double phi, double straight) {
            return switch (standing.stance()) {
                case ON_THE_FLOOR ->
                    new Vector3(-straight - radius * Math.sin(turned), half + radius * (1 - Math.cos(turned)), 0);
                case IN_THE_AIR -> {
                    double past = phi - turned;
                    yield new Vector3(radius * Math.sin(past), height() + radius * Math.cos(past), 0);
                }
            };
        }

        private double height() {
            return place.lever().inches();
        }

        private Optional<Lever> lever(double phi, double straight) {
            return switch (tooling.tool()) {
                case Shoe _ ->
                    Optional.of(
                            switch (standing.stance()) {
                                case ON_THE_FLOOR -> swung(phi, straight);
                                case IN_THE_AIR -> new Lever(new Vector3(0, height(), 0), new Vector3(0, 0, 0));
                            });
                case Machine _, Former _ -> Optional.empty();
            };
        }

        private Lever swung(double phi, double straight) {
            double lean = phi - place.uprightAt().radians();
            Vector3 centre = new Vector3(-straight, half + radius, 0);
            return new Lever(centre, centre.plus(new Vector3(Math.sin(lean), Math.cos(lean), 0).times(height())));
        }
    }
}
