package lobrik.server.shed;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.List;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.shop.Former;
import lobrik.shop.Machine;
import lobrik.shop.RamTravel;
import lobrik.shop.Shoe;
import lobrik.shop.Springback;
import lobrik.shop.Tool;

/** The figures of a tool as they are stored, by its kind: lengths in picometres, angles in nanodegrees. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
@JsonSubTypes({
    @JsonSubTypes.Type(value = ToolFigures.OfShoe.class, name = "shoe"),
    @JsonSubTypes.Type(value = ToolFigures.OfMachine.class, name = "machine"),
    @JsonSubTypes.Type(value = ToolFigures.OfFormer.class, name = "former")
})
public sealed interface ToolFigures {

    /** The tool that they are of. */
    Tool toCore();

    /** As they are stored. */
    static ToolFigures of(Tool tool) {
        return switch (tool) {
            case Shoe shoe ->
                new OfShoe(
                        shoe.takeUp().picometres(),
                        shoe.radius().picometres(),
                        shoe.minSpacing().picometres(),
                        shoe.minStub().picometres(),
                        shoe.minStanding().picometres(),
                        shoe.springback().nanodegrees());
            case Machine machine ->
                new OfMachine(
                        machine.takeUp().picometres(),
                        machine.radius().picometres(),
                        machine.minSpacing().picometres(),
                        machine.minStub().picometres(),
                        machine.minPastShoe().picometres(),
                        machine.springback().rows().stream()
                                .map(row -> new SpringbackRow(
                                        row.rest().nanodegrees(),
                                        row.springback().nanodegrees()))
                                .toList(),
                        machine.ramTravel().rows().stream()
                                .map(row -> new TravelRow(
                                        row.underLoad().nanodegrees(),
                                        row.travel().picometres()))
                                .toList());
            case Former former ->
                new OfFormer(
                        former.radius().picometres(),
                        former.minSpacing().picometres(),
                        former.support(),
                        former.warmSeconds(),
                        former.coolSeconds());
        };
    }

    /** A hand bender. */
    record OfShoe(
            long takeUpPm, long radiusPm, long minSpacingPm, long minStubPm, long minStandingPm, long springbackNdeg)
            implements ToolFigures {

        @Override
        public Tool toCore() {
            return new Shoe(
                    new Length(takeUpPm),
                    new Length(radiusPm),
                    new Length(minSpacingPm),
                    new Length(minStubPm),
                    new Length(minStandingPm),
                    new Angle(springbackNdeg));
        }
    }

    /** A hydraulic or electric bender. */
    record OfMachine(
            long takeUpPm,
            long radiusPm,
            long minSpacingPm,
            long minStubPm,
            long minPastShoePm,
            List<SpringbackRow> springback,
            List<TravelRow> ramTravel)
            implements ToolFigures {

        @Override
        public Tool toCore() {
            return new Machine(
                    new Length(takeUpPm),
                    new Length(radiusPm),
                    new Length(minSpacingPm),
                    new Length(minStubPm),
                    new Length(minPastShoePm),
                    new Springback(springback.stream()
                            .map(row -> new Springback.Row(new Angle(row.restNdeg()), new Angle(row.springbackNdeg())))
                            .toList()),
                    new RamTravel(ramTravel.stream()
                            .map(row -> new RamTravel.Row(new Angle(row.underLoadNdeg()), new Length(row.travelPm())))
                            .toList()));
        }
    }

    /** How far an angle at rest springs back. */
    record SpringbackRow(long restNdeg, long springbackNdeg) {}

    /** How far the ram is out for an angle under load. */
    record TravelRow(long underLoadNdeg, long travelPm) {}

    /** Heat, and something to bend round. */
    record OfFormer(long radiusPm, long minSpacingPm, Former.Support support, int warmSeconds, int coolSeconds)
            implements ToolFigures {

        @Override
        public Tool toCore() {
            return new Former(new Length(radiusPm), new Length(minSpacingPm), support, warmSeconds, coolSeconds);
        }
    }
}
