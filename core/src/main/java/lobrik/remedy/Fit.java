package lobrik.remedy;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import lobrik.bend.Run;
import lobrik.fault.Refused;
import lobrik.fit.LeastSquares;
import lobrik.layout.Layout;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.shape.BendMade;
import lobrik.shape.Frame;
import lobrik.shape.Piece;
import lobrik.shape.RoomFrame;
import lobrik.shape.Vector3;
import lobrik.verdict.Entering;

/**
 * Whether a run goes into both of its fittings, and what it would take (handbook 4.9): with its datum end seated and its first leg as it
 * should lie, the far end face is within the play, and the last leg square enough.
 *
 * @param off from where the far end face should be to where it is, in the room: inches to the right, up, and out of the wall
 * @param outOfSquare of the last leg to where it should run
 * @param rule by which it goes in
 * @param ways what would make it fit, the least work first; empty where it does, or where nothing was found
 */
public record Fit(Vector3 off, Angle outOfSquare, Entering rule, List<Way> ways) {

    /**
     * What would make it fit.
     *
     * @param bends that are put back into the bender, with how far they are closed; less than nothing opens
     * @param cutAtDatum taken off the datum end
     * @param cutAtFar taken off the far end
     * @param left by how much the far end face is off then
     */
    public record Way(List<Bent> bends, Length cutAtDatum, Length cutAtFar, Length left) {

        public Way {
            bends = List.copyOf(bends);
        }

        private int steps() {
            return bends.size() + (cutAtDatum.isPositive() ? 1 : 0) + (cutAtFar.isPositive() ? 1 : 0);
        }
    }

    /** A bend by its number from the datum end, and how far it is closed. */
    public record Bent(int bend, Angle by) {}

    /** Nobody bends to less than half a degree, and more than this is no easing any more. */
    private static final double STEP_DEG = 0.5;

    private static final double MOST_DEG = 6;

    /** What is cut is cut to a sixteenth. */
    private static final double CUT_STEP = 1.0 / 16;

    private static final int MOST_WAYS = 3;

    /** Half a degree is all that hands can do: this is solved closely enough. */
    private static final double DONE = 1e-4;

    /** A last leg out of square weighs as much as an end off by so much of its sine, inches. */
    private static final double LEG = 4;

    public Fit {
        ways = List.copyOf(ways);
    }

    /** Whether it goes in as it is. */
    public boolean enters() {
        return rule.holds(distance(), outOfSquare);
    }

    /** How far the far end face is off. */
    public Length distance() {
        return Length.ofInches(off.norm());
    }

    /**
     * Whether a piece of a run fits.
     *
     * @param made as it was measured
     * @return empty for anything but a run
     */
    public static Optional<Fit> of(Layout layout, Piece made, Entering rule) {
        return layout.job().bend().run().map(run -> new Search(layout, run, made, rule).fit());
    }

    private static final class Search {

        private final Piece made;
        private final RoomFrame room;
        private final Frame wanted;
        private final Entering rule;

        Search(Layout layout, Run run, Piece made, Entering rule) {
            this.made = made;
            this.room = RoomFrame.of(run);
            this.wanted = end(layout.wanted().orElse(layout.predicted()));
            this.rule = rule;
        }

        Fit fit() {
            Fit asIs = new Fit(room.seen(off(made)), square(made), rule, List.of());
            return asIs.enters() ? asIs : new Fit(asIs.off(), asIs.outOfSquare(), rule, ways());
        }

        private static Frame end(Piece piece) {
            return piece.straights().getLast().end();
        }

        private Vector3 off(Piece piece) {
            return end(piece).origin().minus(wanted.origin());
        }

        private Angle square(Piece piece) {
            double cosine = Math.clamp(end(piece).along().dot(wanted.along()), -1, 1);
            return Angle.ofDegrees(Math.toDegrees(Math.acos(cosine)));
        }

        /** Cutting alone, then one bend, then two, each with what has to be cut after it. */
        private List<Way> ways() {
            List<Way> found = new ArrayList<>();
            cut(made, List.of()).ifPresent(found::add);
            int bends = made.bends().size();
            for (int i = 0; i < bends; i++) {
                tried(List.of(i)).ifPresent(found::add);
            }
            if (found.isEmpty()) {
                for (int i = 0; i < bends; i++) {
                    for (int j = i + 1; j < bends; j++) {
                        tried(List.of(i, j)).ifPresent(found::add);
                    }
                }
            }
            found.sort(Comparator.comparingInt(Way::steps).thenComparing(Way::left));
            return found.subList(0, Math.min(MOST_WAYS, found.size()));
        }

