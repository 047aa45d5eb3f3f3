package lobrik.layout;

import java.util.List;
import java.util.Optional;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.shop.Tool;
import lobrik.shop.Tooling;

/**
 * Whether a ready-made elbow does instead of a bend of one's own (handbook 4.10: they are better where they fit, as they are round all the
 * way and of one radius). They come bent square, with a straight end as long as the conduit is thick; whatever is left of a leg is
 * straight conduit.
 *
 * @param serves whether it does
 * @param need what a leg needs from back of bend to end face
 * @param shortest what the leg has that has least to spare, which decides; between two backs half of it
 */
public record ReadyMade(boolean serves, Optional<Length> need, Optional<Length> shortest) {

    private static final ReadyMade NOT_SQUARE = new ReadyMade(false, Optional.empty(), Optional.empty());

    /** Whether one does here; empty where no elbow is bought for what it is bent with. */
    public static Optional<ReadyMade> of(Layout layout) {
        return isOfPlastic(layout.job().tooling().tool()) ? Optional.of(ofPlastic(layout)) : Optional.empty();
    }

    private static boolean isOfPlastic(Tool tool) {
        return switch (tool.kind()) {
            case FORMER -> true;
            case SHOE, MACHINE -> false;
        };
    }

    private static ReadyMade ofPlastic(Layout layout) {
        if (!layout.steps().stream().allMatch(step -> step.rest().equals(Angle.RIGHT))) {
            return NOT_SQUARE;
        }
        Length need = need(layout.job().tooling());
        List<PlannedFeature> legs = layout.features().stream()
                .filter(feature -> toSpare(feature, need).isPresent())
                .toList();
        Optional<PlannedFeature> tightest = legs.stream()
                .min((one, other) -> toSpare(one, need)
                        .orElseThrow()
                        .compareTo(toSpare(other, need).orElseThrow()));
        return new ReadyMade(
                tightest.flatMap(leg -> toSpare(leg, need))
                        .filter(left -> !left.isNegative())
                        .isPresent(),
                Optional.of(need),
                tightest.flatMap(leg -> toSpare(leg, need)).map(need::plus));
    }

    /** From back of bend to the end face of an elbow: {@code R + d/2}, and a straight end of {@code d}. */
    private static Length need(Tooling tooling) {
        Length diameter = tooling.conduit().outsideDiameter();
        return tooling.tool().radius().plus(diameter.times(0.5)).plus(diameter);
    }

    /** What a leg has more than an elbow needs; between two backs there are two of them. */
    private static Optional<Length> toSpare(PlannedFeature feature, Length need) {
        return switch (feature.id().kind()) {
            case LEG, OTHER_LEG, SECOND_LEG -> Optional.of(((Length) feature.asked()).minus(need));
            case BETWEEN -> Optional.of(((Length) feature.asked()).times(0.5).minus(need));
            case MARK,
                    DROP,
                    SET_BACK,
                    RISE,
                    ROLL,
                    HEIGHT,
                    CENTRE,
                    FLAT,
                    LANDING,
                    ANGLE,
                    TURN,
                    START_RISE,
                    END_RISE,
                    REACH_RIGHT,
                    REACH_UP,
                    REACH_OUT,
                    TAIL_LIFT,
                    DOG_LEG,
                    OVERALL,
                    FLATTENING -> Optional.empty();
        };
    }

    /** In a sentence: which, and why. */
    public String words(LengthUnit unit) {
        if (need.isEmpty() || shortest.isEmpty()) {
            return "Bend it: ready-made elbows are square, and this piece is not.";
        }
        String needed = need.get().inWords(unit);
        String least = shortest.get().inWords(unit);
        return serves
                ? "A ready-made elbow fits and is rounder: of each leg it needs " + needed + ", and the shortest has "
                        + least + ". Bend it for practice, or where none is at hand."
                : "Bend it: of each leg a ready-made elbow needs " + needed + ", and one has only " + least + ".";
    }
}
