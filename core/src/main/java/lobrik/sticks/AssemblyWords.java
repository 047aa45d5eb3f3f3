package lobrik.sticks;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.TapeDivision;
import lobrik.shape.RoomWords;
import lobrik.shape.Vector3;
import lobrik.verdict.Entering;

/** Says whether a run that was put together of its pieces goes in, and which of them spent what it is off. */
public record AssemblyWords(Assembly assembly, Entering rule, LengthUnit unit) {

    /** More than this part of what all spend, each taken by itself, is most of it. */
    private static final double MOST = 0.5;

    /** In a sentence or two. */
    public String sentence() {
        if (assembly.enters(rule)) {
            return "Put together it goes in: the far end is within "
                    + rule.play().inWords(unit) + " of where it should be.";
        }
        List<String> off = new ArrayList<>();
        String where = new RoomWords(unit, "too high", "too low").of(assembly.off());
        if (!where.isEmpty()) {
            off.add("the far end is " + where);
        }
        if (assembly.outOfSquare().compareTo(rule.square()) > 0) {
            off.add("its last straight is "
                    + Angle.ofDegrees(Math.round(assembly.outOfSquare().degrees() * 2) / 2.0)
                            .text()
                    + " out of square");
        }
        return "Put together it does not go in: " + String.join(", and ", off) + ". " + spender();
    }

    private String spender() {
        double all = assembly.spent().stream().mapToDouble(Vector3::norm).sum();
        int most = IntStream.range(0, assembly.spent().size())
                .boxed()
                .max(Comparator.comparingDouble(i -> assembly.spent().get(i).norm()))
                .orElseThrow();
        return assembly.spent().get(most).norm() > MOST * all
                ? "Piece " + (most + 1) + " spent most of it."
                : "It adds up over several pieces.";
    }

    /** Where a piece brings the far end, with those after it as they should be; empty where that is less than a tape reads. */
    public String brings(int piece) {
        return new RoomWords(unit, "up", "down").of(assembly.spent().get(piece));
    }

    /** How far that is in all. */
    public Length far(int piece) {
        return Length.ofInches(assembly.spent().get(piece).norm()).nearest(TapeDivision.SIXTEENTH);
    }
}
