package lobrik.bend;

import lobrik.shop.HookSide;

/**
 * How one bend of a run is made, at its place in the order (handbook 4.9).
 *
 * @param bend its number from the datum end, from 1
 * @param hookTowards which end the hook looks to; what is bent with heat has none
 */
public record OrderedBend(int bend, HookSide hookTowards) {

    private static final Count BEND = new Count("bend", "Bend", 1, Run.MOST_BENDS);
    private static final Choice HOOK = new Choice(
            "hookTowards",
            "Hook towards",
            Choice.Of.WORKING,
            new Choice.Option(HookSide.DATUM, "The datum end"),
            new Choice.Option(HookSide.FAR, "The far end"));

    static final Form<OrderedBend> FORM = Form.of(OrderedBend.class)
            .count(BEND, OrderedBend::bend)
            .leave(HOOK, OrderedBend::hookTowards)
            .makes(said -> new OrderedBend(said.count(BEND), said.option(HOOK, HookSide.class)));
}
