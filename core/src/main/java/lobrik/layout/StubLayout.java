package lobrik.layout;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import lobrik.bend.Placement;
import lobrik.bend.Stub90;
import lobrik.fault.Fault;
import lobrik.fault.FaultCode;
import lobrik.fault.Faults;
import lobrik.fault.Refused;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.measure.TapeDivision;
import lobrik.shape.Feature;
import lobrik.shape.FeatureId;
import lobrik.shape.Piece;
import lobrik.shape.StubFeatures;
import lobrik.shop.HookSide;
import lobrik.shop.Reference;
import lobrik.shop.Tooling;

/** The stub ninety, by the arrow and by the star (handbook 4.1). */
final class StubLayout {

    /** A usual stick of conduit, to warn that a piece needs a coupling (handbook 4.9). */
    private static final Length STICK = Length.ofInches(120);

    private final Stub90 stub;
    private final Tooling tooling;
    private final TapeDivision division;

    private StubLayout(Stub90 stub, Tooling tooling, TapeDivision division) {
        this.stub = stub;
        this.tooling = tooling;
        this.division = division;
    }

    static Layout of(Stub90 stub, Tooling tooling, TapeDivision division) {
        return new StubLayout(stub, tooling, division).layout();
    }

    private Layout layout() {
        requireRoomForTheBend();
        Mark mark = mark();
        Optional<Length> cutLength = cutLength().map(length -> length.nearest(division));
        Piece predicted = bent(mark, cutLength.orElseGet(() -> drawnLength(mark)));
        List<PlannedFeature> features = StubFeatures.of(predicted, mark.asMarked()).stream()
                .flatMap(this::planned)
                .toList();
        return new Layout(List.of(mark), Length.ZERO, cutLength, features, warnings(), predicted);
    }

    /** Where a leg is hardly longer than the bend, rounding alone can take the last of the room. */
    private Piece bent(Mark mark, Length length) {
        try {
            return Piece.simulate(tooling, length, List.of(mark.asMarked()));
        } catch (Refused refused) {
            throw Refused.impossible(new Fault(
                    FaultCode.LEG_SHORTER_THAN_BEND,
                    "bend/legIn",
                    "rounded to the tape's division of " + division.step().inches() + " in there is no room left: "
                            + refused.getMessage() + "; make the legs longer or round more finely"));
        }
    }

    /** The mark before rounding: {@code S − T} for the arrow, {@code S} for the star. Formula {@code stub-mark}. */
    private Length markPosition() {
        return switch (stub.placement()) {
            case ARROW -> stub.leg().minus(tooling.bender().takeUp());
            case STAR -> stub.leg();
        };
    }

    private Mark mark() {
        Length position = markPosition().nearest(division);
        return switch (stub.placement()) {
            case ARROW -> new Mark(1, position, Reference.ARROW, HookSide.DATUM, Angle.RIGHT, Angle.ZERO, 1);
            case STAR -> new Mark(1, position, Reference.STAR, HookSide.FAR, Angle.RIGHT, Angle.ZERO, 1);
        };
    }

    /** {@code S + b − G}. Formula {@code stub-cut-length}, handbook 4.1. */
    private Optional<Length> cutLength() {
        return stub.otherLeg().map(b -> stub.leg().plus(b).minus(tooling.gain()));
    }

    /** With an open far end: enough conduit past the bend to stand on and to hold in the shoe. */
    private Length drawnLength(Mark mark) {
        Length arcEnd = tooling.arcStart(mark.position(), mark.reference(), mark.hookTowards(), mark.angle())
                .plus(tooling.arcLength(mark.angle()));
        return arcEnd.plus(tooling.bender().takeUp())
                .plus(tooling.bender().minStub())
                .plus(tooling.bender().minStanding());
    }

    private Stream<PlannedFeature> planned(Feature feature) {
        return target(feature.id()).map(target -> new PlannedFeature(feature.id(), target, feature.value())).stream();
    }

