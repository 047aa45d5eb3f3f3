package lobrik.wire;

import java.util.List;
import java.util.Optional;
import lobrik.bend.Run;
import lobrik.fault.Fault;
import lobrik.fault.FaultCode;
import lobrik.fault.Refused;
import lobrik.layout.Layout;
import lobrik.layout.RunReversal;
import lobrik.shape.RoomFrame;
import lobrik.shape.Solid;
import lobrik.shape.Vector3;
import lobrik.shop.Tooling;

/** Mirrors and reverses runs. */
final class Rearranging {

    private Rearranging() {}

    static RearrangeAnswer rearrange(RearrangeRequest request) {
        Translation translation = new Translation();
        Optional<LayoutRequest> asked = translation.required("layout", request.layout());
        Optional<Rearrangement> how = translation.required("how", request.how());
        LayoutRequest definition = translation.finish(asked);
        Rearrangement way = translation.finish(how);
        Layout layout = Question.of(definition).layout();
        Tooling tooling = layout.job().tooling();
        Run run = layout.job().bend().run().orElseThrow(() -> notARun(layout));
        List<Solid> room = new RoomTranslation(new Translation()).solids(definition.place());
        return switch (way) {
            case MIRRORED ->
                answer(run.mirrored(), room.stream().<Solid>map(Solid::mirrored).toList());
            case REVERSED -> {
                Vector3 end = RoomFrame.of(run)
                        .seen(layout.wanted()
                                .orElse(layout.predicted())
                                .straights()
                                .getLast()
                                .end()
                                .origin());
                yield answer(
                        RunReversal.of(run, tooling),
                        room.stream()
                                .<Solid>map(solid -> solid.from(end.x(), end.y(), end.z()))
                                .toList());
            }
        };
    }

    private static RearrangeAnswer answer(Run run, List<Solid> room) {
        return new RearrangeAnswer(
                BendInput.of(run.inOrder(List.of())),
                room.stream().map(RoomTranslation::written).toList());
    }

    private static Refused notARun(Layout layout) {
        return Refused.badInput(List.of(new Fault(
                FaultCode.UNKNOWN_VALUE,
                "layout/bend/kind",
                "a " + layout.job().bend().kind().words() + " is not mirrored or reversed; a run is")));
    }
}
