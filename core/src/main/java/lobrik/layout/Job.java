package lobrik.layout;

import lobrik.bend.Bend;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.shop.Tooling;

/** All that decides a layout: what is asked for, on which bender and conduit, in which school. */
public record Job(Bend bend, Tooling tooling, School school) {

    /** The same job for another bend. */
    public Job with(Bend other) {
        return new Job(other, tooling, school);
    }

    /** The same job by the other method. */
    public Job by(Method method) {
        return new Job(bend, tooling, school.by(method));
    }

    /** Spacing and shrink of an offset, by this job's method. */
    OffsetFigures offset(Length rise, Angle angle) {
        return switch (school.method()) {
            case CHART ->
                new OffsetFigures(
                        school.chart().spacing(rise, angle), school.chart().shrink(rise, angle));
            case EXACT -> ExactOffset.of(tooling, rise, angle).figures();
        };
    }
}
