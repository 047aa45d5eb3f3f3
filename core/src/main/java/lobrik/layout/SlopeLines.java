package lobrik.layout;

import lobrik.derivation.Derivation;
import lobrik.derivation.Operation;
import lobrik.derivation.Part;
import lobrik.derivation.Sum;
import lobrik.derivation.Working;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.shop.Tooling;

/** Spacing and shrink of a slope, as a method works them out. */
final class SlopeLines {

    private final Working working;
    private final Job job;
    private final Length rise;
    private final Angle angle;

    SlopeLines(Working working, Job job, Length rise, Angle angle) {
        this.working = working;
        this.job = job;
        this.rise = rise;
        this.angle = angle;
        working.climbs(new Derivation.Slope(rise, angle, Length.ZERO));
    }

    /** What is bent: the size that was measured and what is to be left free, where something is. */
    static void raised(Working working, String name, Length measured, Length clearance, Length raised) {
        if (!clearance.equals(Length.ZERO)) {
            working.figure(
                    "raised",
                    "height to bend",
                    "clearance-added",
                    "The conduit must not touch, so the clearance is added to what was measured.",
                    Sum.of(name, measured).plus("clearance", clearance),
                    raised);
        }
    }

    Length spacing() {
        return switch (job.school().method()) {
            case CHART ->
                chartSpacing(
                        "spacing of the marks",
                        "The slope is longer than the rise. How many times longer is the multiplier of the angle.");
            case EXACT -> exactSpacing();
        };
    }

    Length chartSpacing(String name, String words) {
        MultiplierChart chart = job.school().chart();
        return working.figure(
                "spacing",
                name,
                "chart-spacing",
                words,
                Sum.of("rise", rise).times("multiplier for " + angle.text(), chart.multiplier(angle)),
                chart.spacing(rise, angle));
    }

    private Length exactSpacing() {
        Tooling tooling = job.tooling();
        ExactOffset exact = ExactOffset.of(tooling, rise, angle);
        working.figure(
                "straight",
                "straight between the bends",
                "offset-straight",
                "The two curves themselves rise a little. The rest is climbed by the straight between them.",
                Sum.of("rise", rise)
                        .minus("rise of the two curves", ExactOffset.leastRise(tooling, angle))
                        .by(Operation.DIVIDED_BY, "sine of " + angle.text(), Math.sin(angle.radians())),
                exact.straight());
        return working.figure(
                "spacing",
                "spacing of the marks",
                "offset-spacing",
                "From the start of one curve to the start of the other: one straight and one curve.",
                Sum.of("straight", exact.straight()).plus("one curve", tooling.arcLength(angle)),
                exact.spacing());
    }

    Length shrink() {
        return switch (job.school().method()) {
            case CHART -> {
                MultiplierChart chart = job.school().chart();
                yield shrink(
                        "chart-shrink",
                        "Going up the slope uses more conduit than going straight on. The card says how much of the rise"
                                + " that is.",
                        Sum.of("rise", rise).times("shrink for " + angle.text(), chart.shrinkPerInch(angle)),
                        chart.shrink(rise, angle));
            }
            case EXACT -> {
                ExactOffset exact = ExactOffset.of(job.tooling(), rise, angle);
                Length developed = exact.spacing().plus(job.tooling().arcLength(angle));
                yield shrink(
                        "offset-shrink",
                        "Two curves and the straight use more conduit than the distance they cover along the run.",
                        Sum.of("conduit in the offset", developed)
                                .minus("distance it covers", developed.minus(exact.shrink())),
                        exact.shrink());
            }
        };
    }

    private Length shrink(String formula, String words, Sum sum, Length shrink) {
        return working.figure("shrink", "shrink", formula, words, sum, shrink);
    }

    /** The overall length loses the shrink once. Formula {@code offset-cut-length}, handbook 4.3. */
    static void cut(Working working, Length overall, Length shrink) {
        working.cut(
                "offset-cut-length",
                "The piece gets shorter by the shrink when it is bent, so it is cut that much longer.",
                Sum.of("overall", overall).plus(Part.SHRINK, "shrink", shrink));
    }
}
