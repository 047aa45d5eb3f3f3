package lobrik.wire;

import java.util.List;
import lobrik.layout.Method;
import lobrik.shape.Surround;
import lobrik.shop.ToolKind;
import org.jspecify.annotations.Nullable;

/**
 * What to lay out. Also the definition of an exercise, as it is stored.
 *
 * @param method how marks are found; by the chart if it is not given
 * @param multipliers rows of the school's card that differ from the usual one
 * @param limits stick, degrees and least radius, where they differ from the usual ones
 * @param obstacle what to clear, if it is not what the bend's own inputs say
 * @param place where the conduit goes: drawn around the piece, without an effect on its marks
 */
public record LayoutRequest(
        @Nullable Method method,
        @Nullable Double tapeDivisionIn,
        @Nullable ConduitInput conduit,
        @Nullable BenderInput bender,
        @Nullable BendInput bend,
        @Nullable List<@Nullable MultiplierRow> multipliers,
        @Nullable LimitsInput limits,
        @Nullable ObstacleInput obstacle,
        @Nullable PlaceInput place) {

    /** With the usual card and limits, and no obstacle but the bend's own. */
    public LayoutRequest(
            @Nullable Method method,
            @Nullable Double tapeDivisionIn,
            @Nullable ConduitInput conduit,
            @Nullable BenderInput bender,
            @Nullable BendInput bend) {
        this(method, tapeDivisionIn, conduit, bender, bend, null, null, null, null);
    }

    /** The same with another bend: a variant. */
    public LayoutRequest with(BendInput other) {
        return new LayoutRequest(method, tapeDivisionIn, conduit, bender, other, multipliers, limits, obstacle, place);
    }

    /** The same on another bender. */
    public LayoutRequest on(BenderInput other) {
        return new LayoutRequest(method, tapeDivisionIn, conduit, other, bend, multipliers, limits, obstacle, place);
    }

    /** The same without anything around it. */
    LayoutRequest withoutPlace() {
        return new LayoutRequest(method, tapeDivisionIn, conduit, bender, bend, multipliers, limits, null, null);
    }

    /** The same with the usual insertion said where its place leaves that open. */
    public LayoutRequest withPlaceSaid() {
        if (place == null || place.insertionIn() != null || place.namesFittings()) {
            return this;
        }
        PlaceInput said = place.withInsertion(Surround.USUAL_INSERTION.inches());
        return new LayoutRequest(method, tapeDivisionIn, conduit, bender, bend, multipliers, limits, obstacle, said);
    }

    /**
     * Something in the room, from where the axis of a run begins, as seen facing the wall there. A surface has its distance; anything
     * else its left, lower and rear edges and its size.
     *
     * @param awayIn of a surface
     */
    public record SolidInput(
            @Nullable SolidKind kind,
            @Nullable Double awayIn,
            @Nullable Double rightIn,
            @Nullable Double upIn,
            @Nullable Double outIn,
            @Nullable Double widthIn,
            @Nullable Double heightIn,
            @Nullable Double depthIn) {}

    /** One angle of a card of multipliers; multiplier and shrink are per inch of rise. */
    public record MultiplierRow(
            @Nullable Double angleDeg,
            @Nullable Double multiplier,
            @Nullable Double shrinkPerInch) {}

    /** What sort of tool it is for: a shoe where nothing is said. */
    public ToolKind sortOfTool() {
        return bender == null ? ToolKind.SHOE : bender.sort();
    }

    /** What a piece must keep to. */
    public record LimitsInput(
            @Nullable Double stickIn,
            @Nullable Double mostBendsDeg,
            @Nullable Double leastRadiusIn) {}

    /**
     * Something that stands on the surface on which the datum leg lies; positions from the datum end. A round one has its
     * centre and diameter, a rectangular one its near edge, width and height.
     */
    public record ObstacleInput(
            @Nullable ObstacleShape shape,
            @Nullable Double centreIn,
            @Nullable Double diameterIn,
            @Nullable Double fromIn,
            @Nullable Double widthIn,
            @Nullable Double heightIn) {}

    /**
     * Where the conduit goes. It is drawn with what stands there; the sizes of the bend hold what goes into a fitting.
     *
     * @param situation id of a situation, see the tables; may be left out where a fitting is named
     * @param insertionIn how far an end stands within the situation's own box, where no fitting is named
     * @param startInsertionIn how far the datum end stands within a fitting; null where it begins in none
     * @param endInsertionIn the same of the far end
     * @param room what stands in the room through which a run goes
     */
    public record PlaceInput(
            @Nullable String situation,
            @Nullable Double insertionIn,
            @Nullable Double startInsertionIn,
            @Nullable Double endInsertionIn,
            @Nullable List<@Nullable SolidInput> room) {

        /** A situation with its own box, if it has one. */
        public PlaceInput(@Nullable String situation, @Nullable Double insertionIn) {
            this(situation, insertionIn, null, null, null);
        }

        /** Whether it says itself which ends stand within fittings. */
        boolean namesFittings() {
            return startInsertionIn != null || endInsertionIn != null;
        }

        /** The same room, otherwise named. */
        PlaceInput withInsertion(double inches) {
            return new PlaceInput(situation, inches, null, null, room);
        }

        /** How far the conduit goes into a fitting, at the end that marks are measured from if that has one. */
        public @Nullable Double insertion() {
            return startInsertionIn != null ? startInsertionIn : endInsertionIn != null ? endInsertionIn : insertionIn;
        }
    }
}
