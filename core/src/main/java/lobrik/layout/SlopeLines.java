package lobrik.layout;

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
    private final OffsetFigures figures;

    private SlopeLines(Working working, Job job, Length rise, Angle angle, Length less, OffsetFigures figures) {
        this.working = working;
        this.job = job;
        this.rise = rise;
        this.angle = angle;
        this.figures = figures;
        working.climbs(rise, angle, less, figures.shrink());
    }

    /** Of a slope whose rings are as far apart as its curves begin. */
    static SlopeLines of(Working working, Job job, Length rise, Angle angle) {
        return of(working, job, rise, angle, Length.ZERO);
    }

    /** @param figures of the slope, by the job's method, where they are not those of an offset */
    static SlopeLines of(Working working, Job job, Length rise, Angle angle, OffsetFigures figures) {
        return new SlopeLines(working, job, rise, angle, Length.ZERO, figures);
    }

    /** @param less what the rings are closer than the slope, because one of them is the middle of its arc */
    static SlopeLines of(Working working, Job job, Length rise, Angle angle, Length less) {
        return new SlopeLines(working, job, rise, angle, less, job.offset(rise, angle));
    }

    /** What the slope takes off the run. */
    Length shrunk() {
        return figures.shrink();
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
                figures.spacing());
    }

    private Length exactSpacing() {
        Tooling tooling = job.tooling();
        Length straight = figures.spacing().minus(tooling.arcLength(angle));
        working.figure(
                "straight",
                "straight between the bends",
                "offset-straight",
                "The two curves themselves rise a little. The rest is climbed by the straight between them.",
                Sum.of("rise", rise)
                        .minus("rise of the two curves", ExactOffset.leastRise(tooling, angle))
                        .by(Operation.DIVIDED_BY, "sine of " + angle.text(), Math.sin(angle.radians())),
                straight);
        return working.figure(
                "spacing",
                "spacing of the marks",
                "offset-spacing",
                "From the start of one curve to the start of the other: one straight and one curve.",
                Sum.of("straight", straight).plus("one curve", tooling.arcLength(angle)),
                figures.spacing());
    }

    Length shrink() {
        return switch (job.school().method()) {
            case CHART -> {
                MultiplierChart chart = job.school().chart();
                yield shrink(
                        "chart-shrink",
                        "Going up the slope uses more conduit than going straight on. The card says how much of the rise"
                                + " that is.",
                        Sum.of("rise", rise).times("shrink for " + angle.text(), chart.shrinkPerInch(angle)));
            }
            case EXACT -> {
                Length developed = figures.spacing().plus(job.tooling().arcLength(angle));
                yield shrink(
                        "offset-shrink",
                        "Two curves and the straight use more conduit than the distance they cover along the run.",
                        Sum.of("conduit in the offset", developed)
                                .minus("distance it covers", developed.minus(figures.shrink())));
            }
        };
    }

    private Length shrink(String formula, String words, Sum sum) {
        return working.figure("shrink", "shrink", formula, words, sum, figures.shrink());
    }

    /** The overall length loses the shrink once. Formula {@code offset-cut-length}, handbook 4.3. */
    static void cut(Working working, Length overall, Length shrink) {
        working.cut(
                "offset-cut-length",
                "The piece gets shorter by the shrink when it is bent, so it is cut that much longer.",
                Sum.of("overall", overall).plus(Part.SHRINK, "shrink", shrink));
    }
}
