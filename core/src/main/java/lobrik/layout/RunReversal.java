package lobrik.layout;

import java.util.ArrayList;
import java.util.List;
import lobrik.bend.Along;
import lobrik.bend.AlongLeg;
import lobrik.bend.BoxEnd;
import lobrik.bend.Leg;
import lobrik.bend.Offset;
import lobrik.bend.Run;
import lobrik.bend.Saddle3;
import lobrik.bend.Saddle4;
import lobrik.bend.Towards;
import lobrik.measure.Length;
import lobrik.shop.Tooling;

/** A run with its datum at the other end: the same conduit where it lies, marked and bent from there. */
public final class RunReversal {

    private final Run run;
    private final Tooling tooling;

    private RunReversal(Run run, Tooling tooling) {
        this.run = run;
        this.tooling = tooling;
    }

    /**
     * Turns a run round. What lies on a leg is measured from the leg's other end.
     *
     * @throws lobrik.fault.Refused as impossible where something lies on a leg that is too short for it
     */
    public static Run of(Run run, Tooling tooling) {
        return new RunReversal(run, tooling).reversed();
    }

    private Run reversed() {
        List<Leg> legs = new ArrayList<>();
        for (Leg leg : run.legs().reversed()) {
            legs.add(new Leg(leg.measured(), leg.towards().opposite(), leg.play()));
        }
        List<Along> along = new ArrayList<>();
        for (Along each : run.along().reversed()) {
            along.add(new Along(run.legs().size() + 1 - each.leg(), towards(each), fromOtherEnd(each)));
        }
        return new Run(
                legs,
                run.endInsertion(),
                run.startInsertion(),
                run.endOffset().map(BoxEnd::reversed),
                run.startOffset().map(BoxEnd::reversed),
                along,
                List.of());
    }

    /** An offset moves the conduit back from its other end; a saddle stands where it stood. */
    private static Towards towards(Along along) {
        return switch (along.bend()) {
            case Offset _ -> along.towards().opposite();
            case Saddle3 _, Saddle4 _ -> along.towards();
        };
    }

    private AlongLeg fromOtherEnd(Along along) {
        Length leg = run.outside(along.leg());
        return switch (along.bend()) {
            case Offset offset ->
                Along.offset(leg.minus(offset.distance()).minus(covered(offset)), offset.rise(), offset.angle());
            case Saddle3 saddle -> saddle.at(leg.minus(saddle.centre()));
            case Saddle4 saddle ->
                saddle.at(leg.minus(saddle.distance())
                        .minus(
                                switch (saddle.measuredTo()) {
                                    case NEAR_EDGE -> saddle.width();
                                    case CENTRED -> Length.ZERO;
                                }));
        };
    }

    /** From the near ring of an offset, along the leg, to the ring that is its near one from the other end. */
    private Length covered(Offset offset) {
        ExactOffset exact = ExactOffset.of(tooling, offset.height(), offset.angle());
        Length developed = exact.spacing().plus(tooling.arcLength(offset.angle()));
        Length arcs = developed.minus(exact.shrink());
        // The ring stands as far before the first curve as that from the other end stands before the last.
        return arcs.plus(tooling.lead(offset.angle()).times(2));
    }
}
