package lobrik.server.calc;

import java.util.Optional;
import java.util.function.Supplier;
import lobrik.bend.BackToBack90;
import lobrik.bend.Bend;
import lobrik.bend.BoxOffset;
import lobrik.bend.Kick;
import lobrik.bend.Offset;
import lobrik.bend.OffsetLayout;
import lobrik.bend.Placement;
import lobrik.bend.RollingOffset;
import lobrik.bend.Saddle3;
import lobrik.bend.Saddle4;
import lobrik.bend.Stub90;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import org.jspecify.annotations.Nullable;

/** Translates the bend of a request. A size that cannot be read counts as nothing until its fault ends the request. */
final class BendTranslation {

    private final Translation translation;
    private final Length usualFirstMark;

    /**
     * For one request.
     *
     * @param usualFirstMark of a box offset that names none: the profile's least grip
     */
    BendTranslation(Translation translation, Length usualFirstMark) {
        this.translation = translation;
        this.usualFirstMark = usualFirstMark;
    }

    Optional<Bend> of(BendInput input) {
        int before = translation.faultCount();
        Supplier<Bend> bend = switch (input) {
            case BendInput.Stub90 stub -> stub90(stub);
            case BendInput.BackToBack90 u -> backToBack90(u);
            case BendInput.Offset offset -> offset(offset);
            case BendInput.BoxOffset box -> boxOffset(box);
            case BendInput.RollingOffset rolling -> rollingOffset(rolling);
            case BendInput.Kick kick -> kick(kick);
            case BendInput.Saddle3 saddle -> saddle3(saddle);
            case BendInput.Saddle4 saddle -> saddle4(saddle);
        };
        return translation.faultCount() > before ? Optional.empty() : translation.built("bend", bend);
    }

    private Supplier<Bend> stub90(BendInput.Stub90 input) {
        Length leg = length("legIn", input.legIn());
        Optional<Length> other = open("otherLegIn", input.otherLegIn());
        return () -> new Stub90(leg, other, placement(input.placement()));
    }

    private Supplier<Bend> backToBack90(BendInput.BackToBack90 input) {
        Length first = length("firstLegIn", input.firstLegIn());
        Length between = length("betweenIn", input.betweenIn());
        Length second = length("secondLegIn", input.secondLegIn());
        return () -> new BackToBack90(first, between, second);
    }

    private Supplier<Bend> offset(BendInput.Offset input) {
        Length rise = length("riseIn", input.riseIn());
        Length clearance = length("clearanceIn", input.clearanceIn(), Length.ZERO);
        Angle angle = angle("angleDeg", input.angleDeg());
        Length distance = length("distanceIn", input.distanceIn());
        Optional<Length> overall = open("overallIn", input.overallIn());
        return () -> new Offset(rise, clearance, angle, distance, layout(input.layout()), overall);
    }

    private Supplier<Bend> boxOffset(BendInput.BoxOffset input) {
        Length rise = length("riseIn", input.riseIn(), BoxOffset.USUAL_RISE);
        Angle angle = angle("angleDeg", input.angleDeg(), BoxOffset.USUAL_ANGLE);
        Length firstMark = length("firstMarkIn", input.firstMarkIn(), usualFirstMark);
        Optional<Length> overall = open("overallIn", input.overallIn());
        return () -> new BoxOffset(rise, angle, firstMark, overall);
    }

    private Supplier<Bend> rollingOffset(BendInput.RollingOffset input) {
        Length rise = length("riseIn", input.riseIn());
        Length roll = length("rollIn", input.rollIn());
        Angle angle = angle("angleDeg", input.angleDeg());
        Length distance = length("distanceIn", input.distanceIn());
        Optional<Length> overall = open("overallIn", input.overallIn());
        return () -> new RollingOffset(rise, roll, angle, distance, layout(input.layout()), overall);
    }

    private Supplier<Bend> kick(BendInput.Kick input) {
        Length rise = length("riseIn", input.riseIn());
        Angle angle = angle("angleDeg", input.angleDeg());
        Length distance = length("distanceIn", input.distanceIn());
        return () -> new Kick(rise, angle, distance, layout(input.layout()));
    }

    private Supplier<Bend> saddle3(BendInput.Saddle3 input) {
        Length height = length("heightIn", input.heightIn());
        Length clearance = length("clearanceIn", input.clearanceIn(), Length.ZERO);
        Angle angle = angle("outerAngleDeg", input.outerAngleDeg(), Saddle3.USUAL_OUTER_ANGLE);
        Length centre = length("centreIn", input.centreIn());
        Optional<Length> overall = open("overallIn", input.overallIn());
        Saddle3.Spacing spacing =
                input.spacing() == BendInput.SaddleSpacing.COSECANT ? Saddle3.Spacing.COSECANT : Saddle3.Spacing.FACTOR;
        Saddle3.Order order = input.order() == BendInput.SaddleOrder.PUSH_THROUGH
                ? Saddle3.Order.PUSH_THROUGH
                : Saddle3.Order.CENTRE_FIRST;
        return () -> new Saddle3(height, clearance, angle, centre, spacing, order, overall);
    }

    private Supplier<Bend> saddle4(BendInput.Saddle4 input) {
        Length height = length("heightIn", input.heightIn());
        Length clearance = length("clearanceIn", input.clearanceIn(), Length.ZERO);
        Angle angle = angle("angleDeg", input.angleDeg());
        Length width = length("widthIn", input.widthIn());
        Length edge = length("edgeClearanceIn", input.edgeClearanceIn(), Length.ZERO);
        Length distance = length("distanceIn", input.distanceIn());
        Optional<Length> overall = open("overallIn", input.overallIn());
        Saddle4.MeasuredTo to = input.reference() == BendInput.MeasuredTo.CENTRED
                ? Saddle4.MeasuredTo.CENTRED
                : Saddle4.MeasuredTo.NEAR_EDGE;
        return () ->
                new Saddle4(height, clearance, angle, width, edge, to, distance, placement(input.placement()), overall);
    }

    private static Placement placement(BendInput.@Nullable Placement placement) {
        return placement == BendInput.Placement.STAR ? Placement.STAR : Placement.ARROW;
    }

    private static OffsetLayout layout(BendInput.@Nullable OffsetLayout layout) {
        return layout == BendInput.OffsetLayout.FROM_EDGE ? OffsetLayout.FROM_EDGE : OffsetLayout.BEFORE_OBSTACLE;
    }

    private Length length(String input, @Nullable Double inches) {
        return translation.length("bend/" + input, inches).orElse(Length.ZERO);
    }

    private Length length(String input, @Nullable Double inches, Length usual) {
        return inches == null ? usual : length(input, inches);
    }

    private Angle angle(String input, @Nullable Double degrees) {
        return translation.angle("bend/" + input, degrees).orElse(Angle.ZERO);
    }

    private Angle angle(String input, @Nullable Double degrees, Angle usual) {
        return degrees == null ? usual : angle(input, degrees);
    }

    /** A size that may be left open. */
    private Optional<Length> open(String input, @Nullable Double inches) {
        return inches == null ? Optional.empty() : Optional.of(length(input, inches));
    }
}
