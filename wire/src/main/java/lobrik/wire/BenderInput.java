package lobrik.wire;

import java.util.List;
import java.util.Objects;
import lobrik.shop.Former;
import lobrik.shop.Machine;
import lobrik.shop.Shoe;
import lobrik.shop.Tool;
import lobrik.shop.ToolKind;
import org.jspecify.annotations.Nullable;

/**
 * A tool's figures as a request gives them. A shoe and a machine need take-up (a machine's is its deduct) and radius, a former needs its
 * radius; all else is optional, and what a kind of tool does not have is not read.
 *
 * @param kind a shoe where nothing is said
 * @param minStubIn of a shoe what it holds, of a machine the least leg of a ninety
 * @param springbackDeg of a shoe, or of a machine without rows of springback: the same at every angle
 * @param minPastShoeIn of a machine; the conduit's diameter where nothing is said
 * @param springback of a machine: rows over the angle at rest
 * @param ramTravel of a machine: rows over the angle under load
 * @param support of a former: what keeps the conduit round; nothing where nothing is said
 * @param warmSeconds of a former: about how long until it is soft
 * @param coolSeconds of a former: about how long until it is cold
 */
public record BenderInput(
        @Nullable ToolKind kind,
        @Nullable Double takeUpIn,
        @Nullable Double radiusIn,
        @Nullable Double minSpacingIn,
        @Nullable Double minStubIn,
        @Nullable Double minStandingIn,
        @Nullable Double springbackDeg,
        @Nullable Double minPastShoeIn,
        @Nullable List<@Nullable SpringbackRow> springback,
        @Nullable List<@Nullable TravelRow> ramTravel,
        Former.@Nullable Support support,
        @Nullable Integer warmSeconds,
        @Nullable Integer coolSeconds) {

    /** What sort of tool it is. */
    ToolKind sort() {
        return Objects.requireNonNullElse(kind, ToolKind.SHOE);
    }

    /** How far an angle at rest springs back. */
    public record SpringbackRow(
            @Nullable Double angleDeg, @Nullable Double springbackDeg) {}

    /** How far the ram is out for an angle under load. */
    public record TravelRow(
            @Nullable Double angleDeg, @Nullable Double travelIn) {}

    /** The figures of a tool, all of them. */
    public static BenderInput of(Tool tool) {
        return switch (tool) {
            case Shoe shoe ->
                new BenderInput(
                        null,
                        shoe.takeUp().inches(),
                        shoe.radius().inches(),
                        shoe.minSpacing().inches(),
                        shoe.minStub().inches(),
                        shoe.minStanding().inches(),
                        shoe.springback().degrees(),
                        null,
                        null,
                        null,
                        null,
                        null,
                        null);
            case Machine machine ->
                new BenderInput(
                        ToolKind.MACHINE,
                        machine.takeUp().inches(),
                        machine.radius().inches(),
                        machine.minSpacing().inches(),
                        machine.minStub().inches(),
                        null,
                        null,
                        machine.minPastShoe().inches(),
                        machine.springback().rows().stream()
                                .map(row -> new SpringbackRow(
                                        row.rest().degrees(), row.springback().degrees()))
                                .toList(),
                        machine.ramTravel().rows().stream()
                                .map(row -> new TravelRow(
                                        row.underLoad().degrees(), row.travel().inches()))
                                .toList(),
                        null,
                        null,
                        null);
            case Former former ->
                new BenderInput(
                        ToolKind.FORMER,
                        null,
                        former.radius().inches(),
                        former.minSpacing().inches(),
                        null,
                        null,
                        null,
                        null,
                        null,
                        null,
                        former.support(),
                        former.warmSeconds(),
                        former.coolSeconds());
        };
    }
}
