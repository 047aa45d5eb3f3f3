package lobrik.server.shed;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.shop.Shoe;
import lobrik.shop.Tool;

/** The figures of a tool as they are stored, by its kind: lengths in picometres, angles in nanodegrees. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
@JsonSubTypes(@JsonSubTypes.Type(value = ToolFigures.OfShoe.class, name = "shoe"))
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
}
