package lobrik.shape;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import lobrik.bend.Run;
import lobrik.bend.RunShape;
import lobrik.bend.Towards;

/**
 * A wall, a floor or a ceiling that a run goes along, as a fitter sketches it: all legs that lie in one plane, seen facing it. The leg
 * on which two walls meet is on both.
 *
 * @param legs numbers, from 1, one after the other
 * @param across direction of the piece's frame that runs to the right on the sketch
 * @param up direction of the piece's frame that is up on it
 * @param firstArc the first arc that is on it, from 0 at the datum end
 * @param arcsEnd the arc behind the last that is on it
 * @param before where the run comes from, if it does not begin here
 * @param after where it goes on, if it does not end here
 */
public record WallOfRun(
        View view,
        List<Integer> legs,
        Vector3 across,
        Vector3 up,
        int firstArc,
        int arcsEnd,
        Optional<Side> before,
        Optional<Side> after) {

    /** How it is looked at. */
    public enum View {
        FACING_THE_WALL("Facing the wall", Towards.OUT),
        FROM_ABOVE("From above", Towards.UP),
        FACING_RIGHT("Facing right", Towards.LEFT),
        FACING_LEFT("Facing left", Towards.RIGHT);

        private final String title;
        private final Towards seenFrom;

        View(String title, Towards seenFrom) {
            this.title = title;
            this.seenFrom = seenFrom;
        }

        /** Over the sketch. */
        public String title() {
            return title;
        }
    }

    /** The side of a wall. */
    public enum Side {
        TOWARDS("towards"),
        AWAY("away");

        private final String id;

        Side(String id) {
            this.id = id;
        }

        /** As programs see it: on the side of who looks, or behind. */
        public String id() {
            return id;
        }
    }

    public WallOfRun {
        legs = List.copyOf(legs);
    }

    /** The walls of a run, from its datum end. */
    public static List<WallOfRun> of(Run run) {
        return new Walk(run).walls();
    }

    /** Whether a bend is on it, by its number from the datum end: with the ninetys between its legs. */
    public boolean has(int bend) {
        return bend > firstArc && bend <= arcsEnd;
    }

    private static final class Walk {

        private final Run run;
        private final RoomFrame room;
        private final RunShape shape;
        private final List<RunShape.Stretch> ninetys;
        private final List<double[]> corners = new ArrayList<>();

        Walk(Run run) {
            this.run = run;
            this.shape = run.shape();
            this.room = RoomFrame.of(run);
            this.ninetys = shape.ninetys();
            double[] at = new double[3];
            corners.add(at.clone());
            for (int leg = 1; leg <= run.legs().size(); leg++) {
                Towards way = towards(leg - 1);
                double length = run.outside(leg).inches();
                at[0] += way.x() * length;
                at[1] += way.y() * length;
                at[2] += way.z() * length;
                corners.add(at.clone());
            }
        }

        List<WallOfRun> walls() {
            List<WallOfRun> walls = new ArrayList<>();
            int first = 0;
            int last = 0;
            while (last < run.legs().size() - 1) {
                last = lastInPlane(first);
                walls.add(wall(first, last));
                first = last;
            }
            return List.copyOf(walls);
        }

        private Towards towards(int leg) {
            return run.legs().get(leg).towards();
        }

        /** As far as the legs keep to the plane of two that are square to each other. */
        private int lastInPlane(int first) {
            Set<Integer> plane = new HashSet<>(List.of(axis(towards(first)), axis(towards(first + 1))));
            int last = first + 1;
            while (last + 1 < run.legs().size() && plane.contains(axis(towards(last + 1)))) {
                last++;
            }
            return last;
        }

        private WallOfRun wall(int first, int last) {
            int normal = 3 - axis(towards(first)) - axis(towards(first + 1));
            View view = view(normal, corners.get(first + 1)[normal]);
            Towards seenFrom = view.seenFrom;
            return new WallOfRun(
                    view,
                    IntStream.rangeClosed(first + 1, last + 1).boxed().toList(),
                    across(view),
                    view == View.FROM_ABOVE ? room.out().times(-1) : room.up(),
                    first == 0 ? 0 : ninetys.get(first - 1).firstBend(),
                    last < ninetys.size() ? ninetys.get(last).firstBend() - 1 : shape.bends(),
                    first == 0
                            ? Optional.empty()
                            : Optional.of(side(towards(first - 1).opposite(), seenFrom)),
                    last == run.legs().size() - 1 ? Optional.empty() : Optional.of(side(towards(last + 1), seenFrom)));
        }

        /** A side wall is looked at from the middle of the run. */
        private View view(int normal, double at) {
            if (normal == 0) {
                return at >= middle() ? View.FACING_RIGHT : View.FACING_LEFT;
            }
            return normal == 1 ? View.FROM_ABOVE : View.FACING_THE_WALL;
        }

        private double middle() {
            double least =
                    corners.stream().mapToDouble(corner -> corner[0]).min().orElse(0);
            double most =
                    corners.stream().mapToDouble(corner -> corner[0]).max().orElse(0);
            return (least + most) / 2;
        }

        private Vector3 across(View view) {
            return switch (view) {
                case FACING_THE_WALL, FROM_ABOVE -> room.right();
                case FACING_RIGHT -> room.out();
                case FACING_LEFT -> room.out().times(-1);
            };
        }

        private static Side side(Towards runs, Towards seenFrom) {
            return runs == seenFrom ? Side.TOWARDS : Side.AWAY;
        }

        private static int axis(Towards towards) {
            return towards.x() != 0 ? 0 : towards.y() != 0 ? 1 : 2;
        }
    }
}