    private Optional<Quantity> target(FeatureId id) {
        return switch (id) {
            case MARK_1 -> Optional.of(markPosition());
            case LEG -> Optional.of(stub.leg());
            case ANGLE_1 -> Optional.of(Angle.RIGHT);
            case OTHER_LEG -> stub.otherLeg().map(Quantity.class::cast);
        };
    }

    private void requireRoomForTheBend() {
        requireRoomForTheBend("bend/legIn", "the leg", stub.leg());
        stub.otherLeg().ifPresent(b -> requireRoomForTheBend("bend/otherLegIn", "the other leg", b));
        if (markPosition().isNegative()) {
            throw Refused.impossible(new Fault(
                    FaultCode.MARK_OFF_CONDUIT,
                    "bend/legIn",
                    "the leg is " + stub.leg().inWords() + ", less than the take-up of "
                            + tooling.bender().takeUp().inWords()
                            + ": the mark would be off the conduit; make the leg longer or place it by the star"));
        }
    }

    private void requireRoomForTheBend(String input, String name, Length leg) {
        if (leg.isLessThan(tooling.backOfBend())) {
            throw Refused.impossible(new Fault(
                    FaultCode.LEG_SHORTER_THAN_BEND,
                    input,
                    name + " is " + leg.inWords() + "; the bend alone takes "
                            + tooling.backOfBend().inWords() + " of it: make it at least that long"));
        }
    }

    private List<Fault> warnings() {
        Faults warnings = new Faults();
        if (tooling.arrowLead().isNegative()) {
            warnings.add(
                    FaultCode.ARROW_LEAD_NEGATIVE,
                    "bender/takeUpIn",
                    "the take-up of " + tooling.bender().takeUp().inWords()
                            + " is less than radius and half the diameter, "
                            + tooling.backOfBend().inWords()
                            + ": the bender's figures contradict each other; measure a test bend");
        }
        checkGrip(warnings);
        checkStanding(warnings);
        cutLength()
                .filter(length -> length.isMoreThan(STICK))
                .ifPresent(length -> warnings.add(
                        FaultCode.LONGER_THAN_STICK,
                        "bend/otherLegIn",
                        "the piece takes " + length.inWords() + ", more than a stick of " + STICK.inWords()
                                + ": shorten a leg or plan a coupling"));
        return warnings.found();
    }

    /** The shoe must hold the conduit on the hook's side: {@code leg − T} at least the least stub. */
    private void checkGrip(Faults warnings) {
        Length least = tooling.bender().takeUp().plus(tooling.bender().minStub());
        gripped()
                .filter(leg -> leg.isLessThan(least))
                .ifPresent(leg -> warnings.add(
                        FaultCode.GRIP_TOO_SHORT,
                        grippedInput(),
                        "only " + leg.minus(tooling.bender().takeUp()).inWords()
                                + " lies beyond the arrow; the shoe holds "
                                + tooling.bender().minStub().inWords() + " or more: make this leg at least "
                                + least.inWords()
                                + " or place it by the " + (stub.placement() == Placement.ARROW ? "star" : "arrow")));
    }

    /** The part under the foot: its straight must be long enough to stand on. */
    private void checkStanding(Faults warnings) {
        Length least = tooling.backOfBend().plus(tooling.bender().minStanding());
        stoodOn()
                .filter(leg -> leg.isLessThan(least))
                .ifPresent(leg -> warnings.add(
                        FaultCode.STANDING_TOO_SHORT,
                        stub.placement() == Placement.ARROW ? "bend/otherLegIn" : "bend/legIn",
                        "only " + leg.minus(tooling.backOfBend()).inWords()
                                + " of straight conduit is left to stand on; "
                                + tooling.bender().minStanding().inWords()
                                + " or more keeps it flat: make this leg at least "
                                + least.inWords()));
    }

    private Optional<Length> gripped() {
        return stub.placement() == Placement.ARROW ? Optional.of(stub.leg()) : stub.otherLeg();
    }

    private String grippedInput() {
        return stub.placement() == Placement.ARROW ? "bend/legIn" : "bend/otherLegIn";
    }

    private Optional<Length> stoodOn() {
        return stub.placement() == Placement.ARROW ? stub.otherLeg() : Optional.of(stub.leg());
    }
}
