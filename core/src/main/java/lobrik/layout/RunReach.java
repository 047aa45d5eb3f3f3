package lobrik.layout;

import lobrik.bend.BoxEnd;
import lobrik.bend.Offset;
import lobrik.bend.Run;
import lobrik.bend.RunShape;
import lobrik.bend.RunShape.Part;
import lobrik.bend.Saddle3;
import lobrik.bend.Saddle4;
import lobrik.bend.Towards;
import lobrik.measure.Length;
import lobrik.shop.Tooling;

/**
 * Where the far end face of a run lies from its datum end face: to the right, up, and out of the wall that one faces at its start.
 * Formula {@code run-reach}, handbook 4.9: legs from corner to corner, and what offsets move the conduit.
 */
record RunReach(Length right, Length up, Length out) {

    private static final RunReach NOTHING = new RunReach(Length.ZERO, Length.ZERO, Length.ZERO);

    static RunReach of(Run run, RunShape shape, Tooling tooling) {
        Length half = tooling.conduit().outsideDiameter().times(0.5);
        int legs = run.legs().size();
        RunReach reach = NOTHING;
        for (int leg = 1; leg <= legs; leg++) {
            boolean outer = leg == 1 || leg == legs;
            Length axis = run.outside(leg).minus(half.times(outer ? 1 : 2));
            reach = reach.moved(run.legs().get(leg - 1).towards(), axis);
        }
        for (RunShape.Stretch stretch : shape.stretches()) {
            Length moved = switch (stretch.part()) {
                case Part.Ninety _ -> Length.ZERO;
                case Part.AtStart(BoxEnd box) -> box.rise();
                case Part.AtEnd(BoxEnd box) -> box.rise();
                case Part.OnLeg(int _, Offset offset) -> offset.height();
                case Part.OnLeg(int _, Saddle3 _), Part.OnLeg(int _, Saddle4 _) -> Length.ZERO;
            };
            reach = reach.moved(stretch.towards(), moved);
        }
        return reach;
    }

    private RunReach moved(Towards towards, Length by) {
        return new RunReach(
                right.plus(by.times(towards.x())), up.plus(by.times(towards.y())), out.plus(by.times(towards.z())));
    }
}