        /** Solves how far bends have to be moved so that cutting does the rest, rounds that, and looks what it comes to. */
        private Optional<Way> tried(List<Integer> bends) {
            Optional<double[]> amounts = solved(bends);
            if (amounts.isEmpty()) {
                return Optional.empty();
            }
            double[] solved = amounts.get();
            List<Bent> bent = new ArrayList<>();
            for (int i = 0; i < bends.size(); i++) {
                double by = Math.round(solved[i] / STEP_DEG) * STEP_DEG;
                if (by == 0 || Math.abs(by) > MOST_DEG) {
                    return Optional.empty();
                }
                bent.add(new Bent(bends.get(i) + 1, Angle.ofDegrees(by)));
            }
            return rebent(bent).flatMap(piece -> cut(piece, bent));
        }

        private Optional<double[]> solved(List<Integer> bends) {
            double[] steps = new double[bends.size()];
            Arrays.fill(steps, STEP_DEG / 10);
            return new LeastSquares(degrees -> moved(bends, degrees).map(this::residuals), steps, DONE)
                    .from(new double[bends.size()]);
        }

        /** What is off aside of what can be cut, and the last leg's direction, in inches of its length. */
        private double[] residuals(Piece piece) {
            Vector3 left = afterCutting(piece).left();
            Vector3 turned = end(piece).along().minus(wanted.along()).times(LEG);
            return new double[] {left.x(), left.y(), left.z(), turned.x(), turned.y(), turned.z()};
        }

        private Optional<Piece> moved(List<Integer> bends, double[] degrees) {
            List<Bent> bent = new ArrayList<>();
            for (int i = 0; i < bends.size(); i++) {
                bent.add(new Bent(bends.get(i) + 1, Angle.ofDegrees(degrees[i])));
            }
            return rebent(bent);
        }

        /** Empty where curves would run over one another, or over an end. */
        private Optional<Piece> rebent(List<Bent> bent) {
            List<BendMade> bends = new ArrayList<>(made.bends());
            for (Bent each : bent) {
                BendMade before = bends.get(each.bend() - 1);
                bends.set(
                        each.bend() - 1,
                        new BendMade(
                                before.position(),
                                before.placing(),
                                before.angle().plus(each.by()),
                                before.roll(),
                                before.other()));
            }
            try {
                return Optional.of(Piece.simulate(made.tooling(), made.length(), bends));
            } catch (Refused noPiece) {
                return Optional.empty();
            }
        }

        /** What can be cut of both ends, and what is off then. */
        private record AfterCutting(double datum, double far, Vector3 left) {}

        /** Cutting the datum end moves all of it back along the first leg, cutting the far end only that. */
        private AfterCutting afterCutting(Piece piece) {
            Vector3 off = off(piece);
            Vector3 last = end(piece).along();
            double alike = last.x();
            // Of two ends that run the same way one is cut.
            double far = Math.max(0, off.dot(last));
            double datum = Math.max(0, off.x());
            if (Math.abs(alike) > 0.1) {
                datum = Math.abs(alike) > 0.9
                        ? 0
                        : Math.max(0, (off.x() - alike * off.dot(last)) / (1 - alike * alike));
                far = Math.max(0, off.dot(last) - alike * datum);
            }
            return new AfterCutting(datum, far, off.minus(last.times(far)).minus(new Vector3(1, 0, 0).times(datum)));
        }

        private Optional<Way> cut(Piece piece, List<Bent> bent) {
            AfterCutting exactly = afterCutting(piece);
            double datum = rounded(exactly.datum());
            double far = rounded(exactly.far());
            Vector3 left = off(piece).minus(end(piece).along().times(far)).minus(new Vector3(1, 0, 0).times(datum));
            boolean nothingDone = bent.isEmpty() && datum == 0 && far == 0;
            boolean fits = left.norm() <= rule.play().inches() && square(piece).compareTo(rule.square()) <= 0;
            return nothingDone || !fits
                    ? Optional.empty()
                    : Optional.of(
                            new Way(bent, Length.ofInches(datum), Length.ofInches(far), Length.ofInches(left.norm())));
        }

        /** What is within the play needs no cut. */
        private double rounded(double inches) {
            return inches <= rule.play().inches() / 2 ? 0 : Math.round(inches / CUT_STEP) * CUT_STEP;
        }
    }
}
