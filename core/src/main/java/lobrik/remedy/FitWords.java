package lobrik.remedy;

import java.util.ArrayList;
import java.util.List;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.TapeDivision;
import lobrik.shape.RoomWords;

/** Says whether a run goes into its fittings, and what would make it. */
public record FitWords(Fit fit, LengthUnit unit) {

    /** In a sentence, with where the far end is and how far it may be off. */
    public String sentence() {
        String play = length(fit.rule().play());
        if (fit.enters()) {
            return "It goes into both fittings: the far end is within " + play + " of where it should be"
                    + (fit.outOfSquare().degrees() < 0.05
                            ? "."
                            : ", its last leg " + angle(fit.outOfSquare()) + " out of square.");
        }
        String square = fit.outOfSquare().compareTo(fit.rule().square()) > 0
                ? ", and its last leg is " + angle(fit.outOfSquare()) + " out of square, more than "
                        + fit.rule().square().text()
                : "";
        String where = where();
        return "It does not go into both fittings: the far end is "
                + (where.isEmpty() ? "where it should be" : where + ", more than the play of " + play)
                + square + ".";
    }

    /** What would make it fit, one sentence each; says so where nothing would. */
    public List<String> ways() {
        if (fit.enters()) {
            return List.of();
        }
        if (fit.ways().isEmpty()) {
            return List.of("Nothing that can be bent or cut brings it in: bend it anew, or recut the leg that is off.");
        }
        return fit.ways().stream().map(this::words).toList();
    }

    private String where() {
        return new RoomWords(unit, "too high", "too low").of(fit.off());
    }

    private String words(Fit.Way way) {
        List<String> steps = new ArrayList<>();
        for (Fit.Bent bent : way.bends()) {
            double by = bent.by().degrees();
            steps.add((by > 0 ? "close bend " : "open bend ") + bent.bend() + " by "
                    + angle(Angle.ofDegrees(Math.abs(by))));
        }
        if (way.cutAtDatum().isPositive()) {
            steps.add("cut " + length(way.cutAtDatum()) + " off the datum end");
        }
        if (way.cutAtFar().isPositive()) {
            steps.add("cut " + length(way.cutAtFar()) + " off the far end");
        }
        String all = String.join(", then ", steps);
        return Character.toUpperCase(all.charAt(0)) + all.substring(1) + ": then it is "
                + length(way.left().nearest(TapeDivision.SIXTEENTH)) + " off.";
    }

    private String length(Length length) {
        return length.inWords(unit);
    }

    private static String angle(Angle angle) {
        return Angle.ofDegrees(Math.round(angle.degrees() * 2) / 2.0).text();
    }
}
