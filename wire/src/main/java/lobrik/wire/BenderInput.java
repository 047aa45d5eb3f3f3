package lobrik.wire;

import lobrik.shop.Shoe;
import lobrik.shop.Tool;
import org.jspecify.annotations.Nullable;

/** A bender's figures as a request gives them; all but take-up and radius are optional. */
public record BenderInput(
        @Nullable Double takeUpIn,
        @Nullable Double radiusIn,
        @Nullable Double minSpacingIn,
        @Nullable Double minStubIn,
        @Nullable Double minStandingIn,
        @Nullable Double springbackDeg) {

    /** The figures of a tool, all of them. */
    public static BenderInput of(Tool tool) {
        return switch (tool) {
            case Shoe shoe ->
                new BenderInput(
                        shoe.takeUp().inches(),
                        shoe.radius().inches(),
                        shoe.minSpacing().inches(),
                        shoe.minStub().inches(),
                        shoe.minStanding().inches(),
                        shoe.springback().degrees());
        };
    }
}
