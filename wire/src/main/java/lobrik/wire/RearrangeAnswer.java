package lobrik.wire;

import java.util.List;

/**
 * A run mirrored or reversed.
 *
 * @param bend with everything said but an order of bending, which is another one then
 * @param room what stands in its room, from where it begins now
 */
public record RearrangeAnswer(BendInput bend, List<LayoutRequest.SolidInput> room) {}
