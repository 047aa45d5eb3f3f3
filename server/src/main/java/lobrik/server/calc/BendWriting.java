package lobrik.server.calc;

import java.util.Optional;
import lobrik.bend.BackToBack90;
import lobrik.bend.Bend;
import lobrik.bend.BoxOffset;
import lobrik.bend.Kick;
import lobrik.bend.Offset;
import lobrik.bend.RollingOffset;
import lobrik.bend.Saddle3;
import lobrik.bend.Saddle4;
import lobrik.bend.Stub90;
import lobrik.measure.Length;
import org.jspecify.annotations.Nullable;

/** Writes a bend of the core as a request gives it: the other way round of {@link BendTranslation}. */
public final class BendWriting {

    private BendWriting() {}

    /** The bend as a request would ask for it. */
    public static BendInput of(Bend bend) {
        return switch (bend) {
            case Stub90 b ->
                new BendInput.Stub90(
                        b.leg().inches(),
                        open(b.otherLeg()),
                        BendInput.Placement.valueOf(b.placement().name()));
            case BackToBack90 b ->
                new BendInput.BackToBack90(
                        b.firstLeg().inches(),
                        b.between().inches(),
                        b.secondLeg().inches());
            case Offset b ->
                new BendInput.Offset(
                        b.rise().inches(),
                        b.clearance().inches(),
                        b.angle().degrees(),
                        b.distance().inches(),
                        layout(b.layout()),
                        open(b.overall()));
            case BoxOffset b ->
                new BendInput.BoxOffset(
                        b.rise().inches(), b.angle().degrees(), b.firstMark().inches(), open(b.overall()));
            case RollingOffset b ->
                new BendInput.RollingOffset(
                        b.rise().inches(),
                        b.roll().inches(),
                        b.angle().degrees(),
                        b.distance().inches(),
                        layout(b.layout()),
                        open(b.overall()));
            case Kick b ->
                new BendInput.Kick(
                        b.rise().inches(), b.angle().degrees(), b.distance().inches(), layout(b.layout()));
            case Saddle3 b ->
                new BendInput.Saddle3(
                        b.height().inches(),
                        b.clearance().inches(),
                        b.outerAngle().degrees(),
                        b.centre().inches(),
                        BendInput.SaddleSpacing.valueOf(b.spacing().name()),
                        BendInput.SaddleOrder.valueOf(b.order().name()),
                        open(b.overall()));
            case Saddle4 b ->
                new BendInput.Saddle4(
                        b.height().inches(),
                        b.clearance().inches(),
                        b.angle().degrees(),
                        b.width().inches(),
                        b.edgeClearance().inches(),
                        BendInput.MeasuredTo.valueOf(b.measuredTo().name()),
                        b.distance().inches(),
                        BendInput.Placement.valueOf(b.placement().name()),
                        open(b.overall()));
        };
    }

    private static @Nullable Double open(Optional<Length> length) {
        return length.map(Length::inches).orElse(null);
    }

    private static BendInput.OffsetLayout layout(lobrik.bend.OffsetLayout layout) {
        return BendInput.OffsetLayout.valueOf(layout.name());
    }
}
